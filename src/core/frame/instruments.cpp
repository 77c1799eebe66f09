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
    constexpr Real kMiddle{128.5}, kMost{255};
    for (std::size_t i = 0; i < count; ++i) {
        const std::uint32_t luma =
            (ofRed * red[i] + ofGreen * green[i] + ofBlue * blue[i] + (1u << 15)) >> 16;
        lumas[i] = static_cast<std::uint16_t>(luma);
        const auto own = static_cast<std::int32_t>(luma);
        const Real b = static_cast<Real>(static_cast<std::int32_t>(blue[i]) - own) * perBlue;
        const Real r = static_cast<Real>(static_cast<std::int32_t>(red[i]) - own) * perRed;
        const auto column =
            static_cast<std::int32_t>(std::min(std::max(b + kMiddle, Real{0}), kMost));
        const auto row = static_cast<std::int32_t>(std::min(std::max(r + kMiddle, Real{0}), kMost));
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

BSLATE_WIDE void moveTo(std::uint32_t* __restrict into, std::uint16_t* __restrict from,
                        std::size_t count) {
    for (std::size_t i = 0; i < count; ++i) {
        into[i] += from[i];
        from[i] = 0;
    }
}

// Luma, red, green, blue of each column, and colours.
template<class Fine>
struct Counts {
    std::array<std::vector<Fine>, 4> fine;
    std::array<std::vector<std::uint32_t>, 4> codes; // of depths with more than the fine levels
    std::vector<std::uint32_t> colour;

    explicit Counts(const Counting& by)
        : colour(std::size_t{256} * 256) {
        for (std::size_t c = 0; c < 4; ++c) {
            fine[c].resize(static_cast<std::size_t>(by.wish.columns) *
                           static_cast<std::size_t>(by.fineLevels));
            if (by.fineShift > 0)
                codes[c].resize(static_cast<std::size_t>(by.top) + 1);
        }
    }
};

// What one thread counts, moved on to what all have counted before 16 bits overflow.
using BandCounts = Counts<std::uint16_t>;

struct AllCounts : Counts<std::uint32_t> {
    std::mutex adding;

    explicit AllCounts(const Counting& by)
        : Counts(by) {}
    void takeFine(BandCounts& band) {
        const std::lock_guard lock(adding);
        for (std::size_t c = 0; c < 4; ++c)
            moveTo(fine[c].data(), band.fine[c].data(), fine[c].size());
    }
    void take(BandCounts& band) {
        takeFine(band);
        const std::lock_guard lock(adding);
        for (std::size_t c = 0; c < 4; ++c)
            addTo(codes[c].data(), band.codes[c].data(), codes[c].size());
        addTo(colour.data(), band.colour.data(), colour.size());
    }
};

// The pixels of one column of one row: spelled out, since this is what all the time goes into.
void countColumn(const std::array<const std::uint16_t*, 4>& all, const std::uint16_t* colours,
                 int shift, std::size_t first, std::size_t behind, std::size_t place,
                 BandCounts& into) {
    std::uint16_t* const luma = into.fine[0].data() + place;
    std::uint16_t* const red = into.fine[1].data() + place;
    std::uint16_t* const green = into.fine[2].data() + place;
    std::uint16_t* const blue = into.fine[3].data() + place;
    std::uint32_t* const colour = into.colour.data();
    for (std::size_t x = first; x < behind; ++x) {
        ++luma[all[0][x] >> shift];
        ++red[all[1][x] >> shift];
        ++green[all[2][x] >> shift];
        ++blue[all[3][x] >> shift];
        ++colour[colours[x]];
    }
}

void countRow(const Counting& by, int y, RowPlaces& places, BandCounts& into) {
    const auto start = by.frame.codes.at(0, y);
    const auto width = static_cast<std::size_t>(by.frame.codes.size.width);
    std::array<const std::uint16_t*, 4> all{places.luma.data()};
    for (std::size_t c = 0; c < 3; ++c)
        all[c + 1] = by.frame.codes.plane[c].data() + start;
    const auto placesOf = by.frame.depth.bits <= kMostQuickBits ? quickPlaces : exactPlaces;
    placesOf(by.steps, all[1], all[2], all[3], places.luma.data(), places.colour.data(), width);
    for (std::size_t column = 0; column + 1 < by.starts.size(); ++column)
        countColumn(all, places.colour.data(), by.fineShift,
                    static_cast<std::size_t>(by.starts[column]),
                    static_cast<std::size_t>(by.starts[column + 1]),
                    column * static_cast<std::size_t>(by.fineLevels), into);
    if (by.fineShift > 0)
        for (std::size_t c = 0; c < 4; ++c)
            for (std::size_t x = 0; x < width; ++x)
                ++into.codes[c][all[c][x]];
}

// Histograms, and waveforms of kWaveLevels, are sums of what was counted; the rest is read off
// the histograms.
Instruments instrumentsOf(const Counting& by, AllCounts& counts) {
    Instruments all;
    const auto levels = static_cast<std::size_t>(by.fineLevels);
    const int coarser = std::min(by.frame.depth.bits, kMostFineBits) - 8;
    for (std::size_t c = 0; c < 4; ++c) {
        all.waveform[c].columns = by.wish.columns;
        all.waveform[c].counts.resize(static_cast<std::size_t>(by.wish.columns) * kWaveLevels);
        std::vector<std::uint32_t> sums(levels);
        for (std::size_t column = 0; column < static_cast<std::size_t>(by.wish.columns); ++column) {
            const auto* own = counts.fine[c].data() + column * levels;
            auto* wave = all.waveform[c].counts.data() + column * kWaveLevels;
            addTo(sums.data(), own, levels);
            for (std::size_t level = 0; level < levels; ++level)
                wave[level >> coarser] += own[level];
        }
        all.histogram[c] = by.fineShift > 0 ? std::move(counts.codes[c]) : std::move(sums);
    }
    all.colour.counts = std::move(counts.colour);
    for (std::size_t c = 0; c < 3; ++c)
        all.atTop[c] = all.histogram[c + 1].back();
    const auto& lumas = all.histogram[0];
    for (std::size_t code = 0; code < lumas.size(); ++code) {
        all.pixels += lumas[code];
        all.lumaSum += static_cast<double>(code) * lumas[code];
    }
    if (!by.wish.zebra)
        return all;
    const auto depth = by.frame.depth;
    const int behind = codeFrom(by.wish.zebra->to, depth);
    const bool on = levelOfCode(behind, depth) <= by.wish.zebra->to + Level(1e-9);
    const int last = std::min(by.top, on ? behind : behind - 1);
    for (int code = std::max(0, codeFrom(by.wish.zebra->from, depth)); code <= last; ++code)
        all.zebra += lumas[static_cast<std::size_t>(code)];
    return all;
}

} // namespace

Instruments measure(const CodeFrame& frame, const InstrumentWish& wish) {
    const Counting by(frame, wish);
    AllCounts all(by);
    overCores(frame.codes.size.height, [&](int first, int behind) {
        BandCounts own(by);
        RowPlaces places(static_cast<std::size_t>(frame.codes.size.width));
        const int most = by.mostRows();
        for (int y = first; y < behind; ++y) {
            countRow(by, y, places, own);
            if ((y - first) % most == most - 1)
                all.takeFine(own);
        }
        all.take(own);
    });
    return instrumentsOf(by, all);
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
