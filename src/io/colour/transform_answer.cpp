#include "io/colour/transform_answer.h"

#include "io/colour/transform_reader.h"
#include "io/wire/error_message.h"
#include "io/wire/transform_messages.h"

namespace bslate::io {

std::string answerRequest(const std::string& text, const std::filesystem::path& path) {
    const auto request = readRequest(text);
    if (!request)
        return errorText(request.error());
    const auto told = [](const auto& result) {
        return result ? answerText(*result) : errorText(result.error());
    };
    if (const auto* transform = std::get_if<AskTransform>(&*request))
        return told(readTransform(path, transform->options));
    if (const auto* through = std::get_if<AskColours>(&*request))
        return told(readThrough(path, through->colours));
    return told(readColourSpaces(path));
}

} // namespace bslate::io
