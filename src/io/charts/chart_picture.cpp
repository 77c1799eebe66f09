#include "io/charts/chart_picture.h"

#include "core/clip/region_series.h"
#include "io/clips/clip_region.h"
#include "io/stills/still_codes.h"
#include "io/stills/still_file.h"
#include "io/stills/still_region.h"

#include <algorithm>

namespace bslate::io {
namespace {

constexpr std::size_t kFrames = 24, kPlacesInOnePass = 16;
constexpr double kInner = 0.4;     // of a patch that is read
constexpr double kNearEnd = 0.985; // of the recording's end: what is above may be cut off
constexpr double kSensorFull = 0.98;

PatchLight decoded(const std::array<Signal, 3>& channels, const Curve& curve, Signal end) {
    PatchLight patch;
    for (std::size_t c = 0; c < 3; ++c) {
        patch.light[c] = decode(curve, channels[c]);
        patch.ended |= channels[c].value() > kNearEnd * end.value();
    }
    return patch;
}

PatchLight meanOf(const Image& light, const PictureArea& area, bool ofSensor) {
    const auto box = pixelsOf(area, light.size);
    std::array<double, 3> sums{};
    PatchLight patch;
    for (int y = box.top; y < box.bottom; ++y)
        for (int x = box.left; x < box.right; ++x)
            for (std::size_t c = 0; c < 3; ++c)
                sums[c] += light.plane[c][light.at(x, y)];
    const double count = double(box.right - box.left) * (box.bottom - box.top);
    for (std::size_t c = 0; c < 3; ++c) {
        patch.light[c] = SceneLinear(sums[c] / count);
        patch.ended |= ofSensor && sums[c] / count > kSensorFull;
    }
    return patch;
}

Result<ReadChart> fromStill(const std::filesystem::path& picture,
                            std::span<const PictureArea> places, const Curve& curve,
                            CodeRange range, const KeepGoing& keepGoing) {
    const auto still = readStill(picture, keepGoing);
    if (!still)
        return still.error();
    ReadChart chart;
    chart.ofSensor = still->ofSensor;
    for (const auto& place : places) {
        if (still->bits == 0) {
            chart.places.push_back(meanOf(still->light, place, still->ofSensor));
            continue;
        }
        const auto frame = stillFrame(*still, place, range);
        if (!frame)
            return frame.error();
        chart.places.push_back(decoded(frame->channels, curve, endOf(*still, curve, range)));
    }
    return chart;
}

Result<ReadChart> fromClip(const std::filesystem::path& picture,
                           std::span<const PictureArea> places, const Curve& curve, CodeRange range,
                           const KeepGoing& keepGoing) {
    ReadChart chart;
    for (std::size_t first = 0; first < places.size(); first += kPlacesInOnePass) {
        RegionWish wish;
        const auto pass = places.subspan(first, std::min(kPlacesInOnePass, places.size() - first));
        wish.areas.assign(pass.begin(), pass.end());
        wish.frames = kFrames;
        wish.range = range;
        const auto regions = readRegions(picture, wish, keepGoing);
        if (!regions)
            return regions.error();
        for (const auto& region : *regions) {
            const auto longest = longestOf(plateausOf(region.frames));
            if (!longest)
                return Error{ErrorCode::WrongFormat,
                             picture.filename().string(),
                             {},
                             "a chart whose light is not held for three frames",
                             "a clip of a chart in steady light"};
            chart.places.push_back(
                decoded(longest->channels, curve, endSignal(curve, BitDepth{10})));
        }
    }
    return chart;
}

} // namespace

std::vector<PictureArea> chartPlaces(const PictureArea& chart, int columns, int rows) {
    std::vector<PictureArea> places;
    const double wide = chart.width / columns, high = chart.height / rows;
    for (int row = 0; row < rows; ++row)
        for (int column = 0; column < columns; ++column)
            places.push_back({chart.x + (column + (1 - kInner) / 2) * wide,
                              chart.y + (row + (1 - kInner) / 2) * high, kInner * wide,
                              kInner * high});
    return places;
}

Result<ReadChart> readChartPicture(const std::filesystem::path& picture,
                                   std::span<const PictureArea> places, const Curve& curve,
                                   CodeRange range, const KeepGoing& keepGoing) {
    if (isStillName(picture))
        return fromStill(picture, places, curve, range, keepGoing);
    auto clip = fromClip(picture, places, curve, range, keepGoing);
    if (clip || clip.error().code != ErrorCode::WrongFormat)
        return clip;
    auto still = fromStill(picture, places, curve, range, keepGoing); // camera raw of any name
    return still ? still : clip;
}

} // namespace bslate::io
