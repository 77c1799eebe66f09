#include "app/views/kit/sensor_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/light/optics.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>

namespace bslate::app {

namespace {

constexpr double kRow = 20;

// Areas are told apart by line pattern as well as by shade.
QPen areaPen(std::size_t index, const Tokens& t) {
    constexpr Qt::PenStyle styles[] = {Qt::SolidLine, Qt::DashLine, Qt::DotLine, Qt::DashDotLine};
    return {index == 0 ? t.ink : t.marigold, 1.6 * t.stroke, styles[index % 4]};
}

} // namespace

SensorPicture::SensorPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("sensor-picture"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void SensorPicture::show(const Camera& camera, const QString& lens,
                         std::optional<Millimetres> focal) {
    m_camera = camera;
    m_lens = lens;
    m_focal = focal;
    QStringList areas;
    for (const auto& area : camera.areas)
        areas << tr("%1 %2 by %3")
                     .arg(toQt(area.name), toQt(print(area.width)), toQt(print(area.height)));
    describe(*this, QAccessible::Graphic, tr("Sensor areas of %1").arg(toQt(camera.name)),
             areas.join(QStringLiteral(", ")));
    update();
}

void SensorPicture::paintAreas(QPainter& painter, const QRectF& place) const {
    const auto& t = m_style.colours();
    double width = 1, height = 1;
    for (const auto& area : m_camera.areas) {
        width = std::max(width, area.width.value());
        height = std::max(height, area.height.value());
    }
    const double scale = std::min(place.width() / width, (place.height() - 44) / height);
    QRectF frame(0, 0, width * scale, height * scale);
    frame.moveTopLeft(QPointF(m_modesBeside ? place.center().x() - frame.width() / 2 : place.left(),
                              place.top() + 20));
    drawBlock(painter, frame, t.deep, t.line, 1);
    for (std::size_t i = 0; i < m_camera.areas.size(); ++i) {
        const auto& area = m_camera.areas[i];
        QRectF box(0, 0, area.width.value() * scale, area.height.value() * scale);
        box.moveCenter(frame.center());
        painter.setPen(areaPen(i, t));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(box);
        painter.setFont(Style::font(TextRole::Secondary));
        const QString text = QStringLiteral("%1  %2 \u00d7 %3")
                                 .arg(toQt(area.name), toQt(fixedText(area.width.value(), 1)),
                                      toQt(fixedText(area.height.value(), 1)));
        // The whole sensor's stands above it: inside, the next area's edge would cross it.
        const QRectF label = i == 0 ? QRectF(box.left(), box.top() - 20, box.width(), 18)
                                    : box.adjusted(6, 4, -6, -4);
        painter.drawText(label, Qt::AlignLeft | Qt::AlignTop,
                         elided(text, painter.font(), label.width()));
    }
    painter.setPen(t.muted);
    const QString caption =
        m_focal ? tr("angles of view for %1 at %2").arg(m_lens, toQt(print(*m_focal)))
                : tr("no lens with a focal length: no angles of view");
    painter.setFont(Style::font(TextRole::Secondary));
    painter.drawText(QRectF(place.left(), frame.bottom() + 4, place.width(), 18), Qt::AlignCenter,
                     elided(caption, painter.font(), place.width()));
}

void SensorPicture::paintModes(QPainter& painter, const QRectF& place) const {
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    const auto rows = static_cast<std::size_t>(place.height() / kRow);
    double y = place.top();
    for (std::size_t i = 0; i < m_camera.modes.size(); ++i, y += kRow) {
        const QRectF row(place.left(), y, place.width(), kRow);
        if (i + 1 == rows && m_camera.modes.size() > rows) {
            painter.setPen(t.muted);
            painter.drawText(row, Qt::AlignVCenter,
                             tr("and %1 more").arg(m_camera.modes.size() - i));
            return;
        }
        const auto& mode = m_camera.modes[i];
        const auto* area = findArea(m_camera, mode.area);
        painter.setPen(t.ink);
        painter.drawText(row.adjusted(0, 0, -150, 0), Qt::AlignVCenter,
                         elided(toQt(mode.name), painter.font(), row.width() - 156));
        if (!area)
            continue;
        const auto crop = frameCrop(m_camera, *area, mode.frame);
        painter.setPen(crop.value() > 1.005 ? t.marigold : t.muted);
        painter.drawText(QRectF(row.right() - 146, y, 70, kRow), Qt::AlignVCenter,
                         crop.value() > 1.005 ? tr("%1 crop").arg(toQt(print(crop))) : tr("full"));
        if (m_focal)
            painter.drawText(
                QRectF(row.right() - 70, y, 70, kRow), Qt::AlignVCenter | Qt::AlignRight,
                toQt(print(angleOfView(recordedArea(*area, mode.frame).width, *m_focal))));
    }
}

void SensorPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (m_camera.areas.empty())
        return;
    const QRectF area = rect();
    if (!m_modesBeside)
        return paintAreas(painter, area);
    const double left = area.width() * 0.52;
    paintAreas(painter, QRectF(area.left(), area.top(), left - 12, area.height()));
    paintModes(painter, QRectF(area.left() + left, area.top(), area.width() - left, area.height()));
}

} // namespace bslate::app
