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

bool shows(const Pulsing& pulsing) {
    return pulsing.ripple.value() > 1e-9;
}

// Everything but the mains tolerance.
Pulsing at(std::span<const PulsedLight> lights, Seconds exposure, FrameRate rate, Seconds readout) {
    Pulsing result;
    const Swing all = swing(lights, exposure);
    result.ripple = rippleOf(all);
    result.peakToPeak = peakToPeak(all);
    double most = 0;
    for (std::size_t i = 0; i < lights.size(); ++i) {
        const Swing one = swing(lights[i], exposure);
        const double width = (one.high - one.low) * lights[i].share.value();
        if (width <= most || !shows(result))
            continue;
        most = width;
        result.strongest = i;
        result.alias = aliasOf(lights[i].frequency, rate);
        result.bands = lights[i].frequency.value() * readout.value();
    }
    return result;
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

Pulsing pulsing(std::span<const PulsedLight> lights, Seconds exposure, FrameRate rate,
                Seconds readout) {
    Pulsing result = at(lights, exposure, rate, readout);
    result.worstOnMains = result.peakToPeak;
    std::vector<PulsedLight> moved(lights.begin(), lights.end());
    for (const double factor : {1 - kMainsTolerance, 1 + kMainsTolerance}) {
        bool any = false;
        for (std::size_t i = 0; i < lights.size(); ++i)
            if (lights[i].fromMains) {
                moved[i].frequency = Hertz(lights[i].frequency.value() * factor);
                any = true;
            }
        if (any)
            result.worstOnMains = std::max(result.worstOnMains, peakToPeak(swing(moved, exposure)));
    }
    return result;
}

} // namespace bslate
