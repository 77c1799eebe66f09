#include "app/widgets/save_path.h"

#include "app/document/text.h"
#include "io/system/files.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QMessageBox>

namespace bslate::app {
namespace {

bool confirmed(QWidget* parent, const QString& path, io::Obstacle obstacle) {
    QMessageBox box(QMessageBox::Question, QCoreApplication::translate("Save", "Replace the file?"),
                    {}, QMessageBox::Cancel, parent);
    box.setTextFormat(Qt::PlainText);
    box.setText(QCoreApplication::translate("Save", "%1 %2.")
                    .arg(QFileInfo(path).fileName(), toQt(io::wordsFor(obstacle))));
    auto* replace =
        box.addButton(QCoreApplication::translate("Save", "Replace it"), QMessageBox::AcceptRole);
    box.exec();
    return box.clickedButton() == replace;
}

} // namespace

bool mayReplace(QWidget* parent, const QString& path) {
    for (const auto obstacle : io::obstaclesTo(fromQt(path)))
        if (obstacle != io::Obstacle::Exists && obstacle != io::Obstacle::NotAFile &&
            !confirmed(parent, path, obstacle))
            return false;
    return true;
}

QString askSavePath(QWidget* parent, const SaveWish& wish) {
    QFileDialog dialog(parent, wish.title, wish.folder, wish.filter);
    dialog.setAcceptMode(QFileDialog::AcceptSave);
    dialog.setFileMode(QFileDialog::AnyFile);
    dialog.setDefaultSuffix(wish.suffix);
    // Numbers and titles come from files of others: "../../evil" proposes no other folder.
    dialog.selectFile(wish.folder.isEmpty() ? toQt(io::plainFileName(fromQt(wish.name)))
                                            : QFileInfo(wish.name).fileName());
    if (dialog.exec() != QDialog::Accepted || dialog.selectedFiles().isEmpty())
        return {};
    QString path = dialog.selectedFiles().constFirst();
    // A dialog of the desktop may leave the suffix to us, and has then asked about another file.
    const QString suffix = QLatin1Char('.') + wish.suffix;
    if (QFileInfo(path).suffix().isEmpty() ||
        (wish.always && !path.endsWith(suffix, Qt::CaseInsensitive))) {
        path += suffix;
        if (QFileInfo::exists(path) && !confirmed(parent, path, io::Obstacle::Exists))
            return {};
    }
    return mayReplace(parent, path) ? path : QString();
}

} // namespace bslate::app
