#pragma once

#include "core/words/sentence.h"

/// The English of every judgement; wording.h fills the places. Titles of reasons are clauses
/// without a full stop, so that they can be joined.
namespace bslate {

/// Null for an id without wording.
[[nodiscard]] const Sentence* findSentence(std::string_view id);

} // namespace bslate
