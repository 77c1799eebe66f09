#include "core/light/colour_chart.h"

#include "core/signal/gamut.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr double kDarkest = 0.01;      // weighs no more than this
constexpr double kNeutral = 5;         // of chroma, and no more
constexpr double kLightNeutral = 0.08; // darker ones are noise
// CIE 15:2004 clause 8.2.1: where the cube root gives way to a line.
constexpr double kLabKnee = 216.0 / 24389, kLabSlope = 24389.0 / 27;

Error noSensor(std::string got, std::string expected) {
    return {ErrorCode::OutOfRange, {}, {}, std::move(got), std::move(expected)};
}

Tristimulus xyzOf(Chromaticity c) {
    return {c.x / c.y, 1.0, (1.0 - c.x - c.y) / c.y};
}

Chromaticity chromaticityOf(const Tristimulus& xyz) {
    const double sum = xyz[0] + xyz[1] + xyz[2];
    return sum > 0 ? Chromaticity{xyz[0] / sum, xyz[1] / sum} : Chromaticity{};
}

Tristimulus times(const Matrix3& m, const Tristimulus& v) {
    Tristimulus out{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k)
            out[row] += m[row][k] * v[k];
    return out;
}

Tristimulus labOf(const Tristimulus& xyz, const Tristimulus& white) {
    const auto f = [](double share) {
        return share > kLabKnee ? std::cbrt(share) : (kLabSlope * share + 16) / 116;
    };
    const double x = f(xyz[0] / white[0]), y = f(xyz[1] / white[1]), z = f(xyz[2] / white[2]);
    return {116 * y - 16, 500 * (x - y), 200 * (y - z)};
}

double differenceOf(const Tristimulus& a, const Tristimulus& b) {
    return std::hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
}

// Three unknowns by elimination with the largest pivot; nothing where the patches do not tell them.
std::optional<Tristimulus> solved(Matrix3 m, Tristimulus right) {
    const double scale = std::max({m[0][0], m[1][1], m[2][2]});
    for (std::size_t column = 0; column < 3; ++column) {
        std::size_t pivot = column;
        for (std::size_t row = column + 1; row < 3; ++row)
            if (std::abs(m[row][column]) > std::abs(m[pivot][column]))
                pivot = row;
        if (std::abs(m[pivot][column]) < 1e-6 * scale)
            return std::nullopt;
        std::swap(m[pivot], m[column]);
        std::swap(right[pivot], right[column]);
        for (std::size_t row = 0; row < 3; ++row) {
            if (row == column)
                continue;
            const double by = m[row][column] / m[column][column];
            for (std::size_t k = column; k < 3; ++k)
                m[row][k] -= by * m[column][k];
            right[row] -= by * right[column];
        }
    }
    return Tristimulus{right[0] / m[0][0], right[1] / m[1][1], right[2] / m[2][2]};
}

struct Pair {
    Tristimulus told, seen;
    bool used = false;
};

std::optional<Matrix3> leastSquares(const std::vector<Pair>& pairs) {
    Matrix3 normal{}, right{}; // right[row of XYZ][channel]
    for (const auto& pair : pairs) {
        if (!pair.used)
            continue;
        const double weight = std::pow(std::max(pair.told[1], kDarkest), -4.0 / 3);
        for (std::size_t i = 0; i < 3; ++i)
            for (std::size_t k = 0; k < 3; ++k) {
                normal[i][k] += weight * pair.seen[i] * pair.seen[k];
                right[i][k] += weight * pair.told[i] * pair.seen[k];
            }
    }
    Matrix3 matrix{};
    for (std::size_t row = 0; row < 3; ++row) {
        const auto one = solved(normal, right[row]);
        if (!one)
            return std::nullopt;
        matrix[row] = *one;
    }
    return matrix;
}

// Where the patch that lies at a place of the picture stands in the chart's file.
std::size_t inFile(const ColourChart& chart, std::size_t place, const ChartTurn& turn) {
    const int across = static_cast<int>(place) % chart.columns;
    const int down = static_cast<int>(place) / chart.columns;
    int column = turn.swapped ? down : across, row = turn.swapped ? across : down;
    if (turn.columnsBackward)
        column = chart.columns - 1 - column;
    if (turn.rowsBackward)
        row = chart.rows - 1 - row;
    return static_cast<std::size_t>(row * chart.columns + column);
}

struct Fit {
    Matrix3 toXyz;
    std::vector<FittedPatch> patches;
    double mean = 0, most = 0;
};

std::optional<Fit> fitTurned(const ColourChart& chart, std::span<const PatchLight> seen,
                             const Matrix3& toLight, const Tristimulus& white,
                             const ChartTurn& turn) {
    std::vector<Pair> pairs;
    for (std::size_t i = 0; i < seen.size(); ++i) {
        const auto& light = seen[i].light;
        Pair pair{times(toLight, chart.patches[inFile(chart, i, turn)].colour),
                  {light[0].value(), light[1].value(), light[2].value()}};
        pair.used = !seen[i].ended && pair.seen[0] + pair.seen[1] + pair.seen[2] > 0;
        pairs.push_back(pair);
    }
    const auto matrix = leastSquares(pairs);
    if (!matrix)
        return std::nullopt;
    Fit fit{*matrix, {}};
    double count = 0;
    for (std::size_t i = 0; i < pairs.size(); ++i) {
        const auto through = times(*matrix, pairs[i].seen);
        FittedPatch patch{chart.patches[inFile(chart, i, turn)].id, 0, !pairs[i].used,
                          chromaticityOf(pairs[i].told), chromaticityOf(through)};
        patch.difference = differenceOf(labOf(pairs[i].told, white), labOf(through, white));
        if (!patch.left) {
            fit.mean += patch.difference;
            fit.most = std::max(fit.most, patch.difference);
            ++count;
        }
        fit.patches.push_back(std::move(patch));
    }
    fit.mean /= count;
    return fit;
}

PerChannel ratios(const Tristimulus& channels) {
    PerChannel gains{};
    for (std::size_t c = 0; c < 3; ++c)
        gains[c] = Stops(std::log2(channels[1] / channels[c]));
    return gains;
}

bool isLit(const Tristimulus& channels) {
    return channels[0] > 0 && channels[1] > 0 && channels[2] > 0;
}

// By how much the neutral patches, where the chart has some, want other gains than the primaries
// say. They are looked at as they are under the light, since few are quite neutral.
PerChannel neutralsWant(const ColourChart& chart, std::span<const PatchLight> seen,
                        const ChartTurn& turn, const Matrix3& toCamera) {
    PerChannel sums{};
    double count = 0;
    for (std::size_t i = 0; i < seen.size(); ++i) {
        const auto& colour = chart.patches[inFile(chart, i, turn)].colour;
        const auto lab = labOf(colour, xyzOf(kChartWhite));
        const auto& light = seen[i].light;
        const Tristimulus own{light[0].value(), light[1].value(), light[2].value()};
        const auto told = times(toCamera, colour);
        if (seen[i].ended || !isLit(own) || !isLit(told) || std::hypot(lab[1], lab[2]) > kNeutral ||
            colour[1] < kLightNeutral)
            continue;
        ++count;
        const auto is = ratios(own), wanted = ratios(told);
        for (std::size_t c = 0; c < 3; ++c)
            sums[c] += is[c] - wanted[c];
    }
    for (auto& sum : sums)
        sum = sum * (1 / std::max(count, 1.0));
    return sums;
}

std::vector<ChartTurn> turnsOf(const ColourChart& chart) {
    std::vector<ChartTurn> turns;
    for (const bool swapped : {false, true})
        for (const bool columns : {false, true})
            for (const bool rows : {false, true})
                if (!swapped || chart.columns == chart.rows)
                    turns.push_back({columns, rows, swapped});
    return turns;
}

} // namespace

Result<SensorFit> fitSensor(const ColourChart& chart, std::span<const PatchLight> seen,
                            ColourPoint light) {
    const auto wanted =
        static_cast<std::size_t>(chart.columns) * static_cast<std::size_t>(std::max(chart.rows, 0));
    if (chart.patches.size() != wanted || seen.size() != wanted)
        return noSensor(std::to_string(seen.size()) + " places, " +
                            std::to_string(chart.patches.size()) + " patches",
                        "as many places as the chart has patches, row by row");
    const auto usable = static_cast<std::size_t>(
        std::count_if(seen.begin(), seen.end(), [](const PatchLight& one) { return !one.ended; }));
    if (usable < kFewestPatches)
        return noSensor(std::to_string(usable) + " patches below the recording's end",
                        "at least " + std::to_string(kFewestPatches));
    const auto onChart = bslate::chromaticityOf(light);
    const auto toLight = bradford(kChartWhite, onChart);
    const auto white = xyzOf(onChart);
    std::optional<Fit> best;
    SensorFit found;
    for (const auto& turn : turnsOf(chart)) {
        auto fit = fitTurned(chart, seen, toLight, white, turn);
        if (fit && (!best || fit->mean < best->mean)) {
            best = std::move(fit);
            found.turn = turn;
        }
    }
    if (!best)
        return noSensor("patches of one or two colours", "a chart with at least three");
    if (!(best->mean <= kPoorFit))
        return noSensor("a mean difference of " + std::to_string(std::lround(best->mean)) +
                            " in L*a*b*",
                        "the place, columns and light of this chart");
    const auto primaries = gamutOf(best->toXyz);
    if (!primaries || !isValid(*primaries))
        return noSensor("three channels that make no triangle", "a chart with more colours");
    found.primaries = *primaries;
    const auto toCamera = xyzToRgb(*primaries);
    found.gains = whiteGains(toCamera, onChart);
    const auto more = neutralsWant(chart, seen, found.turn, product(toCamera, toLight));
    for (std::size_t c = 0; c < 3; ++c)
        found.gains[c] += more[c];
    found.patches = std::move(best->patches);
    found.mean = best->mean;
    found.most = best->most;
    return found;
}

} // namespace bslate
