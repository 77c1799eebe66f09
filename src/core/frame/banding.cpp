#include "core/frame/banding.h"

#include "core/facts/precision.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>

namespace bslate {
namespace {

constexpr int kTile = 32;
constexpr std::size_t kBins = 16;                                    // of what it spans
constexpr double kLeastSpan = 0.5, kMostSpan = 48, kMostBend = 0.25; // display codes
constexpr double kBlack = 2, kWhite = 250, kSame = 0.05;
// Noise of half a step, and what rounding to steps adds to it: sqrt(1/4 + 1/12).
constexpr double kHiding = 0.577;

// Luma in display codes, row by row.
std::vector<float> displayLuma(const Image& picture) {
    std::vector<float> luma(picture.size.pixels());
    for (std::size_t i = 0; i < luma.size(); ++i)
        luma[i] = 255 * (0.2126f * picture.plane[0][i] + 0.7152f * picture.plane[1][i] +
                         0.0722f * picture.plane[2][i]);
    return luma;
}

struct Tile {
    const std::vector<float>& luma;
    std::size_t start, width; // of its first pixel; of a row

    [[nodiscard]] double at(int x, int y) const {
        return luma[start + static_cast<std::size_t>(y) * width + static_cast<std::size_t>(x)];
    }
};

struct Span {
    double low, high;
};

// What a smooth tile spans; none of another.
std::optional<Span> smoothSpan(const Tile& tile) {
    Span span{tile.at(0, 0), tile.at(0, 0)};
    for (int y = 0; y < kTile; ++y)
        for (int x = 0; x < kTile; ++x) {
            const double here = tile.at(x, y);
            span = {std::min(span.low, here), std::max(span.high, here)};
            const double across = x < 2 ? 0 : here - 2 * tile.at(x - 1, y) + tile.at(x - 2, y);
            const double down = y < 2 ? 0 : here - 2 * tile.at(x, y - 1) + tile.at(x, y - 2);
            if (std::max(std::abs(across), std::abs(down)) > kMostBend)
                return std::nullopt;
        }
    const double wide = span.high - span.low;
    const bool fits =
        wide >= kLeastSpan && wide <= kMostSpan && span.low > kBlack && span.high < kWhite;
    return fits ? std::optional(span) : std::nullopt;
}

// How much pixels of about the same light differ: their standard deviation.
double spreadOf(const Tile& light, const Tile& seen, const Span& span) {
    struct Bin {
        double count = 0, sum = 0, squares = 0;
    };
    std::array<Bin, kBins> bins;
    for (int y = 0; y < kTile; ++y)
        for (int x = 0; x < kTile; ++x) {
            const double place = (light.at(x, y) - span.low) / (span.high - span.low) * kBins;
            auto& bin = bins[std::min(kBins - 1, static_cast<std::size_t>(std::max(0.0, place)))];
            ++bin.count;
            bin.sum += seen.at(x, y);
            bin.squares += seen.at(x, y) * seen.at(x, y);
        }
    double variance = 0;
    for (const auto& bin : bins)
        if (bin.count > 0)
            variance += std::max(0.0, bin.squares - bin.sum * bin.sum / bin.count);
    return std::sqrt(variance / (kTile * kTile));
}

// The usual jump from one pixel to the next where there is one, across or down; 0 where there are
// not enough to make a line.
double jumpOf(const Tile& seen) {
    std::vector<double> jumps;
    const auto note = [&](double jump) {
        if (std::abs(jump) > kSame)
            jumps.push_back(std::abs(jump));
    };
    for (int a = 0; a < kTile; ++a)
        for (int b = 1; b < kTile; ++b) {
            note(seen.at(b, a) - seen.at(b - 1, a));
            note(seen.at(a, b) - seen.at(a, b - 1));
        }
    if (jumps.size() < kTile)
        return 0;
    const auto middle = jumps.begin() + static_cast<std::ptrdiff_t>(jumps.size() / 2);
    std::nth_element(jumps.begin(), middle, jumps.end());
    return *middle;
}

} // namespace

Banding bandingOf(const Image& shown, const Image& smooth, double factor) {
    Banding banding;
    banding.mask.resize(shown.size.pixels());
    if (shown.size.pixels() == 0 || !(shown.size == smooth.size))
        return banding;
    const auto seen = displayLuma(shown), light = displayLuma(smooth);
    const auto width = static_cast<std::size_t>(shown.size.width);
    double sum = 0;
    int tiles = 0;
    for (int y = 0; y + kTile <= shown.size.height; y += kTile)
        for (int x = 0; x + kTile <= shown.size.width; x += kTile) {
            const auto start = shown.at(x, y);
            const Tile ideal{light, start, width};
            const auto span = smoothSpan(ideal);
            if (!span)
                continue;
            const Tile tile{seen, start, width};
            const double step = jumpOf(tile);
            if (step * factor <= kVisibleStep || spreadOf(ideal, tile, *span) > kHiding * step)
                continue;
            sum += step;
            ++tiles;
            for (int row = 0; row < kTile; ++row)
                std::fill_n(banding.mask.begin() +
                                static_cast<std::ptrdiff_t>(shown.at(x, y + row)),
                            kTile, std::uint8_t{1});
        }
    if (tiles > 0)
        banding.step = sum / tiles;
    banding.area = shareOf(banding.mask);
    return banding;
}

} // namespace bslate
