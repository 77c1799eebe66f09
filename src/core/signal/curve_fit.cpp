#include "core/signal/curve_fit.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>

namespace bslate {
namespace {

constexpr double kNoFit = std::numeric_limits<double>::infinity();
constexpr std::size_t kMostSampled = 1024;

// y = slope * log2(x + inside) + offset over the points from `first` on.
struct LogPart {
    double slope = 0, offset = 0, inside = 0;
    double squares = kNoFit;

    [[nodiscard]] double operator()(double x) const {
        return slope * std::log2(x + inside) + offset;
    }
};

// Points looked at in one regression: a dense table says no more than every eighth of its lines.
constexpr std::size_t kEnough = 400;

std::size_t strideOf(std::span<const FitPoint> points) {
    return std::max<std::size_t>(1, points.size() / kEnough);
}

LogPart regress(std::span<const FitPoint> points, double inside) {
    double n = 0, su = 0, sy = 0, suu = 0, suy = 0;
    const std::size_t stride = strideOf(points);
    std::array<double, 2 * kEnough> logs; // the costly part, wanted twice
    std::size_t count = 0;
    for (std::size_t i = 0; i < points.size(); i += stride) {
        const auto& point = points[i];
        const double u = std::log2(point.light.value() + inside), w = point.weight;
        const double y = point.signal.value();
        logs[count++] = u;
        n += w;
        su += w * u;
        sy += w * y;
        suu += w * u * u;
        suy += w * u * y;
    }
    const double spread = suu - su * su / n;
    LogPart part;
    part.inside = inside;
    if (!(n > 0) || !(spread > 1e-12))
        return part;
    part.slope = (suy - su * sy / n) / spread;
    part.offset = (sy - part.slope * su) / n;
    if (!(part.slope > 0))
        return part;
    part.squares = 0;
    for (std::size_t i = 0; i < count; ++i) {
        const auto& point = points[i * stride];
        const double miss = part.slope * logs[i] + part.offset - point.signal.value();
        part.squares += point.weight * miss * miss;
    }
    part.squares *= static_cast<double>(stride); // comparable over spans of other lengths
    return part;
}

// The offset inside the logarithm that fits best: coarse in the logarithm of its distance from
// where the argument would reach zero, then golden section.
// With a hint, the inside found for nearly the same points, only its neighbourhood is looked at.
LogPart bestLog(std::span<const FitPoint> points, int rounds, const LogPart* hint) {
    const double lowest = points.front().light.value();
    const double scale = std::max(points.back().light.value() - lowest, 1e-12);
    const auto at = [&](double u) { return regress(points, scale * std::exp2(u) - lowest); };
    constexpr double kLow = -40, kHigh = 4, kStep = 2;
    double from = kLow, to = kHigh;
    if (hint && hint->inside + lowest > 0) {
        const double near = std::clamp(std::log2((hint->inside + lowest) / scale), kLow, kHigh);
        from = near - kStep;
        to = near + kStep;
    }
    double best = from;
    LogPart found;
    for (double u = from; u <= to; u += kStep)
        if (const auto part = at(u); part.squares < found.squares) {
            found = part;
            best = u;
        }
    double low = best - kStep, high = best + kStep;
    constexpr double kGolden = 0.6180339887498949;
    double a = high - kGolden * (high - low), b = low + kGolden * (high - low);
    auto fa = at(a), fb = at(b);
    for (int i = 0; i < rounds; ++i) {
        const bool left = fa.squares < fb.squares;
        (left ? high : low) = left ? b : a;
        if (left) {
            b = a;
            fb = fa;
            a = high - kGolden * (high - low);
            fa = at(a);
        } else {
            a = b;
            fa = fb;
            b = low + kGolden * (high - low);
            fb = at(b);
        }
    }
    for (const auto& part : {fa, fb})
        if (part.squares < found.squares)
            found = part;
    return found;
}

// A straight line through (x0, y0) and as near as possible to the points.
struct Line {
    double slope = 0, squares = kNoFit;
};

Line lineThrough(std::span<const FitPoint> points, double x0, double y0) {
    double sxx = 0, sxy = 0;
    for (const auto& point : points) {
        const double dx = point.light.value() - x0;
        sxx += point.weight * dx * dx;
        sxy += point.weight * dx * (point.signal.value() - y0);
    }
    Line line;
    if (!(sxx > 0) || !(sxy > 0))
        return line;
    line.slope = sxy / sxx;
    line.squares = 0;
    for (const auto& point : points) {
        const double miss = y0 + line.slope * (point.light.value() - x0) - point.signal.value();
        line.squares += point.weight * miss * miss;
    }
    return line;
}

struct Split {
    LogPart log;
    Line line; ///< slope 0: none
    double breakAt = 0;
    double squares = kNoFit;
};

// The logarithm from point `first` up, a straight line below.
Split splitAt(std::span<const FitPoint> points, std::size_t first, int rounds,
              const LogPart* hint = nullptr) {
    Split split;
    split.log = bestLog(points.subspan(first), rounds, hint);
    if (split.log.squares == kNoFit)
        return split;
    split.breakAt = points[first].light.value();
    if (first == 0) {
        split.squares = split.log.squares;
        return split;
    }
    split.line = lineThrough(points.first(first), split.breakAt, split.log(split.breakAt));
    split.squares = split.log.squares + split.line.squares;
    return split;
}

// Every so many points is enough to find the break roughly; then each point near it is tried.
Split bestSplit(std::span<const FitPoint> points) {
    constexpr std::size_t kCandidates = 24;
    constexpr std::size_t kLeastLine = 3, kLeastLog = 4;
    Split best = splitAt(points, 0, 24);
    if (points.size() < kLeastLine + kLeastLog)
        return best;
    std::vector<FitPoint> thin;
    const std::size_t every = std::max<std::size_t>(1, points.size() / 256);
    for (std::size_t i = 0; i < points.size(); i += every)
        thin.push_back(points[i]);
    std::size_t rough = 0;
    double least = kNoFit;
    LogPart near = best.log;
    const std::size_t step = std::max<std::size_t>(1, thin.size() / (2 * kCandidates));
    for (std::size_t first = kLeastLine; first + kLeastLog < thin.size(); first += step)
        if (const auto split = splitAt(thin, first, 10, &near); split.squares < least) {
            least = split.squares;
            rough = first * every;
            near = split.log;
        }
    if (rough == 0)
        return best;
    std::size_t low = rough > step * every ? rough - step * every : kLeastLine;
    std::size_t high = std::min(rough + step * every, points.size() - kLeastLog - 1);
    Split broken;
    while (low <= high) { // narrow by thirds of a dozen tries
        const std::size_t stride = std::max<std::size_t>(1, (high - low) / 12);
        std::size_t found = low;
        Split round;
        for (std::size_t first = low; first <= high; first += stride)
            if (const auto split = splitAt(points, first, 24, &near);
                split.squares < round.squares) {
                round = split;
                found = first;
            }
        if (round.squares < broken.squares)
            broken = round;
        if (stride == 1)
            break;
        low = std::max(low, found > stride ? found - stride : low);
        high = std::min(high, found + stride);
    }
    // A break must earn its two parameters.
    return broken.squares < 0.9 * best.squares ? broken : best;
}

CameraLog parametersOf(const Split& split) {
    CameraLog log;
    log.base = 2.0;
    log.logSideSlope = split.log.slope;
    log.logSideOffset = split.log.offset;
    log.linSideSlope = 1.0;
    log.linSideOffset = split.log.inside;
    log.linSideBreak = split.breakAt;
    if (split.line.slope > 0)
        log.linearSlope = split.line.slope;
    return log;
}

bool rises(std::span<const FitPoint> points) {
    for (std::size_t i = 1; i < points.size(); ++i)
        if (!(points[i].light > points[i - 1].light))
            return false;
    return true;
}

} // namespace

std::optional<CameraLogFit> fitCameraLog(std::span<const FitPoint> all) {
    std::vector<FitPoint> points;
    std::copy_if(all.begin(), all.end(), std::back_inserter(points),
                 [](const FitPoint& point) { return point.weight > 0; });
    if (points.size() < 4 || !rises(points))
        return std::nullopt;
    const auto split = bestSplit(points);
    if (split.squares == kNoFit)
        return std::nullopt;
    CameraLogFit fit;
    fit.log = parametersOf(split);
    fit.straight = split.line.slope > 0;
    const Curve curve{fit.log, CodeRange::Full, std::nullopt};
    double squares = 0, weight = 0;
    for (const auto& point : points) {
        const double miss = std::abs((encode(curve, point.light) - point.signal).value());
        squares += point.weight * miss * miss;
        weight += point.weight;
        if (miss > fit.worst.value()) {
            fit.worst = Signal(miss);
            fit.worstAt = stopsOf(point.light);
        }
    }
    fit.rms = Signal(std::sqrt(squares / weight));
    return fit;
}

namespace {

// The points as a table: those with light, rising by more than rounding, at most kMostSampled.
Sampled tableOf(std::span<const FitPoint> points) {
    std::vector<CurvePoint> rising;
    for (const auto& point : points) {
        if (!(point.light.value() > 1e-7) || !(point.weight > 0))
            continue;
        const CurvePoint next{stopsOf(point.light), point.signal};
        if (rising.empty() || (next.stops - rising.back().stops > Stops(1e-4) &&
                               next.signal - rising.back().signal > Signal(1e-7)))
            rising.push_back(next);
    }
    if (rising.size() <= kMostSampled)
        return {rising};
    Sampled table;
    for (std::size_t i = 0; i < kMostSampled; ++i)
        table.points.push_back(rising[i * (rising.size() - 1) / (kMostSampled - 1)]);
    return table;
}

} // namespace

Result<FittedCurve> fitCurve(std::span<const FitPoint> points, CodeRange range, Signal allowed) {
    for (std::size_t i = 1; i < points.size(); ++i)
        if (!(points[i].light > points[i - 1].light) || !(points[i].signal > points[i - 1].signal))
            return Error{ErrorCode::OutOfRange,
                         {},
                         "point " + std::to_string(i + 1),
                         {},
                         "light and signal above those of the point before"};
    FittedCurve result;
    result.curve.range = range;
    const auto log = fitCameraLog(points);
    result.worstAsLog = log ? log->worst : Signal(1.0);
    if (log && log->worst <= allowed) {
        result.curve.family = log->log;
        result.worst = log->worst;
        return result;
    }
    auto table = tableOf(points);
    if (auto outcome = checkSampled(table); !outcome)
        return outcome.error();
    result.curve.family = std::move(table);
    result.sampled = true;
    for (const auto& point : points)
        if (point.light.value() > 1e-7)
            result.worst = std::max(
                result.worst,
                Signal(std::abs((encode(result.curve, point.light) - point.signal).value())));
    return result;
}

} // namespace bslate
