#include "io/stills/still_region.h"

#include "core/quantity/scan.h"
#include "core/signal/code_values.h"
#include "core/signal/curve.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace bslate::io {
namespace {

constexpr std::array kEndings = {".png",  ".tif", ".tiff", ".jpg",  ".jpeg", ".dpx", ".exr",
                                 ".webp", ".jp2", ".heic", ".heif", ".pgm",  ".ppm", ".dng"};

// ITU-R BT.709-6 item 3.2.
constexpr std::array kLuma = {0.2126, 0.7152, 0.0722};

} // namespace

bool isStillName(const std::filesystem::path& path) {
    const auto ending = lowered(path.extension().string());
    return std::find(kEndings.begin(), kEndings.end(), ending) != kEndings.end();
}

Result<RegionFrame> stillFrame(const Still& still, const PictureArea& area, CodeRange range) {
    if (still.bits == 0)
        return Error{ErrorCode::WrongFormat,
                     {},
                     {},
                     "light as numbers",
                     "a still of recorded codes, such as PNG, TIFF or DPX"};
    const BitDepth depth{still.bits};
    const double zero = codeOf(Signal(0), range, depth);
    const double whole = codeOf(Signal(1), range, depth) - zero;
    const auto box = pixelsOf(area, still.codes.size);
    std::array<double, 3> sums{};
    double luma = 0, squares = 0;
    for (int y = box.top; y < box.bottom; ++y)
        for (int x = box.left; x < box.right; ++x) {
            const auto at = still.codes.at(x, y);
            double own = 0;
            for (std::size_t c = 0; c < 3; ++c) {
                const double signal = (still.codes.plane[c][at] - zero) / whole;
                sums[c] += signal;
                own += kLuma[c] * signal;
            }
            luma += own;
            squares += own * own;
        }
    const double count = double(box.right - box.left) * (box.bottom - box.top);
    RegionFrame frame;
    frame.luma = Signal(luma / count);
    for (std::size_t c = 0; c < 3; ++c)
        frame.channels[c] = Signal(sums[c] / count);
    const double mean = luma / count;
    frame.noise = Signal(std::sqrt(std::max(0.0, squares / count - mean * mean)));
    return frame;
}

Still previewOf(const Still& still, int widest) {
    const auto size = still.size();
    const double shrink = std::max(1.0, static_cast<double>(size.width) / widest);
    Still small;
    small.codes = Planes<std::uint16_t>({std::max(1, static_cast<int>(size.width / shrink)),
                                         std::max(1, static_cast<int>(size.height / shrink))});
    const double scale = still.bits > 0 ? 255.0 / ((1 << still.bits) - 1) : 255.0;
    for (int y = 0; y < small.codes.size.height; ++y)
        for (int x = 0; x < small.codes.size.width; ++x) {
            const int fromX = std::min(size.width - 1, static_cast<int>(x * shrink));
            const int fromY = std::min(size.height - 1, static_cast<int>(y * shrink));
            for (std::size_t c = 0; c < 3; ++c) {
                const double value =
                    still.bits > 0
                        ? still.codes.plane[c][still.codes.at(fromX, fromY)]
                        : encode(srgb(),
                                 SceneLinear(still.light.plane[c][still.light.at(fromX, fromY)]))
                              .value();
                small.codes.plane[c][small.codes.at(x, y)] =
                    static_cast<std::uint16_t>(std::clamp(std::lround(value * scale), 0L, 255L));
            }
        }
    return small;
}

} // namespace bslate::io
