#include "io/clips/exposures.h"

#include "io/clips/clip_region.h"
#include "io/stills/still_file.h"
#include "io/stills/still_region.h"

namespace bslate::io {
namespace {

constexpr int kWidest = 960;

Error inFile(Error error, const std::filesystem::path& path) {
    error.file = path.filename().string();
    return error;
}

Outcome addStill(ReadExposures& all, const std::filesystem::path& file, const PictureArea& card,
                 CodeRange range, const KeepGoing& keepGoing) {
    const auto still = readStill(file, keepGoing);
    if (!still)
        return still.error();
    auto frame = stillFrame(*still, card, range);
    if (!frame)
        return inFile(frame.error(), file);
    const auto at = all.frames.size();
    all.plateaus.push_back({at, at + 1, frame->luma, frame->channels, frame->noise});
    all.frames.push_back(*std::move(frame));
    return Done{};
}

Outcome addClip(ReadExposures& all, const std::filesystem::path& file, const PictureArea& card,
                std::optional<CodeRange> range, bool single, const KeepGoing& keepGoing) {
    auto region = readRegion(file, card, range, keepGoing);
    if (!region)
        return region.error();
    if (all.frames.empty())
        all.range = region->range;
    auto found = plateausOf(region->frames);
    if (const auto longest = longestOf(found); longest && !single)
        found = {*longest};
    for (auto& plateau : found) {
        plateau.first += all.frames.size();
        plateau.behind += all.frames.size();
        all.plateaus.push_back(plateau);
    }
    all.frames.insert(all.frames.end(), region->frames.begin(), region->frames.end());
    return Done{};
}

} // namespace

Result<ReadExposures> readExposures(std::span<const std::filesystem::path> files,
                                    const PictureArea& card, std::optional<CodeRange> range,
                                    const KeepGoing& keepGoing) {
    ReadExposures all;
    all.range = range.value_or(CodeRange::Full);
    for (const auto& file : files) {
        const auto added =
            isStillName(file)
                ? addStill(all, file, card, range.value_or(CodeRange::Full), keepGoing)
                : addClip(all, file, card, range, files.size() == 1, keepGoing);
        if (!added)
            return added.error();
    }
    return all;
}

Result<Still> readFootagePicture(const std::filesystem::path& path, const KeepGoing& keepGoing) {
    if (!isStillName(path))
        return readClipPicture(path, keepGoing);
    const auto still = readStill(path, keepGoing);
    if (!still)
        return still.error();
    return previewOf(*still, kWidest);
}

} // namespace bslate::io
