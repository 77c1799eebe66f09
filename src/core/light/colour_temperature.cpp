#include "core/light/colour_temperature.h"

#include "core/quantity/number_text.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace bslate {
namespace {

// CIE 1960; a direction of the plane as well.
struct Uv {
    double u = 0.0, v = 0.0;
};

Uv uvOf(Chromaticity c) {
    const double sum = -2 * c.x + 12 * c.y + 3;
    return {4 * c.x / sum, 6 * c.y / sum};
}

Chromaticity xyOf(Uv at) {
    const double sum = 2 * at.u - 8 * at.v + 4;
    return {3 * at.u / sum, 2 * at.v / sum};
}

struct Isotherm {
    double mired;
    Uv at;
};

constexpr std::array<Isotherm, 31> kIsotherms = {{
    {0, {0.18006, 0.26352}},   {10, {0.18066, 0.26589}},  {20, {0.18133, 0.26846}},
    {30, {0.18208, 0.27119}},  {40, {0.18293, 0.27407}},  {50, {0.18388, 0.27709}},
    {60, {0.18494, 0.28021}},  {70, {0.18611, 0.28342}},  {80, {0.18740, 0.28668}},
    {90, {0.18880, 0.28997}},  {100, {0.19032, 0.29326}}, {125, {0.19462, 0.30141}},
    {150, {0.19962, 0.30921}}, {175, {0.20525, 0.31647}}, {200, {0.21142, 0.32312}},
    {225, {0.21807, 0.32909}}, {250, {0.22511, 0.33439}}, {275, {0.23247, 0.33904}},
    {300, {0.24010, 0.34308}}, {325, {0.24792, 0.34655}}, {350, {0.25591, 0.34951}},
    {375, {0.26400, 0.35200}}, {400, {0.27218, 0.35407}}, {425, {0.28039, 0.35577}},
    {450, {0.28863, 0.35714}}, {475, {0.29685, 0.35823}}, {500, {0.30505, 0.35907}},
    {525, {0.31320, 0.35968}}, {550, {0.32129, 0.36011}}, {575, {0.32931, 0.36038}},
    {600, {0.33724, 0.36051}},
}};

// The slope of the curve at a point of the table: of the parabola through it and its neighbours.
Uv slopeAt(std::size_t i) {
    const auto& all = kIsotherms;
    const std::size_t a = i == 0 ? 0 : i - 1, c = std::min(i + 1, all.size() - 1);
    const auto between = [&](std::size_t from, std::size_t to) {
        const double step = all[to].mired - all[from].mired;
        return Uv{(all[to].at.u - all[from].at.u) / step, (all[to].at.v - all[from].at.v) / step};
    };
    if (a == i || c == i)
        return between(a, c);
    const Uv before = between(a, i), after = between(i, c);
    const double share =
        (all[i].mired - all[a].mired) / (all[c].mired - all[a].mired); // of the far side
    return {before.u + (after.u - before.u) * share, before.v + (after.v - before.v) * share};
}

// A piece of the locus between two points of the table, as a cubic in t of [0, 1].
struct Piece {
    double from = 0.0, width = 1.0; // mired
    std::array<Uv, 4> c{};

    [[nodiscard]] Uv at(double t) const {
        return {c[0].u + t * (c[1].u + t * (c[2].u + t * c[3].u)),
                c[0].v + t * (c[1].v + t * (c[2].v + t * c[3].v))};
    }
    [[nodiscard]] Uv along(double t) const {
        return {c[1].u + t * (2 * c[2].u + t * 3 * c[3].u),
                c[1].v + t * (2 * c[2].v + t * 3 * c[3].v)};
    }
    [[nodiscard]] Uv bend(double t) const {
        return {2 * c[2].u + 6 * t * c[3].u, 2 * c[2].v + 6 * t * c[3].v};
    }
};

using Pieces = std::array<Piece, kIsotherms.size() - 1>;

Pieces makePieces() {
    Pieces pieces;
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        const auto& from = kIsotherms[i];
        const auto& to = kIsotherms[i + 1];
        const double width = to.mired - from.mired;
        const Uv before = slopeAt(i), after = slopeAt(i + 1);
        const auto cubic = [&](double Uv::*x) {
            const double p = from.at.*x, q = to.at.*x;
            const double m = before.*x * width, n = after.*x * width;
            return std::array{p, m, 3 * (q - p) - 2 * m - n, 2 * (p - q) + m + n};
        };
        const auto u = cubic(&Uv::u), v = cubic(&Uv::v);
        pieces[i] = {from.mired, width, {}};
        for (std::size_t k = 0; k < 4; ++k)
            pieces[i].c[k] = {u[k], v[k]};
    }
    return pieces;
}

const Pieces& pieces() {
    static const Pieces kPieces = makePieces();
    return kPieces;
}

std::size_t pieceAt(double mired) {
    const auto index = mired < 100 ? mired / 10 : 10 + (mired - 100) / 25;
    return static_cast<std::size_t>(std::clamp(index, 0.0, 29.0));
}

double dot(Uv a, Uv b) {
    return a.u * b.u + a.v * b.v;
}

// The unit vector across the locus, toward green.
Uv across(Uv along) {
    const double length = std::sqrt(dot(along, along));
    return {-along.v / length, along.u / length};
}

Mired within(Kelvin temperature) {
    return miredOf(std::clamp(temperature, kWarmest, kCoolest));
}

// How far along the piece the foot of the perpendicular lies; the table goes from blue to red, and
// v rises with u there.
double project(const Piece& piece, Uv at, double t) {
    const Uv on = piece.at(t), along = piece.along(t);
    const Uv off{at.u - on.u, at.v - on.v};
    return dot(off, along) / dot(along, along);
}

// Newton's step to where the way to `at` is square to the piece.
double nearer(const Piece& piece, Uv at, double t) {
    const Uv on = piece.at(t), along = piece.along(t);
    const Uv off{at.u - on.u, at.v - on.v};
    const double slope = dot(off, piece.bend(t)) - dot(along, along);
    return slope < 0 ? t - dot(off, along) / slope : t + project(piece, at, t);
}

// Of light far from the locus, where isotherms cross.
double nearestDuv(Uv at) {
    double best = 1;
    for (const auto& piece : pieces())
        for (double t = 0; t <= 1; t += 0.125) {
            const Uv on = piece.at(t), off{at.u - on.u, at.v - on.v};
            const double away = std::sqrt(dot(off, off));
            if (away < std::abs(best))
                best = dot(off, across(piece.along(t))) < 0 ? -away : away;
        }
    return best;
}

} // namespace

Chromaticity blackBody(Kelvin temperature) {
    const double mired = within(temperature).value();
    const auto& piece = pieces()[pieceAt(mired)];
    return xyOf(piece.at((mired - piece.from) / piece.width));
}

Chromaticity daylight(Kelvin temperature) {
    const double t = 1 / std::clamp(temperature.value(), 4000.0, 25000.0);
    const double x = t >= 1 / 7000.0 ? ((-4.6070e9 * t + 2.9678e6) * t + 0.09911e3) * t + 0.244063
                                     : ((-2.0064e9 * t + 1.9018e6) * t + 0.24748e3) * t + 0.237040;
    return {x, (-3 * x + 2.87) * x - 0.275};
}

Duv usualDuv(Kelvin temperature) {
    constexpr Mired kBody{250}, kDay{1e6 / 4300};
    const double share =
        (kBody - miredOf(temperature)).value() / (kBody - kDay).value(); // of daylight
    if (share <= 0)
        return Duv(0);
    // Daylight's own temperature differs from its nearest black body's by a few kelvin only.
    const auto day = colourOf(daylight(temperature));
    return day ? day->duv * std::min(share, 1.0) : Duv(0);
}

Chromaticity chromaticityOf(ColourPoint point) {
    const double mired = within(point.cct).value();
    const auto& piece = pieces()[pieceAt(mired)];
    const double t = (mired - piece.from) / piece.width;
    const Uv on = piece.at(t), green = across(piece.along(t));
    return xyOf({on.u + green.u * point.duv.value(), on.v + green.v * point.duv.value()});
}

Result<ColourPoint> colourOf(Chromaticity c) {
    const auto got = [&] { return fixedText(c.x, 4) + ", " + fixedText(c.y, 4); };
    if (!(c.x >= 0 && c.y > 0 && c.x + c.y <= 1))
        return Error{ErrorCode::OutOfRange,
                     {},
                     {},
                     got(),
                     "a chromaticity of light, x and y from 0 and together at most 1"};
    const Uv at = uvOf(c);
    // Isotherms do not cross near the locus: the side of each tells where to go on.
    std::size_t low = 0, high = pieces().size();
    while (high - low > 1) {
        const auto middle = (low + high) / 2;
        (project(pieces()[middle], at, 0) >= 0 ? low : high) = middle;
    }
    const Piece& piece = pieces()[low];
    double t = std::clamp(project(piece, at, 0), -0.5, 1.5);
    for (int i = 0; i < 4; ++i)
        t = nearer(piece, at, t);
    const double mired = piece.from + t * piece.width;
    const Uv on = piece.at(t), green = across(piece.along(t));
    const Duv duv(dot({at.u - on.u, at.v - on.v}, green));
    if (!(std::abs(duv.value()) <= kFarthest.value()))
        return Error{ErrorCode::OutOfRange,
                     {},
                     {},
                     got(),
                     "light no farther than Duv 0.05 from the black body: this has no colour "
                     "temperature, Duv " +
                         fixedText(nearestDuv(at), 2)};
    const double coolest = miredOf(kCoolest).value(), warmest = miredOf(kWarmest).value();
    if (mired < coolest - 1e-6 || mired > warmest + 1e-6)
        return Error{ErrorCode::OutOfRange, {}, {}, got(), "light from 1667 K to 40000 K"};
    return ColourPoint{kelvinOf(Mired(std::clamp(mired, coolest, warmest))), duv};
}

void LightMixture::add(ColourPoint light, Fraction share) {
    const auto c = chromaticityOf(light);
    m_x += share.value() * c.x / c.y;
    m_y += share.value();
    m_z += share.value() * (1 - c.x - c.y) / c.y;
    if (share > m_most) {
        m_most = share;
        m_largest = light;
    }
}

std::optional<ColourPoint> LightMixture::colour() const {
    if (!(m_y > 0))
        return std::nullopt;
    const double sum = m_x + m_y + m_z;
    const auto colour = colourOf({m_x / sum, m_y / sum});
    return colour ? *colour : m_largest;
}

ColourPoint shifted(ColourPoint light, ColourShift shift) {
    const Mired mired(std::clamp((miredOf(light.cct) + shift.mired).value(),
                                 miredOf(kCoolest).value(), miredOf(kWarmest).value()));
    return {kelvinOf(mired), std::clamp(light.duv + shift.duv, -kFarthest, kFarthest)};
}

} // namespace bslate
