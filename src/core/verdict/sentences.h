#pragma once

#include <string_view>

/// The English of every judgement; wording.h fills the places. Titles of reasons are clauses
/// without a full stop, so that they can be joined.
namespace bslate {

struct Sentence {
    std::string_view id;
    const char* title;
    const char* text;
};

/// Null for an id without wording.
[[nodiscard]] const Sentence* findSentence(std::string_view id);

/// Those about a day's cards, power and copies: sentences_day.cpp.
[[nodiscard]] const Sentence* findDaySentence(std::string_view id);

} // namespace bslate
