#include "core/clip/region_series.h"

#include "core/base/median.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr double kCode = 1.0 / 1023; // of 10 bits
constexpr std::size_t kFewest = 3;
constexpr double kTopSteps = 2;

// A change of exposure moves luma further from one frame to the next than it moves by itself.
double jumpOf(std::span<const RegionFrame> frames) {
    std::vector<double> steps;
    for (std::size_t i = 1; i < frames.size(); ++i)
        steps.push_back(std::abs((frames[i].luma - frames[i - 1].luma).value()));
    return std::max(2 * kCode, 6 * medianOf(std::move(steps)));
}

struct Run {
    std::size_t first, behind;
    [[nodiscard]] std::size_t length() const { return behind - first; }
};

std::vector<Run> runsOf(std::span<const RegionFrame> frames, double jump) {
    std::vector<Run> runs;
    std::size_t first = 0;
    for (std::size_t i = 1; i <= frames.size(); ++i) {
        const bool same =
            i < frames.size() && std::abs((frames[i].luma - frames[i - 1].luma).value()) <= jump;
        if (same)
            continue;
        if (i - first >= kFewest)
            runs.push_back({first, i});
        first = i;
    }
    return runs;
}

// Equal steps that look alike come as one long run.
std::vector<Run> parted(const std::vector<Run>& runs) {
    std::vector<double> lengths;
    lengths.reserve(runs.size());
    for (const auto& run : runs)
        lengths.push_back(static_cast<double>(run.length()));
    const double usual = medianOf(std::move(lengths));
    std::vector<Run> all;
    for (const auto& run : runs) {
        const auto parts = static_cast<std::size_t>(std::max(
            1.0, std::round(static_cast<double>(run.length()) / std::max(1.0, usual) - 0.15)));
        for (std::size_t part = 0; part < parts; ++part)
            all.push_back({run.first + run.length() * part / parts,
                           run.first + run.length() * (part + 1) / parts});
    }
    return all;
}

// Without a tenth at either end, where a hand may still be on the ring.
Plateau plateauOf(std::span<const RegionFrame> frames, Run run) {
    const auto edge = run.length() >= 10 ? run.length() / 10 : std::size_t(run.length() > 4);
    Plateau plateau{run.first + edge, run.behind - edge, {}, {}, std::nullopt};
    double luma = 0, channels[3] = {}, noise = 0;
    int noisy = 0;
    for (auto i = plateau.first; i < plateau.behind; ++i) {
        luma += frames[i].luma.value();
        for (std::size_t c = 0; c < 3; ++c)
            channels[c] += frames[i].channels[c].value();
        if (frames[i].noise && i > plateau.first) {
            noise += frames[i].noise->value() * frames[i].noise->value();
            ++noisy;
        }
    }
    const auto count = static_cast<double>(plateau.behind - plateau.first);
    plateau.luma = Signal(luma / count);
    for (std::size_t c = 0; c < 3; ++c)
        plateau.channels[c] = Signal(channels[c] / count);
    if (noisy > 0)
        plateau.noise = Signal(std::sqrt(noise / noisy));
    return plateau;
}

} // namespace

Fraction shareAt(const ChannelCounts& counts, std::size_t channel, Signal end) {
    const auto& steps = counts.channels[channel];
    const double from = (end - counts.first).value() / counts.step.value() - kTopSteps;
    double all = 0, top = 0;
    for (std::size_t i = 0; i < steps.size(); ++i) {
        all += steps[i];
        if (static_cast<double>(i) > from)
            top += steps[i];
    }
    return Fraction(all > 0 ? top / all : 0.0);
}
std::vector<Plateau> plateausOf(std::span<const RegionFrame> frames) {
    std::vector<Plateau> plateaus;
    if (frames.size() < kFewest)
        return plateaus;
    const auto runs = runsOf(frames, jumpOf(frames));
    if (runs.empty())
        return plateaus;
    for (const auto& run : parted(runs))
        plateaus.push_back(plateauOf(frames, run));
    return plateaus;
}

std::optional<Plateau> longestOf(std::span<const Plateau> plateaus) {
    if (plateaus.empty())
        return std::nullopt;
    return *std::max_element(
        plateaus.begin(), plateaus.end(),
        [](const Plateau& a, const Plateau& b) { return a.behind - a.first < b.behind - b.first; });
}

std::size_t gapsBetween(std::span<const Plateau> plateaus) {
    if (plateaus.size() < 2)
        return 0;
    std::vector<double> lengths;
    lengths.reserve(plateaus.size());
    for (const auto& plateau : plateaus)
        lengths.push_back(static_cast<double>(plateau.behind - plateau.first));
    const double usual = medianOf(std::move(lengths));
    std::size_t gaps = 0;
    for (std::size_t i = 1; i < plateaus.size(); ++i)
        gaps += static_cast<double>(plateaus[i].first - plateaus[i - 1].behind) >= usual;
    return gaps;
}

Result<std::vector<SeriesReading>> readingsOf(std::span<const Plateau> plateaus,
                                              std::span<const Stops> stops) {
    if (plateaus.size() != stops.size())
        return Error{ErrorCode::OutOfRange,
                     {},
                     {},
                     std::to_string(stops.size()) + " stops",
                     "as many as exposures were found, " + std::to_string(plateaus.size())};
    std::vector<SeriesReading> readings;
    for (std::size_t i = 0; i < stops.size(); ++i)
        readings.push_back({stops[i], plateaus[i].channels, plateaus[i].noise});
    return readings;
}

} // namespace bslate
