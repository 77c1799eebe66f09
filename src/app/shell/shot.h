#pragma once

#include <QSize>
#include <QString>

namespace bslate::app {

class MainWindow;

/// A picture of the running window, rendered without a display.
struct Shot {
    QString file;
    QString view = QStringLiteral("light"); ///< brief, light, card, keys or cautions
    QSize size{1280, 800};
};

/// Shows the view and writes it as PNG; false when the view is unknown or the file cannot be
/// written (the message goes to standard error).
[[nodiscard]] bool takeShot(MainWindow& window, const Shot& shot);

} // namespace bslate::app
