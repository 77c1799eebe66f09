#include "app/views/body_test/card_picker.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QKeyEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kSmallestCard = 0.01, kCardStep = 0.01;

} // namespace

CardPicker::CardPicker(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("card-picker"));
    setFocusPolicy(Qt::StrongFocus);
    put(m_card);
}

void CardPicker::show(const QImage& picture) {
    m_picture = picture;
    update();
}

QRectF CardPicker::box() const {
    if (m_picture.isNull())
        return rect();
    const QSizeF size = QSizeF(m_picture.size()).scaled(QSizeF(this->size()), Qt::KeepAspectRatio);
    return {QPointF((width() - size.width()) / 2, (height() - size.height()) / 2), size};
}

QPointF CardPicker::placeOf(double x, double y) const {
    return {box().left() + x * box().width(), box().top() + y * box().height()};
}

QPointF CardPicker::shareAt(QPointF place) const {
    return {std::clamp((place.x() - box().left()) / box().width(), 0.0, 1.0),
            std::clamp((place.y() - box().top()) / box().height(), 0.0, 1.0)};
}

void CardPicker::put(PictureArea card) {
    card.width = std::clamp(card.width, kSmallestCard, 1.0);
    card.height = std::clamp(card.height, kSmallestCard, 1.0);
    card.x = std::clamp(card.x, 0.0, 1 - card.width);
    card.y = std::clamp(card.y, 0.0, 1 - card.height);
    m_card = card;
    const auto percent = [](double share) { return std::lround(share * 100); };
    describe(*this, QAccessible::Graphic, tr("The grey card in the picture"),
             tr("%1 % across, %2 % down, %3 by %4 %")
                 .arg(percent(card.x))
                 .arg(percent(card.y))
                 .arg(percent(card.width))
                 .arg(percent(card.height)),
             tr("Arrow keys move it, with Shift they change its size"));
    update();
}

void CardPicker::paintEvent(QPaintEvent*) {
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
    const QRectF card(placeOf(m_card.x, m_card.y),
                      placeOf(m_card.x + m_card.width, m_card.y + m_card.height));
    painter.setPen(QPen(t.deep, 4));
    painter.drawRect(card);
    painter.setPen(QPen(hasFocus() ? t.marigold : t.ink, 2));
    painter.drawRect(card);
}

void CardPicker::mousePressEvent(QMouseEvent* event) {
    m_from = shareAt(event->position());
    m_drawing = true;
}

void CardPicker::mouseMoveEvent(QMouseEvent* event) {
    if (!m_drawing)
        return;
    const QPointF to = shareAt(event->position());
    put({std::min(m_from.x(), to.x()), std::min(m_from.y(), to.y()), std::abs(m_from.x() - to.x()),
         std::abs(m_from.y() - to.y())});
}

void CardPicker::mouseReleaseEvent(QMouseEvent* event) {
    if (!m_drawing)
        return;
    mouseMoveEvent(event);
    m_drawing = false;
    emit changed();
}

void CardPicker::keyPressEvent(QKeyEvent* event) {
    const bool sized = event->modifiers() & Qt::ShiftModifier;
    PictureArea card = m_card;
    double& across = sized ? card.width : card.x;
    double& down = sized ? card.height : card.y;
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
    put(card);
    emit changed();
}

void CardPicker::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}

void CardPicker::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

} // namespace bslate::app
