#include "io/stills/still_file.h"

#include "io/system/files.h"
#include "io/wire/ask_helper.h"
#include "io/wire/still_messages.h"

namespace bslate::io {
namespace {

Result<std::string> askStills(const char* what, const std::filesystem::path& path,
                              const std::string& request, const KeepGoing& keepGoing) {
    HelperQuestion question{"bslate-stills", {what, path.string()}, {}, path};
    question.limits.answer = kMostKeptPixels * 3 * sizeof(float) + 5000;
    return askHelper(question, request, keepGoing);
}

} // namespace

Result<Still> readStill(const std::filesystem::path& path, const KeepGoing& keepGoing) {
    std::error_code failed;
    const auto status = std::filesystem::status(path, failed);
    if (failed || !std::filesystem::is_regular_file(status))
        return Error{ErrorCode::FileUnreadable, path.string(), {}, {}, "a readable picture"};
    const auto answer = askStills("read", path, {}, keepGoing);
    if (!answer)
        return answer.error();
    auto still = readStillText(*answer);
    return still ? still : Result<Still>(about(path, still.error()));
}

Outcome writePicture(const Image& picture, const std::filesystem::path& path, bool force) {
    if (!force && std::filesystem::exists(path))
        return Error{ErrorCode::FileUnwritable,
                     path.string(),
                     {},
                     {},
                     "a new name, or --force to replace the file that is there"};
    Still still;
    still.bits = 0;
    still.light = picture;
    // The helper writes nothing: it gives the bytes, and they are put in place whole.
    const auto answer = askStills("encode", path, stillText(still), {});
    if (!answer)
        return answer.error();
    return writeFileAtomically(path, std::string_view(*answer).substr(1));
}

} // namespace bslate::io
