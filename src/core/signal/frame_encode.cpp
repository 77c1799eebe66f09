#include "core/signal/frame_encode.h"

#include "core/base/wide.h"

#include <algorithm>
#include <array>
#include <bit>
#include <cassert>
#include <cmath>
#include <cstdint>

namespace bslate {
namespace {

constexpr std::size_t kEncodeBlock = 512; // pixels; they stay in the first cache from step to step

// log2 of a positive float: the exponent, and log2(1 + t) = t * p(t) for the mantissa 1 + t brought
// to [sqrt(1/2), sqrt(2)), p through log2(1 + t) / t at the eight Chebyshev nodes (worst 1e-7).
// Zero and less give something the caller does not use.
inline float fastLog2(float x) {
    const auto bits = std::bit_cast<std::uint32_t>(x);
    const auto shifted = bits - 0x3f3504f3u; // sqrt(1/2)
    const auto exponent = static_cast<float>(static_cast<std::int32_t>(shifted) >> 23);
    const float t = std::bit_cast<float>((shifted & 0x007fffffu) + 0x3f3504f3u) - 1.0f;
    float p = -0.142759734f;
    p = p * t + 0.232652579f;
    p = p * t - 0.249271822f;
    p = p * t + 0.287288882f;
    p = p * t - 0.360225182f;
    p = p * t + 0.480916708f;
    p = p * t - 0.721352931f;
    p = p * t + 1.44269499f;
    return exponent + t * p;
}

struct LogValues {
    float slope, offset, inside, scale, breakAt, lineSlope, lineOffset;

    explicit LogValues(const CameraLog& log, const Curve& curve)
        : slope(static_cast<float>(log.logSideSlope / std::log2(log.base)))
        , offset(static_cast<float>(log.logSideOffset))
        , inside(static_cast<float>(log.linSideOffset))
        , scale(static_cast<float>(log.linSideSlope))
        , breakAt(static_cast<float>(log.linSideBreak)) {
        // The straight part as encode() has it, from two of its own points.
        const double at = log.linSideBreak;
        const double high = encode(curve, SceneLinear(at - 1.0)).value();
        const double low = encode(curve, SceneLinear(at - 2.0)).value();
        lineSlope = static_cast<float>(high - low);
        lineOffset = static_cast<float>(high - (high - low) * (at - 1.0));
    }
};

// Both parts everywhere and a choice by bits: a branch would keep the loop from being vectorised.
BSLATE_WIDE void encodeLog(const LogValues& log, float* values, std::size_t count) {
    const LogValues of = log; // kept in registers
    for (std::size_t i = 0; i < count; ++i) {
        const float x = values[i];
        const float above = of.slope * fastLog2(of.scale * x + of.inside) + of.offset;
        const float below = of.lineSlope * x + of.lineOffset;
        const auto choice = x >= of.breakAt ? 0xffffffffu : 0u;
        values[i] = std::bit_cast<float>((std::bit_cast<std::uint32_t>(above) & choice) |
                                         (std::bit_cast<std::uint32_t>(below) & ~choice));
    }
}

BSLATE_WIDE void multiply(const std::array<float, 9>& matrix, const float* from, float* to,
                          std::size_t pixels) {
    const std::array<float, 9> m = matrix; // kept in registers
    for (std::size_t i = 0; i < 3 * pixels; i += 3) {
        const float r = from[i], g = from[i + 1], b = from[i + 2];
        to[i] = m[0] * r + m[1] * g + m[2] * b;
        to[i + 1] = m[3] * r + m[4] * g + m[5] * b;
        to[i + 2] = m[6] * r + m[7] * g + m[8] * b;
    }
}

LogValues valuesOf(const Curve& curve) {
    const auto* log = std::get_if<CameraLog>(&curve.family);
    return log ? LogValues(*log, curve) : LogValues(CameraLog{}, Curve{CameraLog{}, {}, {}});
}

} // namespace

CurveEncoder::CurveEncoder(const Curve& curve)
    : m_curve(curve) {
    if (std::holds_alternative<CameraLog>(curve.family))
        return;
    m_table.resize(kOctaves * kSteps + 1);
    for (std::size_t i = 0; i < m_table.size(); ++i) {
        const auto bits = kFirstBits + static_cast<std::uint32_t>(i) * kStepBits;
        m_table[i] =
            static_cast<float>(encode(curve, SceneLinear(std::bit_cast<float>(bits))).value());
    }
}

void CurveEncoder::operator()(std::span<float> values) const {
    if (m_table.empty())
        return encodeLog(valuesOf(m_curve), values.data(), values.size());
    for (float& value : values) {
        const auto place = std::bit_cast<std::uint32_t>(value) - kFirstBits;
        const auto step = place / kStepBits;
        if (step >= kOctaves * kSteps) { // darker, negative, brighter or no number
            value = static_cast<float>(encode(m_curve, SceneLinear(value)).value());
            continue;
        }
        const float part = static_cast<float>(place % kStepBits) * (1.0f / kStepBits);
        value = m_table[step] + (m_table[step + 1] - m_table[step]) * part;
    }
}

void encodeFrame(const Curve& curve, const Matrix3& matrix, std::span<const float> light,
                 std::span<float> signal) {
    assert(light.size() == signal.size() && light.size() % 3 == 0);
    std::array<float, 9> m{};
    for (std::size_t i = 0; i < 9; ++i)
        m[i] = static_cast<float>(matrix[i / 3][i % 3]);
    const bool log = std::holds_alternative<CameraLog>(curve.family);
    const LogValues values = valuesOf(curve);
    const std::size_t pixels = light.size() / 3;
    for (std::size_t at = 0; at < pixels; at += kEncodeBlock) {
        const std::size_t count = std::min(kEncodeBlock, pixels - at);
        float* out = signal.data() + 3 * at;
        multiply(m, light.data() + 3 * at, out, count);
        if (log)
            encodeLog(values, out, 3 * count);
        else
            for (std::size_t i = 0; i < 3 * count; ++i)
                out[i] = static_cast<float>(encode(curve, SceneLinear(out[i])).value());
    }
}

} // namespace bslate
