#include "app/views/cadence/angle_scale.h"

#include "app/views/cadence/row_head.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/label_rows.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kLabels = 20;    // above the plot
constexpr double kTicks = 30;     // below it
constexpr double kTopStops = 0.6; // pulsing that fills the plot

} // namespace

AngleScale::AngleScale(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("angle-scale"));
    setCursor(Qt::SizeHorCursor);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void AngleScale::show(Shown shown) {
    m_shown = std::move(shown);
    QStringList safe;
    for (const auto& range : m_shown->safe)
        safe << toQt(print(range.best));
    describe(*this, QAccessible::Slider, tr("Shutter angle"), toQt(print(m_shown->set)),
             m_shown->pulsing.empty() ? tr("no flicker")
             : safe.isEmpty()         ? tr("no angle is safe")
                                      : tr("safe: %1").arg(safe.join(QStringLiteral(", "))));
    update();
}

void AngleScale::clear() {
    m_shown.reset();
    update();
}

QRectF AngleScale::plot() const {
    return QRectF(kRowHead, kLabels, width() - kRowHead - 16, height() - kLabels - kTicks);
}

double AngleScale::x(ShutterAngle angle) const {
    return plot().left() + angle.value() / 360 * plot().width();
}

double AngleScale::reach() const {
    return 4 * 360.0 / plot().width();
}

int AngleScale::axisY() const {
    return static_cast<int>(plot().bottom());
}

ShutterAngle AngleScale::at(double pixel) const {
    const double angle = (pixel - plot().left()) / plot().width() * 360;
    return ShutterAngle(std::clamp(angle, 0.1, 360.0));
}

void AngleScale::paintPulsing(QPainter& painter) const {
    const auto& t = m_style.colours();
    const QRectF area = plot();
    drawBlock(painter, area, t.deep, {}, 0);
    if (m_shown->pulsing.empty())
        return;
    QPolygonF shape{area.bottomLeft()};
    for (std::size_t i = 0; i < m_shown->pulsing.size(); i += 4) {
        const double share = std::min(1.0, m_shown->pulsing[i].value() / kTopStops);
        shape << QPointF(x(ShutterAngle(0.1 * static_cast<double>(i + 1))),
                         area.bottom() - share * area.height());
    }
    shape << area.bottomRight();
    QColor soft = t.coral;
    soft.setAlphaF(0.38F);
    painter.setPen(QPen(t.coral, 1 * t.stroke));
    painter.setBrush(soft);
    painter.drawPolygon(shape);
    painter.setBrush(Qt::NoBrush);
}

void AngleScale::paintSafe(QPainter& painter) const {
    const auto& t = m_style.colours();
    const QRectF area = plot();
    std::vector<AxisLabel> labels;
    for (const auto& range : m_shown->safe) {
        QColor soft = t.sea;
        soft.setAlphaF(0.45F);
        const double from = x(range.from), to = x(range.to);
        painter.fillRect(QRectF(from, area.top(), std::max(2.0, to - from), area.height()), soft);
        const double best = x(range.best);
        painter.setPen(QPen(t.sea, 2 * t.stroke));
        painter.drawLine(QPointF(best, area.top() - 3), QPointF(best, area.bottom()));
        labels.push_back({toQt(print(range.best)), best, {}, {}});
    }
    painter.setFont(Style::font(TextRole::Secondary));
    staggerLabels(labels, painter.font(), area.left() - 20, width(), area.top() - 3, 16, 1);
    painter.setPen(t.sea);
    for (const auto& label : labels)
        if (!label.box.isEmpty() && label.shown == label.text) // half an angle misleads
            painter.drawText(label.box, Qt::AlignCenter, label.shown);
}

void AngleScale::paintAxis(QPainter& painter) const {
    const auto& t = m_style.colours();
    const QRectF area = plot();
    painter.setFont(Style::font(TextRole::Secondary));
    for (int angle = 0; angle <= 360; angle += 30) {
        const double px = x(ShutterAngle(angle));
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(px, area.bottom()), QPointF(px, area.bottom() + 4));
        painter.setPen(t.muted);
        painter.drawText(QRectF(px - 24, area.bottom() + 13, 48, 16), Qt::AlignCenter,
                         tr("%1\u00b0").arg(angle));
    }
    // The camera's own stops of the dial hang below the axis.
    painter.setPen(QPen(t.sky, 1.5 * t.stroke));
    for (const auto& time : m_shown->dial.times)
        if (fitsFrame(time, m_shown->rate)) {
            const double px = x(shutterAngle(time, m_shown->rate));
            painter.drawLine(QPointF(px, area.bottom() + 5), QPointF(px, area.bottom() + 12));
        }
    painter.setPen(QPen(t.ink, 1.2 * t.stroke, Qt::DashLine));
    painter.drawLine(QPointF(x(m_shown->aim), area.top()), QPointF(x(m_shown->aim), area.bottom()));
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, area.top() - 2, kRowHead - 6, 18), Qt::AlignLeft, tr("Angle"));
    const double step = m_shown->dial.angleStep;
    const QString dial = step > 0 ? tr("by %1\u00b0").arg(step) : tr("listed times");
    painter.drawText(QRectF(0, area.top() + 14, kRowHead - 6, 18), Qt::AlignLeft, dial);
}

void AngleScale::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (!m_shown)
        return;
    painter.setRenderHint(QPainter::Antialiasing);
    paintPulsing(painter);
    paintSafe(painter);
    paintAxis(painter);
    drawDiamond(painter, {x(m_shown->set), static_cast<double>(axisY())}, 7,
                m_style.colours().marigold, m_style.colours().ground);
}

void AngleScale::mousePressEvent(QMouseEvent* event) {
    if (!m_shown || event->button() != Qt::LeftButton)
        return;
    m_dragging = true;
    emit dragStarted();
    emit angleDragged(at(event->position().x()));
}

void AngleScale::mouseMoveEvent(QMouseEvent* event) {
    if (m_dragging)
        emit angleDragged(at(event->position().x()));
}

void AngleScale::mouseReleaseEvent(QMouseEvent*) {
    if (!m_dragging)
        return;
    m_dragging = false;
    emit dragEnded();
}

} // namespace bslate::app
