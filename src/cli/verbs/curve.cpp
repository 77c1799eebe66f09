#include "cli/verb.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/colour/transform_file.h"
#include "io/json/kit_json.h"

#include <charconv>
#include <cmath>
#include <filesystem>
#include <ostream>

namespace bslate::cli {
namespace {

struct CurveOptions {
    std::string curve;            ///< a standard's name, builtin:INDEX, or a kit or transform file
    std::string profile;          ///< which one of the kit file
    std::string stops = "-8:8:1"; ///< FROM:TO:STEP
    std::string grey;  ///< level of mid-grey in a transform file, 40 %; empty: light is absolute
    std::string space; ///< of a configuration: which colour space
    std::string bits = "10";
    bool listBuiltIns = false;
};

void askCurve(CurveOptions& o, OptionList& list) {
    list.text("CURVE", o.curve,
              "acescc, acescct, bt2020, bt709, hlg, pq, srgb, builtin:INDEX, or a file: kit, "
              ".cube, .spi1d, .spi3d, .clf, .ctf, .ocio");
    list.text("--profile", o.profile, "profile of the kit file");
    list.text("--space", o.space, "colour space of a configuration (.ocio)");
    list.text("--grey", o.grey, "level of mid-grey in a table without its own light, 40 %");
    list.text("--stops", o.stops, "FROM:TO:STEP from mid-grey").shown();
    list.text("--bits", o.bits, "8, 10 or 12").shown();
    list.flag("--list-builtins", o.listBuiltIns,
              "list the transforms of the installed colour library");
}

struct StopsRange {
    double from, to, step;
};

Result<StopsRange> stopsRange(const std::string& text) {
    const auto bad = [&] {
        return usage("--stops", text,
                     "FROM:TO:STEP in stops, such as -8:6:0.5, at most 100000 points");
    };
    const auto first = text.find(':');
    const auto second = first == std::string::npos ? first : text.find(':', first + 1);
    if (second == std::string::npos)
        return bad();
    const auto from = parseStops(text.substr(0, first));
    const auto to = parseStops(text.substr(first + 1, second - first - 1));
    const auto step = parseStops(text.substr(second + 1));
    if (!from || !to || !step || !(step->value() > 0) || *to < *from ||
        (*to - *from).value() / step->value() > 100000)
        return bad();
    return StopsRange{from->value(), to->value(), step->value()};
}

std::string standardNames() {
    std::string names;
    for (const auto name : standardCurveNames())
        names += (names.empty() ? "" : ", ") + std::string(name);
    return names;
}

// A curve to tabulate, and what the import that gave it has to say.
struct Chosen {
    Curve curve;
    std::optional<io::ImportedTransform> imported;
};

Result<Chosen> taken(Result<io::ImportedTransform> imported) {
    if (!imported)
        return imported.error();
    Curve curve = imported->curve.curve;
    return Chosen{std::move(curve), *std::move(imported)};
}

Result<Chosen> builtIn(const std::string& text) {
    std::size_t index = 0;
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), index);
    if (error != std::errc() || end != text.data() + text.size())
        return usage("CURVE", "builtin:" + text, "builtin:INDEX from curve --list-builtins");
    auto imported = io::importBuiltIn(index);
    if (!imported)
        return usage("CURVE", "builtin:" + text, imported.error().expected);
    return taken(std::move(imported));
}

Result<Chosen> transform(const CurveOptions& options, BitDepth depth) {
    io::ImportOptions wish;
    wish.colourSpace = options.space;
    if (!options.grey.empty()) {
        const auto grey = parseFraction(options.grey);
        if (!grey)
            return usage("--grey", options.grey, grey.error().expected);
        wish.grey = signalAt(Level(100 * grey->value()), wish.range, depth);
    }
    return taken(io::importTransform(options.curve, wish));
}

Result<Chosen> curveNamed(const CurveOptions& options, BitDepth depth) {
    constexpr std::string_view kBuiltIn = "builtin:";
    if (const auto standard = standardCurve(options.curve))
        return Chosen{*standard, {}};
    if (options.curve.starts_with(kBuiltIn))
        return builtIn(options.curve.substr(kBuiltIn.size()));
    const std::filesystem::path path(options.curve);
    if (path.has_extension() && path.extension() != ".json")
        return transform(options, depth);
    const auto kit = io::loadKit(options.curve);
    if (!kit) {
        Error error = kit.error();
        if (error.code == ErrorCode::FileUnreadable)
            error.expected = standardNames() + ", builtin:INDEX, or a readable kit or LUT file";
        return error;
    }
    if (options.profile.empty() && kit->profiles.size() == 1)
        return Chosen{kit->profiles.front().curve, {}};
    const auto profile = profileNamed(*kit, options.curve, options.profile);
    if (!profile)
        return profile.error();
    return Chosen{(*profile)->curve, {}};
}

Json importJson(const io::ImportedTransform& imported) {
    Json node = {{"name", imported.name},
                 {"form", imported.curve.sampled ? "sampled" : "camera-log"},
                 {"residual_codes_10bit", tenBitCodes(imported.curve.worst)},
                 {"residual_as_log_codes_10bit", tenBitCodes(imported.curve.worstAsLog)},
                 {"splits", imported.splits()},
                 {"files_read", imported.files}};
    if (const auto& gamut = imported.gamut) {
        const auto point = [](Chromaticity c) { return Json::array({c.x, c.y}); };
        node["gamut"] = {{"red", point(gamut->red)},
                         {"green", point(gamut->green)},
                         {"blue", point(gamut->blue)},
                         {"white", point(gamut->white)}};
    }
    return node;
}

int listBuiltIns(Output& output) {
    Json list = Json::array();
    for (const auto& item : io::builtInTransforms()) {
        if (output.json)
            list.push_back({{"index", item.index},
                            {"name", item.name},
                            {"about", item.about},
                            {"recorded_to_light", item.camera}});
        else
            output.text << item.index << (item.camera ? "\tcurve\t" : "\t-\t") << item.name << "\n";
    }
    if (output.json)
        output.write(Json{{"builtins", list}});
    return 0;
}

Result<int> curve(const CurveOptions& options, Output& output) {
    if (options.listBuiltIns)
        return listBuiltIns(output);
    if (options.curve.empty())
        return usage("CURVE", {}, standardNames() + ", builtin:INDEX or a file");
    const auto range = stopsRange(options.stops);
    if (!range)
        return range.error();
    const auto bits = wholeOf("--bits", options.bits, 8, 12, "8, 10 or 12");
    if (!bits || *bits % 2 != 0)
        return usage("--bits", options.bits, "8, 10 or 12");
    const BitDepth depth{static_cast<int>(*bits)};
    const auto chosen = curveNamed(options, depth);
    if (!chosen)
        return chosen.error();
    const auto& curve = chosen->curve;
    Json points = Json::array();
    const int count = static_cast<int>(std::floor((range->to - range->from) / range->step + 1e-9));
    for (int i = 0; i <= count; ++i) {
        const Stops stops(range->from + i * range->step);
        const auto linear = linearAt(stops);
        const auto signal = std::min(encode(curve, linear), endSignal(curve, depth));
        points.push_back({{"stops", stops.value()},
                          {"linear", linear.value()},
                          {"signal", signal.value()},
                          {"level_percent", levelOf(signal, curve.range, depth).value()},
                          {"code", recordedCode(signal, curve.range, depth)}});
    }
    Json result = {
        {"points", points},
        {"clip_stops", endStops(curve, depth).value()},
        {"clip_level_percent", levelOf(endSignal(curve, depth), curve.range, depth).value()},
        {"bits", depth.bits}};
    if (chosen->imported)
        result["import"] = importJson(*chosen->imported);
    if (output.json) {
        output.write(result);
        return 0;
    }
    for (const auto& point : points)
        output.text << fixedText(point["stops"], 2) << "\t" << fixedText(point["level_percent"], 2)
                    << " %\t" << point["code"] << "\n";
    if (chosen->imported)
        output.text << (chosen->imported->curve.sampled ? "kept as a table" : "camera-log")
                    << ", off by " << fixedText(tenBitCodes(chosen->imported->curve.worst), 3)
                    << " codes of 10 bits at most\n";
    return 0;
}

} // namespace

extern const Verb kCurveVerb;
const Verb kCurveVerb{"curve", "Tabulate a recording curve", "bslate curve acescct --stops=-6:6:1",
                      prepared<CurveOptions, askCurve, curve>};

} // namespace bslate::cli
