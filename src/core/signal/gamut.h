#pragma once

#include <array>
#include <optional>

namespace bslate {

/// CIE 1931 chromaticity.
struct Chromaticity {
    double x = 0.0;
    double y = 0.0;
    friend bool operator==(Chromaticity, Chromaticity) = default;
};

/// Red, green and blue primaries and the white they add up to. Valid: the three primaries are
/// not on one line, no y is 0 and the white's is positive (AP0's blue lies below the axis).
struct Gamut {
    Chromaticity red{0.640, 0.330};
    Chromaticity green{0.300, 0.600};
    Chromaticity blue{0.150, 0.060};
    Chromaticity white{0.3127, 0.3290};

    friend bool operator==(const Gamut&, const Gamut&) = default;
};

/// Row-major 3x3; output = matrix * input column.
using Matrix3 = std::array<std::array<double, 3>, 3>;

[[nodiscard]] Gamut gamutBt709();  ///< ITU-R BT.709-6 item 1.3, D65
[[nodiscard]] Gamut gamutBt2020(); ///< ITU-R BT.2020-2 table 3, D65
[[nodiscard]] Gamut gamutP3D65();  ///< SMPTE EG 432-1 primaries, D65
[[nodiscard]] Gamut gamutAp0();    ///< SMPTE ST 2065-1, white near D60
[[nodiscard]] Gamut gamutAp1();    ///< Academy S-2014-004, white near D60

/// a applied after b.
[[nodiscard]] Matrix3 product(const Matrix3& a, const Matrix3& b);

/// Linear RGB to CIE XYZ with Y = 1 for white (SMPTE RP 177).
[[nodiscard]] Matrix3 rgbToXyz(const Gamut& gamut);

/// Its inverse.
[[nodiscard]] Matrix3 xyzToRgb(const Gamut& gamut);

/// What takes XYZ under one white to XYZ under another: von Kries in the cone space of Bradford
/// (values of Lam 1985 as in CIE 160 and ICC.1; from memory, confirmed by the reference library).
[[nodiscard]] Matrix3 bradford(Chromaticity from, Chromaticity to);

/// Linear light from one gamut to another, adapted by bradford() when their whites differ; grey
/// stays grey.
[[nodiscard]] Matrix3 convert(const Gamut& from, const Gamut& to);

/// The gamut whose rgbToXyz() is this matrix, up to its overall scale. Nothing when the matrix is
/// singular or its primaries and white have no chromaticity.
[[nodiscard]] std::optional<Gamut> gamutOf(const Matrix3& rgbToXyz);

/// To ten thousandths, as standards print them.
[[nodiscard]] Gamut rounded(const Gamut& gamut);

/// CIE 1976 uniform chromaticity: `u' = 4x / (-2x + 12y + 3)`, `v' = 9y / (-2x + 12y + 3)`
/// (CIE 15:2004 clause 8.2.1).
struct UniformChromaticity {
    double u = 0.0;
    double v = 0.0;
};
[[nodiscard]] UniformChromaticity uniform(Chromaticity chromaticity);

/// True when the primaries span a triangle, no y is 0 and the white's is positive.
[[nodiscard]] bool isValid(const Gamut& gamut);

} // namespace bslate
