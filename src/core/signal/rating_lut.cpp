#include "core/signal/rating_lut.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr double kRollStart = 0.6;

struct Roll {
    double level;   // signal where the roll-off starts
    double perStop; // slope there, signal per stop
};

Roll roll() {
    const double power = 1.099 * std::pow(kRollStart, 0.45);
    return {power - 0.099, 0.45 * power * std::log(2.0)};
}

const Roll kRoll = roll();

double display(double x) {
    if (x <= kRollStart)
        return std::max(0.0, encode(bt709(), SceneLinear(x)).value());
    const double room = 1.0 - kRoll.level;
    return 1.0 - room * std::pow(x / kRollStart, -kRoll.perStop / (room * std::log(2.0)));
}

// display() in single precision for the 100 000 points of a cube; within 1e-6 of it.
class FastDisplay {
public:
    float operator()(float x) const {
        if (x <= 0.018f)
            return std::max(0.0f, 4.5f * x);
        if (x <= static_cast<float>(kRollStart))
            return 1.099f * std::pow(x, 0.45f) - 0.099f;
        return 1.0f - m_room * std::pow(x / static_cast<float>(kRollStart), m_power);
    }

private:
    float m_room = static_cast<float>(1.0 - kRoll.level);
    float m_power = static_cast<float>(-kRoll.perStop / ((1.0 - kRoll.level) * std::log(2.0)));
};

} // namespace

Signal displaySignal(SceneLinear light) {
    return Signal(display(light.value()));
}

Signal shownSignal(const Curve& curve, bool ready, SceneLinear light) {
    if (!ready)
        return displaySignal(light);
    return Signal(std::clamp(encode(curve, light).value(), 0.0, 1.0));
}

Level shownLevel(const Curve& curve, bool ready, Stops viewed) {
    return Level(100.0 * shownSignal(curve, ready, linearAt(viewed)).value());
}

namespace {

Rgb shownOf(const RatingLut& lut, const Rgb& light) {
    if (lut.look)
        return lookSignal(*lut.look, light);
    const auto shown = [&](double value) {
        return shownSignal(lut.curve, lut.ready, SceneLinear(value)).value();
    };
    return {shown(light[0]), shown(light[1]), shown(light[2])};
}

} // namespace

std::vector<float> sampleNeutral(const RatingLut& lut, std::size_t size) {
    std::vector<float> values(size);
    const double gain = ratio(lut.gain);
    for (std::size_t i = 0; i < size; ++i) {
        const Signal signal(static_cast<double>(i) / static_cast<double>(size - 1));
        const double light = decode(lut.curve, signal).value() * gain;
        values[i] = static_cast<float>(shownOf(lut, {light, light, light})[0]);
    }
    return values;
}

std::vector<std::array<float, 3>> sampleCube(const RatingLut& lut, std::size_t size) {
    const Matrix3 matrix = convert(lut.gamut, gamutBt709());
    const double gain = ratio(lut.gain);
    std::vector<double> axis(size);
    for (std::size_t i = 0; i < size; ++i) {
        const Signal signal(static_cast<double>(i) / static_cast<double>(size - 1));
        axis[i] = decode(lut.curve, signal).value() * gain;
    }
    const FastDisplay shown;
    std::vector<std::array<float, 3>> cube;
    cube.reserve(size * size * size);
    for (const double blue : axis) {
        for (const double green : axis) {
            for (const double red : axis) {
                const auto light = [&](std::size_t c) {
                    return matrix[c][0] * red + matrix[c][1] * green + matrix[c][2] * blue;
                };
                const auto channel = [&](std::size_t c) {
                    return shown(static_cast<float>(light(c)));
                };
                if (!lut.look && !lut.ready) {
                    cube.push_back({channel(0), channel(1), channel(2)});
                    continue;
                }
                const auto rgb = shownOf(lut, {light(0), light(1), light(2)});
                cube.push_back({static_cast<float>(rgb[0]), static_cast<float>(rgb[1]),
                                static_cast<float>(rgb[2])});
            }
        }
    }
    return cube;
}

std::array<double, 3> apply(const RatingLut& lut, std::array<double, 3> signal) {
    const Matrix3 matrix = convert(lut.gamut, gamutBt709());
    std::array<double, 3> linear{}, light{};
    for (std::size_t c = 0; c < 3; ++c)
        linear[c] = decode(lut.curve, Signal(signal[c])).value() * ratio(lut.gain);
    for (std::size_t c = 0; c < 3; ++c)
        light[c] = matrix[c][0] * linear[0] + matrix[c][1] * linear[1] + matrix[c][2] * linear[2];
    return shownOf(lut, light);
}

} // namespace bslate
