#include "app/widgets/open_path.h"

#include <QFileDialog>

namespace bslate::app {

QString askOpenPath(QWidget* parent, const QString& title, const QString& filter,
                    const QString& folder) {
    return QFileDialog::getOpenFileName(parent, title, folder, filter, nullptr,
                                        QFileDialog::ReadOnly);
}

QStringList askOpenPaths(QWidget* parent, const QString& title, const QString& filter) {
    return QFileDialog::getOpenFileNames(parent, title, {}, filter, nullptr, QFileDialog::ReadOnly);
}

} // namespace bslate::app
