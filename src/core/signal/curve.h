#pragma once

#include "core/quantity/quantities.h"
#include "core/signal/code_values.h"
#include "core/signal/sampled.h"

#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <variant>

/// Recording curves as values. All work on scene-linear light with mid-grey at 0.18 and give a
/// signal; code_values.h turns a signal into codes and percent. Every function here is defined
/// for all finite arguments: below a curve's domain it continues in a straight line or clamps at
/// black as the curve's own standard says, and never returns NaN.
namespace bslate {

/// Camera-log parameters of the Common LUT Format (Academy/ASC S-2014-006):
///   x >= linSideBreak: y = logSideSlope * log_base(linSideSlope * x + linSideOffset)
///                          + logSideOffset
///   below:             y = linearSlope * x + linearOffset, continuous in value, and in slope
///                          too when linearSlope is not given.
/// Valid: base > 1, linSideSlope > 0, logSideSlope > 0, and the logarithm's argument > 0 at the
/// break.
struct CameraLog {
    double base = 2.0;
    double logSideSlope = 1.0;
    double logSideOffset = 0.0;
    double linSideSlope = 1.0;
    double linSideOffset = 0.0;
    double linSideBreak = 0.0;
    std::optional<double> linearSlope = std::nullopt;

    friend bool operator==(const CameraLog&, const CameraLog&) = default;
};

/// ITU-R BT.709-6 item 1.2 opto-electronic transfer; 1.0 is diffuse white at 100 %.
/// Continued above 1 up to the top code.
struct Bt709 {
    friend bool operator==(Bt709, Bt709) = default;
};

/// ITU-R BT.2100-2 table 5 HLG OETF; `E = x * inverse(0.75)`, so that a 100 % reflector sits at
/// 75 % as ITU-R BT.2408 places it. Ends at 100 %.
struct Hlg {
    friend bool operator==(Hlg, Hlg) = default;
};

/// A ready look: BT.709 with black level, black gamma and a knee, our own parametric family.
///   v = bt709(x); below kneePoint v' = v, above v' = kneePoint + kneeSlope * (v - kneePoint)
///   then v'' = v' + blackGamma * v' * (1 - v'/0.5)^2 for v' in (0, 0.5)
///   then blackLevel + (1 - blackLevel) * v'', which leaves 100 % where it is.
/// Valid: kneePoint in (0.5, 1.09), kneeSlope in (0, 1], blackGamma in [-0.5, 0.5], blackLevel in
/// [-0.1, 0.2]. What it does to colour is in look.h.
struct SoftHighlight {
    double kneePoint = 0.8;
    double kneeSlope = 0.25;
    double blackGamma = 0.0;
    double blackLevel = 0.0;

    friend bool operator==(const SoftHighlight&, const SoftHighlight&) = default;
};

/// ITU-R BT.2020-2 table 4 with the constants of 12 bits; those of 10 bits are BT.709's.
struct Bt2020 {
    friend bool operator==(Bt2020, Bt2020) = default;
};

/// IEC 61966-2-1 sRGB; 1.0 is diffuse white.
struct Srgb {
    friend bool operator==(Srgb, Srgb) = default;
};

/// ITU-R BT.2100-2 table 4: scene light through the reference PQ OOTF, then SMPTE ST 2084; scaled
/// so that a 100 % reflector is shown at 203 cd/m2 as ITU-R BT.2408 places it. Ends at 100 %.
struct Pq {
    friend bool operator==(Pq, Pq) = default;
};

/// Academy S-2014-003 ACEScc: a logarithm down to 2^-15, bent towards 2^-16 below; black and less
/// clamp there.
struct AcesCc {
    friend bool operator==(AcesCc, AcesCc) = default;
};

/// One recording curve with its code range.
struct Curve {
    std::variant<CameraLog, Bt709, Hlg, SoftHighlight, Bt2020, Srgb, Pq, AcesCc, Sampled> family =
        Bt709{};
    CodeRange range = CodeRange::Legal;
    std::optional<Signal> end = std::nullopt; ///< nothing above this is ever recorded

    friend bool operator==(const Curve&, const Curve&) = default;
};

/// Academy S-2016-001 ACEScct as camera-log parameters, full range.
[[nodiscard]] Curve acescct();
[[nodiscard]] Curve bt709();
[[nodiscard]] Curve hlg();

[[nodiscard]] Curve bt2020(); ///< 12-bit constants
[[nodiscard]] Curve srgb();   ///< full range
[[nodiscard]] Curve pq();
[[nodiscard]] Curve acescc(); ///< full range

/// The names standardCurve knows: `acescc`, `acescct`, `bt2020`, `bt709`, `hlg`, `pq`, `srgb`.
[[nodiscard]] std::span<const std::string_view> standardCurveNames();

/// The open-standard curve of that name; nothing for another name.
[[nodiscard]] std::optional<Curve> standardCurve(std::string_view name);

/// The signal of scene light; not clamped at the curve's end.
[[nodiscard]] Signal encode(const Curve& curve, SceneLinear light);

/// The scene light of a signal; exact inverse of encode (1e-9 relative) on the curve's domain.
[[nodiscard]] SceneLinear decode(const Curve& curve, Signal signal);

/// d(signal)/d(stops) at `light`; 0 at and below black, and 0 above the curve's end.
[[nodiscard]] double slopePerStop(const Curve& curve, SceneLinear light, BitDepth depth);

/// The highest signal recorded at this depth: the curve's own end or the top code.
[[nodiscard]] Signal endSignal(const Curve& curve, BitDepth depth);

/// Stops above mid-grey where the curve itself ends (the sensor may end sooner).
[[nodiscard]] Stops endStops(const Curve& curve, BitDepth depth);

/// Percent of scene light, clamped at the curve's end: what a waveform monitor shows.
[[nodiscard]] Level levelAt(const Curve& curve, Stops fromMidGrey, BitDepth depth);

/// The recorded code at `fromMidGrey`, clamped at the curve's end.
[[nodiscard]] int codeAt(const Curve& curve, Stops fromMidGrey, BitDepth depth);

/// Code values between half a stop below and half a stop above, on the unrounded curve.
[[nodiscard]] double codesInStop(const Curve& curve, Stops fromMidGrey, BitDepth depth);

} // namespace bslate
