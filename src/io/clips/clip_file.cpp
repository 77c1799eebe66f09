#include "io/clips/clip_file.h"

#include "io/json/clip_json.h"
#include "io/system/helper_process.h"

namespace bslate::io {
namespace {

Error named(Error error, const std::filesystem::path& path) {
    error.file = path.filename().string();
    return error;
}

} // namespace

Result<ClipFacts> readClip(const std::filesystem::path& path, ClipDepth depth,
                           const KeepGoing& keepGoing) {
    std::error_code failed;
    const auto status = std::filesystem::status(path, failed);
    if (failed || !std::filesystem::is_regular_file(status))
        return Error{ErrorCode::FileUnreadable, path.string(), {}, {}, "a readable clip"};
    const auto helper = findHelper("bslate-clips");
    if (!helper)
        return helper.error();
    HelperLimits limits;
    limits.time = std::chrono::seconds(120);
    limits.answer = 1'000'000;
    const auto seconds = std::chrono::duration_cast<std::chrono::seconds>(limits.time).count();
    const auto answer = runHelper(*helper,
                                  {depth == ClipDepth::Listen ? "listen" : "facts", path.string(),
                                   std::to_string(limits.memory), std::to_string(seconds)},
                                  std::string(), limits, keepGoing);
    if (!answer)
        return named(answer.error(), path);
    auto read = readClipText(*answer);
    if (!read)
        return named(read.error(), path);
    auto clip = *std::move(read);
    clip.file = path.filename().string();
    return clip;
}

} // namespace bslate::io
