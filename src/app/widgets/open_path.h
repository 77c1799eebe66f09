#pragma once

#include <QString>
#include <QStringList>

class QWidget;

namespace bslate::app {

/// What is to be opened, asked for in a dialog that only looks: no key in it deletes or renames
/// what lies there. `filter` is as QFileDialog takes it. Empty when it was cancelled.
[[nodiscard]] QString askOpenPath(QWidget* parent, const QString& title, const QString& filter = {},
                                  const QString& folder = {});
[[nodiscard]] QStringList askOpenPaths(QWidget* parent, const QString& title,
                                       const QString& filter = {});

} // namespace bslate::app
