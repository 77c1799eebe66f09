#pragma once

#include <string_view>

/// The English of every reason: clauses without a full stop, so that they can be joined, with
/// `{fact}` places that wording.h fills.
namespace bslate {

/// Null for an id without wording.
[[nodiscard]] const char* findSentence(std::string_view id);

} // namespace bslate
