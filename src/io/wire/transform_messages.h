#pragma once

#include "io/wire/transform.h"

#include <variant>

/// What is said between the program and the helper that opens files of others: JSON that both sides
/// read with care, because whoever breaks the helper speaks for it. Private to io.
namespace bslate::io {

struct AskTransform {
    ImportOptions options;
};
struct AskColourSpaces {};
struct AskColours {
    Colours colours;
};
using TransformRequest = std::variant<AskTransform, AskColourSpaces, AskColours>;

[[nodiscard]] std::string requestText(const TransformRequest& request);
[[nodiscard]] Result<TransformRequest> readRequest(const std::string& text);

/// What was asked for.
[[nodiscard]] std::string answerText(const ImportedTransform& transform);
[[nodiscard]] std::string answerText(const std::vector<std::string>& spaces);
[[nodiscard]] std::string answerText(const Colours& colours);

/// Fail with WrongFormat when it is none of ours.
[[nodiscard]] Result<ImportedTransform> readTransformAnswer(const std::string& text);
[[nodiscard]] Result<std::vector<std::string>> readSpacesAnswer(const std::string& text);
[[nodiscard]] Result<Colours> readColoursAnswer(const std::string& text);

} // namespace bslate::io
