#include "core/signal/exposure_series.h"

#include "core/base/median.h"
#include "core/signal/series_readings.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <numeric>

namespace bslate {
namespace {

using series::bad;
using series::kCode;
using series::Point;
using series::Top;

constexpr double kLogMiss = 3 * kCode;      // a camera-log curve may miss a used reading by this
constexpr double kLeastOutlier = 3 * kCode; // nothing nearer is called an outlier
constexpr double kSmooth = 1.5 * kCode;     // scatter that a table of the readings may have
constexpr double kNoOrder = 0.9;            // von Neumann's ratio: 2 for scatter, 0 for a bend

double scaleOf(const std::vector<double>& misses) {
    std::vector<double> sizes;
    sizes.reserve(misses.size());
    for (const double miss : misses)
        sizes.push_back(std::abs(miss));
    return std::max(1.4826 * medianOf(std::move(sizes)), 0.1 * kCode);
}

double biweight(double miss, double scale) {
    const double u = miss / (4.685 * scale); // Tukey's constant for 95 % efficiency
    return std::abs(u) >= 1 ? 0.0 : (1 - u * u) * (1 - u * u);
}

struct Offset {
    double shift = 0, flare = 0;
};

// Gauss-Newton on exposure and flare against the nominal curve; absolute misses count first, so
// that a wrong reading does not pull.
Offset offsetFrom(const Curve& nominal, const std::vector<Point>& points) {
    Offset offset;
    const auto at = [&](double stops, double shift, double flare) {
        return encode(nominal, SceneLinear(kMidGrey.value() * std::exp2(stops + shift) + flare))
            .value();
    };
    for (int round = 0; round < 25; ++round) {
        std::vector<double> misses;
        misses.reserve(points.size());
        for (const auto& point : points)
            misses.push_back(point.signal - at(point.stops, offset.shift, offset.flare));
        const double scale = scaleOf(misses);
        double aa = 0, ab = 0, bb = 0, ay = 0, by = 0;
        for (std::size_t i = 0; i < points.size(); ++i) {
            const double s = points[i].stops;
            const double now = at(s, offset.shift, offset.flare);
            const double a = (at(s, offset.shift + 1e-4, offset.flare) - now) / 1e-4;
            const double b = (at(s, offset.shift, offset.flare + 1e-7) - now) / 1e-7;
            const double w = round < 8 ? 1.0 / std::max(std::abs(misses[i]), 0.2 * kCode)
                                       : biweight(misses[i], scale);
            aa += w * a * a;
            ab += w * a * b;
            bb += w * b * b;
            ay += w * a * misses[i];
            by += w * b * misses[i];
        }
        const double determinant = aa * bb - ab * ab;
        if (!(determinant > 1e-12 * aa * bb))
            break;
        offset.shift += std::clamp((ay * bb - by * ab) / determinant, -0.5, 0.5);
        offset.flare += std::clamp((by * aa - ay * ab) / determinant, -0.01, 0.01);
        offset.flare = std::clamp(offset.flare, 0.0, 0.05);
    }
    return offset;
}

// Flare is told only where it explains the dark readings: under half a code it is nothing.
bool matters(const Curve& nominal, const std::vector<Point>& points, const Offset& offset) {
    const double light = kMidGrey.value() * std::exp2(points.front().stops + offset.shift);
    return (encode(nominal, SceneLinear(light + offset.flare)) -
            encode(nominal, SceneLinear(light)))
               .value() > 0.5 * kCode;
}

std::vector<FitPoint> weighted(const std::vector<Point>& points, const std::vector<double>& weights,
                               double flare) {
    std::vector<FitPoint> fit;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const SceneLinear light(kMidGrey.value() * std::exp2(points[i].stops) + flare);
        if (weights[i] <= 0)
            continue;
        if (!fit.empty() && !(light > fit.back().light)) { // the same step again: their mean
            auto& last = fit.back();
            const double sum = last.weight + weights[i];
            last.signal =
                Signal((last.signal.value() * last.weight + points[i].signal * weights[i]) / sum);
            last.weight = sum;
            continue;
        }
        fit.push_back({light, Signal(points[i].signal), weights[i]});
    }
    return fit;
}

std::vector<double> missesOf(const Curve& curve, const std::vector<Point>& points, double flare) {
    std::vector<double> misses;
    for (const auto& point : points) {
        const SceneLinear light(kMidGrey.value() * std::exp2(point.stops) + flare);
        misses.push_back(point.signal - encode(curve, light).value());
    }
    return misses;
}

// Catches gross errors before any curve is known: what the nominal curve misses smoothly is the
// body's own curve, what it misses at one reading alone is that reading's fault.
std::vector<double> firstWeights(const std::vector<Point>& points, const Curve& nominal,
                                 const Offset& offset) {
    std::vector<double> misses;
    misses.reserve(points.size());
    for (const auto& point : points)
        misses.push_back(
            point.signal -
            encode(nominal, SceneLinear(kMidGrey.value() * std::exp2(point.stops + offset.shift) +
                                        offset.flare))
                .value());
    std::vector<double> weights(points.size(), 1.0), rough(points.size());
    for (std::size_t i = 0; i < points.size(); ++i) {
        std::vector<double> near;
        for (std::size_t k = i < 3 ? 0 : i - 3; k < std::min(points.size(), i + 4); ++k)
            near.push_back(misses[k]);
        rough[i] = misses[i] - medianOf(near);
    }
    const double limit = std::max(6 * scaleOf(rough), 4 * kLeastOutlier);
    for (std::size_t i = 0; i < points.size(); ++i)
        weights[i] = std::abs(rough[i]) > limit ? 0.0 : 1.0;
    return weights;
}

// Camera-log through the points, outliers losing their say; nothing when no such curve rises.
std::optional<CameraLog> robustLog(const std::vector<Point>& points, std::vector<double>& weights,
                                   double flare) {
    std::optional<CameraLog> best;
    for (int round = 0; round < 5; ++round) {
        const auto fit = fitCameraLog(weighted(points, weights, flare));
        if (!fit)
            return best;
        best = fit->log;
        const auto misses = missesOf({*best, CodeRange::Full, {}}, points, flare);
        const double scale = std::max(scaleOf(misses), kLeastOutlier / 4.685);
        auto next = weights;
        for (std::size_t i = 0; i < points.size(); ++i)
            next[i] = biweight(misses[i], scale);
        if (next == weights)
            break;
        weights = std::move(next);
    }
    return best;
}

// The readings made to rise: pools of adjacent ones that fall are averaged (isotonic regression).
Sampled risingTable(const std::vector<FitPoint>& fit) {
    struct Pool {
        double light, signal, weight;
    };
    std::vector<Pool> pools;
    for (const auto& point : fit) {
        pools.push_back({std::log2(point.light.value() / kMidGrey.value()), point.signal.value(),
                         point.weight});
        while (pools.size() > 1 && pools[pools.size() - 2].signal >= pools.back().signal - 1e-6) {
            const Pool last = pools.back();
            pools.pop_back();
            auto& into = pools.back();
            const double sum = into.weight + last.weight;
            into.light = (into.light * into.weight + last.light * last.weight) / sum;
            into.signal = (into.signal * into.weight + last.signal * last.weight) / sum;
            into.weight = sum;
        }
    }
    Sampled table;
    for (const auto& pool : pools)
        table.points.push_back({Stops(pool.light), Signal(pool.signal)});
    return table;
}

std::optional<Stops> floorOf(const Curve& curve, const std::vector<Point>& points, double snr) {
    std::optional<std::pair<double, double>> above; // stops, log2 of the ratio
    for (auto point = points.rbegin(); point != points.rend(); ++point) {
        if (!(point->noise > 0))
            continue;
        const auto light = linearAt(Stops(point->stops));
        const double slope = slopePerStop(curve, light, BitDepth{10});
        if (!(slope > 0))
            continue;
        const double ratio = std::log2(slope / (std::numbers::ln2 * point->noise));
        const double wanted = std::log2(snr);
        if (ratio < wanted) {
            if (!above)
                return std::nullopt;
            const double share = (above->second - wanted) / (above->second - ratio);
            return Stops(above->first + share * (point->stops - above->first));
        }
        above = {point->stops, ratio};
    }
    return std::nullopt;
}

void tellMisses(const std::vector<Point>& points, const std::vector<double>& misses,
                SeriesFit& fit) {
    const double limit = std::max(4.685 * scaleOf(misses), kLeastOutlier);
    double squares = 0;
    int used = 0;
    for (std::size_t i = 0; i < points.size(); ++i) {
        fit.misses[points[i].index] = Signal(misses[i]);
        if (std::abs(misses[i]) > limit) {
            fit.fates[points[i].index] = ReadingFate::Outlier;
            continue;
        }
        squares += misses[i] * misses[i];
        ++used;
        fit.worst = std::max(fit.worst, Signal(std::abs(misses[i])));
    }
    fit.rms = Signal(used > 0 ? std::sqrt(squares / used) : 0);
}

} // namespace

std::optional<Stops> SeriesFit::firstClip() const {
    std::optional<Stops> first;
    for (const auto& stops : clip)
        if (stops && (!first || *stops < *first))
            first = stops;
    return first;
}

int SeriesFit::outliers() const {
    return static_cast<int>(std::count(fates.begin(), fates.end(), ReadingFate::Outlier));
}

namespace {

// How the readings that count miss a curve: how much each scatters, and whether in no order.
struct Scatter {
    double size = 0;
    bool noOrder = true;
};

Scatter scatterOf(const std::vector<Point>& points, const std::vector<double>& misses,
                  const SeriesFit& fit) {
    std::vector<double> kept, steps;
    for (std::size_t i = 0; i < points.size(); ++i)
        if (fit.fates[points[i].index] == ReadingFate::Used)
            kept.push_back(misses[i]);
    double squares = 0, stepSquares = 0;
    for (std::size_t i = 0; i < kept.size(); ++i) {
        squares += kept[i] * kept[i];
        if (i == 0)
            continue;
        steps.push_back(kept[i] - kept[i - 1]);
        stepSquares += steps.back() * steps.back();
    }
    return {scaleOf(steps) / std::numbers::sqrt2, stepSquares >= kNoOrder * squares};
}

// The nominal curve as bright as this body.
Curve shifted(const Curve& nominal, Stops shift) {
    Curve curve = nominal;
    if (auto* log = std::get_if<CameraLog>(&curve.family)) {
        log->linSideSlope *= ratio(shift);
        log->linSideBreak /= ratio(shift);
        if (log->linearSlope)
            *log->linearSlope *= ratio(shift);
        return curve;
    }
    Sampled table;
    for (double stops = -14; stops <= 14; stops += 0.125) {
        const Signal signal = encode(nominal, linearAt(Stops(stops) + shift));
        if (table.points.empty() || signal > table.points.back().signal)
            table.points.push_back({Stops(stops), signal});
    }
    curve.family = std::move(table);
    return curve;
}

// Tells the misses of a candidate; true when the readings that count scatter about it at random, or
// hardly miss it.
bool holds(const Curve& candidate, const std::vector<Point>& points, SeriesFit& fit) {
    for (const auto& point : points)
        fit.fates[point.index] = ReadingFate::Used;
    fit.worst = Signal(0);
    fit.curve.family = candidate.family;
    const auto misses = missesOf(fit.curve, points, fit.flare.value());
    tellMisses(points, misses, fit);
    const auto scatter = scatterOf(points, misses, fit);
    fit.scatter = Signal(scatter.size);
    return 4 * fit.outliers() <= static_cast<int>(points.size()) &&
           (fit.worst.value() <= kLogMiss || scatter.noOrder);
}

// The curve in the form that holds the points, and what it misses.
Outcome fitPoints(const std::vector<Point>& points, const Curve& nominal, const Offset& offset,
                  SeriesFit& fit) {
    // The body's own sensitivity belongs to the curve; flare belongs to the lens and the chart.
    const double flare = fit.flare.value();
    auto weights = firstWeights(points, nominal, offset);
    const auto before = weights;
    const auto log = robustLog(points, weights, flare);
    if (log && holds({*log, fit.curve.range, {}}, points, fit))
        return Done{};
    const bool smooth = log && fit.scatter.value() <= kSmooth;
    auto table = risingTable(weighted(points, before, flare));
    if (auto outcome = checkSampled(table); !outcome)
        return bad({}, {}, "readings that rise with exposure");
    if (!smooth) {
        const Curve body = shifted(nominal, Stops(offset.shift));
        if (holds(body, points, fit)) {
            fit.sampled = std::holds_alternative<Sampled>(body.family);
            return Done{};
        }
    }
    const double scatter = fit.scatter.value();
    (void)holds({table, fit.curve.range, {}}, points, fit);
    fit.sampled = true;
    if (3 * fit.outliers() > static_cast<int>(points.size()))
        return bad({}, std::to_string(fit.outliers()) + " of " + std::to_string(points.size()),
                   "readings that rise with exposure: are the columns the right way round?");
    if (!smooth && scatter > kSmooth)
        return bad({}, "scatter of " + std::to_string(std::lround(scatter / kCode)) + " codes",
                   "readings that follow a smooth curve to 1.5 codes of 10 bits, or more of them "
                   "in smaller steps: it is not enough to tell a curve from scatter");
    return Done{};
}

// Nine tenths of what the readings that count do must be the curve's doing (coefficient of
// determination; the limit is common practice, no source): scatter alone fits anything.
Outcome checkExplained(const std::vector<Point>& points, const SeriesFit& fit) {
    double sum = 0, squares = 0;
    int used = 0;
    for (const auto& point : points) {
        if (fit.fates[point.index] != ReadingFate::Used)
            continue;
        sum += point.signal;
        squares += point.signal * point.signal;
        ++used;
    }
    const double variance = used > 0 ? squares / used - (sum / used) * (sum / used) : 0;
    if (fit.rms.value() * fit.rms.value() <= 0.1 * variance)
        return Done{};
    return bad({}, "scatter of " + std::to_string(std::lround(fit.rms.value() / kCode)) + " codes",
               "readings that rise with exposure: these hardly do");
}

// Between the last reading below a channel's end and the first flat one, and how sure.
void placeClip(const Top& top, std::size_t channel, SeriesFit& fit) {
    const double decoded = stopsOf(decode(fit.curve, Signal(top.signal))).value();
    const double place = std::clamp(decoded, std::min(top.belowTo, top.flatFrom), top.flatFrom);
    const double width = top.flatFrom - top.belowTo;
    const double slope =
        slopePerStop({fit.curve.family, fit.curve.range, {}}, linearAt(Stops(place)), BitDepth{10});
    const double sure = slope > 0 ? 2 * fit.scatter.value() / slope : width;
    fit.clip[channel] = Stops(place);
    fit.clipUncertainty[channel] = Stops(place == decoded ? std::min(sure, width) : width);
}

} // namespace

Result<SeriesFit> fitSeries(std::span<const SeriesReading> readings, CodeRange range,
                            const Curve& nominal, double snr) {
    if (auto outcome = series::checkReadings(readings); !outcome)
        return outcome.error();
    SeriesFit fit;
    fit.curve.range = range;
    fit.fates.assign(readings.size(), ReadingFate::Used);
    fit.misses.assign(readings.size(), Signal(0));
    std::array<std::optional<Top>, 3> tops;
    for (std::size_t c = 0; c < 3; ++c)
        tops[c] = series::flatTop(readings, c);
    const auto points = series::unclipped(readings, tops, fit.fates);
    if (points.size() < kLeastReadings)
        return bad({}, std::to_string(points.size()),
                   "at least " + std::to_string(kLeastReadings) +
                       " readings in which no channel has clipped");
    const auto offset = offsetFrom(nominal, points);
    fit.shift = Stops(offset.shift);
    if (matters(nominal, points, offset))
        fit.flare = SceneLinear(offset.flare * std::exp2(-offset.shift));
    if (auto outcome = fitPoints(points, nominal, offset, fit); !outcome)
        return outcome.error();
    if (auto outcome = checkExplained(points, fit); !outcome)
        return outcome.error();
    std::optional<Signal> end;
    for (std::size_t c = 0; c < 3; ++c) {
        if (!tops[c])
            continue;
        placeClip(*tops[c], c, fit);
        if (!end || *fit.clip[c] <= *fit.firstClip())
            end = Signal(tops[c]->signal);
    }
    fit.curve.end = end;
    fit.noiseFloor = floorOf(fit.curve, points, snr);
    return fit;
}

} // namespace bslate
