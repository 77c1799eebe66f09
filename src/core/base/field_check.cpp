#include "core/base/field_check.h"

namespace bslate::fields {
namespace {

std::string withoutMark(const char* name) {
    std::string text(name);
    std::erase(text, '&');
    return text;
}

std::string plain(double number) {
    std::string text = std::to_string(number);
    text.erase(text.find_last_not_of('0') + 1);
    return text.back() == '.' ? text.substr(0, text.size() - 1) : text;
}

} // namespace

PlacedFault unfit(const form::Text& text, const std::string& value) {
    if (value.size() > text.longest)
        return {
            {}, shortened(value), "a text of at most " + std::to_string(text.longest) + " bytes"};
    return {{}, {}, text.mustSay, ErrorCode::EmptyText};
}

PlacedFault outside(double low, double high, double value) {
    return {{}, plain(value), "a number from " + plain(low) + " to " + plain(high)};
}

PlacedFault unreadable(std::string said, const Error& again) {
    return {{}, std::move(said), again.expected, again.code};
}

PlacedFault tooMany(std::size_t items, std::size_t most, const char* what) {
    return {{}, std::to_string(items), "at most " + std::to_string(most) + " " + what};
}

PlacedFault ofStruct(const char* name, FieldFault&& fault) {
    return {withoutMark(name ? name : fault.key), std::move(fault.got), std::move(fault.expected),
            fault.code};
}

void placeIn(PlacedFault& fault, const char* field) {
    fault.place = withoutMark(field) + (fault.place.empty() ? "" : " ") + fault.place;
}

void placeAt(PlacedFault& fault, std::size_t index) {
    fault.place = std::to_string(index + 1) + (fault.place.empty() ? "" : ", ") + fault.place;
}

} // namespace bslate::fields
