#include "core/facts/light_ratios.h"

#include "core/light/metering.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

const Patch* firstOf(const Scene& scene, LightSide side) {
    for (const auto& patch : scene.patches)
        if (patch.side == side)
            return &patch;
    if (side == LightSide::Key)
        for (const auto& patch : scene.patches)
            if (isSkin(patch.role) && patch.side == LightSide::Unsaid)
                return &patch;
    return nullptr;
}

bool fallsOn(const Patch& patch) {
    return patch.reading.unit == LightUnit::Lux || patch.reading.unit == LightUnit::FootCandle;
}

// Lx and fc are told by what a surface makes of them; on one card they compare as they are.
Stops over(const Patch& a, const Patch& b, const MeterCalibration& meter) {
    const bool both = fallsOn(a) && fallsOn(b);
    const auto lit = [&](const Patch& patch) {
        return luminanceOf(patch.reading, both ? Reflectance(0.18) : patch.reflectance, meter);
    };
    return stopsBetween(lit(a), lit(b));
}

} // namespace

std::vector<LightRatio> lightRatiosOf(const Scene& scene, const MeterCalibration& meter) {
    std::vector<LightRatio> ratios;
    const auto* key = firstOf(scene, LightSide::Key);
    const auto add = [&](RatioKind kind, LightSide side, std::optional<Stops> wanted) {
        const auto* other = firstOf(scene, side);
        if (!key || !other)
            return;
        LightRatio ratio{kind, over(*key, *other, meter), wanted, side, {}, Stops(0)};
        for (const auto& lamp : scene.lamps)
            if (lamp.side == side && ratio.lamp.empty())
                ratio.lamp = lamp.name;
        if (wanted)
            ratio.move = ratio.measured - *wanted;
        ratios.push_back(std::move(ratio));
    };
    add(RatioKind::KeyOverFill, LightSide::Fill, scene.keyOverFill);
    add(RatioKind::KeyOverKicker, LightSide::Kicker, scene.keyOverKicker);
    add(RatioKind::SubjectOverBackground, LightSide::Background, scene.keyOverBack);
    return ratios;
}

Scene relit(const Scene& scene, LightSide side, Stops by) {
    Scene result = scene;
    for (auto& patch : result.patches)
        if (patch.side == side)
            patch.reading = shifted(patch.reading, by);
    return result;
}

Result<std::optional<Stops>> parseRatio(std::string_view text) {
    constexpr std::string_view expected =
        "a ratio such as 2 stops, 4:1 or 2/3 of the key, up to 15 stops either way";
    const auto first = text.find_first_not_of(" \t");
    if (first == std::string_view::npos)
        return std::optional<Stops>();
    const auto refuse = [&] {
        return Error{ErrorCode::OutOfRange, {}, {}, std::string(text), std::string(expected)};
    };
    std::optional<Stops> read;
    if (const auto colon = text.find(':'); colon != std::string_view::npos) {
        const auto a = scan(text.substr(0, colon), expected);
        const auto b = scan(text.substr(colon + 1), expected);
        if (!a || !b || !(a->value > 0) || !(b->value > 0) || !a->unit.empty() || !b->unit.empty())
            return refuse();
        read = Stops(std::log2(a->value / b->value));
    } else {
        const auto number = scan(text, expected);
        if (!number || !number->prefix.empty())
            return refuse();
        const auto unit = lowered(number->unit);
        if (number->ratio && unit.empty() && number->value > 0)
            read = Stops(-std::log2(number->value));
        else if (unit == "stop" || unit == "stops")
            read = Stops(number->value);
        else
            return refuse();
    }
    if (std::abs(read->value()) > 15)
        return refuse();
    return read;
}

std::string printRatio(Stops over) {
    const auto side = [](double value) { return trimmed(value, value < 10 ? 1 : 0); };
    const double factor = ratio(Stops(std::abs(over.value())));
    return over < Stops(0) ? "1:" + side(factor) : side(factor) + ":1";
}

} // namespace bslate
