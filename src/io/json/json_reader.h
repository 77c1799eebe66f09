#pragma once

#include "core/base/fields.h"
#include "core/base/result.h"
#include "core/shoot/shoot.h"

#include <cmath>
#include <functional>
#include <nlohmann/json.hpp>
#include <optional>
#include <set>
#include <span>
#include <string>
#include <utility>

/// Reading one of our documents out of JSON. The first fault wins and names its JSON pointer;
/// later getters return their default, so a reader is written straight down and checked once.
/// Private to io: no public header includes it.
namespace bslate::io {

using Json = nlohmann::ordered_json;

class ObjectReader;

/// Where a reading stands: the first fault, if any, and what is being read.
struct ReadState {
    std::optional<Error> error;
    int version = 1'000'000; ///< of the format; the newest where none is said
    /// Reads the kit of a shoot, which may be a file of its own; none: it must be embedded.
    std::function<void(ObjectReader&, const char* key, Shoot&)> kitFile;
    void fail(ErrorCode code, std::string place, std::string got, std::string expected);
};

/// Parses text after looking it through (json_guard.h). Faults give line and column.
[[nodiscard]] Result<Json> parseJson(std::string_view text, const std::string& file);

/// One JSON object being read. Remembers which keys were asked for, so that the others can be
/// kept for saving.
class ObjectReader {
public:
    ObjectReader(const Json& node, std::string pointer, ReadState& state);
    ~ObjectReader();
    ObjectReader(const ObjectReader&) = delete;
    ObjectReader& operator=(const ObjectReader&) = delete;

    [[nodiscard]] bool has(const char* key);
    [[nodiscard]] std::string text(const char* key, std::size_t longest = 4000);
    [[nodiscard]] std::string textOr(const char* key, std::string otherwise);
    [[nodiscard]] bool flag(const char* key);
    [[nodiscard]] bool flagOr(const char* key, bool otherwise);
    [[nodiscard]] double number(const char* key, double low, double high);
    [[nodiscard]] double numberOr(const char* key, double low, double high, double otherwise);
    [[nodiscard]] int whole(const char* key, int low, int high);
    [[nodiscard]] int wholeOr(const char* key, int low, int high, int otherwise);

    /// A quantity written as text, read by its own parser.
    template<class Q>
    [[nodiscard]] Q quantity(const char* key, Result<Q> (*parse)(std::string_view)) {
        const std::string spelled = text(key);
        if (m_state.error)
            return Q{};
        auto value = parse(spelled);
        if (value)
            return *std::move(value);
        fail(value.error().code, key, spelled, value.error().expected);
        return Q{};
    }
    template<class Q>
    [[nodiscard]] Q quantityOr(const char* key, Result<Q> (*parse)(std::string_view), Q otherwise) {
        return has(key) ? quantity(key, parse) : otherwise;
    }

    template<class E>
    [[nodiscard]] E oneOf(const char* key, std::span<const NamedValue<E>> names) {
        const auto* value = named(key, text(key), names);
        return value ? *value : names.front().value;
    }
    /// The value with a name; null, and the fault that lists them, when there is none.
    template<class E>
    [[nodiscard]] const E* named(const char* key, const std::string& name,
                                 std::span<const NamedValue<E>> names) {
        if (const auto* value = valueIn(names, name))
            return value;
        std::vector<std::string_view> known;
        for (const auto& entry : names)
            known.push_back(entry.name);
        failName(key, name, known);
        return nullptr;
    }

    /// Reads every element of a list with `read(element, pointer)`; missing lists are empty.
    template<class T, class Read>
    [[nodiscard]] std::vector<T> list(const char* key, Read read, std::size_t most = kMostItems,
                                      const char* what = "of them") {
        std::vector<T> items;
        const Json* node = array(key, most, what);
        if (!node)
            return items;
        items.reserve(node->size());
        for (std::size_t i = 0; i < node->size() && !m_state.error; ++i)
            items.push_back(read((*node)[i], itemPointer(key, i)));
        return items;
    }
    [[nodiscard]] std::vector<std::string> texts(const char* key, std::size_t most = kMostItems);
    template<class Q>
    [[nodiscard]] std::vector<Q> quantities(const char* key, Result<Q> (*parse)(std::string_view)) {
        std::vector<Q> items;
        const auto spelled = texts(key);
        for (std::size_t i = 0; i < spelled.size() && !m_state.error; ++i) {
            auto value = parse(spelled[i]);
            if (value)
                items.push_back(*std::move(value));
            else
                m_state.fail(value.error().code, itemPointer(key, i), spelled[i],
                             value.error().expected);
        }
        return items;
    }

    /// The child object, or an empty one after a fault.
    [[nodiscard]] const Json& child(const char* key);
    [[nodiscard]] std::string pointer(const char* key) const;

    /// Keys nobody asked for, with those kept from children.
    [[nodiscard]] bool hasExtra() const;
    [[nodiscard]] ExtraKeys extra() const;
    /// Keeps the unknown keys of a child object whose value has no room for them.
    void keep(const char* key, const ExtraKeys& extra);
    /// Likewise those of an entry of a list, found again by what is written for the entry.
    void keepItem(const char* key, const Json& written, const ExtraKeys& extra);
    /// A list of entries without room for unknown keys: `read` takes an entry's own reader, `write`
    /// says what is written for it.
    template<class T, class Read, class Write>
    [[nodiscard]] std::vector<T> keptList(const char* key, Read read, Write write,
                                          std::size_t most = kMostItems,
                                          const char* what = "of them") {
        return list<T>(
            key,
            [&](const Json& item, const std::string& place) {
                ObjectReader entry(item, place, m_state);
                T value = read(entry);
                if (entry.hasExtra() && !m_state.error)
                    keepItem(key, write(value), entry.extra());
                return value;
            },
            most, what);
    }
    [[nodiscard]] ReadState& state() { return m_state; }
    void fail(ErrorCode code, const char* key, std::string got, std::string expected);

private:
    const Json* find(const char* key, bool required);
    const Json* array(const char* key, std::size_t most, const char* what);
    [[nodiscard]] std::string itemPointer(const char* key, std::size_t index) const;
    void failName(const char* key, const std::string& name,
                  const std::vector<std::string_view>& known);

    const Json& m_node;
    std::string m_pointer;
    ReadState& m_state;
    std::set<std::string, std::less<>> m_asked;
    Json m_kept = Json::object();
};

/// Puts kept keys back after the known ones, in child objects too.
void appendExtra(Json& node, const ExtraKeys& extra);

/// Checks "format" and "version" of a document's root; returns the version found, `version` after
/// a fault.
int checkFormat(ObjectReader& root, std::string_view format, int version);

} // namespace bslate::io
