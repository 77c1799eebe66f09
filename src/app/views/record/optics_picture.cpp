#include "app/views/record/optics_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate::app {
namespace {

constexpr double kNearest = 0.2;    // metres at the left end of the distance scale
constexpr double kFarthest = 200.0; // and at the right end, where infinity is drawn

double along(const QRectF& area, Metres distance) {
    const double d = std::clamp(distance.value(), kNearest, kFarthest);
    return area.left() + std::log(d / kNearest) / std::log(kFarthest / kNearest) * area.width();
}

QPolygonF wedge(QPointF eye, double reach, Degrees view) {
    const double half = view.value() / 2 * std::numbers::pi / 180;
    return QPolygonF{eye,
                     {eye.x() + reach * std::cos(half), eye.y() - reach * std::sin(half)},
                     {eye.x() + reach * std::cos(half), eye.y() + reach * std::sin(half)}};
}

} // namespace

OpticsPicture::OpticsPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("optics"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    setMaximumHeight(220);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void OpticsPicture::show(std::optional<Shown> now, std::optional<RecordingFacts> other) {
    m_now = std::move(now);
    m_other = std::move(other);
    describe(*this, QAccessible::Graphic, tr("What the lens sees and holds sharp"), words());
    update();
}

QString OpticsPicture::words() const {
    if (!m_now)
        return tr("no recording");
    const auto& facts = m_now->facts;
    if (!facts.focal)
        return tr("no lens with a known focal length");
    QString text = tr("%1 sees %2, frames like %3, hyperfocal %4")
                       .arg(toQt(print(*facts.focal)), toQt(print(facts.view)),
                            toQt(print(facts.equivalent)), toQt(print(facts.hyperfocal)));
    if (facts.sharp)
        text += tr(", sharp from %1 to %2")
                    .arg(toQt(print(facts.sharp->nearest)), toQt(print(facts.sharp->farthest)));
    return text;
}

void OpticsPicture::paintSensor(QPainter& painter, const QRectF& area) const {
    const auto& t = m_style.colours();
    const auto& whole = m_now->areas.front();
    const double scale =
        std::min(area.width() / whole.width.value(), area.height() / whole.height.value());
    const auto centred = [&](Millimetres w, Millimetres h) {
        QRectF box(0, 0, w.value() * scale, h.value() * scale);
        box.moveCenter(area.center());
        return box;
    };
    drawBlock(painter, centred(whole.width, whole.height), t.deep, t.line, 1.2);
    if (m_other)
        drawBlock(painter, centred(m_other->areaWidth, m_other->areaHeight), Qt::transparent,
                  t.lilac, 1.4);
    const QRectF now = centred(m_now->facts.areaWidth, m_now->facts.areaHeight);
    drawBlock(painter, now.adjusted(1, 1, -1, -1), Qt::transparent, t.marigold, 2);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.ink);
    const auto& facts = m_now->facts;
    QString inside = QStringLiteral("%1 \u00d7 %2")
                         .arg(toQt(fixedText(facts.areaWidth.value(), 1)),
                              toQt(fixedText(facts.areaHeight.value(), 1)));
    if (facts.readout.value() > 0)
        inside += tr("\nread in %1 ms").arg(facts.readout.value() * 1000, 0, 'f', 1);
    painter.drawText(now, Qt::AlignCenter, inside);
}

void OpticsPicture::paintAngle(QPainter& painter, const QRectF& area) const {
    const auto& t = m_style.colours();
    const QPointF eye(area.left(), area.center().y());
    painter.setRenderHint(QPainter::Antialiasing);
    if (m_other && m_other->focal) {
        painter.setPen(QPen(t.lilac, 1.3 * t.stroke, Qt::DashLine));
        painter.drawPolygon(wedge(eye, area.width(), m_other->view));
    }
    painter.setPen(QPen(t.marigold, 1.6 * t.stroke));
    painter.setBrush(t.raised);
    painter.drawPolygon(wedge(eye, area.width(), m_now->facts.view));
    painter.setBrush(Qt::NoBrush);
    painter.setPen(t.ink);
    painter.setFont(Style::font(TextRole::Title));
    painter.drawText(area.adjusted(area.width() * 0.35, 0, 0, 0), Qt::AlignCenter,
                     toQt(print(m_now->facts.view)));
    painter.setRenderHint(QPainter::Antialiasing, false);
}

void OpticsPicture::paintDistances(QPainter& painter, const QRectF& area) const {
    const auto& t = m_style.colours();
    const auto& facts = m_now->facts;
    const double line = area.bottom() - 26;
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(QPen(t.line, 1));
    painter.drawLine(QPointF(area.left(), line), QPointF(area.right(), line));
    for (const double mark : {0.3, 1.0, 3.0, 10.0, 30.0, 100.0}) {
        const double x = along(area, Metres(mark));
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(x, line - 3), QPointF(x, line + 3));
        painter.setPen(t.muted);
        painter.drawText(QRectF(x - 30, line + 5, 60, 16), Qt::AlignCenter,
                         toQt(print(Metres(mark))));
    }
    const auto band = [&](const SharpRange& range, double y, double height, const QColor& colour) {
        const double left = along(area, range.nearest);
        painter.fillRect(QRectF(left, y, std::max(2.0, along(area, range.farthest) - left), height),
                         colour);
    };
    if (m_other && m_other->sharp)
        band(*m_other->sharp, line - 20, 4, t.lilac);
    if (facts.sharp)
        band(*facts.sharp, line - 12, 8, t.marigold);
    const double hyper = along(area, facts.hyperfocal);
    painter.setPen(QPen(t.sky, 1.4 * t.stroke, Qt::DashLine));
    painter.drawLine(QPointF(hyper, line - 30), QPointF(hyper, line + 3));
}

void OpticsPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (!m_now)
        return;
    const auto& t = m_style.colours();
    const QRectF area = QRectF(rect()).adjusted(0, 4, 0, -2);
    const double sensor = std::clamp(area.height() * 1.4, 168.0, 300.0);
    paintSensor(painter, QRectF(area.left(), area.top(), sensor, area.height()));
    const auto& facts = m_now->facts;
    painter.setPen(t.ink);
    painter.setFont(Style::font(TextRole::Body));
    const double left = sensor + 162;
    const QRectF text(area.left() + left, area.top(), area.width() - left, 40);
    if (!facts.focal) {
        painter.setPen(t.muted);
        painter.drawText(area.adjusted(sensor + 22, 0, 0, 0),
                         Qt::AlignVCenter | Qt::AlignLeft | Qt::TextWordWrap,
                         tr("No lens with a focal length: choose one with Ctrl+E, or enter its "
                            "focal length in the kit."));
        return;
    }
    paintAngle(painter, QRectF(area.left() + sensor + 22, area.top() + 6, 120, area.height() - 12));
    painter.setPen(t.ink);
    painter.drawText(text, Qt::AlignLeft | Qt::AlignTop,
                     elided(tr("%1 at %2, %3: frames like %4")
                                .arg(m_now->lens, toQt(print(*facts.focal)),
                                     toQt(print(m_now->iris)), toQt(print(facts.equivalent))),
                            painter.font(), text.width()));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    QString sharp = tr("no focus distance: set one with Ctrl+E");
    if (facts.sharp)
        sharp = tr("focused at %1: sharp %2 to %3")
                    .arg(toQt(print(*m_now->focus)), toQt(print(facts.sharp->nearest)),
                         toQt(print(facts.sharp->farthest)));
    sharp += tr(" \u00b7 hyperfocal %1 (dashed)").arg(toQt(print(facts.hyperfocal)));
    painter.drawText(text.adjusted(0, 20, 0, 0), Qt::AlignLeft | Qt::AlignTop,
                     elided(sharp, painter.font(), text.width()));
    paintDistances(painter,
                   QRectF(text.left(), area.top() + 36, text.width() - 30, area.height() - 36));
}

} // namespace bslate::app
