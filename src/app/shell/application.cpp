#include "app/shell/application.h"

#include <exception>

namespace bslate::app {

bool Application::notify(QObject* receiver, QEvent* event) {
    QString what;
    try {
        return QApplication::notify(receiver, event);
    } catch (const std::exception& failed) {
        what = QString::fromLocal8Bit(failed.what());
    } catch (...) {
        what = tr("no more is known");
    }
    emit wentWrong(
        tr("Something failed inside the program (%1). Nothing is lost; what is shown may "
           "be of before.")
            .arg(what));
    return true;
}

} // namespace bslate::app
