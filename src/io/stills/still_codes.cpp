#include "io/stills/still_codes.h"

#include <algorithm>
#include <limits>

namespace bslate::io {

CodeFrame codesOf(const Still& still, const Curve& curve, CodeRange spans,
                  std::optional<Stops> full) {
    constexpr BitDepth kFine{16};
    if (still.bits > 0 && spans == curve.range)
        return {BitDepth{still.bits}, spans, still.codes};
    Image signal(still.size());
    if (still.bits > 0) {
        const BitDepth depth{still.bits};
        const double zero = codeOf(Signal(0), spans, depth);
        const double scale = 1 / (codeOf(Signal(1), spans, depth) - zero);
        for (std::size_t c = 0; c < 3; ++c)
            std::transform(
                still.codes.plane[c].begin(), still.codes.plane[c].end(), signal.plane[c].begin(),
                [&](std::uint16_t code) { return static_cast<float>((code - zero) * scale); });
    } else { // light: through the curve first
        const double most =
            still.ofSensor ? linearAt(full.value_or(endStops(curve, kFine))).value() : 1;
        for (std::size_t c = 0; c < 3; ++c)
            std::transform(
                still.light.plane[c].begin(), still.light.plane[c].end(), signal.plane[c].begin(),
                [&](float light) {
                    return static_cast<float>(
                        encode(curve, SceneLinear(most * static_cast<double>(light))).value());
                });
    }
    return quantised(signal, kFine, curve.range);
}

Signal endOf(const Still& still, const Curve& curve, CodeRange spans, std::optional<Stops> full) {
    if (still.bits > 0)
        return topSignal(spans, BitDepth{still.bits});
    if (still.ofSensor)
        return encode(curve, linearAt(full.value_or(endStops(curve, BitDepth{16}))));
    return Signal(std::numeric_limits<double>::infinity());
}

} // namespace bslate::io
