#include "io/clips/clip_region.h"

#include "core/frame/ycbcr.h"
#include "io/json/region_messages.h"
#include "io/json/still_messages.h"
#include "io/system/helper_process.h"

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
                          std::nullopt};
        if (code.noise >= 0)
            frame.noise = Signal(code.noise / whole);
        frames.push_back(frame);
    }
    return frames;
}

std::string areaText(const PictureArea& area) {
    std::string text;
    for (const double part : {area.x, area.y, area.width, area.height})
        text += (text.empty() ? "" : ",") + std::to_string(std::llround(part * 1e9));
    return text;
}

// What the helper says of a file.
Result<std::string> askClips(const char* what, const std::filesystem::path& path,
                             const std::string& place, const KeepGoing& keepGoing) {
    std::error_code failed;
    if (!std::filesystem::is_regular_file(path, failed))
        return Error{ErrorCode::FileUnreadable, path.string(), {}, {}, "a readable clip"};
    const auto helper = findHelper("bslate-clips");
    if (!helper)
        return helper.error();
    HelperLimits limits;
    limits.time = std::chrono::minutes(10);
    const auto seconds = std::chrono::duration_cast<std::chrono::seconds>(limits.time).count();
    std::vector<std::string> arguments = {what, path.string(), std::to_string(limits.memory),
                                          std::to_string(seconds)};
    if (!place.empty())
        arguments.push_back(place);
    return runHelper(*helper, arguments, std::string(), limits, keepGoing);
}

} // namespace

Result<Still> readClipPicture(const std::filesystem::path& path, const KeepGoing& keepGoing) {
    const auto answer = askClips("picture", path, {}, keepGoing);
    auto still = answer ? readStillText(*answer) : Result<Still>(answer.error());
    if (still)
        return still;
    Error error = still.error();
    error.file = path.filename().string();
    return error;
}

Result<ReadRegion> readRegion(const std::filesystem::path& path, const PictureArea& area,
                              std::optional<CodeRange> range, const KeepGoing& keepGoing) {
    const auto answer = askClips("region", path, areaText(area), keepGoing);
    const auto codes = answer ? readRegionText(*answer) : Result<RegionCodes>(answer.error());
    if (!codes) {
        auto error = codes.error();
        error.file = path.filename().string();
        return error;
    }
    const auto own = range.value_or(codes->full ? CodeRange::Full : CodeRange::Legal);
    return ReadRegion{own, signalsOf(*codes, own)};
}

} // namespace bslate::io
