#include "core/signal/gamut.h"

#include <cmath>

namespace bslate {
namespace {

using Vector3 = std::array<double, 3>;

Vector3 xyzOf(Chromaticity c) {
    return {c.x / c.y, 1.0, (1.0 - c.x - c.y) / c.y};
}

double determinant(const Matrix3& m) {
    return m[0][0] * (m[1][1] * m[2][2] - m[1][2] * m[2][1]) -
           m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0]) +
           m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]);
}

Matrix3 inverse(const Matrix3& m) {
    const double scale = 1.0 / determinant(m);
    Matrix3 result{};
    for (std::size_t row = 0; row < 3; ++row) {
        for (std::size_t column = 0; column < 3; ++column) {
            const std::size_t r1 = (column + 1) % 3, r2 = (column + 2) % 3;
            const std::size_t c1 = (row + 1) % 3, c2 = (row + 2) % 3;
            result[row][column] = scale * (m[r1][c1] * m[r2][c2] - m[r1][c2] * m[r2][c1]);
        }
    }
    return result;
}

Matrix3 columns(const Vector3& a, const Vector3& b, const Vector3& c) {
    Matrix3 m{};
    for (std::size_t row = 0; row < 3; ++row)
        m[row] = {a[row], b[row], c[row]};
    return m;
}

} // namespace

Matrix3 product(const Matrix3& a, const Matrix3& b) {
    Matrix3 result{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            for (std::size_t k = 0; k < 3; ++k)
                result[row][column] += a[row][k] * b[k][column];
    return result;
}

Gamut gamutBt709() {
    return {{0.640, 0.330}, {0.300, 0.600}, {0.150, 0.060}, {0.3127, 0.3290}};
}

Gamut gamutBt2020() {
    return {{0.708, 0.292}, {0.170, 0.797}, {0.131, 0.046}, {0.3127, 0.3290}};
}

Gamut gamutP3D65() {
    return {{0.680, 0.320}, {0.265, 0.690}, {0.150, 0.060}, {0.3127, 0.3290}};
}

Gamut gamutAp0() {
    return {{0.73470, 0.26530}, {0.0, 1.0}, {0.00010, -0.07700}, {0.32168, 0.33767}};
}

Gamut gamutAp1() {
    return {{0.713, 0.293}, {0.165, 0.830}, {0.128, 0.044}, {0.32168, 0.33767}};
}

Matrix3 rgbToXyz(const Gamut& gamut) {
    Matrix3 primaries = columns(xyzOf(gamut.red), xyzOf(gamut.green), xyzOf(gamut.blue));
    const Matrix3 solve = inverse(primaries);
    const Vector3 white = xyzOf(gamut.white);
    for (std::size_t column = 0; column < 3; ++column) {
        const double share =
            solve[column][0] * white[0] + solve[column][1] * white[1] + solve[column][2] * white[2];
        for (auto& row : primaries)
            row[column] *= share;
    }
    return primaries;
}

Matrix3 xyzToRgb(const Gamut& gamut) {
    return inverse(rgbToXyz(gamut));
}

Matrix3 bradford(Chromaticity from, Chromaticity to) {
    constexpr Matrix3 cones{
        {{0.8951, 0.2664, -0.1614}, {-0.7502, 1.7135, 0.0367}, {0.0389, -0.0685, 1.0296}}};
    const auto response = [&](Chromaticity white) {
        const Vector3 xyz = xyzOf(white);
        Vector3 lms{};
        for (std::size_t row = 0; row < 3; ++row)
            for (std::size_t k = 0; k < 3; ++k)
                lms[row] += cones[row][k] * xyz[k];
        return lms;
    };
    const Vector3 before = response(from), after = response(to);
    Matrix3 scale{};
    for (std::size_t i = 0; i < 3; ++i)
        scale[i][i] = after[i] / before[i];
    return product(inverse(cones), product(scale, cones));
}

Matrix3 convert(const Gamut& from, const Gamut& to) {
    const Matrix3 source = from.white == to.white
                               ? rgbToXyz(from)
                               : product(bradford(from.white, to.white), rgbToXyz(from));
    return product(xyzToRgb(to), source);
}

std::optional<Gamut> gamutOf(const Matrix3& m) {
    const auto chromaticity = [](double x, double y, double z) -> std::optional<Chromaticity> {
        const double sum = x + y + z;
        if (!std::isfinite(sum) || std::abs(sum) < 1e-9)
            return std::nullopt;
        return Chromaticity{x / sum, y / sum};
    };
    std::array<std::optional<Chromaticity>, 4> points;
    for (std::size_t c = 0; c < 3; ++c)
        points[c] = chromaticity(m[0][c], m[1][c], m[2][c]);
    points[3] = chromaticity(m[0][0] + m[0][1] + m[0][2], m[1][0] + m[1][1] + m[1][2],
                             m[2][0] + m[2][1] + m[2][2]);
    for (const auto& point : points)
        if (!point)
            return std::nullopt;
    const Gamut gamut{*points[0], *points[1], *points[2], *points[3]};
    return isValid(gamut) ? std::optional(gamut) : std::nullopt;
}

Gamut rounded(const Gamut& gamut) {
    const auto near = [](Chromaticity c) {
        return Chromaticity{std::round(c.x * 1e4) / 1e4, std::round(c.y * 1e4) / 1e4};
    };
    return {near(gamut.red), near(gamut.green), near(gamut.blue), near(gamut.white)};
}

UniformChromaticity uniform(Chromaticity c) {
    const double sum = -2 * c.x + 12 * c.y + 3;
    return {4 * c.x / sum, 9 * c.y / sum};
}

bool isValid(const Gamut& gamut) {
    for (const auto& c : {gamut.red, gamut.green, gamut.blue, gamut.white})
        if (c.y == 0 || !std::isfinite(c.x) || !std::isfinite(c.y))
            return false;
    if (!(gamut.white.y > 0))
        return false;
    const double area = (gamut.green.x - gamut.red.x) * (gamut.blue.y - gamut.red.y) -
                        (gamut.blue.x - gamut.red.x) * (gamut.green.y - gamut.red.y);
    return std::abs(area) > 1e-6;
}

} // namespace bslate
