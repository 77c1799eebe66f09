#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/json/kit_nodes.h"

#include <array>

namespace bslate::io {
namespace {

constexpr std::size_t kMostPoints = 65536;

constexpr std::array kRangeNames = {NamedValue<CodeRange>{"full", CodeRange::Full},
                                    NamedValue<CodeRange>{"legal", CodeRange::Legal}};
// In the order of Curve::family's alternatives.
enum class Family { CameraLog, Bt709, Hlg, SoftHighlight, Bt2020, Srgb, Pq, AcesCc, Sampled };
constexpr std::array kFamilyNames = {NamedValue<Family>{"camera-log", Family::CameraLog},
                                     NamedValue<Family>{"bt709", Family::Bt709},
                                     NamedValue<Family>{"hlg", Family::Hlg},
                                     NamedValue<Family>{"soft-highlight", Family::SoftHighlight},
                                     NamedValue<Family>{"bt2020", Family::Bt2020},
                                     NamedValue<Family>{"srgb", Family::Srgb},
                                     NamedValue<Family>{"pq", Family::Pq},
                                     NamedValue<Family>{"acescc", Family::AcesCc},
                                     NamedValue<Family>{"sampled", Family::Sampled}};

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

Json pointJson(const CurvePoint& point) {
    return {{"stops", point.stops.value()}, {"signal", point.signal.value()}};
}

Sampled sampledFrom(ObjectReader& node) {
    Sampled curve;
    auto& state = node.state();
    curve.points = node.keptList<CurvePoint>(
        "points",
        [](ObjectReader& point) {
            return CurvePoint{Stops(point.number("stops", -40, 40)),
                              Signal(point.number("signal", -1, 2))};
        },
        pointJson);
    if (curve.points.size() > kMostPoints)
        node.fail(ErrorCode::OutOfRange, "points", std::to_string(curve.points.size()),
                  "at most " + std::to_string(kMostPoints) + " points");
    else if (const auto outcome = checkSampled(curve); !outcome && !state.error)
        node.fail(outcome.error().code, "points", outcome.error().place, outcome.error().expected);
    return curve;
}

} // namespace

Curve curveFrom(ObjectReader& node) {
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
        curve.family = softHighlightFrom(node);
        break;
    case Family::Bt2020:
        curve.family = Bt2020{};
        break;
    case Family::Srgb:
        curve.family = Srgb{};
        break;
    case Family::Pq:
        curve.family = Pq{};
        break;
    case Family::AcesCc:
        curve.family = AcesCc{};
        break;
    case Family::Sampled:
        if (auto sampled = sampledFrom(node); !node.state().error)
            curve.family = std::move(sampled);
        break;
    }
    curve.range = node.oneOf("range", table(kRangeNames));
    if (node.has("end_signal"))
        curve.end = Signal(node.number("end_signal", 0.1, 1.1));
    return curve;
}

Json curveJson(const Curve& curve) {
    Json node = {{"family", kFamilyNames[curve.family.index()].name}};
    if (const auto* log = std::get_if<CameraLog>(&curve.family)) {
        node.update({{"base", log->base},
                     {"log_side_slope", log->logSideSlope},
                     {"log_side_offset", log->logSideOffset},
                     {"lin_side_slope", log->linSideSlope},
                     {"lin_side_offset", log->linSideOffset},
                     {"lin_side_break", log->linSideBreak}});
        if (log->linearSlope)
            node["linear_slope"] = *log->linearSlope;
    } else if (const auto* soft = std::get_if<SoftHighlight>(&curve.family)) {
        putSoftHighlight(node, *soft);
    } else if (const auto* sampled = std::get_if<Sampled>(&curve.family)) {
        putList(node, "points", sampled->points, pointJson);
    }
    node["range"] = nameIn(table(kRangeNames), curve.range);
    if (curve.end)
        node["end_signal"] = curve.end->value();
    return node;
}

} // namespace bslate::io
