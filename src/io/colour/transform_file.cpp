#include "io/colour/transform_file.h"

#include "io/json/transform_messages.h"
#include "io/system/helper_process.h"

namespace bslate::io {
namespace {

// What the helper says about the file, which it knows only by its path.
Result<std::string> askAbout(const std::filesystem::path& path, const TransformRequest& request,
                             const KeepGoing& keepGoing) {
    const auto helper = findHelper("bslate-transforms");
    if (!helper)
        return helper.error();
    const HelperLimits limits;
    const auto seconds = std::chrono::duration_cast<std::chrono::seconds>(limits.time).count();
    auto answer =
        runHelper(*helper, {path.string(), std::to_string(limits.memory), std::to_string(seconds)},
                  requestText(request), limits, keepGoing);
    if (answer)
        return answer;
    Error error = answer.error();
    error.file = path.filename().string();
    return error;
}

template<class T>
Result<T> answerTo(const std::filesystem::path& path, const TransformRequest& request,
                   const KeepGoing& keepGoing, Result<T> (*read)(const std::string&)) {
    const auto answer = askAbout(path, request, keepGoing);
    return answer ? read(*answer) : Result<T>(answer.error());
}

} // namespace

Result<ImportedTransform> importTransform(const std::filesystem::path& path,
                                          const ImportOptions& options,
                                          const KeepGoing& keepGoing) {
    return answerTo(path, AskTransform{options}, keepGoing, readTransformAnswer);
}

Result<Colours> throughTransform(const std::filesystem::path& path, const Colours& colours,
                                 const KeepGoing& keepGoing) {
    return answerTo(path, AskColours{colours}, keepGoing, readColoursAnswer);
}

Result<std::vector<std::string>> colourSpacesOf(const std::filesystem::path& path,
                                                const KeepGoing& keepGoing) {
    return answerTo(path, AskColourSpaces{}, keepGoing, readSpacesAnswer);
}

} // namespace bslate::io
