#include "io/clips/clip_region.h"

#include "core/frame/ycbcr.h"
#include "io/wire/ask_helper.h"
#include "io/wire/region_messages.h"
#include "io/wire/still_messages.h"

#include <cmath>

namespace bslate::io {
namespace {

// ITU-R BT.709-6 and BT.2020-2, item 3: of luma and two colour differences about the middle code.
std::vector<RegionFrame> signalsOf(const RegionCodes& codes, CodeRange range) {
    const LumaWeights weights = codes.wide ? LumaWeights{0.2627, 0.6780, 0.0593} : LumaWeights{};
    const auto depth = codes.depth;
    const double zero = codeOf(Signal(0), range, depth), one = codeOf(Signal(1), range, depth);
    const double whole = one - zero, middle = 1 << (depth.bits - 1);
    const double swing = range == CodeRange::Full ? (1 << depth.bits) - 1 : 224 << (depth.bits - 8);
    std::vector<RegionFrame> frames;
    for (const auto& code : codes.frames) {
        const double luma = (code.means[0] - zero) / whole;
        const double blue = luma + 2 * (1 - weights.blue) * (code.means[1] - middle) / swing;
        const double red = luma + 2 * (1 - weights.red) * (code.means[2] - middle) / swing;
        const double green =
            (luma - weights.red * red - weights.blue * blue) / (1 - weights.red - weights.blue);
        RegionFrame frame{Seconds(code.seconds),
                          Signal(luma),
                          {Signal(red), Signal(green), Signal(blue)},
                          std::nullopt,
                          {}};
        if (code.noise >= 0)
            frame.noise = Signal(code.noise / whole);
        static_assert(kRegionColumns == kStripColumns);
        for (std::size_t i = 0; i + kStripColumns <= code.strips.size(); i += kStripColumns) {
            auto& strip = frame.strips.emplace_back();
            for (std::size_t c = 0; c < kStripColumns; ++c)
                strip[c] = Signal((code.strips[i + c] - zero) / whole);
        }
        frames.push_back(frame);
    }
    return frames;
}

// Steps of the codes as signals: a step's middle.
ChannelCounts countsOf(const RegionCodes& codes, CodeRange range) {
    ChannelCounts counts;
    const double zero = codeOf(Signal(0), range, codes.depth);
    const double whole = codeOf(Signal(1), range, codes.depth) - zero;
    const double step = std::exp2(codes.depth.bits) / double(kCountSteps);
    counts.first = Signal((0.5 * step - zero) / whole);
    counts.step = Signal(step / whole);
    counts.channels = codes.counts;
    return counts;
}

// What the helper says of a file.
Result<std::string> askClips(const char* what, const std::filesystem::path& path,
                             const std::string& place, const KeepGoing& keepGoing) {
    std::error_code failed;
    if (!std::filesystem::is_regular_file(path, failed))
        return Error{ErrorCode::FileUnreadable, path.string(), {}, {}, "a readable clip"};
    HelperQuestion question{"bslate-clips", {what, path.string()}, {}, path};
    question.limits.time = std::chrono::minutes(10);
    if (!place.empty())
        question.words.push_back(place);
    return askHelper(question, std::string(), keepGoing);
}

} // namespace

Result<Still> readClipPicture(const std::filesystem::path& path, const KeepGoing& keepGoing) {
    const auto answer = askClips("picture", path, {}, keepGoing);
    if (!answer)
        return answer.error();
    auto still = readStillText(*answer);
    return still ? still : Result<Still>(about(path, still.error()));
}

Result<std::vector<ReadRegion>> readRegions(const std::filesystem::path& path,
                                            const RegionWish& wish, const KeepGoing& keepGoing) {
    const RegionQuestion question{wish.areas, std::min(wish.frames, kMostRegionFrames),
                                  wish.strips};
    const auto answer = askClips("region", path, questionText(question), keepGoing);
    if (!answer)
        return answer.error();
    const auto codes = readRegionText(*answer);
    if (!codes)
        return about(path, codes.error());
    std::vector<ReadRegion> regions;
    for (const auto& one : *codes) {
        const auto own = wish.range.value_or(one.full ? CodeRange::Full : CodeRange::Legal);
        regions.push_back({own, signalsOf(one, own), countsOf(one, own), one.whole});
    }
    if (regions.size() != wish.areas.size())
        return Error{ErrorCode::WrongFormat, path.filename().string(), {}, {}, "every place"};
    return regions;
}

Result<SeenPictures> readPictures(const std::filesystem::path& path, const PictureWish& asked,
                                  const KeepGoing& keepGoing) {
    constexpr std::size_t kLooked = 240;
    RegionWish wish;
    wish.areas = {{0, 0, 1, 1}};
    for (const auto& patch : asked.patches)
        if (wish.areas.size() < kMostRegions)
            wish.areas.push_back(patch.area);
    wish.frames = kLooked;
    wish.strips = true;
    wish.range = asked.curve.range;
    auto read = readRegions(path, wish, keepGoing);
    if (!read)
        return read.error();
    auto regions = *std::move(read);
    auto seen = seenIn(regions.front().frames, asked.curve, asked.captured);
    seen.file = path.filename().string();
    for (std::size_t i = 1; i < regions.size(); ++i)
        seen.patches.push_back({asked.patches[i - 1].patch, std::move(regions[i].frames),
                                std::move(regions[i].counts)});
    return seen;
}

Result<ReadRegion> readRegion(const std::filesystem::path& path, const PictureArea& area,
                              std::optional<CodeRange> range, const KeepGoing& keepGoing) {
    RegionWish wish;
    wish.areas = {area};
    wish.range = range;
    auto read = readRegions(path, wish, keepGoing);
    if (!read)
        return read.error();
    auto regions = *std::move(read);
    return std::move(regions.front());
}

} // namespace bslate::io
