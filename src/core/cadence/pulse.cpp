#include "core/cadence/pulse.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

using std::numbers::pi;

constexpr double kRectifiedMean = 2.0 / pi; // of |cos|

// The integral of |cos(pi x)| from 0 to x.
double rectifiedArea(double x) {
    const double whole = std::floor(x + 0.5);
    return kRectifiedMean * whole + std::sin(pi * (x - whole)) / pi;
}

// The integral from 0 to x of a wave that is 1 within duty / 2 of each whole x, else 0.
double pwmArea(double x, double duty) {
    const double whole = std::floor(x + 0.5);
    return duty * whole + std::clamp(x - whole, -duty / 2, duty / 2);
}

// The integral from 0 to x, in periods, of the fully pulsing wave with mean 1.
double area(const PulsedLight& light, double x) {
    switch (light.waveform) {
    case Waveform::Steady:
        return x;
    case Waveform::Sinusoid:
        return x + std::sin(2 * pi * (x - std::round(x))) / (2 * pi);
    case Waveform::Rectified:
        return rectifiedArea(x) / kRectifiedMean;
    case Waveform::Pwm:
        return pwmArea(x, light.duty.value()) / light.duty.value();
    case Waveform::Harmonics:
        break;
    }
    double sum = x;
    for (const auto& harmonic : light.harmonics) {
        const double turn = harmonic.order * x;
        sum += harmonic.depth.value() * std::sin(2 * pi * (turn - std::round(turn))) /
               (2 * pi * harmonic.order);
    }
    return sum;
}

// Lengths of exposure in periods; what lies within rounding of a whole number is whole.
double periods(const PulsedLight& light, Seconds exposure) {
    const double x = light.frequency.value() * exposure.value();
    const double whole = std::round(x);
    return std::abs(x - whole) < 1e-12 * std::max(1.0, x) ? whole : x;
}

double gatheredFrom(const PulsedLight& light, double start, double length) {
    const double mean = (area(light, start + length) - area(light, start)) / length;
    return 1 + light.depth.value() * (mean - 1);
}

// Rest of the exposure beyond whole periods, where all pulsing comes from; the sum of depths.
double harmonicBound(const PulsedLight& light, double length) {
    double sum = 0;
    for (const auto& harmonic : light.harmonics) {
        const double turn = harmonic.order * length;
        const double rest = turn - std::round(turn);
        sum += harmonic.depth.value() * std::abs(std::sin(pi * rest)) / (pi * turn);
    }
    return sum * light.depth.value();
}

// What repeats most strongly: of a measured lamp the order that ripples most.
Hertz heard(const PulsedLight& light, Seconds exposure) {
    if (light.waveform != Waveform::Harmonics)
        return light.frequency;
    double most = -1;
    int order = 1;
    for (const auto& one : light.harmonics) {
        const double x = one.order * light.frequency.value() * exposure.value();
        const double ripple = one.depth.value() * std::abs(std::sin(pi * x)) / (pi * x);
        if (ripple > most) {
            most = ripple;
            order = one.order;
        }
    }
    return Hertz(order * light.frequency.value());
}

// What moves from frame to frame over the dimmest that the rest leaves, as high over low.
Swing movingPart(std::span<const PulsedLight> lights, const std::vector<bool>& moves,
                 Seconds exposure) {
    const double scale = shareScale(lights);
    double base = 1, low = 0, high = 0;
    for (std::size_t i = 0; i < lights.size(); ++i) {
        const Swing one = swing(lights[i], exposure);
        const double share = scale * lights[i].share.value();
        if (moves[i]) {
            low += share * (one.low - 1);
            high += share * (one.high - 1);
        } else {
            base += share * (one.low - 1);
        }
    }
    return {std::max(0.0, base + low), base + high};
}

bool shows(double width) {
    return width > 2e-9;
}

// The lamp that moves most, else the one that pulses most; how much each of the movers does.
void fillLamps(std::span<const PulsedLight> lights, const std::vector<bool>& moves,
               Seconds exposure, Pulsing& result) {
    std::vector<double> width(lights.size());
    for (std::size_t i = 0; i < lights.size(); ++i) {
        const Swing one = swing(lights[i], exposure);
        width[i] = (one.high - one.low) * lights[i].share.value();
        if (!shows(width[i]))
            continue;
        if (moves[i])
            result.movers.push_back(i);
        else if (!result.strongest || width[i] > width[*result.strongest])
            result.strongest = i;
    }
    std::stable_sort(result.movers.begin(), result.movers.end(),
                     [&](std::size_t a, std::size_t b) { return width[a] > width[b]; });
    if (!result.movers.empty())
        result.strongest = result.movers.front();
}

} // namespace

double lightAt(const PulsedLight& light, Seconds time) {
    const double x = light.frequency.value() * time.value();
    double wave = 1;
    switch (light.waveform) {
    case Waveform::Steady:
        break;
    case Waveform::Sinusoid:
        wave = 1 + std::cos(2 * pi * x);
        break;
    case Waveform::Rectified:
        wave = std::abs(std::cos(pi * x)) / kRectifiedMean;
        break;
    case Waveform::Pwm:
        wave = std::abs(x - std::round(x)) <= light.duty.value() / 2 ? 1 / light.duty.value() : 0;
        break;
    case Waveform::Harmonics:
        for (const auto& harmonic : light.harmonics)
            wave += harmonic.depth.value() * std::cos(2 * pi * harmonic.order * x);
    }
    return 1 + light.depth.value() * (wave - 1);
}

double gathered(const PulsedLight& light, Seconds start, Seconds exposure) {
    return gatheredFrom(light, light.frequency.value() * start.value(), periods(light, exposure));
}

double gathered(std::span<const PulsedLight> lights, Seconds start, Seconds exposure) {
    const double scale = shareScale(lights);
    double sum = 1;
    for (const auto& light : lights)
        sum += scale * light.share.value() * (gathered(light, start, exposure) - 1);
    return sum;
}

Swing swing(const PulsedLight& light, Seconds exposure) {
    const double length = periods(light, exposure);
    if (light.waveform == Waveform::Steady || length == std::floor(length))
        return {};
    if (light.waveform == Waveform::Harmonics) {
        const double bound = harmonicBound(light, length);
        return {std::max(0.0, 1 - bound), 1 + bound};
    }
    if (light.waveform == Waveform::Pwm) {
        // Whole periods are lit for their duty; what is left over falls on or off it.
        const double duty = light.duty.value(), whole = std::floor(length), rest = length - whole;
        const auto mean = [&](double lit) {
            return 1 + light.depth.value() * ((whole * duty + lit) / (length * duty) - 1);
        };
        return {std::max(0.0, mean(std::max(0.0, rest - (1 - duty)))), mean(std::min(rest, duty))};
    }
    // These waves are symmetric with one crest a period, so the extremes are the windows centred on
    // the crest and on the trough; which one gathers more depends on the odd part of the length.
    const double onCrest = gatheredFrom(light, -length / 2, length);
    const double onTrough = gatheredFrom(light, 0.5 - length / 2, length);
    return {std::max(0.0, std::min(onCrest, onTrough)), std::max(onCrest, onTrough)};
}

Swing swing(std::span<const PulsedLight> lights, Seconds exposure) {
    const double scale = shareScale(lights);
    Swing all;
    for (const auto& light : lights) {
        const Swing one = swing(light, exposure);
        all.low += scale * light.share.value() * (one.low - 1);
        all.high += scale * light.share.value() * (one.high - 1);
    }
    all.low = std::max(0.0, all.low);
    return all;
}

const PulsedLight* mostPulsing(std::span<const PulsedLight> lights) {
    const auto amount = [](const PulsedLight& light) {
        return light.waveform == Waveform::Steady ? 0 : light.depth.value() * light.share.value();
    };
    const PulsedLight* most = nullptr;
    for (const auto& light : lights)
        if (amount(light) > (most ? amount(*most) : 0))
            most = &light;
    return most;
}

double shareScale(std::span<const PulsedLight> lights) {
    double sum = 0;
    for (const auto& light : lights)
        sum += light.share.value();
    return sum > 1 ? 1 / sum : 1;
}

Fraction rippleOf(Swing swing) {
    return Fraction((swing.high - swing.low) / (swing.high + swing.low));
}

Stops peakToPeak(Swing swing) {
    const double floor = swing.high / ratio(kDeepest);
    return Stops(std::log2(swing.high / std::max(swing.low, floor)));
}

Hertz aliasOf(Hertz frequency, FrameRate rate) {
    const double perSecond = rate.toDouble();
    const double alias = std::abs(std::remainder(frequency.value(), perSecond));
    return Hertz(alias < 1e-9 * frequency.value() ? 0 : alias);
}

bool keepsStep(const PulsedLight& light, FrameRate rate) {
    if (light.waveform == Waveform::Steady)
        return true;
    if (light.waveform != Waveform::Harmonics)
        return aliasOf(light.frequency, rate) == Hertz(0);
    return std::all_of(light.harmonics.begin(), light.harmonics.end(), [&](const Harmonic& one) {
        return one.depth.value() <= 0 ||
               aliasOf(Hertz(one.order * light.frequency.value()), rate) == Hertz(0);
    });
}

std::vector<PulsedLight> onMains(std::span<const PulsedLight> lights, double factor) {
    std::vector<PulsedLight> moved(lights.begin(), lights.end());
    for (auto& light : moved)
        if (light.fromMains)
            light.frequency = Hertz(light.frequency.value() * factor);
    return moved;
}

Pulsing pulsing(std::span<const PulsedLight> lights, Seconds exposure, FrameRate rate,
                Seconds readout) {
    std::vector<bool> moves;
    for (const auto& light : lights)
        moves.push_back(!keepsStep(light, rate));
    Pulsing result;
    const Swing all = swing(lights, exposure);
    result.ripple = rippleOf(all);
    result.worstOnMains = result.peakToPeak = peakToPeak(all);
    result.worstMoving = result.moving = peakToPeak(movingPart(lights, moves, exposure));
    fillLamps(lights, moves, exposure, result);
    if (result.strongest) {
        const auto& lamp = lights[*result.strongest];
        result.alias = result.movers.empty() ? Hertz(0) : aliasOf(heard(lamp, exposure), rate);
        result.bands = lamp.frequency.value() * readout.value();
    }
    const bool wanders = std::any_of(lights.begin(), lights.end(),
                                     [](const PulsedLight& light) { return light.fromMains; });
    for (const double factor : {1 - kMainsTolerance, 1 + kMainsTolerance}) {
        if (!wanders)
            break;
        const auto moved = onMains(lights, factor);
        result.worstOnMains = std::max(result.worstOnMains, peakToPeak(swing(moved, exposure)));
        result.worstMoving =
            std::max(result.worstMoving, peakToPeak(movingPart(moved, moves, exposure)));
    }
    return result;
}

} // namespace bslate
