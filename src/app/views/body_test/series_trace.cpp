#include "app/views/body_test/series_trace.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QPainter>
#include <QPolygonF>

namespace bslate::app {
namespace {

const QColor kChannels[] = {QColor(232, 98, 92), QColor(108, 196, 116), QColor(104, 156, 240)};

} // namespace

SeriesTrace::SeriesTrace(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("series-trace"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    show({}, {});
}

void SeriesTrace::show(std::vector<RegionFrame> frames, std::vector<Plateau> plateaus) {
    m_frames = std::move(frames);
    m_plateaus = std::move(plateaus);
    describe(*this, QAccessible::Graphic, tr("The card over time"),
             tr("%1 frames, %2 exposures").arg(m_frames.size()).arg(m_plateaus.size()));
    update();
}

void SeriesTrace::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = m_style.colours();
    const QRectF box = QRectF(rect()).adjusted(2, 6, -2, -6);
    drawBlock(painter, rect(), t.deep, QColor(), 0);
    if (m_frames.size() < 2)
        return;
    const auto x = [&](std::size_t frame) {
        return box.left() + box.width() * double(frame) / double(m_frames.size());
    };
    const auto y = [&](Signal signal) { return box.bottom() - box.height() * signal.value(); };
    for (const auto& plateau : m_plateaus)
        painter.fillRect(
            QRectF(QPointF(x(plateau.first), box.top()), QPointF(x(plateau.behind), box.bottom())),
            t.line);
    for (std::size_t c = 0; c < 3; ++c) {
        QPolygonF line;
        for (std::size_t frame = 0; frame < m_frames.size(); ++frame)
            line << QPointF(x(frame), y(m_frames[frame].channels[c]));
        painter.setPen(QPen(kChannels[c], 1.4));
        painter.drawPolyline(line);
    }
    painter.setPen(QPen(t.ink, 2));
    for (const auto& plateau : m_plateaus)
        painter.drawLine(QPointF(x(plateau.first), y(plateau.luma)),
                         QPointF(x(plateau.behind), y(plateau.luma)));
}

} // namespace bslate::app
