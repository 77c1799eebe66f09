#include "io/clips/clip_file.h"

#include "io/json/clip_json.h"
#include "io/wire/ask_helper.h"

namespace bslate::io {
Result<ClipFacts> readClip(const std::filesystem::path& path, ClipDepth depth,
                           const KeepGoing& keepGoing) {
    std::error_code failed;
    const auto status = std::filesystem::status(path, failed);
    if (failed || !std::filesystem::is_regular_file(status))
        return Error{ErrorCode::FileUnreadable, path.string(), {}, {}, "a readable clip"};
    HelperQuestion question{
        "bslate-clips", {depth == ClipDepth::Listen ? "listen" : "facts", path.string()}, {}, path};
    question.limits.time = std::chrono::seconds(120);
    question.limits.answer = 1'000'000;
    const auto answer = askHelper(question, std::string(), keepGoing);
    if (!answer)
        return answer.error();
    auto read = readClipText(*answer);
    if (!read)
        return about(path, read.error());
    auto clip = *std::move(read);
    clip.file = path.filename().string();
    return clip;
}

} // namespace bslate::io
