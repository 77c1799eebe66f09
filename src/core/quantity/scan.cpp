#include "core/quantity/scan.h"

#include <charconv>
#include <cmath>

namespace bslate {
namespace {

void replaceAll(std::string& text, std::string_view from, std::string_view to) {
    for (auto at = text.find(from); at != std::string::npos; at = text.find(from, at + to.size()))
        text.replace(at, from.size(), to);
}

// Folds the typographic spellings into plain ones.
std::string plain(std::string_view text) {
    std::string result(text);
    replaceAll(result, "\u00b2", "2");
    replaceAll(result, "\u00b0", "deg");
    replaceAll(result, "\u2212", "-");
    replaceAll(result, "\u00a0", " ");
    replaceAll(result, "\u202f", " ");
    replaceAll(result, "\u2044", "/");
    replaceAll(result, "\u00bd", " 1/2");
    replaceAll(result, "\u2153", " 1/3");
    replaceAll(result, "\u2154", " 2/3");
    replaceAll(result, "\u00bc", " 1/4");
    replaceAll(result, "\u00be", " 3/4");
    while (!result.empty() && isSpace(result.front()))
        result.erase(result.begin());
    while (!result.empty() && isSpace(result.back()))
        result.pop_back();
    return result;
}

struct Number {
    double value = 0;
    bool point = false;
};

// Reads an unsigned decimal at `at`, moving it on. No exponent and no sign.
bool readNumber(std::string_view text, std::size_t& at, Number& out) {
    auto end = at;
    while (end < text.size() && (isDigit(text[end]) || text[end] == '.'))
        ++end;
    const auto digits = text.substr(at, end - at);
    const auto parsed = std::from_chars(digits.data(), digits.data() + digits.size(), out.value,
                                        std::chars_format::fixed);
    if (digits.empty() || parsed.ec != std::errc() || parsed.ptr != digits.data() + digits.size())
        return false;
    out.point = digits.find('.') != std::string_view::npos;
    at = end;
    return std::isfinite(out.value);
}

void skipSpaces(std::string_view text, std::size_t& at) {
    while (at < text.size() && isSpace(text[at]))
        ++at;
}

std::string readPrefix(std::string_view text, std::size_t& at) {
    std::string prefix;
    while (at < text.size() && !isDigit(text[at]) && text[at] != '.' && text[at] != '+' &&
           text[at] != '-') {
        if (!isSpace(text[at]) && text[at] != ':' && text[at] != '/')
            prefix += text[at];
        ++at;
    }
    return lowered(prefix);
}

// `a/b` or `a b/c` after the first number; plain numbers pass through.
bool readFraction(std::string_view text, std::size_t& at, const Number& first, Scanned& out) {
    out.value = first.value;
    out.point = first.point;
    auto probe = at;
    skipSpaces(text, probe);
    Number numerator = first;
    if (probe < text.size() && isDigit(text[probe]) && probe > at) {
        const bool read = readNumber(text, probe, numerator);
        if (!read || probe >= text.size() || text[probe] != '/')
            return true;
        out.mixed = true;
        out.whole = first.value;
    }
    if (probe >= text.size() || text[probe] != '/')
        return true;
    ++probe;
    skipSpaces(text, probe);
    if (probe >= text.size() || !isDigit(text[probe]))
        return true; // a unit such as "/s" follows
    Number denominator;
    if (!readNumber(text, probe, denominator) || denominator.value == 0)
        return false;
    out.rest = out.mixed ? numerator.value / denominator.value : 0;
    out.value = out.whole + numerator.value / denominator.value;
    out.ratio = !out.mixed;
    if (out.mixed && out.rest >= 1)
        return false;
    if (out.ratio && !numerator.point && !denominator.point && numerator.value < 2e9 &&
        denominator.value < 2e9) {
        out.numerator = static_cast<long long>(numerator.value);
        out.denominator = static_cast<long long>(denominator.value);
    }
    at = probe;
    return true;
}

} // namespace

std::string lowered(std::string_view text) {
    std::string result(text);
    for (char& c : result)
        if (c >= 'A' && c <= 'Z')
            c = static_cast<char>(c - 'A' + 'a');
    return result;
}

Result<Scanned> scan(std::string_view text, std::string_view expected) {
    const std::string source = plain(text);
    const auto fail = [&](ErrorCode code) {
        return Error{code, {}, {}, shortened(text), std::string(expected)};
    };
    if (source.empty())
        return fail(ErrorCode::EmptyText);
    Scanned out;
    std::size_t at = 0;
    out.prefix = readPrefix(source, at);
    bool negative = false;
    if (at < source.size() && (source[at] == '-' || source[at] == '+'))
        negative = source[at++] == '-';
    skipSpaces(source, at);
    Number first;
    if (!readNumber(source, at, first) || !readFraction(source, at, first, out))
        return fail(ErrorCode::NotANumber);
    if (negative) {
        out.value = -out.value;
        out.numerator = -out.numerator;
    }
    for (; at < source.size(); ++at) {
        if (source[at] == ',')
            return fail(ErrorCode::NotANumber);
        if (!isSpace(source[at]))
            out.unit += source[at];
    }
    return out;
}

} // namespace bslate
