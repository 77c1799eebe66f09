#pragma once

#include "core/base/error.h"
#include "core/base/result.h"
#include "core/words/wording.h"

#include <QCoreApplication>
#include <QString>

#include <optional>
#include <string>
#include <string_view>

/// The bridge between the core's UTF-8 texts and Qt's, and the translator for its sentences.
namespace bslate::app {

[[nodiscard]] inline QString toQt(std::string_view text) {
    return QString::fromUtf8(text.data(), static_cast<qsizetype>(text.size()));
}

[[nodiscard]] inline std::string fromQt(const QString& text) {
    return text.toStdString();
}

/// Looks a core sentence up in the application's translation, context "Verdict".
[[nodiscard]] inline Translator translator() {
    return [](const char* english) {
        return QCoreApplication::translate("Verdict", english).toStdString();
    };
}

[[nodiscard]] inline QString messageOf(const Error& error) {
    return toQt(message(error));
}

/// What a person is told of a result that is none; nothing when it is one.
template<class T>
[[nodiscard]] std::optional<QString> problemOf(const Result<T>& result) {
    return result ? std::nullopt : std::optional(messageOf(result.error()));
}

} // namespace bslate::app
