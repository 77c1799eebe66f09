#include "core/quantity/line_words.h"

#include "core/quantity/scan.h"

namespace bslate {
namespace {} // namespace

std::vector<LineWord> lineWords(std::string_view text) {
    std::vector<LineWord> words;
    for (std::size_t at = 0; at < text.size();) {
        if (isSpace(text[at])) {
            ++at;
            continue;
        }
        LineWord word;
        word.quoted = text[at] == '"';
        if (word.quoted) {
            for (++at; at < text.size() && text[at] != '"'; ++at) {
                if (text[at] == '\\' && at + 1 < text.size())
                    ++at;
                word.text += text[at];
            }
            ++at;
        } else {
            while (at < text.size() && !isSpace(text[at]))
                word.text += text[at++];
        }
        words.push_back(std::move(word));
    }
    return words;
}

std::string quoted(std::string_view text) {
    std::string result = "\"";
    for (const char c : text) {
        if (c == '"' || c == '\\')
            result += '\\';
        result += c;
    }
    return result + "\"";
}

std::string compact(std::string text) {
    std::erase(text, ' ');
    return text;
}

} // namespace bslate
