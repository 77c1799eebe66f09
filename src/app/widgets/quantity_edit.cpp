#include "app/widgets/quantity_edit.h"

#include <QFocusEvent>
#include <QKeyEvent>

namespace bslate::app {

QuantityEdit::QuantityEdit(Check check, QWidget* parent)
    : QLineEdit(parent)
    , m_check(std::move(check)) {}

void QuantityEdit::showValue(const QString& text) {
    m_shown = text;
    if (!hasFocus() || !isModified())
        setText(text);
}

void QuantityEdit::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
    case Qt::Key_Return:
    case Qt::Key_Enter:
        commit();
        return;
    case Qt::Key_Escape:
        setText(m_shown);
        setModified(false);
        emit leftUnchanged();
        return;
    default:
        QLineEdit::keyPressEvent(event);
    }
}

void QuantityEdit::focusOutEvent(QFocusEvent* event) {
    QLineEdit::focusOutEvent(event);
    if (event->reason() != Qt::PopupFocusReason && isModified())
        commit();
}

void QuantityEdit::commit() {
    const QString typed = text();
    setModified(false);
    if (typed == m_shown) {
        emit leftUnchanged();
        return;
    }
    if (const auto problem = m_check(typed)) {
        if (m_keepsRefused)
            setModified(true);
        else
            setText(m_shown);
        emit refused(*problem);
        return;
    }
    m_shown = typed;
    emit entered(typed);
}

QuantityEdit* quantityField(const char* name, const QString& spoken, QuantityEdit::Check check) {
    auto* edit = new QuantityEdit(std::move(check));
    edit->setObjectName(QString::fromLatin1(name));
    edit->setAccessibleName(spoken);
    return edit;
}

} // namespace bslate::app
