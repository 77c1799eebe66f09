#include "core/frame/likeness.h"

#include "core/frame/code_frame.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>

namespace bslate {
namespace {

constexpr int kWindow = 8, kStride = 4;
constexpr double kLightTerm = 0.01 * 0.01, kContrastTerm = 0.03 * 0.03;

struct WindowSums {
    double a = 0, b = 0, aa = 0, bb = 0, ab = 0;

    void add(double x, double y) {
        a += x;
        b += y;
        aa += x * x;
        bb += y * y;
        ab += x * y;
    }
    [[nodiscard]] double index(double count) const {
        const double free = std::max(1.0, count - 1);
        const double meanA = a / count, meanB = b / count;
        const double spread = (aa - a * meanA + bb - b * meanB) / free;
        const double shared = (ab - a * meanB) / free;
        return (2 * meanA * meanB + kLightTerm) * (2 * shared + kContrastTerm) /
               ((meanA * meanA + meanB * meanB + kLightTerm) * (spread + kContrastTerm));
    }
};

std::vector<float> lumaPlane(const Image& picture) {
    const LumaWeights w;
    std::vector<float> luma(picture.size.pixels());
    overRows(picture.size.height, [&](int first, int behind) {
        for (auto i = picture.at(0, first); i < picture.at(0, behind); ++i)
            luma[i] =
                static_cast<float>(w.red * picture.plane[0][i] + w.green * picture.plane[1][i] +
                                   w.blue * picture.plane[2][i]);
    });
    return luma;
}

int windowsAlong(int side) {
    return side < kWindow ? 1 : (side - kWindow) / kStride + 1;
}

// One sum a row, so that how rows are divided changes nothing.
double meanOfRows(int rows, double count, const std::function<double(int)>& sumOf) {
    std::vector<double> sums(static_cast<std::size_t>(rows));
    overRows(rows, [&](int first, int behind) {
        for (int row = first; row < behind; ++row)
            sums[static_cast<std::size_t>(row)] = sumOf(row);
    });
    return std::accumulate(sums.begin(), sums.end(), 0.0) / count;
}

double structureOf(const Image& picture, const Image& reference) {
    const auto a = lumaPlane(picture), b = lumaPlane(reference);
    const int across = windowsAlong(picture.size.width), down = windowsAlong(picture.size.height);
    const int width = std::min(kWindow, picture.size.width);
    const int height = std::min(kWindow, picture.size.height);
    return meanOfRows(down, static_cast<double>(across) * down, [&](int row) {
        double sum = 0;
        for (int column = 0; column < across; ++column) {
            WindowSums window;
            for (int y = row * kStride; y < row * kStride + height; ++y)
                for (int x = column * kStride; x < column * kStride + width; ++x)
                    window.add(a[picture.at(x, y)], b[picture.at(x, y)]);
            sum += window.index(static_cast<double>(width) * height);
        }
        return sum;
    });
}

double meanSquareOf(const Image& picture, const Image& reference) {
    const auto values = 3 * static_cast<double>(picture.size.pixels());
    return meanOfRows(picture.size.height, values, [&](int row) {
        double sum = 0;
        for (std::size_t c = 0; c < 3; ++c)
            for (auto i = picture.at(0, row); i < picture.at(0, row + 1); ++i) {
                const double off = static_cast<double>(picture.plane[c][i]) - reference.plane[c][i];
                sum += off * off;
            }
        return sum;
    });
}

} // namespace

Likeness likenessOf(const Image& picture, const Image& reference) {
    if (!(picture.size == reference.size) || picture.size.pixels() == 0)
        return {Decibels(0), 0};
    const double square = meanSquareOf(picture, reference);
    return {
        Decibels(square > 0 ? -10 * std::log10(square) : std::numeric_limits<double>::infinity()),
        structureOf(picture, reference)};
}

} // namespace bslate
