#include "app/views/cadence/time_strip.h"

#include "app/views/cadence/row_head.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr int kFrames = 4;
constexpr double kShutterBar = 9; // the open shutter
constexpr double kGrip = 10;      // how near the pointer must come to the bar's end

QString signedStops(Stops stops) {
    return QString::asprintf("%+.3f", stops.value() == 0 ? 0.0 : stops.value());
}

} // namespace

TimeStrip::TimeStrip(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("time-strip"));
    setMouseTracking(true);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    setToolTip(tr("Drag the end of the open shutter"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void TimeStrip::show(std::vector<PulsedLight> lights, FrameRate rate, Row now,
                     std::optional<Row> other) {
    m_lights = std::move(lights);
    m_rate = rate;
    m_now = std::move(now);
    m_other = std::move(other);
    m_brightest = 1;
    const double length = kFrames / m_rate.toDouble();
    for (int i = 0; i <= 4000; ++i)
        m_brightest = std::max(m_brightest, light(Seconds(length * i / 4000)));
    describe(*this, QAccessible::Chart, tr("Frames, shutter and light over time"), words());
    update();
}

void TimeStrip::clear() {
    m_now.reset();
    m_other.reset();
    describe(*this, QAccessible::Chart, tr("Frames, shutter and light over time"), {});
    update();
}

double TimeStrip::light(Seconds time) const {
    double sum = 1;
    const double scale = shareScale(m_lights);
    for (const auto& one : m_lights)
        sum += scale * one.share.value() * (lightAt(one, time) - 1);
    return sum;
}

std::vector<Stops> TimeStrip::gatheredStops(const Row& row) const {
    std::vector<Stops> all;
    for (int frame = 0; frame < kFrames; ++frame) {
        const double got = gathered(m_lights, Seconds(frame / m_rate.toDouble()), row.exposure);
        all.emplace_back(std::log2(std::max(got, 1e-3)));
    }
    return all;
}

QString TimeStrip::words() const {
    QStringList frames;
    for (const auto stops : gatheredStops(*m_now))
        frames << signedStops(stops);
    return tr("%1, frames gather %2 stops").arg(m_now->name, frames.join(QStringLiteral(", ")));
}

QRectF TimeStrip::rowArea(int index) const {
    const int rows = m_other ? 2 : 1;
    const double gap = 8;
    const double height = std::min((this->height() - gap * (rows - 1)) / rows, 250.0);
    return {kRowHead, index * (height + gap), width() - kRowHead, height};
}

double TimeStrip::secondsPerPixel(const QRectF& area) const {
    return kFrames / m_rate.toDouble() / area.width();
}

QPoint TimeStrip::handle() const {
    if (!m_now)
        return {};
    const QRectF area = rowArea(0);
    return QPointF(area.left() + m_now->exposure.value() / secondsPerPixel(area),
                   area.bottom() - kShutterBar / 2 - 3)
        .toPoint();
}

double TimeStrip::reach() const {
    return 4 * 360.0 / (rowArea(0).width() / kFrames);
}

void TimeStrip::paintLight(QPainter& painter, const QRectF& plot, const Row& row) const {
    const auto& t = m_style.colours();
    const double step = secondsPerPixel(plot);
    const auto y = [&](double amount) {
        return plot.bottom() - amount / m_brightest * (plot.height() - 18);
    };
    // Each pixel column shows the least and most light of its moment, so that lamps faster than the
    // picture can draw become a band instead of a false slow wave.
    QPainterPath upper, filled;
    std::vector<std::pair<double, double>> columns;
    for (int x = 0; x <= static_cast<int>(plot.width()); ++x) {
        double low = 1e9, high = 0;
        for (int k = 0; k < 8; ++k) {
            const double value = light(Seconds((x + k / 8.0) * step));
            low = std::min(low, value);
            high = std::max(high, value);
        }
        columns.emplace_back(low, high);
    }
    const double frame = plot.width() / kFrames;
    const QColor fill = row.still ? t.marigold : t.coral;
    QColor soft = fill;
    soft.setAlphaF(0.38F);
    for (int i = 0; i < kFrames; ++i) {
        const int from = static_cast<int>(std::lround(i * frame));
        const int to =
            std::min(static_cast<int>(columns.size()) - 1,
                     static_cast<int>(std::lround(i * frame + row.exposure.value() / step)));
        QPolygonF shape;
        shape << QPointF(plot.left() + from, plot.bottom());
        for (int x = from; x <= to; ++x) {
            const auto& [low, high] = columns[static_cast<std::size_t>(x)];
            shape << QPointF(plot.left() + x, y((low + high) / 2));
        }
        shape << QPointF(plot.left() + to, plot.bottom());
        painter.setPen(Qt::NoPen);
        painter.setBrush(soft);
        painter.drawPolygon(shape);
        if (!row.still) {
            painter.save();
            QPainterPath clip;
            clip.addPolygon(shape);
            painter.setClipPath(clip);
            drawHatch(painter, shape.boundingRect(), fill, 12);
            painter.restore();
        }
    }
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(t.ink, 1.2 * t.stroke));
    QPainterPath line;
    for (std::size_t x = 0; x < columns.size(); ++x) {
        const double px = plot.left() + static_cast<double>(x);
        const auto& [low, high] = columns[x];
        if (x == 0)
            line.moveTo(px, y(high));
        line.lineTo(px, y(high));
        if (y(low) - y(high) > 2)
            line.lineTo(px, y(low));
    }
    painter.drawPath(line);
}

void TimeStrip::paintRow(QPainter& painter, const QRectF& area, const Row& row,
                         bool compared) const {
    const auto& t = m_style.colours();
    painter.setRenderHint(QPainter::Antialiasing, false);
    drawBlock(painter, area, t.deep, {}, 0);
    const QRectF plot = area.adjusted(0, 22, 0, -kShutterBar - 8);
    painter.setRenderHint(QPainter::Antialiasing);
    paintLight(painter, plot, row);
    const double frame = area.width() / kFrames;
    const double open = row.exposure.value() / secondsPerPixel(area);
    const auto stops = gatheredStops(row);
    painter.setFont(Style::font(TextRole::Value));
    for (int i = 0; i < kFrames; ++i) {
        const double left = area.left() + i * frame;
        if (i > 0) {
            painter.setPen(QPen(t.line, 1));
            painter.drawLine(QPointF(left, area.top()), QPointF(left, area.bottom()));
        }
        const QRectF whole(left + 1, area.bottom() - kShutterBar - 3, frame - 3, kShutterBar);
        drawBlock(painter, whole, t.raised, {}, 0);
        drawBlock(painter,
                  QRectF(whole.left(), whole.top(), std::min(open, frame - 3), kShutterBar),
                  compared ? t.lilac : t.marigold, {}, 0);
        painter.setPen(t.ink);
        painter.drawText(QRectF(left + 10, area.top() + 4, frame - 14, 18),
                         Qt::AlignLeft | Qt::AlignVCenter,
                         signedStops(stops[static_cast<std::size_t>(i)]));
    }
    painter.setFont(Style::font(TextRole::Title));
    painter.setPen(compared ? t.lilac : t.ink);
    painter.drawText(QRectF(0, area.top() + 2, kRowHead - 6, 20), Qt::AlignLeft, row.name);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(row.still ? t.sea : t.coral);
    painter.drawText(QRectF(0, area.top() + 22, kRowHead - 6, 18), Qt::AlignLeft,
                     m_lights.empty() ? QString()
                     : row.still      ? tr("steady")
                                      : tr("flickers"));
    painter.setPen(t.muted);
    const QString length =
        tr("%1 frames\n%2 ms").arg(kFrames).arg(std::lround(kFrames / m_rate.toDouble() * 1000));
    painter.drawText(QRectF(0, area.top() + 40, kRowHead - 6, area.height() - 40),
                     Qt::AlignLeft | Qt::AlignTop, compared ? tr("instead") : length);
}

void TimeStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (!m_now)
        return;
    paintRow(painter, rowArea(0), *m_now, false);
    if (m_other)
        paintRow(painter, rowArea(1), *m_other, true);
    const auto& t = m_style.colours();
    drawDiamond(painter, handle(), 7, t.marigold, t.ground);
}

void TimeStrip::mousePressEvent(QMouseEvent* event) {
    const QRectF area = rowArea(0);
    const bool onBar = std::abs(event->position().y() - handle().y()) <= kGrip &&
                       event->position().x() >= area.left();
    if (!m_now || event->button() != Qt::LeftButton || !onBar)
        return;
    m_dragging = true;
    emit dragStarted();
}

void TimeStrip::mouseMoveEvent(QMouseEvent* event) {
    const bool near = m_now && std::abs(event->position().y() - handle().y()) <= kGrip &&
                      std::abs(event->position().x() - handle().x()) <= kGrip;
    setCursor(near || m_dragging ? Qt::SizeHorCursor : Qt::ArrowCursor);
    if (!m_dragging)
        return;
    const QRectF area = rowArea(0);
    const double frame = area.width() / kFrames;
    const double pixels = std::clamp(event->position().x() - area.left(), 1.0, frame);
    emit shutterDragged(Seconds(pixels * secondsPerPixel(area)));
}

void TimeStrip::mouseReleaseEvent(QMouseEvent*) {
    if (!m_dragging)
        return;
    m_dragging = false;
    emit dragEnded();
}

} // namespace bslate::app
