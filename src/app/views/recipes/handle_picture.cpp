#include "app/views/recipes/handle_picture.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QKeyEvent>
#include <QLineF>
#include <QMouseEvent>
#include <QPainter>

#include <optional>
#include <utility>

namespace bslate::app {

HandlePicture::HandlePicture(const Style& style, LookHandle first, int count, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_first(first)
    , m_held(first)
    , m_count(count) {
    setFocusPolicy(Qt::StrongFocus);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

LookHandle HandlePicture::handleAt(int index) const {
    return static_cast<LookHandle>(static_cast<int>(m_first) + (index + m_count) % m_count);
}

void HandlePicture::show(const Look& look, const Look& other) {
    m_look = look;
    m_other = other;
    tell();
    update();
}

void HandlePicture::setHeld(LookHandle handle) {
    m_held = handle;
    tell();
    update();
}

void HandlePicture::tell() {
    describe(*this, QAccessible::Slider, nameOf(m_held), textOf(m_look, m_held));
}

void HandlePicture::paintHandles(QPainter& painter) const {
    const auto& t = m_style.colours();
    for (int i = 0; i < m_count; ++i) {
        const auto handle = handleAt(i);
        const bool held = handle == m_held && hasFocus();
        drawDiamond(painter, placeOf(handle), held ? 9 : 7, t.marigold, held ? t.ink : t.ground);
    }
}

void HandlePicture::keyPressEvent(QKeyEvent* event) {
    const int steps = (event->modifiers() & Qt::ShiftModifier ? 5 : 1) * upIs(m_held);
    const int index = static_cast<int>(m_held) - static_cast<int>(m_first);
    switch (event->key()) {
    case Qt::Key_Left:
        return emit chosen(handleAt(index - 1));
    case Qt::Key_Right:
        return emit chosen(handleAt(index + 1));
    case Qt::Key_Up:
        return emit changed(m_held, stepped(m_look, m_held, steps));
    case Qt::Key_Down:
        return emit changed(m_held, stepped(m_look, m_held, -steps));
    case Qt::Key_Delete:
        return emit changed(m_held, neutral(m_look, m_held));
    case Qt::Key_Return:
    case Qt::Key_Enter:
        return emit numberWanted();
    default:
        QWidget::keyPressEvent(event);
    }
}

void HandlePicture::mousePressEvent(QMouseEvent* event) {
    constexpr double kReach = 16;
    if (event->button() != Qt::LeftButton)
        return;
    double nearest = kReach;
    std::optional<LookHandle> found;
    for (int i = 0; i < m_count; ++i) {
        const double away = QLineF(placeOf(handleAt(i)), event->position()).length();
        if (away < nearest) {
            nearest = away;
            found = handleAt(i);
        }
    }
    if (!found)
        return;
    m_dragging = true;
    m_before = m_look;
    emit chosen(*found);
}

void HandlePicture::mouseMoveEvent(QMouseEvent* event) {
    if (m_dragging)
        emit dragged(lookAt(m_held, event->position()));
}

void HandlePicture::mouseReleaseEvent(QMouseEvent*) {
    if (std::exchange(m_dragging, false) && !(m_look == m_before))
        emit changed(m_held, m_look);
}

void HandlePicture::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    emit chosen(m_held);
    update();
}

void HandlePicture::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

} // namespace bslate::app
