#include "app/views/media/day_timeline.h"

#include "app/document/text.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QToolTip>
#include <QWheelEvent>

#include <algorithm>
#include <cmath>

namespace bslate::app {

DayTimeline::DayTimeline(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("day-timeline"));
    setMinimumHeight(360);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    setMouseTracking(true);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void DayTimeline::show(Shown shown) {
    m_shown = std::move(shown);
    arrange();
    tell();
    update();
}

void DayTimeline::arrange() {
    m_geometry.arrange(m_shown.plan, QRectF(rect()).adjusted(0, 2, -2, -2));
}

void DayTimeline::resizeEvent(QResizeEvent*) {
    arrange();
}

void DayTimeline::choose(const QString& take, int lane) {
    m_take = take;
    m_lane = lane;
    for (const auto& own : m_shown.plan.takes)
        if (toQt(own.id) == take)
            m_geometry.reveal(own.start);
    tell();
    update();
}

// What assistive technology hears: the chosen take with its cards.
void DayTimeline::tell() {
    QStringList words;
    for (const auto& take : m_shown.plan.takes) {
        if (toQt(take.id) != m_take)
            continue;
        words << tr("%1 %2, %3 to %4")
                     .arg(toQt(take.title), toQt(take.name), toQt(printClock(take.start)),
                          toQt(printClock(take.end, true)));
        if (take.whole)
            words << tr("must not be interrupted");
        for (const auto& use : m_shown.plan.cards.plan.uses) {
            const auto& lane = m_shown.plan.cards.lanes[static_cast<std::size_t>(use.lane)];
            const auto of = lane.takes[static_cast<std::size_t>(use.demand)];
            if (m_shown.plan.takes[static_cast<std::size_t>(of)].id == take.id)
                words << tr("%1 on %2")
                             .arg(toQt(lane.title),
                                  toQt(m_shown.plan.cards
                                           .unitLabels[static_cast<std::size_t>(use.unit)]));
        }
    }
    describe(*this, QAccessible::List, tr("The day"),
             words.isEmpty() ? tr("%1 takes").arg(m_shown.plan.takes.size())
                             : words.join(QStringLiteral("; ")),
             tr("Left and Right choose a take, Up and Down a camera"));
}

void DayTimeline::zoom(double factor) {
    Seconds about = m_geometry.from() + (m_geometry.to() - m_geometry.from()) * 0.5;
    for (const auto& take : m_shown.plan.takes)
        if (toQt(take.id) == m_take)
            about = take.start;
    m_geometry.zoom(factor, about);
    update();
}

void DayTimeline::fit() {
    m_geometry.fit();
    update();
}

QRectF DayTimeline::takeBox(const QString& take) const {
    for (const auto& own : m_shown.plan.takes)
        if (toQt(own.id) == take)
            return m_geometry.box(m_geometry.rows().front(), own.start, own.end);
    return {};
}

const DayTake* DayTimeline::takeAt(QPointF point) const {
    const auto* row = m_geometry.rowAt(point.y());
    if (!row || row->kind != DayRowKind::Takes)
        return nullptr;
    for (const auto& take : m_shown.plan.takes)
        if (m_geometry.box(*row, take.start, take.end).adjusted(-3, 0, 3, 0).contains(point))
            return &take;
    return nullptr;
}

std::optional<CardPlace> DayTimeline::placeAt(QPointF point) const {
    const auto* row = m_geometry.rowAt(point.y());
    if (!row || row->kind != DayRowKind::Cards)
        return std::nullopt;
    const auto& demands =
        m_shown.plan.cards.problem.lanes[static_cast<std::size_t>(row->lane)].demands;
    for (std::size_t d = 0; d < demands.size(); ++d)
        if (m_geometry.box(*row, demands[d].start, demands[d].end)
                .adjusted(-4, 0, 4, 0)
                .contains(point))
            return CardPlace{row->lane, static_cast<int>(d)};
    return std::nullopt;
}

int DayTimeline::unitAt(QPointF point) const {
    for (int unit = 0; unit < static_cast<int>(m_shown.plan.cards.unitIds.size()); ++unit)
        if (m_geometry.chip(unit).contains(point))
            return unit;
    return -1;
}

void DayTimeline::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || m_geometry.rows().empty())
        return;
    m_pressed = m_at = event->position();
    m_moved = false;
    m_drag = Drag::Pan;
    if (const auto* take = takeAt(m_pressed)) {
        m_drag = Drag::Take;
        m_grip = m_geometry.timeAt(m_pressed.x()) - take->start;
        emit chosen(toQt(take->id), m_lane);
    } else if (const auto place = placeAt(m_pressed)) {
        const auto& lane = m_shown.plan.cards.lanes[static_cast<std::size_t>(place->lane)];
        const auto of = lane.takes[static_cast<std::size_t>(place->demand)];
        emit chosen(toQt(m_shown.plan.takes[static_cast<std::size_t>(of)].id), place->lane);
    } else if (const int unit = unitAt(m_pressed); unit >= 0) {
        m_drag = Drag::Card;
        m_unit = unit;
    }
}

void DayTimeline::mouseMoveEvent(QMouseEvent* event) {
    const QPointF before = m_at;
    m_at = event->position();
    if (m_drag == Drag::None) {
        const bool grips = takeAt(m_at) || unitAt(m_at) >= 0;
        setCursor(grips ? Qt::OpenHandCursor : Qt::ArrowCursor);
        return;
    }
    if (!m_moved && (m_at - m_pressed).manhattanLength() < 4)
        return;
    switch (m_drag) {
    case Drag::Take: {
        if (!m_moved)
            emit takeDragStarted();
        const double minute = std::round((m_geometry.timeAt(m_at.x()) - m_grip).value() / 60) * 60;
        emit takeDragged(m_take, Seconds(minute));
        break;
    }
    case Drag::Card: {
        const auto over = placeAt(m_at);
        if (over != m_over && over && m_judge)
            m_why = m_judge(*over, m_unit);
        m_over = over;
        update();
        break;
    }
    case Drag::Pan:
        m_geometry.pan(m_geometry.timeAt(before.x()) - m_geometry.timeAt(m_at.x()));
        update();
        break;
    case Drag::None:
        break;
    }
    m_moved = true;
}

void DayTimeline::mouseReleaseEvent(QMouseEvent*) {
    const auto drag = std::exchange(m_drag, Drag::None);
    if (drag == Drag::Take && m_moved)
        emit takeDragEnded();
    if (drag != Drag::Card)
        return;
    const auto over = std::exchange(m_over, std::nullopt);
    update();
    if (!over)
        return;
    if (m_why.isEmpty())
        emit cardDropped(*over, m_unit);
    else
        emit cardRefused(tr("Not there: %1.").arg(m_why));
}

void DayTimeline::wheelEvent(QWheelEvent* event) {
    if (event->angleDelta().y() != 0)
        m_geometry.zoom(std::exp2(event->angleDelta().y() / 480.0),
                        m_geometry.timeAt(event->position().x()));
    else
        m_geometry.pan((m_geometry.to() - m_geometry.from()) * (-event->angleDelta().x() / 1200.0));
    update();
}

QString DayTimeline::toolTipAt(QPointF point) const {
    const auto& cards = m_shown.plan.cards;
    if (const auto* take = takeAt(point))
        return tr("%1 %2, %3 to %4")
            .arg(toQt(take->title), toQt(take->name), toQt(printClock(take->start)),
                 toQt(printClock(take->end, true)));
    if (const auto place = placeAt(point))
        for (const auto& use : cards.plan.uses)
            if (use.lane == place->lane && use.demand == place->demand)
                return tr("%1: %2 to %3 of %4")
                    .arg(toQt(cards.unitNames[static_cast<std::size_t>(use.unit)]),
                         toQt(print(DataSize(use.before.value()))),
                         toQt(print(DataSize(use.after.value()))),
                         toQt(print(DataSize(
                             cards.problem
                                 .kinds[static_cast<std::size_t>(cards.problem.kindOf(use.unit))]
                                 .capacity.value()))));
    if (const int unit = unitAt(point); unit >= 0)
        return toQt(cards.unitNames[static_cast<std::size_t>(unit)]);
    return {};
}

bool DayTimeline::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(event);
        const QString text = toolTipAt(help->pos());
        if (text.isEmpty())
            QToolTip::hideText();
        else
            QToolTip::showText(help->globalPos(), text, this);
        return true;
    }
    return QWidget::event(event);
}

} // namespace bslate::app
