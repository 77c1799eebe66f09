#include "app/views/white/later_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/white/channel_picture.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kLaterHead = 78;
constexpr Kelvin kFrom{2500}, kTo{10000};

std::size_t liftedMost(const LaterWhite& later) {
    std::size_t most = 0;
    for (std::size_t c = 1; c < later.channels.size(); ++c)
        if (later.channels[c].gain > later.channels[most].gain)
            most = c;
    return most;
}

Stops grainOf(const LaterWhite& later) {
    return later.channels[liftedMost(later)].noise;
}

} // namespace

LaterPicture::LaterPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("later-picture"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void LaterPicture::show(Shown shown) {
    m_shown.emplace(std::move(shown));
    const Kelvin told = m_shown->wanted.value_or(Kelvin(5600));
    describe(*this, QAccessible::Chart, tr("White moved later"), wordsOf(told));
    update();
}

void LaterPicture::clear() {
    m_shown.reset();
    update();
}

QRectF LaterPicture::plot() const {
    return QRectF(kLaterHead, 4, width() - kLaterHead - 8, height() - 26);
}

double LaterPicture::x(Kelvin kelvin) const {
    const double warm = miredOf(kFrom).value(), cool = miredOf(kTo).value();
    const double share = (warm - miredOf(kelvin).value()) / (warm - cool);
    return plot().left() + std::clamp(share, 0.0, 1.0) * plot().width();
}

LaterWhite LaterPicture::laterAt(Kelvin kelvin) const {
    const ColourPoint wanted{kelvin, usualDuv(kelvin)};
    return laterWhite(m_shown->shot, m_shown->camera.gains(m_shown->shot), wanted,
                      m_shown->camera.gains(wanted), m_shown->recorded);
}

QString LaterPicture::wordsOf(Kelvin wanted) const {
    const auto later = laterAt(wanted);
    const auto most = liftedMost(later);
    QString text = tr("%1 shot, %2 wanted: %3 %4 of grain")
                       .arg(m_shown->shotText, toQt(print(wanted)), nameOfChannel(most),
                            toQt(print(later.channels[most].noise)));
    if (m_shown->baked && m_shown->recorded)
        text += tr(", %1 of %2 codes a stop")
                    .arg(later.channels[most].codes)
                    .arg(codesInMiddle(*m_shown->recorded));
    if (m_shown->baked)
        text += tr(", highlights lose %1").arg(toQt(printPlain(later.staysClipped)));
    return text;
}

void LaterPicture::paintCurve(QPainter& painter, double mostStops, bool highlights) const {
    const QRectF area = plot();
    QPainterPath path;
    for (double px = area.left(); px <= area.right(); px += 4) {
        const double share = (px - area.left()) / area.width();
        const double warm = miredOf(kFrom).value(), cool = miredOf(kTo).value();
        const auto later = laterAt(kelvinOf(Mired(warm - share * (warm - cool))));
        const Stops cost = highlights ? later.staysClipped : grainOf(later);
        const QPointF at(px, area.bottom() - 4 -
                                 std::min(1.0, cost.value() / mostStops) * (area.height() - 42));
        px == area.left() ? path.moveTo(at) : path.lineTo(at);
    }
    painter.drawPath(path);
}

void LaterPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (!m_shown)
        return;
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = m_style.colours();
    const QRectF area = plot();
    drawBlock(painter, area, t.deep, {}, 0);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, area.top(), kLaterHead - 6, 34), Qt::AlignLeft, tr("Later"));
    painter.drawText(QRectF(0, area.top() + 16, kLaterHead - 6, 18), Qt::AlignLeft, tr("moved to"));
    for (const int kelvin : {2500, 2800, 3200, 4000, 4500, 5600, 6500, 8000, 10000}) {
        const double px = x(Kelvin(kelvin));
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(px, area.top()), QPointF(px, area.bottom()));
        painter.setPen(t.muted);
        const double left = std::min(px - 30, width() - 56.0);
        painter.drawText(QRectF(left, area.bottom() + 3, 60, 16), Qt::AlignCenter,
                         QString::number(kelvin));
    }
    double most = 1;
    for (const auto end : {kFrom, kTo})
        most = std::max({most, grainOf(laterAt(end)).value(), laterAt(end).staysClipped.value()});
    painter.setPen(QPen(t.sea, 1.8 * t.stroke, Qt::DashLine));
    paintCurve(painter, most, false);
    if (m_shown->baked) {
        painter.setPen(QPen(t.coral, 1.8 * t.stroke));
        paintCurve(painter, most, true);
    }
    painter.setPen(QPen(t.marigold, 1.6 * t.stroke));
    painter.drawLine(QPointF(x(m_shown->shot.cct), area.top() + 36),
                     QPointF(x(m_shown->shot.cct), area.bottom()));
    if (m_shown->wanted)
        drawDiamond(painter, {x(*m_shown->wanted), area.bottom() - 4}, 6, t.lilac, t.ground);
    const QFontMetricsF metrics(painter.font());
    const QString grain = tr("grain, dashed");
    painter.setPen(t.sea);
    painter.drawText(QPointF(area.left() + 8, area.top() + 15), grain);
    if (m_shown->baked) {
        painter.setPen(t.coral);
        painter.drawText(
            QPointF(area.left() + 24 + metrics.horizontalAdvance(grain), area.top() + 15),
            tr("highlights lost, baked"));
    }
    painter.setPen(t.ink);
    painter.drawText(
        QRectF(area.left() + 8, area.top() + 19, area.width() - 16, 18),
        Qt::AlignLeft | Qt::AlignVCenter,
        elided(wordsOf(m_shown->wanted.value_or(Kelvin(5600))), painter.font(), area.width() - 16));
}

} // namespace bslate::app
