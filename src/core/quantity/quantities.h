#pragma once

#include "core/base/rational.h"
#include "core/quantity/quantity.h"

#include <cmath>
#include <variant>

/// Every quantity of the trade that crosses an interface. Units are fixed per type; the
/// spellings people type are in parse.h, the ones we show in print.h.
namespace bslate {

namespace tag {
struct Additive {
    static constexpr bool additive = true;
};
struct Absolute {
    static constexpr bool additive = false;
};
struct Stops : Additive {};
struct Seconds : Additive {};
struct TStop : Absolute {};
struct FNumber : Absolute {};
struct CandelaPerM2 : Additive {};
struct Lux : Additive {};
struct Ev : Absolute {};
struct ExposureIndex : Absolute {};
struct ShutterAngle : Absolute {};
struct Density : Additive {};
struct Kelvin : Absolute {};
struct Mired : Additive {};
struct Duv : Additive {};
struct Tint : Additive {};
struct DataRate : Additive {};
struct DataSize : Additive {};
struct SceneLinear : Additive {};
struct Signal : Additive {};
struct Level : Additive {};
struct Reflectance : Absolute {};
struct Electrons : Additive {};
struct Decibels : Additive {};
struct Millimetres : Additive {};
struct Metres : Additive {};
struct Degrees : Additive {};
struct Celsius : Absolute {};
struct Hertz : Absolute {};
struct Watts : Additive {};
struct WattHours : Additive {};
struct BitsPerPixel : Additive {};
struct Magnification : Absolute {};
struct Fraction : Absolute {};
struct WidthsPerSecond : Absolute {};
struct DegreesPerSecond : Absolute {};
} // namespace tag

using Stops = Quantity<tag::Stops>;                     ///< base-2 logarithm of a light ratio
using Seconds = Quantity<tag::Seconds>;                 ///< s
using TStop = Quantity<tag::TStop>;                     ///< transmission aperture, > 0; exposure
using FNumber = Quantity<tag::FNumber>;                 ///< geometric aperture, > 0; depth of field
using CandelaPerM2 = Quantity<tag::CandelaPerM2>;       ///< luminance, cd/m2
using Lux = Quantity<tag::Lux>;                         ///< illuminance, lx
using Ev = Quantity<tag::Ev>;                           ///< exposure value at ISO 100
using ExposureIndex = Quantity<tag::ExposureIndex>;     ///< ISO arithmetic speed, > 0
using ShutterAngle = Quantity<tag::ShutterAngle>;       ///< degrees, (0, 360]
using Density = Quantity<tag::Density>;                 ///< optical density, base-10
using Kelvin = Quantity<tag::Kelvin>;                   ///< correlated colour temperature
using Mired = Quantity<tag::Mired>;                     ///< 1e6 / kelvin
using Duv = Quantity<tag::Duv>;                         ///< off the locus, CIE 1960; + is green
using Tint = Quantity<tag::Tint>;                       ///< camera's units; + answers green light
using DataRate = Quantity<tag::DataRate>;               ///< bit/s
using DataSize = Quantity<tag::DataSize>;               ///< bytes; cards count in powers of ten
using SceneLinear = Quantity<tag::SceneLinear>;         ///< scene light, 0.18 is mid-grey
using Signal = Quantity<tag::Signal>;                   ///< a curve's own 0..1 output
using Level = Quantity<tag::Level>;                     ///< percent of the legal range ("IRE")
using Reflectance = Quantity<tag::Reflectance>;         ///< diffuse reflectance, (0, 1]
using Electrons = Quantity<tag::Electrons>;             ///< photo-electrons in one photosite
using Decibels = Quantity<tag::Decibels>;               ///< ten times a base-10 logarithm of powers
using Millimetres = Quantity<tag::Millimetres>;         ///< focal lengths, sensor sizes
using Metres = Quantity<tag::Metres>;                   ///< distances in the scene
using Degrees = Quantity<tag::Degrees>;                 ///< angle of view, (0, 180)
using Hertz = Quantity<tag::Hertz>;                     ///< pulses of light a second
using Celsius = Quantity<tag::Celsius>;                 ///< air temperature
using Watts = Quantity<tag::Watts>;                     ///< power drawn
using WattHours = Quantity<tag::WattHours>;             ///< energy of a battery
using BitsPerPixel = Quantity<tag::BitsPerPixel>;       ///< recorded bits for each pixel of a frame
using Magnification = Quantity<tag::Magnification>;     ///< a plain factor: crop, slow motion
using Fraction = Quantity<tag::Fraction>;               ///< of a whole, shown in percent
using WidthsPerSecond = Quantity<tag::WidthsPerSecond>; ///< frame widths crossed a second
using DegreesPerSecond = Quantity<tag::DegreesPerSecond>; ///< of a pan

/// Pixels of a recorded or delivered frame, each side in [16, 65536].
struct FrameSize {
    int width = 1920;
    int height = 1080;
    friend constexpr bool operator==(FrameSize, FrameSize) = default;
};

/// Frames a second as an exact fraction: 23.976 is 24000/1001 and never a double.
struct FrameRate {
    Rational perSecond{24, 1};

    [[nodiscard]] constexpr double toDouble() const { return perSecond.toDouble(); }
    friend constexpr bool operator==(FrameRate, FrameRate) = default;
    friend constexpr auto operator<=>(FrameRate, FrameRate) = default;
};

/// A shutter as the person set it: an angle keeps its meaning when the rate changes, a time
/// keeps its light.
using Shutter = std::variant<ShutterAngle, Seconds>;

/// Mid-grey: 18 % reflectance, the zero of every stops axis.
inline constexpr SceneLinear kMidGrey{0.18};

/// log2(a / b) of two like quantities; both must be positive.
template<class Tag>
[[nodiscard]] Stops stopsBetween(Quantity<Tag> a, Quantity<Tag> b) {
    return Stops(std::log2(a.value() / b.value()));
}

/// Light ratio of a number of stops.
[[nodiscard]] inline double ratio(Stops stops) {
    return std::exp2(stops.value());
}

/// Scene light `stops` above mid-grey, and back. Zero or less gives minus infinity.
[[nodiscard]] inline SceneLinear linearAt(Stops stops) {
    return SceneLinear(kMidGrey.value() * ratio(stops));
}
[[nodiscard]] inline Stops stopsOf(SceneLinear linear) {
    return linear.value() > 0 ? stopsBetween(linear, kMidGrey) : Stops(-HUGE_VAL);
}

} // namespace bslate
