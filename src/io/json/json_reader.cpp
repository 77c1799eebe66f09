#include "io/json/json_reader.h"

#include "io/json/json_guard.h"

#include <algorithm>

namespace bslate::io {
namespace {

// What was found, for a message.
std::string shown(const std::string& text) {
    auto beginning = shortened(text);
    return beginning.size() < text.size() ? beginning + "..." : beginning;
}

std::string typeOf(const Json& node) {
    return node.is_string() ? shown(node.get<std::string>()) : std::string(node.type_name());
}

const Json kEmptyObject = Json::object();

std::string range(double low, double high) {
    return "a number from " + Json(low).dump() + " to " + Json(high).dump();
}

} // namespace

void ReadState::fail(ErrorCode code, std::string place, std::string got, std::string expected) {
    if (!error)
        error = Error{code, {}, std::move(place), shown(got), std::move(expected)};
}

Result<Json> parseJson(std::string_view text, const std::string& file) {
    if (auto checked = checkJson(text); !checked) {
        Error error = checked.error();
        error.file = file;
        return error;
    }
    try {
        return Json::parse(text);
    } catch (const nlohmann::json::exception&) {
        return Error{ErrorCode::BrokenJson, file, {}, {}, "numbers that fit into a double"};
    }
}

ObjectReader::ObjectReader(const Json& node, std::string pointer, ReadState& state)
    : m_node(node)
    , m_pointer(std::move(pointer))
    , m_state(state) {
    if (!m_node.is_object())
        m_state.fail(ErrorCode::WrongType, m_pointer.empty() ? "/" : m_pointer, typeOf(m_node),
                     "an object { ... }");
}

ObjectReader::~ObjectReader() = default;

std::string ObjectReader::pointer(const char* key) const {
    return m_pointer + "/" + key;
}

std::string ObjectReader::itemPointer(const char* key, std::size_t index) const {
    return pointer(key) + "/" + std::to_string(index);
}

void ObjectReader::fail(ErrorCode code, const char* key, std::string got, std::string expected) {
    m_state.fail(code, pointer(key), std::move(got), std::move(expected));
}

const Json* ObjectReader::find(const char* key, bool required) {
    m_asked.insert(key);
    if (!m_node.is_object())
        return nullptr;
    const auto found = m_node.find(key);
    if (found != m_node.end())
        return &*found;
    if (required)
        fail(ErrorCode::MissingKey, key, {}, "the key \"" + std::string(key) + "\"");
    return nullptr;
}

bool ObjectReader::has(const char* key) {
    return find(key, false) != nullptr;
}

std::string ObjectReader::text(const char* key, std::size_t longest) {
    const Json* node = find(key, true);
    if (!node)
        return {};
    if (!node->is_string()) {
        fail(ErrorCode::WrongType, key, typeOf(*node), "a text in quotes");
        return {};
    }
    auto value = node->get<std::string>();
    if (value.size() > longest) {
        fail(ErrorCode::OutOfRange, key, value,
             "a text of at most " + std::to_string(longest) + " bytes");
        return {};
    }
    return value;
}

std::string ObjectReader::textOr(const char* key, std::string otherwise) {
    return has(key) ? text(key) : std::move(otherwise);
}

bool ObjectReader::flag(const char* key) {
    const Json* node = find(key, true);
    if (!node)
        return false;
    if (!node->is_boolean()) {
        fail(ErrorCode::WrongType, key, typeOf(*node), "true or false");
        return false;
    }
    return node->get<bool>();
}

bool ObjectReader::flagOr(const char* key, bool otherwise) {
    return has(key) ? flag(key) : otherwise;
}

double ObjectReader::number(const char* key, double low, double high) {
    const Json* node = find(key, true);
    if (!node)
        return low;
    if (!node->is_number()) {
        fail(ErrorCode::WrongType, key, typeOf(*node), range(low, high));
        return low;
    }
    const double value = node->get<double>();
    if (!(value >= low && value <= high)) {
        fail(ErrorCode::OutOfRange, key, node->dump(), range(low, high));
        return low;
    }
    return value;
}

double ObjectReader::numberOr(const char* key, double low, double high, double otherwise) {
    return has(key) ? number(key, low, high) : otherwise;
}

int ObjectReader::whole(const char* key, int low, int high) {
    const double value = number(key, low, high);
    if (value != std::floor(value))
        fail(ErrorCode::WrongType, key, Json(value).dump(), "a whole number");
    return static_cast<int>(value);
}

int ObjectReader::wholeOr(const char* key, int low, int high, int otherwise) {
    return has(key) ? whole(key, low, high) : otherwise;
}

const Json* ObjectReader::array(const char* key, std::size_t most, const char* what) {
    const Json* node = find(key, false);
    if (!node)
        return nullptr;
    if (!node->is_array())
        fail(ErrorCode::WrongType, key, typeOf(*node), "a list [ ... ]");
    else if (node->size() > most)
        fail(ErrorCode::OutOfRange, key, std::to_string(node->size()),
             "at most " + std::to_string(most) + " " + what);
    else
        return node;
    return nullptr;
}

void ObjectReader::failName(const char* key, const std::string& name,
                            const std::vector<std::string_view>& known) {
    std::string expected;
    for (const auto each : known)
        expected += (expected.empty() ? "one of " : ", ") + std::string(each);
    fail(ErrorCode::WrongType, key, name, expected);
}

std::vector<std::string> ObjectReader::texts(const char* key, std::size_t most) {
    const auto read = [&](const Json& node, const std::string& place) {
        if (!node.is_string()) {
            m_state.fail(ErrorCode::WrongType, place, typeOf(node), "a text in quotes");
            return std::string();
        }
        return node.get<std::string>();
    };
    return list<std::string>(key, read, most);
}

const Json& ObjectReader::child(const char* key) {
    const Json* node = find(key, true);
    return node ? *node : kEmptyObject;
}

bool ObjectReader::hasExtra() const {
    if (!m_node.is_object())
        return false;
    const auto items = m_node.items();
    return !m_kept.empty() || std::any_of(items.begin(), items.end(), [&](const auto& item) {
        return !m_asked.contains(item.key());
    });
}

ExtraKeys ObjectReader::extra() const {
    if (!m_node.is_object())
        return {};
    // As text straight away: a copy of what may be most of a large file would double its memory.
    std::string text;
    const auto add = [&](const std::string& key, const Json& value) {
        text += (text.empty() ? "{" : ",") + Json(key).dump() + ":" + value.dump();
    };
    for (const auto& [key, value] : m_kept.items())
        add(key, value);
    for (const auto& [key, value] : m_node.items())
        if (!m_asked.contains(key))
            add(key, value);
    return text.empty() ? ExtraKeys{} : ExtraKeys{text + "}"};
}

void ObjectReader::keep(const char* key, const ExtraKeys& extra) {
    if (!extra.json.empty())
        m_kept[key] = Json::parse(extra.json, nullptr, false);
}

void ObjectReader::keepItem(const char* key, const Json& written, const ExtraKeys& extra) {
    if (!extra.json.empty())
        m_kept[key][written.dump()] = Json::parse(extra.json, nullptr, false);
}

namespace {

// Puts what was kept back under what is known, however deep.
void merge(Json& node, const Json& kept) {
    for (const auto& [key, value] : kept.items()) {
        const auto known = node.find(key);
        if (known == node.end()) {
            node[key] = value;
        } else if (known->is_object() && value.is_object()) {
            merge(*known, value);
        } else if (known->is_array() && value.is_object()) {
            // By what each entry says: an entry that was moved keeps its own.
            for (auto& item : *known)
                if (const auto found = value.find(item.dump()); found != value.end())
                    merge(item, *found);
        }
    }
}

} // namespace

void appendExtra(Json& node, const ExtraKeys& extra) {
    if (!extra.json.empty())
        merge(node, Json::parse(extra.json, nullptr, false));
}

int checkFormat(ObjectReader& root, std::string_view format, int version) {
    const auto got = root.textOr("format", {});
    if (root.state().error)
        return version;
    if (got != format) {
        root.fail(ErrorCode::WrongFormat, "format", got, "\"" + std::string(format) + "\"");
        return version;
    }
    const int found = root.whole("version", 1, 1000000);
    if (!root.state().error && found > version)
        root.fail(ErrorCode::NewerVersion, "version", std::to_string(found),
                  "version " + std::to_string(version) + " or older; update Bright Slate");
    return root.state().error ? version : found;
}

} // namespace bslate::io
