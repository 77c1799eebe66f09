#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/kit_nodes.h"

#include <array>

namespace bslate::io {
namespace {

constexpr std::array kRangeNames = {NamedValue<CodeRange>{"full", CodeRange::Full},
                                    NamedValue<CodeRange>{"legal", CodeRange::Legal}};
enum class Family { CameraLog, Bt709, Hlg, SoftHighlight };
constexpr std::array kFamilyNames = {NamedValue<Family>{"camera-log", Family::CameraLog},
                                     NamedValue<Family>{"bt709", Family::Bt709},
                                     NamedValue<Family>{"hlg", Family::Hlg},
                                     NamedValue<Family>{"soft-highlight", Family::SoftHighlight}};

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

} // namespace

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
    profile.locks = node.texts("locks");
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
                 {"ready", profile.ready},
                 {"locks", profile.locks}};
    appendExtra(node, profile.extra);
    return node;
}

} // namespace bslate::io
