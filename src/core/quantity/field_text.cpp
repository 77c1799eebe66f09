#include "core/quantity/field_text.h"

#include "core/quantity/number_text.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"

#include <charconv>

namespace bslate::typed {
namespace {

std::string expectedOf(form::Number form) {
    if (form.share)
        return "a share from " + print(Fraction(form.low)) + " to " + print(Fraction(form.high));
    return "a number from " + trimmed(form.low, 4) + " to " + trimmed(form.high, 4);
}

bool same(std::string_view a, std::string_view b) {
    return lowered(a) == lowered(b);
}

} // namespace

std::string textOf(form::Number form, double value) {
    return form.share ? print(Fraction(value)) : exact(value);
}

std::string textOf(form::Whole, int value) {
    return std::to_string(value);
}

Result<double> parsed(form::Number form, std::string_view text) {
    const std::string expected = expectedOf(form);
    double value = 0;
    if (form.share) {
        const auto share = parseFraction(text);
        if (!share)
            return share.error();
        value = share->value();
    } else {
        const auto number = scan(text, expected);
        if (!number)
            return number.error();
        if (!number->prefix.empty() || !number->unit.empty())
            return Error{ErrorCode::UnknownUnit, {}, {}, std::string(text), expected};
        value = number->value;
    }
    if (value >= form.low && value <= form.high)
        return value;
    return Error{ErrorCode::OutOfRange, {}, {}, std::string(text), expected};
}

Result<int> parsedWhole(form::Whole form, std::string_view text) {
    int value = 0;
    const auto read = std::from_chars(text.data(), text.data() + text.size(), value);
    const bool whole = read.ec == std::errc() && read.ptr == text.data() + text.size();
    if (whole && value >= form.low && value <= form.high)
        return value;
    return Error{whole ? ErrorCode::OutOfRange : ErrorCode::NotANumber,
                 {},
                 {},
                 std::string(text),
                 "a whole number from " + std::to_string(form.low) + " to " +
                     std::to_string(form.high)};
}

Result<bool> parsedFlag(std::string_view text) {
    if (same(text, "yes") || same(text, "no"))
        return same(text, "yes");
    return Error{ErrorCode::UnknownId, {}, {}, std::string(text), "yes or no"};
}

Result<std::size_t> parsedName(std::span<const std::string_view> names,
                               std::span<const std::string_view> words, std::string_view text) {
    std::string expected;
    for (std::size_t i = 0; i < names.size(); ++i) {
        if (same(text, names[i]) || same(text, words[i]))
            return i;
        expected += (expected.empty() ? "one of " : ", ") + std::string(words[i]);
    }
    return Error{ErrorCode::UnknownId, {}, {}, std::string(text), expected};
}

std::vector<std::string_view> parts(std::string_view text) {
    std::vector<std::string_view> found;
    while (!text.empty()) {
        const auto end = std::min(text.find(','), text.size());
        auto part = text.substr(0, end);
        text.remove_prefix(std::min(end + 1, text.size()));
        while (!part.empty() && isSpace(part.front()))
            part.remove_prefix(1);
        while (!part.empty() && isSpace(part.back()))
            part.remove_suffix(1);
        if (!part.empty())
            found.push_back(part);
    }
    return found;
}

} // namespace bslate::typed
