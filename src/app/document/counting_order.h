#pragma once

#include <QString>

namespace bslate::app {

/// As cameras count files, with or without zeros before: `A2` is before `A10`. Letters whatever
/// their case.
[[nodiscard]] inline bool countsBefore(const QString& a, const QString& b) {
    qsizetype i = 0, j = 0;
    const auto number = [](const QString& text, qsizetype& at) {
        const auto from = at;
        while (at < text.size() && text[at].isDigit())
            ++at;
        return text.mid(from, at - from);
    };
    while (i < a.size() && j < b.size()) {
        if (a[i].isDigit() && b[j].isDigit()) {
            const auto x = number(a, i).toULongLong(), y = number(b, j).toULongLong();
            if (x != y)
                return x < y;
            continue;
        }
        const auto x = a[i++].toLower(), y = b[j++].toLower();
        if (x != y)
            return x < y;
    }
    return a.size() - i < b.size() - j;
}

} // namespace bslate::app
