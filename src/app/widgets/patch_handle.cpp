#include "app/widgets/patch_handle.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

namespace bslate::app {

namespace {
constexpr int kSize = 24;
}

PatchHandle::PatchHandle(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setFixedSize(kSize, kSize);
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::SizeHorCursor);
}

void PatchHandle::show(const QString& id, const QString& name, const QString& value,
                       PatchState state) {
    m_id = id;
    m_state = state;
    setObjectName(QStringLiteral("patch-") + id);
    describe(*this, QAccessible::Slider, name, value,
             tr("Left and right move it a tenth of a stop, with Shift a third; Return types a "
                "reading"));
    const QString tip = name + QStringLiteral("\n") + value;
    if (toolTip() != tip)
        setToolTip(tip);
    update();
}

void PatchHandle::centreOn(QPoint point) {
    const QPoint corner(point.x() - kSize / 2, point.y() - kSize / 2);
    if (corner != pos())
        move(corner);
}

void PatchHandle::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    QColor fill = t.ink;
    if (m_state == PatchState::Clipped)
        fill = t.coral;
    if (m_state == PatchState::Noise)
        fill = t.muted;
    const bool active = m_dragging || m_hovered || hasFocus();
    const double radius = active ? 9 : 7.5;
    drawDiamond(painter, QPointF(kSize / 2.0, kSize / 2.0), radius, active ? t.marigold : fill,
                hasFocus() ? t.ink : t.deep);
}

void PatchHandle::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    m_pressedAt = static_cast<int>(event->globalPosition().x());
    m_dragging = true;
    setFocus(Qt::MouseFocusReason);
    emit dragStarted();
    update();
}

void PatchHandle::mouseMoveEvent(QMouseEvent* event) {
    if (m_dragging)
        emit dragged(static_cast<int>(event->globalPosition().x()) - m_pressedAt);
}

void PatchHandle::mouseReleaseEvent(QMouseEvent*) {
    if (!m_dragging)
        return;
    m_dragging = false;
    emit dragEnded();
    update();
}

void PatchHandle::mouseDoubleClickEvent(QMouseEvent*) {
    m_dragging = false;
    emit typeRequested();
}

void PatchHandle::keyPressEvent(QKeyEvent* event) {
    const double step = event->modifiers() & Qt::ShiftModifier ? 1.0 / 3.0 : 0.1;
    if (event->modifiers() & Qt::ControlModifier) {
        QWidget::keyPressEvent(event);
        return;
    }
    switch (event->key()) {
    case Qt::Key_Left:
        emit nudged(-step);
        break;
    case Qt::Key_Right:
        emit nudged(step);
        break;
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_F2:
        emit typeRequested();
        break;
    case Qt::Key_Delete:
        emit deleteRequested();
        break;
    default:
        QWidget::keyPressEvent(event);
    }
}

void PatchHandle::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    emit focused();
}

void PatchHandle::enterEvent(QEnterEvent*) {
    m_hovered = true;
    update();
}

void PatchHandle::leaveEvent(QEvent*) {
    m_hovered = false;
    update();
}

} // namespace bslate::app
