// How the day is drawn: day_timeline.cpp has what it answers to.
#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/media/day_timeline.h"
#include "core/light/metering.h"
#include "core/quantity/print.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

QColor faded(QColor colour, int alpha) {
    colour.setAlpha(alpha);
    return colour;
}

// Grid lines no closer than this many pixels, at a round number of minutes.
int minutesBetween(double pixelsPerSecond) {
    for (const int minutes : {1, 2, 5, 10, 15, 30, 60, 120, 180, 360})
        if (minutes * 60 * pixelsPerSecond >= 52)
            return minutes;
    return 720;
}

double levelY(const QRectF& box, double share) {
    return box.bottom() - 2 - std::clamp(share, 0.0, 1.0) * (box.height() - 4);
}

// Labels of neighbouring blocks that say the same are drawn once, over all of them, when the blocks
// are too narrow to say it themselves.
class Labels {
public:
    Labels(QPainter& painter, const QColor& ground, const QColor& ink, const QColor& marked)
        : m_painter(painter)
        , m_ground(ground)
        , m_ink(ink)
        , m_marked(marked) {}

    void add(const QRectF& box, const QString& text, bool marked) {
        const double needed = m_painter.fontMetrics().horizontalAdvance(text) + 6.0;
        const bool joins = !m_text.isEmpty() && text == m_text && marked == m_isMarked &&
                           (box.width() < needed || m_box.width() < needed) &&
                           box.left() - m_box.right() < 40;
        if (!joins)
            flush();
        m_box = joins ? m_box.united(box) : box;
        m_text = text;
        m_isMarked = marked;
    }
    void flush() {
        const double width = m_painter.fontMetrics().horizontalAdvance(m_text) + 6.0;
        if (!m_text.isEmpty() && m_box.width() > 10) {
            QRectF back(0, 0, width, 16);
            back.moveCenter(m_box.center());
            back.moveLeft(std::max(back.left(), m_drawnTo + 2)); // beside the one before
            m_drawnTo = back.right();
            m_ground.setAlpha(170);
            m_painter.fillRect(back, m_ground);
            m_painter.setPen(m_isMarked ? m_marked : m_ink);
            m_painter.drawText(back, Qt::AlignCenter, m_text);
        }
        m_text.clear();
    }

private:
    QPainter& m_painter;
    QColor m_ground, m_ink, m_marked;
    QRectF m_box;
    double m_drawnTo = -1e9;
    QString m_text;
    bool m_isMarked = false;
};

} // namespace

void DayTimeline::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (m_geometry.rows().empty())
        return;
    for (const auto& row : m_geometry.rows()) {
        const auto& t = m_style.colours();
        painter.setFont(Style::font(TextRole::Body));
        painter.setPen(t.ink);
        const double middle = row.top + row.height / 2;
        const QRectF head(0, middle - 17, m_geometry.area().left() - 8, 18);
        painter.drawText(head, Qt::AlignLeft | Qt::AlignVCenter,
                         elided(row.title, painter.font(), head.width()));
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.muted);
        painter.drawText(head.translated(0, 16), Qt::AlignLeft | Qt::AlignVCenter,
                         elided(row.subtitle, painter.font(), head.width()));
        if (row.kind != DayRowKind::AtHand)
            drawBlock(
                painter,
                QRectF(m_geometry.area().left(), row.top, m_geometry.area().width(), row.height),
                t.deep, {}, 0);
    }
    painter.save();
    painter.setClipRect(QRectF(m_geometry.area().left(), 0, m_geometry.area().width(), height()));
    paintGrid(painter);
    for (const auto& row : m_geometry.rows())
        paintRow(painter, row);
    paintNow(painter);
    painter.restore();
    paintDrag(painter);
}

void DayTimeline::paintGrid(QPainter& painter) const {
    const auto& t = m_style.colours();
    const double perSecond =
        m_geometry.area().width() / (m_geometry.to() - m_geometry.from()).value();
    const double step = minutesBetween(perSecond) * 60.0;
    painter.setFont(Style::font(TextRole::Secondary));
    for (double time = std::ceil(m_geometry.from().value() / step) * step;
         time <= m_geometry.to().value(); time += step) {
        const double x = m_geometry.x(Seconds(time));
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(x, m_geometry.area().top()), QPointF(x, m_geometry.bottom()));
        if (x < m_geometry.area().left() + 18 || x > m_geometry.area().right() - 18)
            continue;
        painter.setPen(t.muted);
        painter.drawText(QRectF(x - 30, 0, 60, 16), Qt::AlignCenter,
                         toQt(printClock(Seconds(time))));
    }
}

void DayTimeline::paintRow(QPainter& painter, const DayRow& row) const {
    switch (row.kind) {
    case DayRowKind::Takes:
        return paintTakes(painter, row);
    case DayRowKind::Cards:
        return paintLane(painter, row, m_shown.plan.cards, m_shown.changedCards, false);
    case DayRowKind::Power:
        paintLane(painter, row, m_shown.plan.power, m_shown.changedPower, true);
        return paintCharging(painter, row);
    case DayRowKind::Copy:
        return paintCopies(painter, row);
    case DayRowKind::Safe:
        return paintSafe(painter, row);
    case DayRowKind::Light:
        return paintLight(painter, row);
    case DayRowKind::AtHand:
        return paintChips(painter, row);
    }
}

void DayTimeline::paintTakes(QPainter& painter, const DayRow& row) const {
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Body));
    Labels labels(painter, t.raised, t.ink, t.marigold);
    for (const auto& take : m_shown.plan.takes) {
        const auto box = m_geometry.box(row, take.start, take.end).adjusted(0, 3, 0, -3);
        const bool chosen = toQt(take.id) == m_take;
        drawBlock(painter, box, take.done ? t.deep : t.raised, chosen ? t.marigold : t.line,
                  chosen ? 2.0 * t.stroke : 1);
        if (take.whole) // chalk all round: nothing may come in here
            drawBlock(painter, box.adjusted(2, 2, -2, -2), Qt::transparent, t.ink, 1.6 * t.stroke);
        if (take.done)
            painter.fillRect(QRectF(box.left(), box.bottom() - 4, box.width(), 3), t.sea);
        labels.add(box, toQt(take.title), false);
    }
    labels.flush();
}

void DayTimeline::paintUse(QPainter& painter, const DayRow& row, const DayCarriers& carriers,
                           const CarrierUse& use, bool changed, bool runsDown) const {
    const auto& t = m_style.colours();
    const auto& kind =
        carriers.problem.kinds[static_cast<std::size_t>(carriers.problem.kindOf(use.unit))];
    const auto box = m_geometry.box(row, use.start, use.end).adjusted(0, 3, 0, -3);
    const auto share = [&](Fill used) {
        const double full = used.value() / kind.capacity.value();
        return runsDown ? 1 - full : full;
    };
    const auto& lane = carriers.lanes[static_cast<std::size_t>(use.lane)];
    const auto take = lane.takes[static_cast<std::size_t>(use.demand)];
    const bool chosen = toQt(m_shown.plan.takes[static_cast<std::size_t>(take)].id) == m_take &&
                        (runsDown ? false : use.lane == m_lane);
    drawBlock(painter, box, t.panel, chosen ? t.marigold : t.line, chosen ? 2.0 * t.stroke : 1);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(runsDown ? t.lilac : t.sky, 1.4 * t.stroke));
    painter.setBrush(faded(runsDown ? t.lilac : t.sky, 90));
    painter.drawPolygon(QPolygonF{box.bottomLeft() + QPointF(1, -2),
                                  {box.left() + 1, levelY(box, share(use.before))},
                                  {box.right() - 1, levelY(box, share(use.after))},
                                  box.bottomRight() + QPointF(-1, -2)});
    painter.restore();
    if (changed) // elsewhere than before the last change
        painter.fillRect(QRectF(box.left(), box.top(), box.width(), 3), t.marigold);
}

void DayTimeline::paintLane(QPainter& painter, const DayRow& row, const DayCarriers& carriers,
                            const std::vector<int>& changed, bool runsDown) const {
    const auto& t = m_style.colours();
    const auto isMarked = [&](std::size_t i) {
        return std::find(changed.begin(), changed.end(), static_cast<int>(i)) != changed.end();
    };
    painter.setFont(Style::font(TextRole::Secondary));
    Labels labels(painter, t.panel, t.ink, t.marigold);
    for (std::size_t i = 0; i < carriers.plan.uses.size(); ++i) {
        const auto& use = carriers.plan.uses[i];
        if (use.lane != row.lane)
            continue;
        paintUse(painter, row, carriers, use, isMarked(i), runsDown);
        labels.add(m_geometry.box(row, use.start, use.end),
                   toQt(carriers.unitLabels[static_cast<std::size_t>(use.unit)]), isMarked(i));
        if (!use.changed)
            continue;
        // A notch where something is changed; coral and filled when it stops a recording.
        const double x = m_geometry.x(use.start);
        painter.save();
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setPen(QPen(use.inside ? t.coral : t.ink, 1.4 * t.stroke));
        painter.setBrush(use.inside ? QBrush(t.coral) : QBrush(t.ground));
        painter.drawPolygon(
            QPolygonF{{x - 7, row.top - 3}, {x + 7, row.top - 3}, {x, row.top + 8}});
        painter.restore();
    }
    labels.flush();
    paintShortfalls(painter, row, carriers, runsDown ? tr("empty") : tr("full"));
}

void DayTimeline::paintShortfalls(QPainter& painter, const DayRow& row, const DayCarriers& carriers,
                                  const QString& word) const {
    const auto& t = m_style.colours();
    for (const auto& gap : carriers.plan.shortfalls) {
        if (gap.lane != row.lane)
            continue;
        const auto& demand = carriers.problem.lanes[static_cast<std::size_t>(gap.lane)]
                                 .demands[static_cast<std::size_t>(gap.demand)];
        const auto box = m_geometry.box(row, gap.from, demand.end).adjusted(0, 1, 0, -1);
        drawBlock(painter, box, faded(t.coral, 60), t.coral, 2 * t.stroke);
        drawHatch(painter, box, t.coral);
        // Across every row, so that it is seen from across the room.
        painter.setPen(QPen(t.coral, 2.5 * t.stroke));
        painter.drawLine(QPointF(box.left(), m_geometry.area().top()),
                         QPointF(box.left(), m_geometry.bottom()));
        const QString text = QStringLiteral("%1 %2").arg(word, toQt(printClock(gap.from)));
        painter.setFont(Style::font(TextRole::Value));
        const double width = painter.fontMetrics().horizontalAdvance(text) + 12.0;
        const double left =
            std::clamp(box.left() + 4, m_geometry.area().left(),
                       std::max(m_geometry.area().left(), m_geometry.area().right() - width));
        const QRectF label(left, row.top + row.height / 2 - 11, width, 22);
        drawBlock(painter, label, t.ground, t.coral, 1.4);
        painter.setPen(t.coral);
        painter.drawText(label, Qt::AlignCenter, text);
    }
}

void DayTimeline::paintCharging(QPainter& painter, const DayRow& row) const {
    const auto& t = m_style.colours();
    const auto& power = m_shown.plan.power;
    for (const auto& renewal : power.plan.renewals) {
        // In the row of the camera the battery came from.
        const auto from =
            std::find_if(power.plan.uses.begin(), power.plan.uses.end(), [&](const auto& use) {
                return use.unit == renewal.unit && use.end <= renewal.out + Seconds(1);
            });
        if (from == power.plan.uses.end() || from->lane != row.lane)
            continue;
        auto box = m_geometry.box(row, renewal.start, renewal.end);
        box.setTop(box.bottom() - 4);
        painter.fillRect(box, t.sea);
    }
}

void DayTimeline::paintCopies(QPainter& painter, const DayRow& row) const {
    const auto& t = m_style.colours();
    const auto& cards = m_shown.plan.cards;
    painter.setFont(Style::font(TextRole::Secondary));
    Labels labels(painter, t.raised, t.ink, t.ink);
    for (const auto& renewal : cards.plan.renewals) {
        if (renewal.server != row.lane)
            continue;
        const auto box = m_geometry.box(row, renewal.start, renewal.end).adjusted(0, 2, 0, -2);
        drawBlock(painter, box, t.raised, t.sea, 1.4 * t.stroke);
        labels.add(box.adjusted(-6, 0, 6, 0),
                   toQt(cards.unitLabels[static_cast<std::size_t>(renewal.unit)]), false);
    }
    labels.flush();
}

// What is copied and checked, of all that is recorded.
void DayTimeline::paintSafe(QPainter& painter, const DayRow& row) const {
    const auto& t = m_style.colours();
    double total = 0, safe = 0;
    for (const auto& use : m_shown.plan.cards.plan.uses)
        total += (use.after - use.before).value();
    if (total <= 0)
        return;
    const auto box = m_geometry.box(row, m_geometry.from(), m_geometry.to()).adjusted(0, 2, 0, -2);
    auto renewals = m_shown.plan.cards.plan.renewals;
    std::sort(renewals.begin(), renewals.end(),
              [](const auto& a, const auto& b) { return a.end < b.end; });
    QPolygonF area{box.bottomLeft(), {box.left(), levelY(box, 0)}};
    for (const auto& renewal : renewals) {
        area << QPointF(m_geometry.x(renewal.start), levelY(box, safe / total));
        safe += renewal.amount.value();
        area << QPointF(m_geometry.x(renewal.end), levelY(box, safe / total));
    }
    area << QPointF(box.right(), levelY(box, safe / total)) << box.bottomRight();
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(t.sea, 1.4 * t.stroke));
    painter.setBrush(faded(t.sea, 80));
    painter.drawPolygon(area);
    painter.restore();
    if (m_shown.plan.safe) {
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.ink);
        painter.drawText(box.adjusted(8, 0, -8, 0), Qt::AlignLeft | Qt::AlignVCenter,
                         tr("all of it at %1").arg(toQt(printClock(*m_shown.plan.safe, true))));
    }
}

// Each scene's grey card while its takes run, in stops from dark to bright.
void DayTimeline::paintLight(QPainter& painter, const DayRow& row) const {
    const auto& t = m_style.colours();
    if (!m_shown.shoot)
        return;
    constexpr double kDarkest = -7, kBrightest = 14; // log2 cd/m2
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(t.ink, 1.8 * t.stroke));
    for (const auto& take : m_shown.plan.takes) {
        const auto* setup =
            take.setups.empty() ? nullptr : findSetup(*m_shown.shoot, take.setups.front());
        const auto* scene = setup ? findScene(*m_shown.shoot, setup->scene) : nullptr;
        const auto* grey = scene ? greyCard(*scene) : nullptr;
        if (!grey)
            continue;
        const auto box = m_geometry.box(row, take.start, take.end);
        const auto height = [&](CandelaPerM2 light) {
            return levelY(box, (std::log2(light.value()) - kDarkest) / (kBrightest - kDarkest));
        };
        const auto& meter = m_shown.shoot->meter;
        const auto from = luminanceOf(grey->reading, grey->reflectance, meter);
        CandelaPerM2 begin = from, end = from;
        if (scene->change && scene->start) {
            const auto to = luminanceOf(scene->change->to, grey->reflectance, meter);
            const auto at = [&](Seconds time) {
                const double share = std::clamp(
                    (time - *scene->start).value() / scene->change->over.value(), 0.0, 1.0);
                return CandelaPerM2(from.value() * std::pow(to.value() / from.value(), share));
            };
            begin = at(take.start);
            end = at(take.end);
        }
        painter.drawLine(QPointF(box.left(), height(begin)), QPointF(box.right(), height(end)));
    }
    painter.restore();
}

void DayTimeline::paintChips(QPainter& painter, const DayRow&) const {
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    for (int unit = 0; unit < static_cast<int>(m_shown.plan.cards.unitLabels.size()); ++unit) {
        const auto index = static_cast<std::size_t>(unit);
        const auto box = m_geometry.chip(unit);
        const bool used =
            std::any_of(m_shown.plan.cards.plan.uses.begin(), m_shown.plan.cards.plan.uses.end(),
                        [&](const CarrierUse& use) { return use.unit == unit; });
        const bool failed = index < m_shown.failed.size() && m_shown.failed[index];
        drawBlock(painter, box, used ? t.raised : t.deep, failed ? t.coral : t.marigold, 1.2);
        if (failed)
            drawHatch(painter, box.adjusted(1, 1, -1, -1), t.coral);
        painter.setPen(used ? t.ink : t.muted);
        painter.drawText(box, Qt::AlignCenter, toQt(m_shown.plan.cards.unitLabels[index]));
    }
}

void DayTimeline::paintNow(QPainter& painter) const {
    if (!m_shown.now)
        return;
    const auto& t = m_style.colours();
    const double x = m_geometry.x(*m_shown.now);
    painter.setPen(QPen(t.marigold, 1.6 * t.stroke));
    painter.drawLine(QPointF(x, m_geometry.area().top() - 4), QPointF(x, m_geometry.bottom()));
    QString text = tr("so far %1").arg(toQt(printClock(*m_shown.now)));
    if (m_shown.late && m_shown.late->value() >= 60)
        text += tr(" \u00b7 %1 late").arg(toQt(printDuration(*m_shown.late)));
    painter.setFont(Style::font(TextRole::Body));
    const double width = painter.fontMetrics().horizontalAdvance(text) + 12.0;
    const QRectF label(std::min(x + 2, m_geometry.area().right() - width), m_geometry.bottom() - 20,
                       width, 20);
    drawBlock(painter, label, t.ground, t.marigold, 1);
    painter.setPen(t.marigold);
    painter.drawText(label, Qt::AlignCenter, text);
}

void DayTimeline::paintDrag(QPainter& painter) const {
    if (m_drag != Drag::Card || !m_moved)
        return;
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Body));
    const QString label = toQt(m_shown.plan.cards.unitLabels[static_cast<std::size_t>(m_unit)]);
    const QRectF box(m_at.x() - 22, m_at.y() - 11, 44, 22);
    const bool refused = m_over && !m_why.isEmpty();
    if (m_over) {
        const auto& demand =
            m_shown.plan.cards.problem.lanes[static_cast<std::size_t>(m_over->lane)]
                .demands[static_cast<std::size_t>(m_over->demand)];
        for (const auto& row : m_geometry.rows())
            if (row.kind == DayRowKind::Cards && row.lane == m_over->lane)
                drawBlock(painter, m_geometry.box(row, demand.start, demand.end),
                          faded(refused ? t.coral : t.marigold, 60), refused ? t.coral : t.marigold,
                          2);
    }
    drawBlock(painter, box, t.raised, refused ? t.coral : t.marigold, 2);
    painter.setPen(t.ink);
    painter.drawText(box, Qt::AlignCenter, label);
    if (!refused)
        return;
    const double width =
        std::min(painter.fontMetrics().horizontalAdvance(m_why) + 16.0, this->width() - 8.0);
    const QRectF why(std::clamp(m_at.x() - width / 2, 4.0, this->width() - width - 4.0),
                     std::max(0.0, m_at.y() - 40), width, 22);
    drawBlock(painter, why, t.ground, t.coral, 1.4);
    painter.setPen(t.coral);
    painter.drawText(why, Qt::AlignCenter, elided(m_why, painter.font(), width - 12));
}

} // namespace bslate::app
