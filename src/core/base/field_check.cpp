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

void Search::text(const form::Text& text, const std::string& value) {
    if (value.size() > text.longest)
        m_fault = PlacedFault{
            {}, shortened(value), "a text of at most " + std::to_string(text.longest) + " bytes"};
    else if (text.mustSay && value.empty())
        m_fault = PlacedFault{{}, {}, text.mustSay, ErrorCode::EmptyText};
}

void Search::number(double low, double high, double value) {
    if (!(value >= low && value <= high))
        m_fault =
            PlacedFault{{}, plain(value), "a number from " + plain(low) + " to " + plain(high)};
}

void Search::refused(std::string said, const Error& again) {
    m_fault = PlacedFault{{}, std::move(said), again.expected, again.code};
}

void Search::items(std::size_t items, std::size_t most, const char* what) {
    if (items > most)
        m_fault =
            PlacedFault{{}, std::to_string(items), "at most " + std::to_string(most) + " " + what};
}

void Search::ofStruct(const char* name, FieldFault&& fault) {
    m_fault = PlacedFault{withoutMark(name ? name : fault.key), std::move(fault.got),
                          std::move(fault.expected), fault.code};
}

void Search::in(const char* field) {
    if (m_fault)
        m_fault->place = withoutMark(field) + (m_fault->place.empty() ? "" : " ") + m_fault->place;
}

void Search::at(std::size_t index) {
    if (m_fault)
        m_fault->place =
            std::to_string(index + 1) + (m_fault->place.empty() ? "" : ", ") + m_fault->place;
}

} // namespace bslate::fields
