#include "io/kit_json.h"

#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/files.h"
#include "io/kit_nodes.h"

#include <array>

namespace bslate::io {
namespace {

constexpr std::array kIsoNames = {NamedValue<IsoBehaviour>{"recorded", IsoBehaviour::Recorded},
                                  NamedValue<IsoBehaviour>{"index", IsoBehaviour::Index},
                                  NamedValue<IsoBehaviour>{"note", IsoBehaviour::Note}};
constexpr std::array kRangeNames = {NamedValue<CodeRange>{"full", CodeRange::Full},
                                    NamedValue<CodeRange>{"legal", CodeRange::Legal}};
constexpr std::array kTapNames = {NamedValue<ZebraTap>{"recorded", ZebraTap::Recorded},
                                  NamedValue<ZebraTap>{"viewing-lut", ZebraTap::ViewingLut}};

enum class Family { CameraLog, Bt709, Hlg, SoftHighlight };
constexpr std::array kFamilyNames = {NamedValue<Family>{"camera-log", Family::CameraLog},
                                     NamedValue<Family>{"bt709", Family::Bt709},
                                     NamedValue<Family>{"hlg", Family::Hlg},
                                     NamedValue<Family>{"soft-highlight", Family::SoftHighlight}};

constexpr std::string_view kThirdStops = "third-stops";

template<class E, std::size_t N>
std::span<const NamedValue<E>> table(const std::array<NamedValue<E>, N>& names) {
    return names;
}

// ---- curve and gamut

CameraLog cameraLogFrom(ObjectReader& node) {
    CameraLog log;
    log.base = node.number("base", 1.0001, 1e6);
    log.logSideSlope = node.number("log_side_slope", 1e-6, 100);
    log.logSideOffset = node.number("log_side_offset", -100, 100);
    log.linSideSlope = node.number("lin_side_slope", 1e-6, 1e6);
    log.linSideOffset = node.number("lin_side_offset", -1e3, 1e3);
    log.linSideBreak = node.number("lin_side_break", -1e3, 1e3);
    if (node.has("linear_slope"))
        log.linearSlope = node.number("linear_slope", 1e-9, 1e6);
    if (!(log.linSideSlope * log.linSideBreak + log.linSideOffset > 0))
        node.fail(ErrorCode::OutOfRange, "lin_side_break", {},
                  "a break where lin_side_slope * break + lin_side_offset is above 0");
    return log;
}

Curve curveFrom(ObjectReader& profile) {
    ObjectReader node(profile.child("curve"), profile.pointer("curve"), profile.state());
    Curve curve;
    switch (node.oneOf("family", table(kFamilyNames))) {
    case Family::CameraLog:
        curve.family = cameraLogFrom(node);
        break;
    case Family::Bt709:
        curve.family = Bt709{};
        break;
    case Family::Hlg:
        curve.family = Hlg{};
        break;
    case Family::SoftHighlight:
        curve.family =
            SoftHighlight{node.number("knee_point", 0.5, 1.09), node.number("knee_slope", 0.01, 1),
                          node.number("black_gamma", -0.5, 0.5)};
        break;
    }
    curve.range = node.oneOf("range", table(kRangeNames));
    if (node.has("end_signal"))
        curve.end = Signal(node.number("end_signal", 0.1, 1.1));
    profile.keep("curve", node.extra());
    return curve;
}

Json curveJson(const Curve& curve) {
    Json node = Json::object();
    if (const auto* log = std::get_if<CameraLog>(&curve.family)) {
        node = {{"family", "camera-log"},
                {"base", log->base},
                {"log_side_slope", log->logSideSlope},
                {"log_side_offset", log->logSideOffset},
                {"lin_side_slope", log->linSideSlope},
                {"lin_side_offset", log->linSideOffset},
                {"lin_side_break", log->linSideBreak}};
        if (log->linearSlope)
            node["linear_slope"] = *log->linearSlope;
    } else if (const auto* soft = std::get_if<SoftHighlight>(&curve.family)) {
        node = {{"family", "soft-highlight"},
                {"knee_point", soft->kneePoint},
                {"knee_slope", soft->kneeSlope},
                {"black_gamma", soft->blackGamma}};
    } else {
        node["family"] = std::holds_alternative<Hlg>(curve.family) ? "hlg" : "bt709";
    }
    node["range"] = nameIn(table(kRangeNames), curve.range);
    if (curve.end)
        node["end_signal"] = curve.end->value();
    return node;
}

Chromaticity chromaticityFrom(ObjectReader& node, const char* key) {
    ObjectReader point(node.child(key), node.pointer(key), node.state());
    return {point.number("x", -1, 2), point.number("y", -1, 2)};
}

Gamut gamutFrom(ObjectReader& profile) {
    ObjectReader node(profile.child("gamut"), profile.pointer("gamut"), profile.state());
    const Gamut gamut{chromaticityFrom(node, "red"), chromaticityFrom(node, "green"),
                      chromaticityFrom(node, "blue"), chromaticityFrom(node, "white")};
    profile.keep("gamut", node.extra());
    if (!node.state().error && !isValid(gamut))
        profile.fail(ErrorCode::OutOfRange, "gamut", {},
                     "three primaries that span a triangle, every y above 0");
    return gamut;
}

Json pointJson(Chromaticity point) {
    return {{"x", point.x}, {"y", point.y}};
}

// ---- cameras

Filter filterFrom(const Json& json, const std::string& place, ReadState& state, bool builtIn) {
    ObjectReader node(json, place, state);
    Filter filter{node.text("id"),
                  node.text("name"),
                  node.quantity("loss", parseNdLabel),
                  node.flagOr("ir_cut", false),
                  builtIn,
                  {}};
    filter.extra = node.extra();
    return filter;
}

Json filterJson(const Filter& filter) {
    Json node = {{"id", filter.id}, {"name", filter.name}, {"loss", spell(filter.label)}};
    if (filter.irCut)
        node["ir_cut"] = true;
    appendExtra(node, filter.extra);
    return node;
}

BaseIso baseFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    BaseIso base;
    base.iso = node.quantity("iso", parseExposureIndex);
    base.sensor.fullWell = Electrons(node.number("full_well_e", 1, 1e9));
    base.sensor.readNoise = Electrons(node.number("read_noise_e", 0, 1e5));
    base.sensor.prnu = node.numberOr("prnu", 0, 0.1, 0);
    base.sensor.clip = Stops(node.number("clip_stops", -5, 20));
    base.extra = node.extra();
    return base;
}

Json baseJson(const BaseIso& base) {
    Json node = {{"iso", spell(base.iso)},
                 {"full_well_e", base.sensor.fullWell.value()},
                 {"read_noise_e", base.sensor.readNoise.value()},
                 {"prnu", base.sensor.prnu},
                 {"clip_stops", base.sensor.clip.value()}};
    appendExtra(node, base.extra);
    return node;
}

RecordingMode modeFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    RecordingMode mode;
    mode.id = node.text("id");
    mode.name = node.text("name");
    mode.depth = BitDepth{node.whole("bits", 8, 16)};
    mode.rates = node.quantities("rates", parseFrameRate);
    if (node.has("bit_rate"))
        mode.bitRate = node.quantity("bit_rate", parseDataRate);
    mode.profiles = node.texts("profiles");
    mode.extra = node.extra();
    return mode;
}

Json modeJson(const RecordingMode& mode) {
    Json rates = Json::array();
    for (const auto rate : mode.rates)
        rates.push_back(spell(rate));
    Json node = {{"id", mode.id}, {"name", mode.name}, {"bits", mode.depth.bits}, {"rates", rates}};
    if (mode.bitRate.value() > 0)
        node["bit_rate"] = spell(mode.bitRate);
    if (!mode.profiles.empty())
        node["profiles"] = mode.profiles;
    appendExtra(node, mode.extra);
    return node;
}

ShutterDial shutterFrom(ObjectReader& camera) {
    ObjectReader node(camera.child("shutter"), camera.pointer("shutter"), camera.state());
    ShutterDial dial;
    dial.angleStep = node.numberOr("angle_step_deg", 0, 90, 0);
    for (const auto& entry : node.texts("times")) {
        if (entry == kThirdStops) {
            const auto thirds = thirdStopTimes();
            dial.times.insert(dial.times.end(), thirds.begin(), thirds.end());
            continue;
        }
        const auto time = parseSeconds(entry);
        if (time)
            dial.times.push_back(*time);
        else
            node.fail(time.error().code, "times", entry,
                      "\"third-stops\" or " + time.error().expected);
    }
    camera.keep("shutter", node.extra());
    return dial;
}

Json shutterJson(const ShutterDial& dial) {
    Json times = Json::array();
    const auto thirds = thirdStopTimes();
    if (std::equal(dial.times.begin(), dial.times.end(), thirds.begin(), thirds.end()))
        times.push_back(kThirdStops);
    else
        for (const auto time : dial.times)
            times.push_back(spell(Shutter(time)));
    return {{"angle_step_deg", dial.angleStep}, {"times", times}};
}

ZebraDial zebraFrom(ObjectReader& camera) {
    ObjectReader node(camera.child("zebra"), camera.pointer("zebra"), camera.state());
    ZebraDial dial;
    dial.step = node.number("step_percent", 0.1, 50);
    dial.lowest = Level(node.numberOr("lowest_percent", 0, 110, 0));
    dial.highest = Level(node.numberOr("highest_percent", 0, 110, 109));
    dial.tap = node.oneOf("tap", table(kTapNames));
    if (dial.highest < dial.lowest)
        node.fail(ErrorCode::OutOfRange, "highest_percent", {}, "no less than lowest_percent");
    camera.keep("zebra", node.extra());
    return dial;
}

Camera cameraFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Camera camera;
    camera.id = node.text("id");
    camera.name = node.text("name");
    camera.sensorWidthMm = node.number("sensor_width_mm", 0.5, 200);
    camera.sensorHeightMm = node.number("sensor_height_mm", 0.5, 200);
    camera.bases = node.list<BaseIso>("bases", [&](const Json& item, const std::string& at) {
        return baseFrom(item, at, state);
    });
    camera.profiles = node.texts("profiles");
    camera.modes = node.list<RecordingMode>("modes", [&](const Json& item, const std::string& at) {
        return modeFrom(item, at, state);
    });
    camera.shutter = shutterFrom(node);
    camera.zebra = zebraFrom(node);
    camera.whiteStepKelvin = node.numberOr("white_step_k", 1, 1000, 100);
    camera.banks = node.wholeOr("banks", 0, 100, 0);
    camera.builtInNd =
        node.list<Filter>("built_in_nd", [&](const Json& item, const std::string& at) {
            return filterFrom(item, at, state, true);
        });
    camera.extra = node.extra();
    if (camera.bases.empty())
        node.fail(ErrorCode::OutOfRange, "bases", {}, "at least one base ISO");
    if (camera.modes.empty())
        node.fail(ErrorCode::OutOfRange, "modes", {}, "at least one recording mode");
    return camera;
}

Json cameraJson(const Camera& camera) {
    Json bases = Json::array(), modes = Json::array(), nd = Json::array();
    for (const auto& base : camera.bases)
        bases.push_back(baseJson(base));
    for (const auto& mode : camera.modes)
        modes.push_back(modeJson(mode));
    for (const auto& filter : camera.builtInNd)
        nd.push_back(filterJson(filter));
    Json node = {{"id", camera.id},
                 {"name", camera.name},
                 {"sensor_width_mm", camera.sensorWidthMm},
                 {"sensor_height_mm", camera.sensorHeightMm},
                 {"bases", bases},
                 {"profiles", camera.profiles},
                 {"modes", modes},
                 {"shutter", shutterJson(camera.shutter)},
                 {"zebra",
                  {{"step_percent", camera.zebra.step},
                   {"lowest_percent", camera.zebra.lowest.value()},
                   {"highest_percent", camera.zebra.highest.value()},
                   {"tap", nameIn(table(kTapNames), camera.zebra.tap)}}},
                 {"white_step_k", camera.whiteStepKelvin},
                 {"banks", camera.banks},
                 {"built_in_nd", nd}};
    appendExtra(node, camera.extra);
    return node;
}

Profile profileFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Profile profile;
    profile.id = node.text("id");
    profile.name = node.text("name");
    profile.curve = curveFrom(node);
    profile.gamutName = node.text("gamut_name");
    profile.gamut = gamutFrom(node);
    profile.iso = node.oneOf("iso", table(kIsoNames));
    profile.bases = node.quantities("bases", parseExposureIndex);
    profile.minimum = node.quantity("minimum_iso", parseExposureIndex);
    profile.maximum = node.quantity("maximum_iso", parseExposureIndex);
    profile.ready = node.flagOr("ready", false);
    profile.extra = node.extra();
    if (profile.maximum < profile.minimum)
        node.fail(ErrorCode::OutOfRange, "maximum_iso", {}, "no less than minimum_iso");
    return profile;
}

Json profileJson(const Profile& profile) {
    Json bases = Json::array();
    for (const auto base : profile.bases)
        bases.push_back(spell(base));
    Json node = {{"id", profile.id},
                 {"name", profile.name},
                 {"curve", curveJson(profile.curve)},
                 {"gamut_name", profile.gamutName},
                 {"gamut",
                  {{"red", pointJson(profile.gamut.red)},
                   {"green", pointJson(profile.gamut.green)},
                   {"blue", pointJson(profile.gamut.blue)},
                   {"white", pointJson(profile.gamut.white)}}},
                 {"iso", nameIn(table(kIsoNames), profile.iso)},
                 {"bases", bases},
                 {"minimum_iso", spell(profile.minimum)},
                 {"maximum_iso", spell(profile.maximum)},
                 {"ready", profile.ready}};
    appendExtra(node, profile.extra);
    return node;
}

Lens lensFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Lens lens{node.text("id"),
              node.text("name"),
              node.quantity("widest", parseTStop),
              node.quantity("narrowest", parseTStop),
              {}};
    lens.extra = node.extra();
    if (!state.error && lens.narrowest < lens.widest)
        node.fail(ErrorCode::OutOfRange, "narrowest", {}, "no wider than widest");
    return lens;
}

Json lensJson(const Lens& lens) {
    Json node = {{"id", lens.id},
                 {"name", lens.name},
                 {"widest", spell(lens.widest)},
                 {"narrowest", spell(lens.narrowest)}};
    appendExtra(node, lens.extra);
    return node;
}

} // namespace

Kit kitFrom(ObjectReader& node) {
    auto& state = node.state();
    Kit kit;
    checkFormat(node, "bright-slate-kit", kKitVersion);
    kit.name = node.textOr("name", {});
    kit.cameras = node.list<Camera>("cameras", [&](const Json& item, const std::string& at) {
        return cameraFrom(item, at, state);
    });
    kit.profiles = node.list<Profile>("profiles", [&](const Json& item, const std::string& at) {
        return profileFrom(item, at, state);
    });
    kit.lenses = node.list<Lens>("lenses", [&](const Json& item, const std::string& at) {
        return lensFrom(item, at, state);
    });
    kit.filters = node.list<Filter>("filters", [&](const Json& item, const std::string& at) {
        return filterFrom(item, at, state, false);
    });
    kit.filterSlots = node.wholeOr("filter_slots", 0, 8, 2);
    kit.extra = node.extra();
    return kit;
}

Json toJson(const Kit& kit) {
    Json node = {{"format", "bright-slate-kit"}, {"version", kKitVersion}, {"name", kit.name}};
    const auto put = [&](const char* key, const auto& items, auto* convert) {
        node[key] = Json::array();
        for (const auto& item : items)
            node[key].push_back(convert(item));
    };
    put("cameras", kit.cameras, cameraJson);
    put("profiles", kit.profiles, profileJson);
    put("lenses", kit.lenses, lensJson);
    put("filters", kit.filters, filterJson);
    node["filter_slots"] = kit.filterSlots;
    appendExtra(node, kit.extra);
    return node;
}

Result<Kit> readKit(std::string_view text, const std::string& file) {
    const auto json = parseJson(text, file);
    if (!json)
        return json.error();
    ReadState state;
    ObjectReader root(*json, "", state);
    Kit kit = kitFrom(root);
    if (state.error) {
        state.error->file = file;
        return *state.error;
    }
    return kit;
}

Result<Kit> loadKit(const std::filesystem::path& path) {
    const auto text = readFile(path);
    return text ? readKit(*text, path.string()) : Result<Kit>(text.error());
}

std::string writeKit(const Kit& kit) {
    return toJson(kit).dump(2) + "\n";
}

} // namespace bslate::io
