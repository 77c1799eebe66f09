#pragma once

#include <string>
#include <string_view>
#include <vector>

/// The words of a typed line. What stands in quotes is a name, whatever its words would mean:
/// `"Lantern walk at dusk" ext 26lx`.
namespace bslate {

struct LineWord {
    std::string text;
    bool quoted = false; ///< it was in quotes, and may hold spaces
    friend bool operator==(const LineWord&, const LineWord&) = default;
};

/// Split at spaces and tabs. A quote opens at the beginning of a word and closes at the next one;
/// a backslash takes the sign after it as it is. Without its closing quote it ends with the line.
[[nodiscard]] std::vector<LineWord> lineWords(std::string_view text);

/// The text in quotes, such that lineWords() gives it back as one word.
[[nodiscard]] std::string quoted(std::string_view text);

/// Without its spaces, so that it is one word.
[[nodiscard]] std::string compact(std::string text);

} // namespace bslate
