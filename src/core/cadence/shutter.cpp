#include "core/cadence/shutter.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace bslate {

Seconds exposureTime(const Shutter& shutter, FrameRate rate) {
    if (const auto* angle = std::get_if<ShutterAngle>(&shutter))
        return Seconds(angle->value() / (360.0 * rate.toDouble()));
    return std::get<Seconds>(shutter);
}

ShutterAngle shutterAngle(const Shutter& shutter, FrameRate rate) {
    if (const auto* angle = std::get_if<ShutterAngle>(&shutter))
        return *angle;
    return ShutterAngle(360.0 * std::get<Seconds>(shutter).value() * rate.toDouble());
}

Stops stopsFromHalfFrame(const Shutter& shutter, FrameRate rate) {
    return stopsBetween(shutterAngle(shutter, rate), ShutterAngle(180.0));
}

bool fitsFrame(const Shutter& shutter, FrameRate rate) {
    return shutterAngle(shutter, rate).value() <= 360.0 * (1.0 + 1e-9);
}

std::span<const Seconds> thirdStopTimes() {
    static const auto times = [] {
        constexpr std::array<int, 27> denominators = {
            24,  25,  30,  40,   50,   60,   80,   100,  125,  160,  200,  250,  320, 400,
            500, 640, 800, 1000, 1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000};
        std::array<Seconds, denominators.size()> result;
        std::transform(denominators.begin(), denominators.end(), result.begin(),
                       [](int n) { return Seconds(1.0 / n); });
        return result;
    }();
    return times;
}

std::span<const Seconds> halfStopTimes() {
    static const auto times = [] {
        constexpr std::array<int, 18> denominators = {24,   30,   45,   60,   90,   125,
                                                      180,  250,  350,  500,  750,  1000,
                                                      1500, 2000, 3000, 4000, 6000, 8000};
        std::array<Seconds, denominators.size()> result;
        for (std::size_t i = 0; i < result.size(); ++i)
            result[i] = Seconds(1.0 / denominators[i]);
        return result;
    }();
    return times;
}

Shutter nearestOnDial(const ShutterDial& dial, const Shutter& wanted, FrameRate rate) {
    const auto miss = [&](const Shutter& candidate) {
        return std::abs(
            stopsBetween(exposureTime(candidate, rate), exposureTime(wanted, rate)).value());
    };
    std::vector<Shutter> candidates;
    if (dial.angleStep > 0) {
        const double steps = std::round(shutterAngle(wanted, rate).value() / dial.angleStep);
        const double most = std::floor(360.0 / dial.angleStep + 1e-9);
        // Rounded to 1e-6 degree so that 1728 steps of 0.1 are 172.8 and not 172.8000001.
        const double angle = std::clamp(steps, 1.0, most) * dial.angleStep;
        candidates.emplace_back(ShutterAngle(std::round(angle * 1e6) / 1e6));
    }
    for (const Seconds time : dial.times)
        if (fitsFrame(time, rate))
            candidates.emplace_back(time);
    if (candidates.empty())
        return wanted;
    const bool typedTime = std::holds_alternative<Seconds>(wanted);
    return *std::min_element(candidates.begin(), candidates.end(),
                             [&](const Shutter& a, const Shutter& b) {
                                 const double difference = miss(a) - miss(b);
                                 if (std::abs(difference) > 1e-9)
                                     return difference < 0;
                                 return typedTime && std::holds_alternative<Seconds>(a) &&
                                        !std::holds_alternative<Seconds>(b);
                             });
}

namespace {

// Every listed time that fits the frame, rising.
std::vector<Seconds> fittingTimes(const ShutterDial& dial, FrameRate rate) {
    std::vector<Seconds> times;
    for (const Seconds time : dial.times)
        if (fitsFrame(time, rate))
            times.push_back(time);
    std::sort(times.begin(), times.end());
    return times;
}

// The place among rising times nearest in stops.
int placeOf(const std::vector<Seconds>& times, Seconds wanted) {
    const auto miss = [&](Seconds time) { return std::abs(stopsBetween(time, wanted).value()); };
    const auto best = std::min_element(times.begin(), times.end(),
                                       [&](Seconds a, Seconds b) { return miss(a) < miss(b); });
    return static_cast<int>(best - times.begin());
}

bool clicksInAngles(const ShutterDial& dial, const Shutter& shutter) {
    return dial.angleStep > 0 &&
           (dial.times.empty() || std::holds_alternative<ShutterAngle>(shutter));
}

} // namespace

int stepsOnDial(const ShutterDial& dial, const Shutter& from, const Shutter& to, FrameRate rate) {
    if (clicksInAngles(dial, from)) {
        const double apart = shutterAngle(to, rate).value() - shutterAngle(from, rate).value();
        return static_cast<int>(std::lround(-apart / dial.angleStep));
    }
    const auto times = fittingTimes(dial, rate);
    if (times.empty())
        return 0;
    return placeOf(times, exposureTime(from, rate)) - placeOf(times, exposureTime(to, rate));
}

Shutter stepShutter(const ShutterDial& dial, const Shutter& from, int steps, FrameRate rate) {
    if (clicksInAngles(dial, from)) {
        const double angle = shutterAngle(from, rate).value() + steps * dial.angleStep;
        return nearestOnDial({dial.angleStep, {}},
                             ShutterAngle(std::clamp(angle, dial.angleStep, 360.0)), rate);
    }
    const auto times = fittingTimes(dial, rate);
    if (times.empty())
        return from;
    const int last = static_cast<int>(times.size()) - 1;
    const int place = placeOf(times, exposureTime(from, rate)) + steps;
    return times[static_cast<std::size_t>(std::clamp(place, 0, last))];
}

Shutter moveShutter(const ShutterDial& dial, const Shutter& from, Stops by, FrameRate rate) {
    const Seconds now = exposureTime(from, rate);
    const Seconds wanted(std::min(now.value() * ratio(by), 1.0 / rate.toDouble()));
    const Shutter aim =
        clicksInAngles(dial, from) ? Shutter(shutterAngle(wanted, rate)) : Shutter(wanted);
    const Shutter reached = nearestOnDial(dial, aim, rate);
    const double moved = stopsBetween(exposureTime(reached, rate), now).value();
    if (by.value() == 0 || moved * by.value() > 1e-9)
        return reached;
    return stepShutter(dial, from, by > Stops(0) ? 1 : -1, rate); // the dial is coarser than that
}

} // namespace bslate
