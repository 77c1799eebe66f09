#include "core/clip/region_pulse.h"

#include "core/base/median.h"
#include "core/cadence/pulse.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

constexpr std::size_t kFewestToPulse = 16;
constexpr double kTogether = 0.9, kBandsApart = 0.2;
constexpr Hertz kSlowestLamp{40}, kFastestLamp{500};

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
    return medianOf(std::move(amplitudes));
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
    const double variance = medianOf(std::move(variances));
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
    const double middle = medianOf(stops);
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
        track.push_back(track.back() + medianOf(std::move(steps)));
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

// Every lit column of every strip, for itself; empty without strips.
std::vector<Tracks> placesOf(std::span<const RegionFrame> frames, const Curve& curve) {
    std::vector<Tracks> places;
    auto strips = frames.front().strips.size();
    for (const auto& frame : frames)
        strips = std::min(strips, frame.strips.size());
    for (std::size_t s = 0; s < strips; ++s) {
        auto& place = places.emplace_back();
        for (std::size_t c = 0; c < kStripColumns; ++c)
            if (auto track = trackOf(frames, curve,
                                     [&](const RegionFrame& frame) { return frame.strips[s][c]; }))
                place.push_back(*std::move(track));
    }
    return places;
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

// Phases of a line in every place, by strip.
std::vector<std::vector<double>> phasesIn(const std::vector<Tracks>& places, double cycles) {
    std::vector<std::vector<double>> phases;
    for (const auto& strip : places) {
        auto& own = phases.emplace_back();
        for (const auto& track : strip)
            own.push_back(phaseIn(track, cycles));
    }
    return phases;
}

// How far all places turn as one, each strip by `turn` later than the one above.
double togetherAt(const std::vector<std::vector<double>>& phases, double turn) {
    double real = 0, imaginary = 0, count = 0;
    for (std::size_t s = 0; s < phases.size(); ++s)
        for (const double phase : phases[s]) {
            const double off = phase - 2 * std::numbers::pi * turn * static_cast<double>(s);
            real += std::cos(off);
            imaginary += std::sin(off);
            ++count;
        }
    return count > 0 ? std::hypot(real, imaginary) / count : 0;
}

// The same at the turn that explains them best: no more than a fifth from strip to strip.
Fraction togetherOf(const std::vector<Tracks>& places, double cycles) {
    constexpr double kMost = 0.2, kStep = 0.01;
    const auto phases = phasesIn(places, cycles);
    double best = 0;
    for (double turn = -kMost; turn <= kMost; turn += kStep)
        best = std::max(best, togetherAt(phases, turn));
    return Fraction(best);
}

// The strongest line with which the whole picture goes, where there is one: what moves in it may
// make a stronger one, but not everywhere alike.
std::optional<Line> lineOfAll(const Tracks& tracks, const std::vector<Tracks>& places,
                              double slowest) {
    constexpr double kAlike = 0.6;
    std::optional<Line> best;
    const int steps = static_cast<int>(tracks.front().size());
    for (int step = 2; step <= steps; ++step) {
        const double cycles = 0.5 * step / steps;
        if (cycles < slowest || togetherOf(places, cycles).value() < kAlike)
            continue;
        const double amplitude = amplitudeAt(tracks, cycles);
        if (!best || amplitude > best->amplitude)
            best = Line{cycles, amplitude};
    }
    if (!best)
        return best;
    // Between the steps, where it is strongest.
    const Line about = *best;
    for (int part = -8; part <= 8; ++part) {
        const double cycles = about.frequency + 0.5 * part / (8.0 * steps);
        if (cycles < slowest || cycles > 0.5)
            continue;
        if (const double amplitude = amplitudeAt(tracks, cycles); amplitude > best->amplitude)
            best = Line{cycles, amplitude};
    }
    return best;
}

// How far a line stands over the middle one of the others, two bins from it and from its double.
Magnification overOthers(const Tracks& tracks, const Line& line, double slowest) {
    const auto count = static_cast<double>(tracks.front().size());
    const auto apart = [&](double a, double b) { return std::abs(a - b) * count > 2; };
    double twice = std::fmod(2 * line.frequency, 1.0);
    twice = std::min(twice, 1 - twice);
    std::vector<double> others;
    for (int bin = 1; bin <= static_cast<int>(count) / 2; ++bin) {
        const double cycles = bin / count;
        if (cycles >= slowest && apart(cycles, line.frequency) && apart(cycles, twice))
            others.push_back(amplitudeAt(tracks, cycles));
    }
    const double middle = others.empty() ? 0 : medianOf(std::move(others));
    return Magnification(middle > 0 ? line.amplitude / middle : 1e3);
}

// How far a line stands over those two to six bins beside it: a change that happens once has lines
// everywhere, and the slowest are the strongest.
Magnification aloneAmong(const Tracks& tracks, const Line& line) {
    const auto count = static_cast<double>(tracks.front().size());
    double most = 0;
    for (const double bins : {-6.0, -4.5, -3.0, 3.0, 4.5, 6.0})
        if (const double cycles = line.frequency + bins / count; cycles > 0 && cycles <= 0.5)
            most = std::max(most, amplitudeAt(tracks, cycles));
    return Magnification(most > 0 ? line.amplitude / most : 1e3);
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

std::vector<Hertz> agreeingLamps(const RegionPulse& pulse, FrameRate rate, Seconds readout) {
    if (!pulse.bands || !(readout.value() > 0))
        return pulse.lamps;
    std::vector<Hertz> agreeing;
    for (const auto lamp : pulse.lamps) {
        // Above a multiple of the rate the line runs as the lamp does, below it the other way.
        const double k = std::round(lamp.value() / rate.toDouble());
        const double sign = lamp.value() >= k * rate.toDouble() ? 1 : -1;
        const double expected = lamp.value() * readout.value();
        if (std::abs(sign * expected - *pulse.bands) < kBandsApart + kReadoutOff.value() * expected)
            agreeing.push_back(lamp);
    }
    const auto off = [&](Hertz lamp) {
        return std::abs(lamp.value() * readout.value() - std::abs(*pulse.bands));
    };
    std::stable_sort(agreeing.begin(), agreeing.end(),
                     [&](Hertz a, Hertz b) { return off(a) < off(b); });
    return agreeing.empty() ? pulse.lamps : agreeing;
}

std::optional<RegionPulse> pulseOf(std::span<const RegionFrame> frames, const Curve& curve,
                                   FrameRate rate, Hertz slowest) {
    if (frames.size() < kFewestToPulse)
        return std::nullopt;
    auto tracks = tracksOf(frames, curve);
    if (tracks.empty())
        return std::nullopt;
    auto places = placesOf(frames, curve);
    const auto level = [&](std::vector<double>& track) {
        if (slowest > Hertz(0))
            track = aboutMean(track, static_cast<std::size_t>(rate.toDouble() / slowest.value()));
    };
    for (auto& track : tracks)
        level(track);
    for (auto& place : places)
        for (auto& track : place)
            level(track);
    if (tracks.front().size() < kFewestToPulse)
        return std::nullopt;
    const double least = slowest.value() / rate.toDouble();
    const auto ofAll = places.empty() ? std::nullopt : lineOfAll(tracks, places, least);
    const auto line = ofAll ? *ofAll : strongestLine(tracks, least);
    RegionPulse pulse{Stops(2 * line.amplitude),
                      Hertz(line.frequency * rate.toDouble()),
                      {},
                      shareOf(tracks, line),
                      Fraction(1),
                      aloneAmong(tracks, line),
                      overOthers(tracks, line, least),
                      Hertz(rate.toDouble() / (2 * static_cast<double>(tracks.front().size()))),
                      bandsOf(tracks, frames.front().strips.size(), line.frequency)};
    if (!places.empty())
        pulse.together = togetherOf(places, line.frequency);
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
