#include "cli/commands.h"

#include "cli/verdict_json.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/files.h"
#include "io/kit_json.h"
#include "io/lut_file.h"
#include "io/shoot_json.h"
#include "io/transform_file.h"

#include <charconv>
#include <cmath>
#include <filesystem>
#include <ostream>

namespace bslate::cli {
namespace {

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
    const auto* profile = findProfile(*kit, options.profile);
    if (!profile)
        return Error{ErrorCode::UnknownId, options.curve, "--profile", options.profile,
                     "one of " + listIds(kit->profiles)};
    return Chosen{profile->curve, {}};
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

int listBuiltIns(bool json, std::ostream& out) {
    Json list = Json::array();
    for (const auto& item : io::builtInTransforms()) {
        if (json)
            list.push_back({{"index", item.index},
                            {"name", item.name},
                            {"about", item.about},
                            {"recorded_to_light", item.camera}});
        else
            out << item.index << (item.camera ? "\tcurve\t" : "\t-\t") << item.name << "\n";
    }
    if (json)
        out << jsonText(Json{{"builtins", list}});
    return 0;
}

} // namespace

Result<int> curve(const CurveOptions& options, std::ostream& out) {
    if (options.listBuiltIns)
        return listBuiltIns(options.json, out);
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
    if (options.json) {
        out << jsonText(result);
        return 0;
    }
    for (const auto& point : points)
        out << fixedText(point["stops"], 2) << "\t" << fixedText(point["level_percent"], 2)
            << " %\t" << point["code"] << "\n";
    if (chosen->imported)
        out << (chosen->imported->curve.sampled ? "kept as a table" : "camera-log") << ", off by "
            << fixedText(tenBitCodes(chosen->imported->curve.worst), 3)
            << " codes of 10 bits at most\n";
    return 0;
}

namespace {

// The family of formats by --format, else by the suffix; they must not contradict each other.
Result<std::string> familyOf(const LutOptions& options, const std::string& suffix) {
    constexpr const char* known = "a file ending in .cube, .clf, .cc, .ccc or .cdl";
    const auto bySuffix = io::formatOfSuffix(suffix);
    const std::string said = !bySuffix                         ? ""
                             : *bySuffix == io::LutFormat::Clf ? "clf"
                             : suffix == ".cube"               ? "cube"
                                                               : "cdl";
    const auto& asked = options.format;
    if (!asked.empty() && asked != "cube" && asked != "clf" && asked != "cdl")
        return usage("--format", asked, "cube, clf or cdl");
    if (asked.empty() && said.empty())
        return usage("--output", options.output, std::string(known) + ", or --format");
    if (!asked.empty() && !said.empty() && asked != said)
        return usage("--output", options.output, "a name that fits --format " + asked);
    return asked.empty() ? said : asked;
}

Result<io::LutFormat> formatOf(const LutOptions& options) {
    const auto suffix = std::filesystem::path(options.output).extension().string();
    const auto bySuffix = io::formatOfSuffix(suffix);
    const auto family = familyOf(options, suffix);
    if (!family)
        return family.error();
    if (*family == "clf")
        return io::LutFormat::Clf;
    if (*family == "cdl")
        return bySuffix.value_or(io::LutFormat::CdlCollection);
    if (options.oneDimensional)
        return io::LutFormat::Cube1d;
    const auto size = wholeOf("--size", options.size, 17, 65, "17, 33 or 65");
    const auto cube = size ? io::cubeOfSize(static_cast<int>(*size)) : std::nullopt;
    if (!cube)
        return usage("--size", options.size, "17, 33 or 65");
    return *cube;
}

} // namespace

Result<int> lut(const LutOptions& options, std::ostream& out) {
    const auto shoot = opened(options.file);
    if (!shoot)
        return shoot.error();
    const auto* setup = setupNamed(*shoot, options.setup);
    if (!setup)
        return noSetup(*shoot, options.file.path, options.setup);
    const auto format = formatOf(options);
    if (!format)
        return format.error();
    const auto text = io::lutText(*shoot, *setup, *format, options.look);
    if (!text)
        return text.error();
    if (const auto saved = writeOutput(options.output, *text, options.force); !saved)
        return saved.error();
    if (options.json)
        out << jsonText(Json{{"file", options.output}, {"bytes", text->size()}});
    else
        out << options.output << "\n";
    return 0;
}

} // namespace bslate::cli
