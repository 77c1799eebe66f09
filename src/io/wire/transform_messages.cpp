#include "io/wire/transform_messages.h"

#include "io/json/fields_read.h"

namespace bslate::io {
namespace {

constexpr double kAnyNumber = 1e300;

// Numbers that no JSON can hold are not given away as null.
Json numberJson(double value) {
    return std::isfinite(value) ? Json(value) : Json(value > 0 ? kAnyNumber : -kAnyNumber);
}

Json coloursJson(const Colours& colours) {
    Json list = Json::array();
    for (const auto& colour : colours)
        for (const double value : colour)
            list.push_back(numberJson(value));
    return list;
}

Colours coloursFrom(ObjectReader& node) {
    const Json& list = node.child("colours");
    Colours colours;
    if (!list.is_array() || list.size() % 3 != 0) {
        node.fail(ErrorCode::WrongType, "colours", {}, "triples of numbers");
        return colours;
    }
    for (std::size_t i = 0; i + 2 < list.size(); i += 3) {
        std::array<double, 3> colour{};
        for (std::size_t c = 0; c < 3; ++c) {
            if (!list[i + c].is_number())
                node.fail(ErrorCode::WrongType, "colours", {}, "triples of numbers");
            else
                colour[c] = list[i + c].get<double>();
        }
        colours.push_back(colour);
    }
    return colours;
}

Json gamutJson(const Gamut& gamut) {
    return {{"red_x", gamut.red.x},     {"red_y", gamut.red.y},    {"green_x", gamut.green.x},
            {"green_y", gamut.green.y}, {"blue_x", gamut.blue.x},  {"blue_y", gamut.blue.y},
            {"white_x", gamut.white.x}, {"white_y", gamut.white.y}};
}

Gamut gamutOfAnswer(ObjectReader& node) {
    const auto number = [&](const char* key) { return node.number(key, -1e6, 1e6); };
    Gamut gamut;
    gamut.red = {number("red_x"), number("red_y")};
    gamut.green = {number("green_x"), number("green_y")};
    gamut.blue = {number("blue_x"), number("blue_y")};
    gamut.white = {number("white_x"), number("white_y")};
    return gamut;
}

Json optionsJson(const ImportOptions& options) {
    Json node = {{"sense", static_cast<int>(options.sense)},
                 {"space", static_cast<int>(options.space)},
                 {"colour_space", options.colourSpace},
                 {"full_range", options.range == CodeRange::Full}};
    if (options.grey)
        node["grey"] = options.grey->value();
    return node;
}

ImportOptions optionsFrom(ObjectReader& node) {
    ImportOptions options;
    options.sense = static_cast<TransformSense>(node.whole("sense", 0, 2));
    options.space = static_cast<LightSpace>(node.whole("space", 0, 5));
    options.colourSpace = node.text("colour_space");
    options.range = node.flagOr("full_range", true) ? CodeRange::Full : CodeRange::Legal;
    if (node.has("grey"))
        options.grey = Signal(node.number("grey", -1e6, 1e6));
    return options;
}

// Everything but the file's own contents is ours; it may be longer than what people write.
std::string spoken(const Json& node) {
    return node.dump(-1, ' ', false, Json::error_handler_t::replace);
}

// Reads an answer with `read(root)`, unless it is not to be read.
template<class T, class Read>
Result<T> answered(const std::string& text, Read read) {
    const auto json = parseJson(text, "the helper program's answer");
    if (!json)
        return json.error();
    ReadState state;
    ObjectReader root(*json, "", state);
    T value = read(root);
    if (state.error)
        return *state.error;
    return value;
}

} // namespace

std::string requestText(const TransformRequest& request) {
    if (const auto* transform = std::get_if<AskTransform>(&request))
        return spoken({{"ask", "transform"}, {"options", optionsJson(transform->options)}});
    if (const auto* through = std::get_if<AskColours>(&request))
        return spoken({{"ask", "colours"}, {"colours", coloursJson(through->colours)}});
    return spoken({{"ask", "colour-spaces"}});
}

Result<TransformRequest> readRequest(const std::string& text) {
    return answered<TransformRequest>(text, [](ObjectReader& root) -> TransformRequest {
        const auto ask = root.text("ask");
        if (ask == "transform") {
            ObjectReader options(root.child("options"), "/options", root.state());
            return AskTransform{optionsFrom(options)};
        }
        if (ask == "colours")
            return AskColours{coloursFrom(root)};
        if (ask != "colour-spaces")
            root.fail(ErrorCode::WrongType, "ask", ask, "transform, colours or colour-spaces");
        return AskColourSpaces{};
    });
}

std::string answerText(const ImportedTransform& transform) {
    Json node = {{"name", shortened(transform.name, 1000)},
                 {"curve", writeObject(transform.curve.curve)},
                 {"sampled", transform.curve.sampled},
                 {"worst", numberJson(transform.curve.worst.value())},
                 {"worst_as_log", numberJson(transform.curve.worstAsLog.value())},
                 {"colour_miss", numberJson(transform.colourMiss)},
                 {"files", transform.files}};
    if (transform.gamut)
        node["gamut"] = gamutJson(*transform.gamut);
    return spoken(node);
}

std::string answerText(const std::vector<std::string>& spaces) {
    return spoken({{"spaces", spaces}});
}

std::string answerText(const Colours& colours) {
    return spoken({{"colours", coloursJson(colours)}});
}

Result<ImportedTransform> readTransformAnswer(const std::string& text) {
    return answered<ImportedTransform>(text, [](ObjectReader& root) {
        ImportedTransform result;
        result.name = root.text("name");
        ObjectReader curve(root.child("curve"), "/curve", root.state());
        result.curve.curve = readObject<Curve>(curve);
        result.curve.sampled = root.flagOr("sampled", false);
        result.curve.worst = Signal(root.number("worst", 0, kAnyNumber));
        result.curve.worstAsLog = Signal(root.number("worst_as_log", 0, kAnyNumber));
        result.colourMiss = root.number("colour_miss", 0, kAnyNumber);
        result.files = root.texts("files");
        if (root.has("gamut")) {
            ObjectReader gamut(root.child("gamut"), "/gamut", root.state());
            result.gamut = gamutOfAnswer(gamut);
        }
        return result;
    });
}

Result<std::vector<std::string>> readSpacesAnswer(const std::string& text) {
    return answered<std::vector<std::string>>(
        text, [](ObjectReader& root) { return root.texts("spaces"); });
}

Result<Colours> readColoursAnswer(const std::string& text) {
    return answered<Colours>(text, coloursFrom);
}

} // namespace bslate::io
