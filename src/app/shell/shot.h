#pragma once

#include <QSize>
#include <QString>
#include <QStringList>

#include <iosfwd>

namespace bslate::app {

class MainWindow;

/// A picture of the running window, rendered without a display.
struct Shot {
    QString file;
    QString view = QStringLiteral("light"); ///< one of viewNames()
    QSize size{1280, 800};
};

/// Pages of the steps, and sheets.
[[nodiscard]] QStringList viewNames(const MainWindow& window);

/// The pictures in docs/screenshots, one a line: file, view, setup (-: any) and theme, with
/// tabs.
void listShots(const MainWindow& window, std::ostream& out);

/// Shows the view and writes it as PNG; false when the view is unknown or the file cannot be
/// written (the message goes to standard error).
[[nodiscard]] bool takeShot(MainWindow& window, const Shot& shot);

} // namespace bslate::app
