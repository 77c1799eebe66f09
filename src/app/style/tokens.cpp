#include "app/style/tokens.h"

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

const Tokens kSlate{QColor(0x1F262A), QColor(0x181D20),
                    QColor(0x273035), QColor(0x2F3A40),
                    QColor(0x3D4A51), QColor(0xEFEBE1),
                    QColor(0xA9B3B3), QColor(0x6F7B7F),
                    QColor(0xF2B93B), QColor(0xF0866F),
                    QColor(0x5DBBA8), QColor(0x86B7E8),
                    QColor(0xBCA2E6), 1.0};
const Tokens kPaper{QColor(0xF3EFE6), QColor(0xE6E0D3),
                    QColor(0xFBF8F1), QColor(0xFFFFFF),
                    QColor(0xC9C1B0), QColor(0x22292D),
                    QColor(0x566064), QColor(0x8B9291),
                    QColor(0x8A5A00), QColor(0xB23A22),
                    QColor(0x17705F), QColor(0x1F5F9E),
                    QColor(0x6A4AA5), 1.35};

double luminance(const QColor& color) {
    const auto channel = [](double c) {
        return c <= 0.04045 ? c / 12.92 : std::pow((c + 0.055) / 1.055, 2.4);
    };
    return 0.2126 * channel(color.redF()) + 0.7152 * channel(color.greenF()) +
           0.0722 * channel(color.blueF());
}

} // namespace

const Tokens& tokens(Theme theme) {
    return theme == Theme::Slate ? kSlate : kPaper;
}

double contrast(const QColor& a, const QColor& b) {
    const double la = luminance(a), lb = luminance(b);
    return (std::max(la, lb) + 0.05) / (std::min(la, lb) + 0.05);
}

} // namespace bslate::app
