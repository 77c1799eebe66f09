#include "app/views/cadence/speed_ruler.h"

#include "app/views/cadence/row_head.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/cadence/rates.h"
#include "core/cadence/timecode.h"
#include "core/quantity/print.h"

#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr Seconds kAction{2};
constexpr double kLongest = 10; // seconds that fit without squeezing the scale

} // namespace

SpeedRuler::SpeedRuler(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("speed-ruler"));
    setCursor(Qt::SizeHorCursor);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setToolTip(tr("Drag the end to choose the capture rate"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void SpeedRuler::show(FrameRate capture, FrameRate base) {
    m_capture = capture;
    m_base = base;
    describe(*this, QAccessible::Slider, tr("Speed on screen"), words());
    update();
}

void SpeedRuler::clear() {
    m_capture.reset();
    update();
}

QString SpeedRuler::words() const {
    if (!m_capture)
        return {};
    const Seconds lasts = onScreen(kAction, *m_capture, m_base);
    const auto frames = framesIn(kAction, *m_capture);
    return tr("%1 captured, %2 played: %3. %4 frames of 2 s last %5 s, %6 on the timeline")
        .arg(toQt(print(*m_capture)), toQt(print(m_base)),
             toQt(print(playbackSpeed(*m_capture, m_base))))
        .arg(frames)
        .arg(lasts.value(), 0, 'f', 2)
        .arg(toQt(print(timecodeAt(frames, m_base, canDrop(m_base)))));
}

double SpeedRuler::pixelsPerSecond() const {
    if (m_dragging)
        return m_scale;
    const double lasts = onScreen(kAction, *m_capture, m_base).value();
    return (width() - kRowHead - 12) / std::max(kLongest, lasts);
}

QPoint SpeedRuler::handle() const {
    if (!m_capture)
        return {};
    const double lasts = onScreen(kAction, *m_capture, m_base).value();
    return QPointF(kRowHead + std::min(lasts * pixelsPerSecond(), width() - kRowHead - 8.0), 23)
        .toPoint();
}

void SpeedRuler::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (!m_capture)
        return;
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, 0, kRowHead - 6, 14), Qt::AlignLeft, tr("Life"));
    painter.drawText(QRectF(0, 15, kRowHead - 6, 16), Qt::AlignLeft, tr("On screen"));
    const double scale = pixelsPerSecond();
    drawBlock(painter, QRectF(kRowHead, 3, kAction.value() * scale, 9), t.sky, {}, 0);
    drawBlock(painter, QRectF(kRowHead, 18, handle().x() - kRowHead, 9), t.marigold, {}, 0);
    painter.setPen(QPen(t.panel, 1));
    for (double second = 1; kRowHead + second * scale < handle().x(); second += 1)
        painter.drawLine(QPointF(kRowHead + second * scale, 18),
                         QPointF(kRowHead + second * scale, 27));
    painter.setRenderHint(QPainter::Antialiasing);
    drawDiamond(painter, handle(), 6, t.marigold, t.ground);
    painter.setPen(t.ink);
    painter.drawText(QRectF(kRowHead, 31, width() - kRowHead, 16), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(words(), painter.font(), width() - kRowHead));
}

void SpeedRuler::mousePressEvent(QMouseEvent* event) {
    if (!m_capture || event->button() != Qt::LeftButton ||
        std::abs(event->position().x() - handle().x()) > 14)
        return;
    m_scale = pixelsPerSecond();
    m_dragging = true;
    emit dragStarted();
}

void SpeedRuler::mouseMoveEvent(QMouseEvent* event) {
    if (!m_dragging)
        return;
    const double lasts = std::max(0.02, (event->position().x() - kRowHead) / m_scale);
    emit rateDragged(lasts / kAction.value() * m_base.toDouble());
}

void SpeedRuler::mouseReleaseEvent(QMouseEvent*) {
    if (!m_dragging)
        return;
    m_dragging = false;
    update();
    emit dragEnded();
}

} // namespace bslate::app
