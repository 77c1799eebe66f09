#include "core/quantity/number_text.h"

#include "core/quantity/print.h"

#include <charconv>

namespace bslate {

std::string exact(double value) {
    char buffer[400];
    const auto end = std::to_chars(buffer, buffer + sizeof buffer, value, std::chars_format::fixed);
    return {buffer, end.ptr};
}

std::string trimmed(double value, int decimals) {
    std::string text = fixedText(value, decimals);
    if (text.find('.') == std::string::npos)
        return text;
    while (text.back() == '0')
        text.pop_back();
    if (text.back() == '.')
        text.pop_back();
    return text;
}

} // namespace bslate
