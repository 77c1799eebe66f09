#include "io/stills/still_file.h"

#include "io/json/still_messages.h"
#include "io/system/files.h"
#include "io/system/helper_process.h"

namespace bslate::io {
namespace {

Result<std::string> askHelper(const char* what, const std::filesystem::path& path,
                              const std::string& request, const KeepGoing& keepGoing) {
    const auto helper = findHelper("bslate-stills");
    if (!helper)
        return helper.error();
    HelperLimits limits;
    limits.answer = kMostKeptPixels * 3 * sizeof(float) + 5000;
    const auto seconds = std::chrono::duration_cast<std::chrono::seconds>(limits.time).count();
    auto answer = runHelper(
        *helper, {what, path.string(), std::to_string(limits.memory), std::to_string(seconds)},
        request, limits, keepGoing);
    if (answer)
        return answer;
    Error error = answer.error();
    error.file = path.filename().string();
    return error;
}

} // namespace

Result<Still> readStill(const std::filesystem::path& path, const KeepGoing& keepGoing) {
    std::error_code failed;
    const auto status = std::filesystem::status(path, failed);
    if (failed || !std::filesystem::is_regular_file(status))
        return Error{ErrorCode::FileUnreadable, path.string(), {}, {}, "a readable picture"};
    const auto answer = askHelper("read", path, {}, keepGoing);
    if (!answer)
        return answer.error();
    auto still = readStillText(*answer);
    if (still)
        return still;
    Error error = still.error();
    error.file = path.filename().string();
    return error;
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
    const auto answer = askHelper("encode", path, stillText(still), {});
    if (!answer)
        return answer.error();
    if (answer->starts_with("{")) {
        const auto refused = readStillText(*answer);
        Error error = refused ? Error{} : refused.error();
        error.file = path.string();
        return error;
    }
    return writeFileAtomically(path, std::string_view(*answer).substr(1));
}

} // namespace bslate::io
