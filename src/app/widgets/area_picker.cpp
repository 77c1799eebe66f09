#include "app/widgets/area_picker.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QKeyEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kSmallest = 0.01, kCardStep = 0.01;

} // namespace

AreaPicker::AreaPicker(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("area-picker"));
    setFocusPolicy(Qt::StrongFocus);
    put(m_area);
}

void AreaPicker::show(const QImage& picture) {
    m_picture = picture;
    update();
}

void AreaPicker::showPlaces(std::vector<MarkedPlace> places) {
    m_places = std::move(places);
    update();
}

QRectF AreaPicker::box() const {
    if (m_picture.isNull())
        return rect();
    const QSizeF size = QSizeF(m_picture.size()).scaled(QSizeF(this->size()), Qt::KeepAspectRatio);
    return {QPointF((width() - size.width()) / 2, (height() - size.height()) / 2), size};
}

QPointF AreaPicker::placeOf(double x, double y) const {
    return {box().left() + x * box().width(), box().top() + y * box().height()};
}

QPointF AreaPicker::shareAt(QPointF place) const {
    return {std::clamp((place.x() - box().left()) / box().width(), 0.0, 1.0),
            std::clamp((place.y() - box().top()) / box().height(), 0.0, 1.0)};
}

void AreaPicker::put(PictureArea area) {
    area.width = std::clamp(area.width, kSmallest, 1.0);
    area.height = std::clamp(area.height, kSmallest, 1.0);
    area.x = std::clamp(area.x, 0.0, 1 - area.width);
    area.y = std::clamp(area.y, 0.0, 1 - area.height);
    m_area = area;
    const auto percent = [](double share) { return std::lround(share * 100); };
    describe(*this, QAccessible::Graphic, tr("The marked place in the picture"),
             tr("%1 % across, %2 % down, %3 by %4 %")
                 .arg(percent(area.x))
                 .arg(percent(area.y))
                 .arg(percent(area.width))
                 .arg(percent(area.height)),
             tr("Arrow keys move it, with Shift they change its size"));
    update();
}

void AreaPicker::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    painter.fillRect(rect(), t.deep);
    if (m_picture.isNull()) {
        painter.setPen(t.muted);
        painter.drawText(rect(), Qt::AlignCenter, tr("reading \u2026"));
        return;
    }
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(box(), m_picture);
    painter.setFont(Style::font(TextRole::Secondary));
    for (const auto& place : m_places) {
        const QRectF box(
            placeOf(place.area.x, place.area.y),
            placeOf(place.area.x + place.area.width, place.area.y + place.area.height));
        painter.setPen(QPen(t.deep, 3));
        painter.drawRect(box);
        painter.setPen(QPen(t.ink, 1.2));
        painter.drawRect(box);
        const QRectF under(box.center().x() - 60, box.bottom() + 1, 120, 14);
        painter.setPen(t.deep);
        painter.drawText(under.translated(1, 1), Qt::AlignHCenter | Qt::AlignTop, place.label);
        painter.setPen(t.ink);
        painter.drawText(under, Qt::AlignHCenter | Qt::AlignTop, place.label);
        if (!place.label.isEmpty())
            drawSeverity(painter, QRectF(box.center() - QPointF(7, 7), QSizeF(14, 14)),
                         place.severity, false, t);
    }
    const QRectF area(placeOf(m_area.x, m_area.y),
                      placeOf(m_area.x + m_area.width, m_area.y + m_area.height));
    painter.setPen(QPen(t.deep, 4));
    painter.drawRect(area);
    painter.setPen(QPen(hasFocus() ? t.marigold : t.ink, 2));
    painter.drawRect(area);
}

void AreaPicker::mousePressEvent(QMouseEvent* event) {
    m_from = shareAt(event->position());
    m_drawing = true;
}

void AreaPicker::mouseMoveEvent(QMouseEvent* event) {
    if (!m_drawing)
        return;
    const QPointF to = shareAt(event->position());
    put({std::min(m_from.x(), to.x()), std::min(m_from.y(), to.y()), std::abs(m_from.x() - to.x()),
         std::abs(m_from.y() - to.y())});
}

void AreaPicker::mouseReleaseEvent(QMouseEvent* event) {
    if (!m_drawing)
        return;
    mouseMoveEvent(event);
    m_drawing = false;
    emit changed();
}

void AreaPicker::keyPressEvent(QKeyEvent* event) {
    const bool sized = event->modifiers() & Qt::ShiftModifier;
    PictureArea area = m_area;
    double& across = sized ? area.width : area.x;
    double& down = sized ? area.height : area.y;
    switch (event->key()) {
    case Qt::Key_Left:
        across -= kCardStep;
        break;
    case Qt::Key_Right:
        across += kCardStep;
        break;
    case Qt::Key_Up:
        down -= kCardStep;
        break;
    case Qt::Key_Down:
        down += kCardStep;
        break;
    default:
        return QWidget::keyPressEvent(event);
    }
    put(area);
    emit changed();
}

void AreaPicker::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}

void AreaPicker::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

} // namespace bslate::app
