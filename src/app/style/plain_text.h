#pragma once

#include <QString>

class QCoreApplication;

namespace bslate::app {

/// From now on every label of the application, those inside tooltips and message boxes too, shows
/// its text as it stands: names come from files of others, and one that looks like HTML would load
/// what it names. A label that says QLabel::setTextFormat(Qt::RichText) itself keeps that and
/// escapes what it shows. Call once before any window.
void installPlainText(QCoreApplication& application);

/// The same text, which a label may break after a plus sign and inside very long words: a name of
/// somebody's that cannot be broken would widen everything around it.
[[nodiscard]] QString breakable(const QString& text);

} // namespace bslate::app
