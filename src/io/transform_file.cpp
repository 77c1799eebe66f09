#include "io/transform_file.h"

#include "io/helper_process.h"
#include "io/transform_messages.h"
#include "io/transform_reader.h"

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

std::string answerRequest(const std::string& text, const std::filesystem::path& path) {
    const auto request = readRequest(text);
    if (!request)
        return answerText(request.error());
    const auto told = [](const auto& result) {
        return result ? answerText(*result) : answerText(result.error());
    };
    if (const auto* transform = std::get_if<AskTransform>(&*request))
        return told(readTransform(path, transform->options));
    if (const auto* through = std::get_if<AskColours>(&*request))
        return told(readThrough(path, through->colours));
    return told(readColourSpaces(path));
}

} // namespace bslate::io
