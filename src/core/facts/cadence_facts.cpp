#include "core/facts/cadence_facts.h"

#include "core/cadence/rates.h"
#include "core/shoot/lamps.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr ShutterAngle kHalf(180.0);
constexpr ShutterAngle kQuarter(90.0);

} // namespace

CadenceFacts cadenceFacts(const SetupContext& context, const RecordingFacts& recording) {
    const auto& setup = *context.setup;
    const auto& scene = *context.scene;
    CadenceFacts facts;
    const Seconds time = exposureTime(setup.shutter, setup.rate);
    const ShutterAngle angle = shutterAngle(setup.shutter, setup.rate);
    facts.lights = lightsOf(scene, context.shoot->brief.mains);
    facts.pulsing = pulsing(facts.lights, time, setup.rate, recording.readout);
    facts.playback = playbackSpeed(setup.rate, context.shoot->brief.rate);
    facts.blur = blurWidth(scene.subjectSpeed, time);
    facts.blurPixels =
        static_cast<int>(std::lround(facts.blur.value() * context.mode->frame.width));
    facts.skew = rollingSkew(scene.subjectSpeed, recording.readout, context.mode->frame);
    facts.shortestCrossing = shortestCrossing(setup.rate, angle);
    if (recording.focal)
        facts.fastestPan = fastestPan(setup.rate, angle, recording.view);
    return facts;
}

ShutterAngle aimOf(ShutterSchool school, const Setup& setup) {
    switch (school) {
    case ShutterSchool::Crisp:
        return kQuarter;
    case ShutterSchool::Custom:
        return shutterAngle(setup.shutter, setup.rate);
    default:
        return kHalf;
    }
}

Shutter shutterFor(const SetupContext& context, ShutterSchool school) {
    const auto& setup = *context.setup;
    const auto& dial = context.camera->shutter;
    if (school == ShutterSchool::Custom)
        return setup.shutter;
    if (school == ShutterSchool::MainsLocked) {
        const auto lights = lightsOf(*context.scene, context.shoot->brief.mains);
        const auto safe = safeShutters(lights, setup.rate);
        if (const auto locked = nearestSafe(dial, safe, kHalf, setup.rate))
            return *locked;
    }
    return nearestOnDial(dial, aimOf(school, setup), setup.rate);
}

std::vector<Shutter> safeOnDial(const SetupContext& context, Stillness stillness) {
    const auto& setup = *context.setup;
    const auto lights = lightsOf(*context.scene, context.shoot->brief.mains);
    std::vector<Shutter> all;
    if (std::all_of(lights.begin(), lights.end(),
                    [](const auto& light) { return light.waveform == Waveform::Steady; }))
        return all;
    auto dial = context.camera->shutter;
    // One way of setting is enough: the one in use.
    if (dial.angleStep > 0 && std::holds_alternative<ShutterAngle>(setup.shutter))
        dial.times.clear();
    else if (!dial.times.empty())
        dial.angleStep = 0;
    for (const auto& range : safeShutters(lights, setup.rate, kVisible, stillness)) {
        for (const auto& time : dial.times) {
            const auto angle = shutterAngle(time, setup.rate);
            if (angle.value() >= range.from.value() - 1e-6 &&
                angle.value() <= range.to.value() + 1e-6)
                all.emplace_back(time);
        }
        if (dial.angleStep > 0)
            if (const auto best =
                    nearestSafe({dial.angleStep, {}}, std::span(&range, 1), range.best, setup.rate))
                all.push_back(*best);
    }
    std::stable_sort(all.begin(), all.end(), [&](const Shutter& a, const Shutter& b) {
        return exposureTime(a, setup.rate) < exposureTime(b, setup.rate);
    });
    return all;
}

std::vector<FrameRate> ratesOf(const RecordingMode& mode) {
    std::vector<FrameRate> rates;
    for (const auto& option : mode.rates)
        rates.push_back(option.rate);
    std::sort(rates.begin(), rates.end());
    rates.erase(std::unique(rates.begin(), rates.end()), rates.end());
    return rates;
}

} // namespace bslate
