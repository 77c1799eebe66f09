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

QString breakable(const QString& text) {
    constexpr int kLongestRun = 24;
    constexpr QChar kMayBreak(0x200B);
    QString result;
    int run = 0;
    for (const QChar c : text) {
        result += c;
        run = c.isSpace() ? 0 : run + 1;
        // Never between the two halves of a character.
        if (!c.isHighSurrogate() && (c == QLatin1Char('+') || run == kLongestRun)) {
            result += kMayBreak;
            run = 0;
        }
    }
    return result;
}

} // namespace bslate::app
