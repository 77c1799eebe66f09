// What the board of banks looks like; where things stand is in bank_board.cpp.
#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/banks/bank_board.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>

namespace bslate::app {

void BankBoard::paintSlate(QPainter& painter, int bank) const {
    const auto& t = style().colours();
    const auto at = static_cast<std::size_t>(bank);
    const auto& own = m_planner.plan().problem.banks[at];
    const auto& slate = m_slates[at];
    const QRectF box = slateBox(bank);
    const bool over = bank == m_target;
    drawBlock(painter, box, t.deep, over ? t.marigold : t.line, over ? 2 : 1);
    if (own.locked)
        drawHatch(painter, box.adjusted(2, 2, -2, -2), t.line);
    const QRectF inside = box.adjusted(10, 6, -8, -6);
    const auto row = [&](double top, TextRole role, const QColor& colour, const QString& text) {
        painter.setFont(Style::font(role));
        painter.setPen(colour);
        painter.drawText(QRectF(inside.left(), inside.top() + top, inside.width(), 18),
                         Qt::AlignLeft | Qt::AlignVCenter,
                         elided(text, painter.font(), inside.width()));
    };
    row(0, TextRole::Title, slate.lines.isEmpty() ? t.muted : t.ink, slate.title);
    if (!slate.lines.isEmpty()) {
        row(22, TextRole::Body, t.ink, slate.lines[0]);
        row(40, TextRole::Secondary, t.muted, slate.lines[1]);
        row(56, TextRole::Secondary, t.muted, slate.lines[2]);
    }
    row(74, TextRole::Secondary,
        slate.foot.mark == Mark::Lost      ? t.coral
        : slate.foot.mark == Mark::Changed ? t.marigold
                                           : t.muted,
        slate.foot.text);
}

void BankBoard::paintThread(QPainter& painter, std::size_t setup, int bank, const QColor& colour,
                            double width, Qt::PenStyle line) const {
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(colour, width * style().colours().stroke, line));
    painter.drawPath(threadOf(setup, bank));
}

void BankBoard::paintSetup(QPainter& painter, std::size_t setup) const {
    const auto& t = style().colours();
    const auto& use = m_planner.now().uses[setup];
    const QRectF box = setupBox(setup);
    const bool chosen = m_planner.selected() == setup;
    drawBlock(painter, box, chosen ? t.raised : t.deep, chosen ? t.marigold : t.line,
              chosen ? 2 : 1);
    painter.setFont(Style::font(TextRole::Title));
    painter.setPen(chosen ? t.marigold : t.ink);
    painter.drawText(box, Qt::AlignCenter,
                     elided(toQt(m_planner.plan().problem.work.setups[setup].number),
                            painter.font(), box.width() - 8));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(use.byHand.empty() ? t.sea : chosen ? t.marigold : t.muted);
    const QRectF under(box.center().x() - m_pitch / 2 + 2, box.bottom() + 4, m_pitch - 4, 32);
    const QString names = handNames(use);
    const QFontMetricsF metrics(painter.font());
    QString shown = names;
    const auto fits = [&](const QString& text) {
        return metrics.boundingRect(under, int(Qt::AlignHCenter) | int(Qt::TextWordWrap), text)
                   .height() <= under.height();
    };
    for (int left = static_cast<int>(use.byHand.size()) - 1; left > 0 && !fits(shown); --left)
        shown = tr("%1 and %2 more")
                    .arg(names.section(QStringLiteral(", "), 0, left - 1))
                    .arg(static_cast<int>(use.byHand.size()) - left);
    painter.drawText(under, int(Qt::AlignHCenter) | int(Qt::TextWordWrap), shown);
}

// What the hand would cost with the setup over this slate.
void BankBoard::paintCost(QPainter& painter) const {
    const auto chosen = m_planner.selected();
    const auto cost = m_planner.costWith(m_target);
    if (!chosen || !cost || m_target == m_planner.threads()[*chosen])
        return;
    const auto& t = style().colours();
    const Seconds then = *cost, now = m_planner.now().cost;
    const QString text =
        m_target < 0
            ? tr("no bank: %1 by hand, now %2")
                  .arg(toQt(printDuration(then)), toQt(printDuration(now)))
            : tr("%1 by hand, now %2").arg(toQt(printDuration(then)), toQt(printDuration(now)));
    painter.setFont(Style::font(TextRole::Title));
    const double wide = QFontMetricsF(painter.font()).horizontalAdvance(text) + 24;
    const QPointF at = m_dragging
                           ? m_at + QPointF(14, -30)
                           : QPointF(threadEnd(*chosen).x() - wide / 2,
                                     (kSlateTop + kSlateHeight + threadEnd(*chosen).y()) / 2 - 13);
    const QRectF box(std::clamp(at.x(), 4.0, std::max(4.0, width() - wide - 4)),
                     std::max(2.0, at.y()), wide, 26);
    drawBlock(painter, box, t.raised, then > now ? t.coral : t.sea, 1.5);
    painter.setPen(t.ink);
    painter.drawText(box, Qt::AlignCenter, text);
}

void BankBoard::paintEmpty(QPainter& painter) const {
    const auto& t = style().colours();
    const auto& problem = m_planner.plan().problem;
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(t.muted);
    if (problem.banks.empty())
        painter.drawText(QRectF(kLeft, kSlateTop, width() - 2 * kLeft, kSlateHeight),
                         int(Qt::AlignVCenter) | int(Qt::TextWordWrap),
                         tr("No banks: this body remembers nothing, or nobody described it. Every "
                            "setup goes on from the one before; what changes is under each. Banks "
                            "are described in the camera's sheet (Kit)."));
    if (problem.work.setups.empty())
        painter.drawText(
            QRectF(kLeft, height() - kBelow - kSetupHeight, width() - 2 * kLeft, kSetupHeight),
            Qt::AlignVCenter, tr("No setup of this camera can be worked out yet."));
}

// The threads of the setups that are seen; the chosen one's above them.
void BankBoard::paintThreads(QPainter& painter, std::pair<std::size_t, std::size_t> shown) const {
    const auto& t = style().colours();
    const auto& threads = m_planner.threads();
    const auto chosen = m_planner.selected();
    for (std::size_t i = shown.first; i < shown.second; ++i) {
        const auto setup = m_order[i];
        if (threads[setup] >= 0 && setup != chosen)
            paintThread(painter, setup, threads[setup], t.sky, 1.4);
    }
    if (chosen) {
        if (threads[*chosen] >= 0)
            paintThread(painter, *chosen, threads[*chosen], t.marigold, 2.4);
        if (m_target >= 0 && m_target != threads[*chosen])
            paintThread(painter, *chosen, m_target, t.marigold, 1.6, Qt::DashLine);
    }
}

void BankBoard::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = style().colours();
    const auto shown = seen(0, width());
    paintThreads(painter, shown);
    for (int b = 0; b < static_cast<int>(m_slates.size()); ++b)
        if (slateBox(b).intersects(rect()))
            paintSlate(painter, b);
    m_painted = 0;
    for (std::size_t i = shown.first; i < shown.second; ++i) {
        const auto setup = m_order[i];
        paintSetup(painter, setup);
        ++m_painted;
        if (i > shown.first && m_day[setup] == m_day[m_order[i - 1]])
            continue;
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.muted);
        painter.drawText(QRectF(setupBox(setup).left() - 8, height() - 20.0, 90, 18),
                         Qt::AlignLeft | Qt::AlignVCenter, tr("day %1").arg(m_day[setup]));
    }
    paintEmpty(painter);
    if (m_dragging && m_held)
        drawDiamond(painter, m_at, 6, t.marigold, t.marigold);
    paintCost(painter);
}
} // namespace bslate::app
