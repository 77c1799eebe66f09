#include "cli/plain_stream.h"

#include <algorithm>
#include <cstdio>

namespace bslate::cli {
namespace {

// Bytes behind the first one; 0 for one that begins nothing.
std::size_t behind(unsigned char first) {
    return first >= 0xF0 && first < 0xF5 ? 3
           : first >= 0xE0               ? (first < 0xF0 ? 2 : 0)
           : first >= 0xC2               ? 1
                                         : 0;
}

char32_t valueOf(const std::string& bytes) {
    const auto first = static_cast<unsigned char>(bytes[0]);
    char32_t value = first & (0x7F >> bytes.size());
    for (std::size_t i = 1; i < bytes.size(); ++i)
        value = (value << 6) | (static_cast<unsigned char>(bytes[i]) & 0x3F);
    return value;
}

// Too long a way to write it, a half of a pair, or beyond the last one.
bool isNoCharacter(char32_t value, std::size_t length) {
    return (length == 3 && value < 0x800) || (length == 4 && value < 0x10000) ||
           (value >= 0xD800 && value < 0xE000) || value > 0x10FFFF;
}

// Unicode 15, DerivedCoreProperties and PropList: Bidi_Control, line and paragraph separators, the
// C1 controls, and the mark of byte order.
bool isOrder(char32_t value) {
    return (value >= 0x80 && value < 0xA0) || value == 0x061C || value == 0x200E ||
           value == 0x200F || (value >= 0x2028 && value <= 0x202E) ||
           (value >= 0x2066 && value <= 0x2069) || value == 0xFEFF;
}

bool isPlain(char c) {
    return (c >= 0x20 && c < 0x7F) || c == '\n' || c == '\t';
}

std::string escaped(char32_t value) {
    char text[8];
    std::snprintf(text, sizeof text, "\\u%04x", static_cast<unsigned>(value));
    return text;
}

} // namespace

void PlainBuffer::finish() {
    if (!m_begun.empty())
        m_to << escaped(0xFFFD);
    m_begun.clear();
    m_missing = 0;
}

void PlainBuffer::take(unsigned char byte) {
    if (m_missing > 0 && (byte & 0xC0) == 0x80) {
        m_begun += static_cast<char>(byte);
        if (--m_missing > 0)
            return;
        const auto value = valueOf(m_begun);
        if (isNoCharacter(value, m_begun.size()))
            m_to << escaped(0xFFFD);
        else if (isOrder(value))
            m_to << escaped(value);
        else
            m_to << m_begun;
        m_begun.clear();
        return;
    }
    finish();
    if (byte >= 0x80) {
        m_missing = behind(byte);
        if (m_missing == 0)
            m_to << escaped(0xFFFD);
        else
            m_begun = static_cast<char>(byte);
    } else if ((byte < 0x20 && byte != '\n' && byte != '\t') || byte == 0x7F) {
        m_to << escaped(byte);
    } else {
        m_to << static_cast<char>(byte);
    }
}

PlainBuffer::int_type PlainBuffer::overflow(int_type c) {
    if (traits_type::eq_int_type(c, traits_type::eof()))
        return traits_type::not_eof(c);
    take(static_cast<unsigned char>(traits_type::to_char_type(c)));
    return m_to ? c : traits_type::eof();
}

// Plain letters, most of all there is, go through as a whole.
std::streamsize PlainBuffer::xsputn(const char* bytes, std::streamsize count) {
    const char* const end = bytes + count;
    while (bytes != end) {
        const char* plain = m_missing > 0 ? bytes : std::find_if_not(bytes, end, isPlain);
        m_to.write(bytes, plain - bytes);
        bytes = plain;
        if (bytes != end)
            take(static_cast<unsigned char>(*bytes++));
    }
    return m_to ? count : 0;
}

int PlainBuffer::sync() {
    return m_to.flush() ? 0 : -1;
}

} // namespace bslate::cli
