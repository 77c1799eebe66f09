#include "core/words/table_text.h"

#include "core/quantity/scan.h"

#include <algorithm>

namespace bslate {
namespace {

// `-0.3`, `+4.1 stop`: nothing behind the number that could be worked out.
bool isQuantity(std::string_view text) {
    const auto digits = text.find_first_not_of("0123456789.", 1);
    const auto rest = text.substr(std::min(digits, text.size()));
    return text.size() > 1 && isDigit(text[1]) && std::all_of(rest.begin(), rest.end(), [](char c) {
               const char low = static_cast<char>(c | 0x20);
               return c == ' ' || c == '%' || static_cast<unsigned char>(c) >= 0x80 ||
                      (low >= 'a' && low <= 'z');
           });
}

bool isFormula(std::string_view text) {
    if (text.empty())
        return false;
    const char first = text.front();
    if (first == '+' || first == '-')
        return !isQuantity(text);
    return first == '=' || first == '@' || first == '\t' || first == '\r' || first == '\n';
}

// An apostrophe that somebody wrote is told from one that was put there.
bool needsApostrophe(std::string_view text) {
    return isFormula(text) || (text.starts_with('\'') && needsApostrophe(text.substr(1)));
}

std::string quotedField(const std::string& text) {
    if (text.find_first_of(",\";\t\r\n") == std::string::npos && !text.starts_with('#'))
        return text;
    std::string quoted = "\"";
    for (const char c : text)
        quoted += c == '"' ? std::string("\"\"") : std::string(1, c);
    return quoted + "\"";
}

} // namespace

std::string tableRow(const std::vector<std::string>& fields, TableKind kind) {
    std::string row;
    for (std::size_t i = 0; i < fields.size(); ++i) {
        auto field = (needsApostrophe(fields[i]) ? "'" : "") + fields[i];
        if (kind == TableKind::Tabs)
            std::replace_if(
                field.begin(), field.end(),
                [](char c) { return c == '\t' || c == '\n' || c == '\r'; }, ' ');
        if (i > 0)
            row += kind == TableKind::Csv ? ',' : '\t';
        row += kind == TableKind::Csv ? quotedField(field) : field;
    }
    return row + "\n";
}

std::string fromTable(std::string field) {
    if (field.starts_with('\'') && needsApostrophe(std::string_view(field).substr(1)))
        field.erase(0, 1);
    return field;
}

} // namespace bslate
