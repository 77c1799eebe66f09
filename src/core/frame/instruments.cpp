#include "core/frame/instruments.h"

#include "core/base/wide.h"

#include <algorithm>
#include <cmath>
#include <mutex>

namespace bslate {
namespace {

// The lowest code whose level is at least `level`.
int codeFrom(Level level, BitDepth depth) {
    const int top = (1 << depth.bits) - 1;
    const Level low = levelOfCode(0, depth), high = levelOfCode(top, depth);
    const double code = (level - low).value() / (high - low).value() * top;
    return static_cast<int>(std::ceil(code - 1e-9));
}

// Steps of a column that are counted: every code, up to 10 bits.
constexpr int kMostFineBits = 10;

// What a row is counted by, worked out for all of its pixels at once.
struct RowPlaces {
    std::vector<std::uint16_t> luma;
    std::vector<std::uint16_t> colour; // rows of red's difference, columns of blue's
    explicit RowPlaces(std::size_t width)
        : luma(width)
        , colour(width) {}
};

struct Steps {
    std::uint32_t red, green, blue; // of luma, in 65536ths
    double perBlue, perRed;         // codes of difference to steps of the colour picture
};

template<class Real>
[[gnu::always_inline]] inline void
placesIn(const Steps& by, const std::uint16_t* __restrict red,
         const std::uint16_t* __restrict green, const std::uint16_t* __restrict blue,
         std::uint16_t* __restrict lumas, std::uint16_t* __restrict colours, std::size_t count) {
    const std::uint32_t ofRed = by.red, ofGreen = by.green, ofBlue = by.blue;
    const auto perBlue = static_cast<Real>(by.perBlue), perRed = static_cast<Real>(by.perRed);
    constexpr Real kMiddle{128.5};
    for (std::size_t i = 0; i < count; ++i) {
        const std::uint32_t luma =
            (ofRed * red[i] + ofGreen * green[i] + ofBlue * blue[i] + (1u << 15)) >> 16;
        lumas[i] = static_cast<std::uint16_t>(luma);
        const auto own = static_cast<std::int32_t>(luma);
        const auto step = [own](std::uint16_t code, Real per) {
            const Real at = static_cast<Real>(static_cast<std::int32_t>(code) - own) * per;
            return std::min(std::max(static_cast<std::int32_t>(at + kMiddle), 0), 255);
        };
        const std::int32_t column = step(blue[i], perBlue), row = step(red[i], perRed);
        colours[i] = static_cast<std::uint16_t>(row * 256 + column);
    }
}

// Up to kMostQuickBits, where single precision puts every difference into the same step.
BSLATE_WIDE void quickPlaces(const Steps& by, const std::uint16_t* red, const std::uint16_t* green,
                             const std::uint16_t* blue, std::uint16_t* lumas,
                             std::uint16_t* colours, std::size_t count) {
    placesIn<float>(by, red, green, blue, lumas, colours, count);
}
BSLATE_WIDE void exactPlaces(const Steps& by, const std::uint16_t* red, const std::uint16_t* green,
                             const std::uint16_t* blue, std::uint16_t* lumas,
                             std::uint16_t* colours, std::size_t count) {
    placesIn<double>(by, red, green, blue, lumas, colours, count);
}
constexpr int kMostQuickBits = 12;

// Everything that is the same for each pixel.
struct Counting {
    const CodeFrame& frame;
    InstrumentWish wish;
    Steps steps;
    int top, fineShift, fineLevels;
    std::vector<int> starts; // the first pixel of each column, and behind the last one

    Counting(const CodeFrame& of, const InstrumentWish& asked)
        : frame(of)
        , wish(asked)
        , top((1 << of.depth.bits) - 1)
        , fineShift(std::max(0, of.depth.bits - kMostFineBits))
        , fineLevels(1 << std::min(of.depth.bits, kMostFineBits)) {
        const int width = of.codes.size.width;
        wish.columns = std::clamp(wish.columns, 1, std::max(1, width));
        const LumaCoder coder(asked.weights);
        const double step = 255.0 / top;
        steps = {coder.red(), coder.green(), coder.blue(), step / (2 * (1 - asked.weights.blue)),
                 step / (2 * (1 - asked.weights.red))};
        for (int column = 0; column <= wish.columns; ++column)
            starts.push_back(static_cast<int>(
                (static_cast<long long>(column) * width + wish.columns - 1) / wish.columns));
    }
    // Rows that can be counted in 16 bits.
    [[nodiscard]] int mostRows() const {
        return std::max(1, 65535 / (frame.codes.size.width / wish.columns + 1));
    }
};

BSLATE_WIDE void addTo(std::uint32_t* __restrict into, const std::uint32_t* __restrict more,
                       std::size_t count) {
    for (std::size_t i = 0; i < count; ++i)
        into[i] += more[i];
}

// The four counts of a level lie together: of a pixel without colour they are in one line of the
// cache, and never a multiple of 4096 bytes apart, which would keep each waiting for the others.
constexpr std::size_t kChannels = 4;

// As many columns of a waveform are counted at once as a core's second cache holds with the
// colours.
constexpr int kStripColumns = 128;

// What one thread counts of its own columns: 16 bits wide while rows are counted, and moved on to
// the sums before they overflow.
struct StripCounts {
    std::vector<std::uint16_t> fine;                 // by column of the strip, level, channel
    std::array<std::vector<std::uint32_t>, 4> codes; // by channel: each code
    std::vector<std::uint32_t> colour;

    explicit StripCounts(const Counting& by)
        : fine(kChannels * kStripColumns * static_cast<std::size_t>(by.fineLevels))
        , colour(std::size_t{256} * 256) {
        for (auto& own : codes)
            own.resize(static_cast<std::size_t>(by.top) + 1);
    }
};

// The pixels of one column of one row: spelled out, since this is what all the time goes into.
template<bool Shifted>
void countColumn(const std::array<const std::uint16_t*, 4>& all, const std::uint16_t* colours,
                 int shift, std::size_t first, std::size_t behind, std::uint16_t* fine,
                 std::uint32_t* colour) {
    const auto place = [shift](std::uint16_t code) {
        return kChannels * static_cast<std::size_t>(Shifted ? code >> shift : code);
    };
    for (std::size_t x = first; x < behind; ++x) {
        ++fine[place(all[0][x])];
        ++fine[place(all[1][x]) + 1];
        ++fine[place(all[2][x]) + 2];
        ++fine[place(all[3][x]) + 3];
        ++colour[colours[x]];
    }
}

// Columns of the waveform, and the pixels of each row that are counted in them.
struct Strip {
    int first, behind;
};

void countRow(const Counting& by, int y, Strip strip, RowPlaces& places, StripCounts& into) {
    const auto left = static_cast<std::size_t>(by.starts[static_cast<std::size_t>(strip.first)]);
    const auto right = static_cast<std::size_t>(by.starts[static_cast<std::size_t>(strip.behind)]);
    const auto start = by.frame.codes.at(0, y) + left;
    std::array<const std::uint16_t*, 4> all{places.luma.data()};
    for (std::size_t c = 0; c < 3; ++c)
        all[c + 1] = by.frame.codes.plane[c].data() + start;
    const auto placesOf = by.frame.depth.bits <= kMostQuickBits ? quickPlaces : exactPlaces;
    placesOf(by.steps, all[1], all[2], all[3], places.luma.data(), places.colour.data(),
             right - left);
    const auto count = by.fineShift > 0 ? countColumn<true> : countColumn<false>;
    auto* fine = into.fine.data();
    for (auto column = static_cast<std::size_t>(strip.first);
         column < static_cast<std::size_t>(strip.behind); ++column) {
        count(all, places.colour.data(), by.fineShift,
              static_cast<std::size_t>(by.starts[column]) - left,
              static_cast<std::size_t>(by.starts[column + 1]) - left, fine, into.colour.data());
        fine += kChannels * static_cast<std::size_t>(by.fineLevels);
    }
    if (by.fineShift > 0)
        for (std::size_t c = 0; c < kChannels; ++c)
            for (std::size_t x = 0; x < right - left; ++x)
                ++into.codes[c][all[c][x]];
}

// A strip's counts are added to its columns of the waveforms, and to the histograms where each
// level is a code; they are zero again then.
void sumUp(const Counting& by, Strip strip, StripCounts& counts, Instruments& all) {
    const auto levels = static_cast<std::size_t>(by.fineLevels);
    const int coarser = std::min(by.frame.depth.bits, kMostFineBits) - 8;
    auto* own = counts.fine.data();
    for (auto column = static_cast<std::size_t>(strip.first);
         column < static_cast<std::size_t>(strip.behind); ++column)
        for (std::size_t level = 0; level < levels; ++level)
            for (std::size_t c = 0; c < kChannels; ++c, ++own) {
                all.waveform[c].counts[column * kWaveLevels + (level >> coarser)] += *own;
                if (by.fineShift == 0)
                    counts.codes[c][level] += *own;
                *own = 0;
            }
}

void countStrip(const Counting& by, Strip strip, RowPlaces& places, StripCounts& counts,
                Instruments& all) {
    const int most = by.mostRows();
    for (int y = 0; y < by.frame.codes.size.height; ++y) {
        countRow(by, y, strip, places, counts);
        if (y % most == most - 1)
            sumUp(by, strip, counts, all);
    }
    sumUp(by, strip, counts, all);
}

// What is read off the histograms.
void readHistograms(const Counting& by, Instruments& all) {
    for (std::size_t c = 0; c < 3; ++c)
        all.atTop[c] = all.histogram[c + 1].back();
    const auto& lumas = all.histogram[0];
    for (std::size_t code = 0; code < lumas.size(); ++code) {
        all.pixels += lumas[code];
        all.lumaSum += static_cast<double>(code) * lumas[code];
    }
    if (!by.wish.zebra)
        return;
    const auto depth = by.frame.depth;
    const int behind = codeFrom(by.wish.zebra->to, depth);
    const bool on = levelOfCode(behind, depth) <= by.wish.zebra->to + Level(1e-9);
    const int last = std::min(by.top, on ? behind : behind - 1);
    for (int code = std::max(0, codeFrom(by.wish.zebra->from, depth)); code <= last; ++code)
        all.zebra += lumas[static_cast<std::size_t>(code)];
}

} // namespace

Instruments measure(const CodeFrame& frame, const InstrumentWish& wish) {
    const Counting by(frame, wish);
    Instruments all;
    for (std::size_t c = 0; c < kChannels; ++c) {
        all.waveform[c].columns = by.wish.columns;
        all.waveform[c].counts.resize(static_cast<std::size_t>(by.wish.columns) * kWaveLevels);
        all.histogram[c].resize(static_cast<std::size_t>(by.top) + 1);
    }
    all.colour.counts.resize(std::size_t{256} * 256);
    std::mutex adding;
    overCores(by.wish.columns, [&](int first, int behind) {
        StripCounts own(by);
        RowPlaces places(static_cast<std::size_t>(frame.codes.size.width));
        for (int from = first; from < behind; from += kStripColumns)
            countStrip(by, {from, std::min(from + kStripColumns, behind)}, places, own, all);
        const std::lock_guard lock(adding);
        for (std::size_t c = 0; c < kChannels; ++c)
            addTo(all.histogram[c].data(), own.codes[c].data(), own.codes[c].size());
        addTo(all.colour.counts.data(), own.colour.data(), own.colour.size());
    });
    readHistograms(by, all);
    return all;
}

Level meanLevel(const Instruments& instruments, BitDepth depth) {
    const double pixels = static_cast<double>(std::max<std::uint64_t>(1, instruments.pixels));
    return levelOfCode(instruments.lumaSum / pixels, depth);
}

std::vector<ProbeReading> probed(const CodeFrame& frame, const Curve& curve,
                                 const LumaWeights& weights, std::span<const Probe> probes) {
    const auto light = lightOfCodes(curve, frame.depth);
    const LumaCoder coder(weights);
    std::vector<ProbeReading> readings;
    for (const auto& probe : probes) {
        const auto box = pixelsOf(probe.area, frame.codes.size);
        double sums[3] = {}, lumas = 0, lights = 0, count = 0;
        for (int y = box.top; y < box.bottom; ++y)
            for (int x = box.left; x < box.right; ++x) {
                const auto at = frame.codes.at(x, y);
                const int rgb[] = {frame.codes.plane[0][at], frame.codes.plane[1][at],
                                   frame.codes.plane[2][at]};
                for (std::size_t c = 0; c < 3; ++c)
                    sums[c] += rgb[c];
                lumas += coder(frame.codes.plane[0][at], frame.codes.plane[1][at],
                               frame.codes.plane[2][at]);
                lights += weights.red * light[static_cast<std::size_t>(rgb[0])].value() +
                          weights.green * light[static_cast<std::size_t>(rgb[1])].value() +
                          weights.blue * light[static_cast<std::size_t>(rgb[2])].value();
                ++count;
            }
        ProbeReading reading{probe.name,
                             levelOfCode(lumas / count, frame.depth),
                             {},
                             stopsOf(SceneLinear(lights / count))};
        for (std::size_t c = 0; c < 3; ++c)
            reading.channels[c] = levelOfCode(sums[c] / count, frame.depth);
        readings.push_back(std::move(reading));
    }
    return readings;
}

} // namespace bslate
