#include "app/widgets/drag_field.h"

#include <QKeyEvent>
#include <QMouseEvent>

namespace bslate::app {

DragField::DragField(const Style& style, QuantityEdit::Check check, int pixelsPerStep,
                     QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_edit(new QuantityEdit(std::move(check), this))
    , m_pixelsPerStep(pixelsPerStep) {
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::SizeHorCursor);
    m_edit->hide();
    const auto close = [this] {
        m_edit->hide();
        setFocus();
    };
    connect(m_edit, &QuantityEdit::entered, this, [this, close](const QString& text) {
        close();
        emit typed(text);
    });
    connect(m_edit, &QuantityEdit::refused, this, [this, close](const QString& message) {
        if (!m_edit->keepsRefused())
            close();
        emit refused(message);
    });
    connect(m_edit, &QuantityEdit::leftUnchanged, this, close);
    connect(m_edit, &QLineEdit::editingFinished, m_edit, &QWidget::hide);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void DragField::type() {
    m_edit->setGeometry(typedArea());
    m_edit->showValue(typedText());
    m_edit->setText(typedText());
    m_edit->setModified(false);
    m_edit->show();
    m_edit->raise();
    m_edit->selectAll();
    m_edit->setFocus();
}

void DragField::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    m_pressedAt = static_cast<int>(event->globalPosition().x());
    m_lastSteps = 0;
    m_dragging = true;
    emit dragStarted();
    update();
}

void DragField::mouseMoveEvent(QMouseEvent* event) {
    if (!m_dragging)
        return;
    const int steps =
        (static_cast<int>(event->globalPosition().x()) - m_pressedAt) / m_pixelsPerStep;
    if (steps == m_lastSteps)
        return;
    m_lastSteps = steps;
    emit draggedSteps(steps);
}

void DragField::mouseReleaseEvent(QMouseEvent*) {
    if (!m_dragging)
        return;
    m_dragging = false;
    emit dragEnded();
    update();
}

void DragField::mouseDoubleClickEvent(QMouseEvent*) {
    m_dragging = false;
    type();
}

void DragField::keyPressEvent(QKeyEvent* event) {
    const bool types = event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter ||
                       event->key() == Qt::Key_F2;
    if (types && !(event->modifiers() & Qt::ControlModifier))
        return type();
    QWidget::keyPressEvent(event);
}

} // namespace bslate::app
