#include "app/views/start/start_card.h"

#include "app/style/marks.h"

#include <QKeyEvent>
#include <QPainter>
#include <QPainterPath>

namespace bslate::app {

StartCard::StartCard(Sign sign, const Style& style, QWidget* parent)
    : QAbstractButton(parent)
    , m_style(style)
    , m_sign(sign) {
    setFocusPolicy(Qt::StrongFocus);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void StartCard::say(const QString& head, const QString& sentence) {
    setText(head);
    m_sentence = sentence;
    setAccessibleName(QString(head).remove(QLatin1Char('&')));
    setAccessibleDescription(sentence);
    update();
}

// A hill seen from afar; a body with its lens; a slate with lines.
void StartCard::paintSign(QPainter& painter, const QRectF& box) const {
    const auto& t = m_style.colours();
    painter.setPen(QPen(t.marigold, 2 * t.stroke, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    painter.setBrush(Qt::NoBrush);
    const double w = box.width(), h = box.height();
    const auto at = [&](double x, double y) { return box.topLeft() + QPointF(x * w, y * h); };
    QPainterPath path;
    switch (m_sign) {
    case Sign::Look:
        path.moveTo(at(0, 0.85));
        path.cubicTo(at(0.25, 0.75), at(0.35, 0.4), at(0.55, 0.55));
        path.cubicTo(at(0.7, 0.66), at(0.8, 0.8), at(1, 0.85));
        path.addEllipse(at(0.75, 0.25), 0.12 * w, 0.12 * w);
        break;
    case Sign::Camera:
        path.addRoundedRect(QRectF(at(0, 0.28), at(0.72, 0.9)), 4, 4);
        path.addEllipse(at(0.36, 0.59), 0.19 * w, 0.19 * w);
        path.moveTo(at(0.72, 0.5));
        path.lineTo(at(1, 0.34));
        path.lineTo(at(1, 0.84));
        path.lineTo(at(0.72, 0.68));
        break;
    case Sign::File:
        path.addRoundedRect(QRectF(at(0.16, 0.1), at(0.84, 0.94)), 3, 3);
        for (const double y : {0.34, 0.52, 0.7}) {
            path.moveTo(at(0.3, y));
            path.lineTo(at(y > 0.6 ? 0.55 : 0.7, y));
        }
        break;
    }
    painter.drawPath(path);
}

void StartCard::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = m_style.colours();
    const bool lit = hasFocus() || underMouse();
    drawBlock(painter, QRectF(rect()).adjusted(1, 1, -1, -1), lit ? t.raised : t.deep,
              hasFocus() ? t.marigold : t.line, hasFocus() ? 2 : 1);
    const QRectF inner = QRectF(rect()).adjusted(20, 18, -20, -16);
    paintSign(painter, QRectF(inner.topLeft(), QSizeF(52, 44)));
    painter.setFont(Style::font(TextRole::Head));
    painter.setPen(t.ink);
    painter.drawText(inner.adjusted(0, 60, 0, 0), Qt::AlignTop | Qt::TextShowMnemonic, text());
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(t.muted);
    painter.drawText(inner.adjusted(0, 90, 0, 0), Qt::AlignTop | Qt::TextWordWrap, m_sentence);
}

void StartCard::enterEvent(QEnterEvent* event) {
    QAbstractButton::enterEvent(event);
    update();
}

void StartCard::leaveEvent(QEvent* event) {
    QAbstractButton::leaveEvent(event);
    update();
}

void StartCard::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
    case Qt::Key_Return:
    case Qt::Key_Enter:
        return click();
    case Qt::Key_Left:
    case Qt::Key_Up:
        focusPreviousChild();
        return;
    case Qt::Key_Right:
    case Qt::Key_Down:
        focusNextChild();
        return;
    default:
        QAbstractButton::keyPressEvent(event);
    }
}

} // namespace bslate::app
