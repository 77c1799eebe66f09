#include "app/views/banks/check_list.h"

#include "app/document/text.h"
#include "app/style/marks.h"

#include <QPainter>

#include <algorithm>

namespace bslate::app {
namespace {
constexpr double kCheckRow = 20, kMarkSide = 15, kColumnGap = 16;
} // namespace

CheckList::CheckList(const Style& style, QWidget* parent)
    : PickCanvas(style, "check-list", Order::Down, Click::Picks,
                 {QT_TRANSLATE_NOOP("Help", "choose a check, after Tab")}, parent) {
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    addPick({Qt::Key_Space, Qt::Key_Return},
            QT_TRANSLATE_NOOP("Help", "tick the chosen check, or take its tick off"));
}

int CheckList::itemCount() const {
    return static_cast<int>(m_content.checks.size());
}

// Down the first column and then down the second, which is no longer than it.
void CheckList::arrange(int width) {
    const double wide = (width - kColumnGap) / 2;
    const double room = wide - kMarkSide - 16;
    const QFontMetricsF metrics(Style::font(TextRole::Body));
    std::vector<double> heights;
    double all = 0;
    for (const auto& check : m_content.checks) {
        const QString text = toQt(reasonOf(check.text, translator()));
        heights.push_back(metrics.horizontalAdvance(text) > room ? 2 * kCheckRow - 4 : kCheckRow);
        all += heights.back();
    }
    m_boxes.clear();
    m_height = 0;
    double left = 0, y = 2, above = 0;
    for (const double height : heights) {
        if (left == 0 && above > 0 && above + height / 2 > all / 2) {
            left = wide + kColumnGap;
            y = 2;
        }
        m_boxes.emplace_back(left, y, wide, height);
        y += height;
        above += height;
        m_height = std::max(m_height, y);
    }
}

QSize CheckList::sizeHint() const {
    return {800, static_cast<int>(std::max(kCheckRow, m_height)) + 4};
}

void CheckList::show(CheckListContent content) {
    m_content = std::move(content);
    arrange(width());
    setSpoken(QAccessible::List, m_content.name, tr("Arrows move, Space ticks"));
    itemsChanged(m_content.restarts ? 0 : current());
}

void CheckList::resizeEvent(QResizeEvent*) {
    const double before = m_height;
    arrange(width());
    if (m_height != before)
        updateGeometry();
}

QRectF CheckList::itemBox(int check) const {
    const auto at = static_cast<std::size_t>(check);
    return at < m_boxes.size() ? m_boxes[at] : QRectF();
}

QString CheckList::itemWords(int check) const {
    const auto& own = m_content.checks[static_cast<std::size_t>(check)];
    const auto state = stateOf(m_content.ticks, own);
    QString words = toQt(reasonOf(own.text, translator()));
    if (own.where)
        words += tr(" (%1)").arg(toQt(reasonOf(*own.where, translator())));
    words += QStringLiteral(": ") + toQt(reasonOf(own.reason, translator()));
    for (const auto& tick : m_content.ticks)
        if (tick.check == own.id)
            words += state == TickState::Stale
                         ? tr("; ticked %1, changed since").arg(toQt(tick.when))
                         : tr("; ticked %1").arg(toQt(tick.when));
    if (state == TickState::Failing)
        return words + tr("; a fault");
    return state == TickState::Open ? words + tr("; open") : words;
}

void CheckList::paintMark(QPainter& painter, const QRectF& box, TickState state) const {
    const auto& t = style().colours();
    if (state == TickState::Ticked)
        return drawSeverity(painter, box, Severity::Good, false, t);
    if (state == TickState::Stale)
        return drawSeverity(painter, box, Severity::Caution, false, t);
    if (state == TickState::Failing)
        return drawSeverity(painter, box, Severity::Fault, false, t);
    painter.setPen(QPen(t.muted, 1.4 * t.stroke));
    painter.setBrush(Qt::NoBrush);
    painter.drawRoundedRect(box.adjusted(1.5, 1.5, -1.5, -1.5), 2, 2);
}

void CheckList::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = style().colours();
    if (itemCount() == 0) {
        painter.setFont(Style::font(TextRole::Body));
        painter.setPen(t.muted);
        painter.drawText(rect(), Qt::AlignLeft | Qt::AlignVCenter, m_content.empty);
        return;
    }
    for (int i = 0; i < itemCount(); ++i) {
        const QRectF row = itemBox(i);
        if (hasFocus() && i == current())
            drawBlock(painter, row.adjusted(0, 0, 0, -1), t.raised, t.marigold, 1.5);
        paintCheck(painter, row, m_content.checks[static_cast<std::size_t>(i)]);
    }
}

void CheckList::paintCheck(QPainter& painter, const QRectF& row, const Check& check) const {
    const auto& t = style().colours();
    const auto state = stateOf(m_content.ticks, check);
    paintMark(painter,
              QRectF(row.left() + 4, row.center().y() - kMarkSide / 2, kMarkSide, kMarkSide),
              state);
    const double left = row.left() + kMarkSide + 12;
    QString beside = check.where ? toQt(reasonOf(*check.where, translator())) : QString();
    const QString why = toQt(reasonOf(check.reason, translator()));
    if (!why.isEmpty())
        beside += (beside.isEmpty() ? QString() : QStringLiteral(" \u00b7 ")) + why;
    painter.setFont(Style::font(TextRole::Body));
    const QString text = toQt(reasonOf(check.text, translator()));
    const double room = row.right() - left - 4;
    const double wide = QFontMetricsF(painter.font()).horizontalAdvance(text);
    painter.setPen(state == TickState::Failing  ? t.coral
                   : state == TickState::Ticked ? t.muted
                   : state == TickState::Stale  ? t.marigold
                                                : t.ink);
    painter.drawText(QRectF(left, row.top(), room, row.height()),
                     int(Qt::AlignLeft) | int(Qt::AlignVCenter) | int(Qt::TextWordWrap), text);
    if (wide + 40 > room)
        return;
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(left + wide + 12, row.top(), room - wide - 12, row.height()),
                     Qt::AlignLeft | Qt::AlignVCenter,
                     elided(beside, painter.font(), room - wide - 12));
}

} // namespace bslate::app
