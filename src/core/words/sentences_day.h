#pragma once

#include "core/words/sentence.h"

namespace bslate {

/// The sentences about a day's cards, power and copies.
[[nodiscard]] const Sentence* findDaySentence(std::string_view id);

} // namespace bslate
