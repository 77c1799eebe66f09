#include "core/clip/region_series.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

constexpr double kCode = 1.0 / 1023; // of 10 bits
constexpr std::size_t kFewest = 3, kFewestToPulse = 16;
constexpr double kTopSteps = 2, kTogether = 0.9, kBandsApart = 0.2;
constexpr Hertz kSlowestLamp{40}, kFastestLamp{500};

double middleOf(std::vector<double> values) {
    const auto at = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), at, values.end());
    return *at;
}

// A change of exposure moves luma further from one frame to the next than it moves by itself.
double jumpOf(std::span<const RegionFrame> frames) {
    std::vector<double> steps;
    for (std::size_t i = 1; i < frames.size(); ++i)
        steps.push_back(std::abs((frames[i].luma - frames[i - 1].luma).value()));
    return std::max(2 * kCode, 6 * middleOf(std::move(steps)));
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
    const double usual = middleOf(std::move(lengths));
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

// Values about their running mean over so many of them.
std::vector<double> aboutMean(const std::vector<double>& values, std::size_t over) {
    std::vector<double> about;
    for (std::size_t i = 0; i < values.size(); ++i) {
        const std::size_t half = std::min({over / 2, i, values.size() - 1 - i});
        double sum = 0;
        for (auto j = i - half; j <= i + half; ++j)
            sum += values[j];
        about.push_back(values[i] - sum / static_cast<double>(2 * half + 1));
    }
    // Near both ends the mean is of too few.
    const auto cut = static_cast<std::ptrdiff_t>(std::min(over / 2, values.size() / 4));
    about.erase(about.end() - cut, about.end());
    about.erase(about.begin(), about.begin() + cut);
    return about;
}

struct Line {
    double frequency = 0, amplitude = 0; // cycles a frame; of a cosine
};

// A vector that turns by the same angle each step.
struct Turning {
    double x = 1, y = 0, dx, dy;

    Turning(double angle, double from)
        : x(std::cos(from))
        , y(std::sin(from))
        , dx(std::cos(angle))
        , dy(std::sin(angle)) {}
    void step() {
        const double next = x * dx - y * dy;
        y = x * dy + y * dx;
        x = next;
    }
};

double amplitudeAt(std::span<const double> values, double cycles) {
    double real = 0, imaginary = 0, weights = 0;
    const double bin = 2 * std::numbers::pi / static_cast<double>(values.size());
    Turning line(2 * std::numbers::pi * cycles, 0), window(bin, bin / 2);
    for (const double value : values) {
        const double weight = 1 - window.x; // Hann
        real += weight * value * line.x;
        imaginary += weight * value * line.y;
        weights += weight;
        line.step();
        window.step();
    }
    const double both = cycles > 0.499 ? 1 : 2; // at half the rate the line meets its mirror
    return both * std::hypot(real, imaginary) / weights;
}

// Light of one place or of several strips of it, in stops about the middle.
using Tracks = std::vector<std::vector<double>>;

// Of the middle one of them: rows that are read at other moments do not cancel each other, and
// something that moves through some of them does not count.
double amplitudeAt(const Tracks& tracks, double cycles) {
    std::vector<double> amplitudes;
    for (const auto& track : tracks)
        amplitudes.push_back(amplitudeAt(std::span<const double>(track), cycles));
    return middleOf(std::move(amplitudes));
}

// The strongest line, looked for in steps of an eighth of a bin.
Line strongestLine(const Tracks& tracks, double slowest) {
    Line best;
    const int steps = static_cast<int>(tracks.front().size()) * 4;
    for (int step = 12; step <= steps; ++step) {
        const double cycles = 0.5 * step / steps;
        if (cycles < slowest)
            continue;
        const double amplitude = amplitudeAt(tracks, cycles);
        if (amplitude > best.amplitude)
            best = {cycles, amplitude};
    }
    return best;
}

// Of the variance about a straight line: what drifts is no pulsing.
double varianceOf(std::span<const double> values) {
    const auto count = static_cast<double>(values.size());
    double sum = 0, slope = 0, squares = 0;
    const double centre = (count - 1) / 2;
    for (std::size_t i = 0; i < values.size(); ++i) {
        const double at = static_cast<double>(i) - centre;
        sum += values[i];
        slope += values[i] * at;
        squares += at * at;
    }
    slope /= squares;
    double variance = 0;
    for (std::size_t i = 0; i < values.size(); ++i) {
        const double off = values[i] - sum / count - slope * (static_cast<double>(i) - centre);
        variance += off * off / count;
    }
    return variance;
}

Fraction shareOf(const Tracks& tracks, const Line& line) {
    std::vector<double> variances;
    for (const auto& track : tracks)
        variances.push_back(varianceOf(track));
    const double variance = middleOf(std::move(variances));
    const double own = line.amplitude * line.amplitude / 2;
    return Fraction(variance > 0 ? std::min(1.0, own / variance) : 0.0);
}

// The light of signals over time; nothing where one is at the curve's black.
template<class SignalOf>
std::optional<std::vector<double>> trackOf(std::span<const RegionFrame> frames, const Curve& curve,
                                           SignalOf signalOf) {
    std::vector<double> stops;
    for (const auto& frame : frames) {
        const double light = decode(curve, signalOf(frame)).value();
        if (!(light > 1e-6))
            return std::nullopt;
        stops.push_back(std::log2(light));
    }
    const double middle = middleOf(stops);
    for (auto& value : stops)
        value -= middle;
    return stops;
}

// A strip's way from frame to frame is that of the middle one of its columns: what moves covers
// fewer of them. Columns at the curve's black are left out.
std::optional<std::vector<double>> trackOfStrip(std::span<const RegionFrame> frames,
                                                const Curve& curve, std::size_t strip) {
    std::vector<std::vector<double>> columns;
    for (std::size_t c = 0; c < kStripColumns; ++c)
        if (auto track = trackOf(frames, curve,
                                 [&](const RegionFrame& frame) { return frame.strips[strip][c]; }))
            columns.push_back(*std::move(track));
    if (columns.empty())
        return std::nullopt;
    std::vector<double> track{0};
    for (std::size_t i = 1; i < frames.size(); ++i) {
        std::vector<double> steps;
        steps.reserve(columns.size());
        for (const auto& column : columns)
            steps.push_back(column[i] - column[i - 1]);
        track.push_back(track.back() + middleOf(std::move(steps)));
    }
    return track;
}

// The strips that all frames have and that are lit; the whole place where none is.
Tracks tracksOf(std::span<const RegionFrame> frames, const Curve& curve) {
    Tracks tracks;
    auto strips = frames.front().strips.size();
    for (const auto& frame : frames)
        strips = std::min(strips, frame.strips.size());
    for (std::size_t s = 0; s < strips; ++s)
        if (auto track = trackOfStrip(frames, curve, s))
            tracks.push_back(*std::move(track));
    if (tracks.empty())
        if (auto track =
                trackOf(frames, curve, [](const RegionFrame& frame) { return frame.luma; }))
            tracks.push_back(*std::move(track));
    return tracks;
}

// The line's phase in one strip, radians.
double phaseIn(std::span<const double> values, double cycles) {
    double real = 0, imaginary = 0;
    for (std::size_t i = 0; i < values.size(); ++i) {
        const double turn = 2 * std::numbers::pi * cycles * static_cast<double>(i);
        real += values[i] * std::cos(turn);
        imaginary -= values[i] * std::sin(turn);
    }
    return std::atan2(imaginary, real);
}

// How many turns the phase makes from the first strip to behind the last, when it turns evenly.
std::optional<double> bandsOf(const Tracks& tracks, std::size_t strips, double cycles) {
    if (strips < 4 || tracks.size() != strips || cycles > 0.499)
        return std::nullopt;
    std::vector<double> phases;
    for (const auto& track : tracks)
        phases.push_back(phaseIn(track, cycles));
    // The turn from strip to strip that explains them best.
    double best = 0, strongest = 0;
    constexpr double kFinest = 0.002, kMost = 0.5;
    for (double turn = -kMost; turn < kMost; turn += kFinest) {
        double real = 0, imaginary = 0;
        for (std::size_t s = 0; s < strips; ++s) {
            const double off = phases[s] - 2 * std::numbers::pi * turn * static_cast<double>(s);
            real += std::cos(off);
            imaginary += std::sin(off);
        }
        if (const double together = std::hypot(real, imaginary); together > strongest) {
            strongest = together;
            best = turn;
        }
    }
    return strongest >= kTogether * static_cast<double>(strips)
               ? std::optional(best * static_cast<double>(strips))
               : std::nullopt;
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

std::vector<Hertz> agreeingLamps(const RegionPulse& pulse, FrameRate rate, Seconds readout) {
    if (!pulse.bands || !(readout.value() > 0))
        return pulse.lamps;
    std::vector<Hertz> agreeing;
    for (const auto lamp : pulse.lamps) {
        // Above a multiple of the rate the line runs as the lamp does, below it the other way.
        const double k = std::round(lamp.value() / rate.toDouble());
        const double sign = lamp.value() >= k * rate.toDouble() ? 1 : -1;
        if (std::abs(sign * lamp.value() * readout.value() - *pulse.bands) < kBandsApart)
            agreeing.push_back(lamp);
    }
    return agreeing.empty() ? pulse.lamps : agreeing;
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
    const double usual = middleOf(std::move(lengths));
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

std::optional<RegionPulse> pulseOf(std::span<const RegionFrame> frames, const Curve& curve,
                                   FrameRate rate, Hertz slowest) {
    if (frames.size() < kFewestToPulse)
        return std::nullopt;
    auto tracks = tracksOf(frames, curve);
    if (tracks.empty())
        return std::nullopt;
    if (slowest > Hertz(0))
        for (auto& track : tracks)
            track = aboutMean(track, static_cast<std::size_t>(rate.toDouble() / slowest.value()));
    if (tracks.front().size() < kFewestToPulse)
        return std::nullopt;
    const auto line = strongestLine(tracks, slowest.value() / rate.toDouble());
    RegionPulse pulse{Stops(2 * line.amplitude),
                      Hertz(line.frequency * rate.toDouble()),
                      {},
                      shareOf(tracks, line),
                      bandsOf(tracks, frames.front().strips.size(), line.frequency)};
    if (pulse.peakToPeak < kVisible)
        return std::nullopt;
    for (int k = 1; k * rate.toDouble() - pulse.alias.value() <= kFastestLamp.value(); ++k)
        for (const double sign : {-1.0, 1.0}) {
            const Hertz lamp(k * rate.toDouble() + sign * pulse.alias.value());
            if (lamp >= kSlowestLamp && lamp <= kFastestLamp)
                pulse.lamps.push_back(lamp);
        }
    return pulse;
}

} // namespace bslate
