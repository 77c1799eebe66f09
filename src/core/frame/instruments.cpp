#include "core/frame/instruments.h"

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

// Everything that is the same for each pixel.
struct Scale {
    const CodeFrame& frame;
    InstrumentWish wish;
    LumaCoder luma;
    int top, shift, zebraFrom = 0, zebraTo = -1;
    double toBlue, toRed; // from a difference of codes to steps of the colour picture

    Scale(const CodeFrame& of, const InstrumentWish& asked)
        : frame(of)
        , wish(asked)
        , luma(asked.weights)
        , top((1 << of.depth.bits) - 1)
        , shift(of.depth.bits - 8) {
        wish.columns = std::clamp(wish.columns, 1, std::max(1, of.codes.size.width));
        if (wish.zebra) {
            zebraFrom = codeFrom(wish.zebra->from, of.depth);
            const int behind = codeFrom(wish.zebra->to, of.depth);
            const bool on = levelOfCode(behind, of.depth) <= wish.zebra->to + Level(1e-9);
            zebraTo = on ? behind : behind - 1;
        }
        const double step = 255.0 / top;
        toBlue = step / (2 * (1 - wish.weights.blue));
        toRed = step / (2 * (1 - wish.weights.red));
    }

    [[nodiscard]] static int difference(double over, double scale) {
        return std::clamp(static_cast<int>(std::floor(over * scale + 128.5)), 0, 255);
    }
};

Instruments emptyOf(const Scale& scale) {
    Instruments empty;
    for (std::size_t c = 0; c < 4; ++c) {
        empty.histogram[c].resize(static_cast<std::size_t>(scale.top) + 1);
        empty.waveform[c].columns = scale.wish.columns;
        empty.waveform[c].counts.resize(static_cast<std::size_t>(scale.wish.columns) * kWaveLevels);
    }
    empty.colour.counts.resize(std::size_t{256} * 256);
    return empty;
}

void countRow(const Scale& scale, int y, Instruments& into, std::vector<std::size_t>& columns) {
    const auto& codes = scale.frame.codes;
    const auto start = codes.at(0, y);
    std::uint64_t lumas = 0;
    for (std::size_t x = 0; x < static_cast<std::size_t>(codes.size.width); ++x) {
        const int red = codes.plane[0][start + x], green = codes.plane[1][start + x],
                  blue = codes.plane[2][start + x];
        const int luma = scale.luma(codes.plane[0][start + x], codes.plane[1][start + x],
                                    codes.plane[2][start + x]);
        const std::size_t column = columns[x];
        const int all[] = {luma, red, green, blue};
        for (std::size_t c = 0; c < 4; ++c) {
            ++into.histogram[c][static_cast<std::size_t>(all[c])];
            ++into.waveform[c].counts[column + static_cast<std::size_t>(all[c] >> scale.shift)];
        }
        const auto b = Scale::difference(blue - luma, scale.toBlue);
        const auto r = Scale::difference(red - luma, scale.toRed);
        ++into.colour.counts[static_cast<std::size_t>(r) * 256 + static_cast<std::size_t>(b)];
        into.zebra += luma >= scale.zebraFrom && luma <= scale.zebraTo;
        into.atTop[0] += red == scale.top;
        into.atTop[1] += green == scale.top;
        into.atTop[2] += blue == scale.top;
        lumas += static_cast<std::uint64_t>(luma);
    }
    into.lumaSum += static_cast<double>(lumas);
    into.pixels += static_cast<std::uint64_t>(codes.size.width);
}

template<class Counts>
void addCounts(Counts& into, const Counts& more) {
    for (std::size_t i = 0; i < into.size(); ++i)
        into[i] += more[i];
}

void add(Instruments& into, const Instruments& more) {
    for (std::size_t c = 0; c < 4; ++c) {
        addCounts(into.histogram[c], more.histogram[c]);
        addCounts(into.waveform[c].counts, more.waveform[c].counts);
    }
    addCounts(into.colour.counts, more.colour.counts);
    addCounts(into.atTop, more.atTop);
    into.zebra += more.zebra;
    into.pixels += more.pixels;
    into.lumaSum += more.lumaSum; // whole numbers: in any order the same
}

} // namespace

Instruments measure(const CodeFrame& frame, const InstrumentWish& wish) {
    const Scale scale(frame, wish);
    const int width = frame.codes.size.width;
    std::vector<std::size_t> columns(static_cast<std::size_t>(width));
    for (int x = 0; x < width; ++x)
        columns[static_cast<std::size_t>(x)] =
            static_cast<std::size_t>(static_cast<long long>(x) * scale.wish.columns / width) *
            kWaveLevels;
    Instruments all = emptyOf(scale);
    std::mutex adding;
    overRows(frame.codes.size.height, [&](int first, int behind) {
        Instruments own = emptyOf(scale);
        auto places = columns;
        for (int y = first; y < behind; ++y)
            countRow(scale, y, own, places);
        const std::lock_guard lock(adding);
        add(all, own);
    });
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
