#include "io/colour/transform_file.h"

#include "io/wire/ask_helper.h"
#include "io/wire/transform_messages.h"

namespace bslate::io {
namespace {

template<class T>
Result<T> answerTo(const std::filesystem::path& path, const TransformRequest& request,
                   const KeepGoing& keepGoing, Result<T> (*read)(const std::string&)) {
    const auto answer = askHelper({"bslate-transforms", {path.string()}, {}, path},
                                  requestText(request), keepGoing);
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
