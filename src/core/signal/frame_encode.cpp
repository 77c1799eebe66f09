#include "core/signal/frame_encode.h"

#include <algorithm>
#include <array>
#include <bit>
#include <cassert>
#include <cmath>
#include <cstdint>

namespace bslate {
namespace {

constexpr std::size_t kBlock = 256; // pixels; three planes of it stay in the first cache

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

struct LogPlane {
    float slope, offset, inside, scale, breakAt, lineSlope, lineOffset;

    explicit LogPlane(const CameraLog& log, const Curve& curve)
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

    void operator()(float* plane, std::size_t count) const {
        for (std::size_t i = 0; i < count; ++i) {
            const float x = plane[i];
            const float above = slope * fastLog2(scale * x + inside) + offset;
            const float below = lineSlope * x + lineOffset;
            plane[i] = x >= breakAt ? above : below;
        }
    }
};

using Planes = std::array<std::array<float, kBlock>, 3>;

void load(const float* from, std::size_t count, const std::array<float, 9>& m, Planes& planes) {
    for (std::size_t i = 0; i < count; ++i) {
        const float r = from[3 * i], g = from[3 * i + 1], b = from[3 * i + 2];
        planes[0][i] = m[0] * r + m[1] * g + m[2] * b;
        planes[1][i] = m[3] * r + m[4] * g + m[5] * b;
        planes[2][i] = m[6] * r + m[7] * g + m[8] * b;
    }
}

void store(const Planes& planes, std::size_t count, float* to) {
    for (std::size_t i = 0; i < count; ++i)
        for (std::size_t c = 0; c < 3; ++c)
            to[3 * i + c] = planes[c][i];
}

} // namespace

void encodeFrame(const Curve& curve, const Matrix3& matrix, std::span<const float> light,
                 std::span<float> signal) {
    assert(light.size() == signal.size() && light.size() % 3 == 0);
    std::array<float, 9> m{};
    for (std::size_t i = 0; i < 9; ++i)
        m[i] = static_cast<float>(matrix[i / 3][i % 3]);
    const auto* log = std::get_if<CameraLog>(&curve.family);
    const LogPlane plane(log ? *log : CameraLog{}, log ? curve : Curve{CameraLog{}, {}, {}});
    const std::size_t pixels = light.size() / 3;
    Planes planes;
    for (std::size_t at = 0; at < pixels; at += kBlock) {
        const std::size_t count = std::min(kBlock, pixels - at);
        load(light.data() + 3 * at, count, m, planes);
        for (auto& channel : planes) {
            if (log)
                plane(channel.data(), count);
            else
                for (std::size_t i = 0; i < count; ++i)
                    channel[i] = static_cast<float>(encode(curve, SceneLinear(channel[i])).value());
        }
        store(planes, count, signal.data() + 3 * at);
    }
}

} // namespace bslate
