#include "io/json/json_guard.h"

#include <algorithm>
#include <nlohmann/json.hpp>
#include <string>
#include <unordered_set>
#include <vector>

namespace bslate::io {
namespace {

std::string placeOf(std::string_view text, std::size_t byte) {
    const auto before = text.substr(0, std::min(byte, text.size()));
    const auto line = 1 + std::count(before.begin(), before.end(), '\n');
    const auto start = before.rfind('\n');
    const auto column = start == std::string_view::npos ? before.size() : before.size() - start - 1;
    return "line " + std::to_string(line) + ", column " +
           std::to_string(std::max<std::size_t>(column, 1));
}

// The events of a parse, without building anything. Its callbacks give no position, so a fault in
// them names the key.
class Guard : public nlohmann::json_sax<nlohmann::json> {
public:
    explicit Guard(std::string_view text)
        : m_text(text)
        , m_mostValues(std::max(kFreeValues, text.size() / kBytesAValue)) {}

    bool null() override { return value(); }
    bool boolean(bool) override { return value(); }
    bool number_integer(number_integer_t) override { return value(); }
    bool number_unsigned(number_unsigned_t) override { return value(); }
    bool number_float(number_float_t, const string_t&) override { return value(); }
    bool string(string_t&) override { return value(); }
    bool binary(binary_t&) override { return value(); }
    bool start_object(std::size_t) override {
        m_keys.emplace_back();
        return value();
    }
    bool end_object() override {
        m_keys.pop_back();
        return true;
    }
    bool start_array(std::size_t) override { return value(); }
    bool end_array() override { return true; }
    bool key(string_t& name) override {
        auto& keys = m_keys.back();
        if (keys.size() >= kMostKeys)
            return refuse({}, "at most " + std::to_string(kMostKeys) + " keys in an object");
        if (keys.insert(name).second)
            return true;
        return refuse(shortened(name), "every key only once in an object");
    }
    bool parse_error(std::size_t position, const std::string&,
                     const nlohmann::detail::exception& fault) override {
        const bool number = fault.id == 406;
        const bool ended = position >= m_text.size();
        m_error = Error{ErrorCode::BrokenJson,
                        {},
                        placeOf(m_text, position),
                        {},
                        number  ? "numbers that fit into a double"
                        : ended ? "the rest of the document (the file seems cut off)"
                                : "valid UTF-8 JSON from here on"};
        return false;
    }

    [[nodiscard]] const std::optional<Error>& error() const { return m_error; }

private:
    bool value() {
        if (++m_values <= m_mostValues)
            return true;
        return refuse({}, "at most " + std::to_string(m_mostValues) +
                              " values in a document of this size");
    }
    bool refuse(std::string got, std::string expected) {
        m_error = Error{ErrorCode::OutOfRange, {}, {}, std::move(got), std::move(expected)};
        return false;
    }

    std::string_view m_text;
    std::size_t m_values = 0, m_mostValues;
    std::vector<std::unordered_set<std::string>> m_keys;
    std::optional<Error> m_error;
};

// Byte offset of the first bracket that nests too deep, or npos.
std::size_t tooDeep(std::string_view text) {
    int depth = 0;
    bool inString = false;
    for (std::size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (inString) {
            if (c == '\\')
                ++i;
            else if (c == '"')
                inString = false;
        } else if (c == '"') {
            inString = true;
        } else if (c == '{' || c == '[') {
            if (++depth > kDeepestNesting)
                return i;
        } else if (c == '}' || c == ']') {
            --depth;
        }
    }
    return std::string_view::npos;
}

} // namespace

Outcome checkJson(std::string_view text) {
    if (const auto deep = tooDeep(text); deep != std::string_view::npos)
        return Error{ErrorCode::BrokenJson,
                     {},
                     placeOf(text, deep + 1),
                     {},
                     "at most " + std::to_string(kDeepestNesting) + " levels of nesting"};
    Guard guard(text);
    if (nlohmann::json::sax_parse(text.begin(), text.end(), &guard))
        return Done{};
    return guard.error() ? *guard.error()
                         : Error{ErrorCode::BrokenJson, {}, {}, {}, "valid UTF-8 JSON"};
}

} // namespace bslate::io
