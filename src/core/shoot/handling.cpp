#include "core/shoot/handling.h"

#include "core/kit/body_fields.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr const char* kAutomaticsExpected =
    "automatics left on, with the bounds of iso or white: iso 800-3200, white 3200-5600, "
    "eye-sensor";

std::string_view automaticWithoutSpaces(std::string_view text) {
    while (!text.empty() && text.front() == ' ')
        text.remove_prefix(1);
    while (!text.empty() && text.back() == ' ')
        text.remove_suffix(1);
    return text;
}

// A bound of an ISO or a white; none for anything else.
std::optional<double> boundOf(AutomaticKind kind, std::string_view text) {
    if (kind == AutomaticKind::Iso) {
        const auto iso = parseExposureIndex(text);
        return iso ? std::optional(iso->value()) : std::nullopt;
    }
    const auto white = parseKelvin(text);
    return kind == AutomaticKind::White && white ? std::optional(white->value()) : std::nullopt;
}

Result<LeftAutomatic> automaticFrom(std::string_view piece) {
    const auto refused = [&](ErrorCode code) {
        return Error{code, {}, {}, shortened(piece), kAutomaticsExpected};
    };
    const auto space = piece.find(' ');
    const auto* kind = valueIn<AutomaticKind>(kAutomaticNames, piece.substr(0, space));
    if (!kind)
        return refused(ErrorCode::UnknownId);
    LeftAutomatic left{*kind, {}, {}};
    if (space == std::string_view::npos)
        return left;
    const auto bounds = automaticWithoutSpaces(piece.substr(space));
    const auto dash = bounds.find('-');
    if (dash == std::string_view::npos)
        return refused(ErrorCode::OutOfRange);
    left.low = boundOf(*kind, bounds.substr(0, dash));
    left.high = boundOf(*kind, bounds.substr(dash + 1));
    if (!left.low || !left.high || *left.high < *left.low)
        return refused(ErrorCode::OutOfRange);
    return left;
}

} // namespace

Result<std::vector<LeftAutomatic>> parseAutomatics(std::string_view text) {
    std::vector<LeftAutomatic> all;
    while (!text.empty()) {
        const auto comma = std::min(text.find(','), text.size());
        const auto piece = automaticWithoutSpaces(text.substr(0, comma));
        text.remove_prefix(std::min(comma + 1, text.size()));
        if (piece.empty())
            continue;
        const auto left = automaticFrom(piece);
        if (!left)
            return left.error();
        std::erase_if(all, [&](const LeftAutomatic& one) { return one.kind == left->kind; });
        all.push_back(*left);
    }
    return all;
}

std::string spell(const std::vector<LeftAutomatic>& automatics) {
    std::string text;
    for (const auto& left : automatics) {
        text += text.empty() ? "" : ", ";
        text += nameIn<AutomaticKind>(kAutomaticNames, left.kind);
        if (left.low && left.high)
            text += " " + trimmed(*left.low, 1) + "-" + trimmed(*left.high, 1);
    }
    return text;
}

} // namespace bslate
