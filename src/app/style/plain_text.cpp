#include "app/style/plain_text.h"

#include <QCoreApplication>
#include <QEvent>
#include <QLabel>

namespace bslate::app {
namespace {

// A label is polished before its text is laid out for the first time.
class PlainText : public QObject {
public:
    using QObject::QObject;

protected:
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() == QEvent::Polish)
            if (auto* label = qobject_cast<QLabel*>(watched);
                label && label->textFormat() == Qt::AutoText)
                label->setTextFormat(Qt::PlainText);
        return false;
    }
};

} // namespace

void installPlainText(QCoreApplication& application) {
    application.installEventFilter(new PlainText(&application));
}

} // namespace bslate::app
