#include "app/views/banks/check_list.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {
constexpr double kCheckRow = 20, kMarkSide = 15, kColumnGap = 16;
} // namespace

CheckList::CheckList(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("check-list"));
    setFocusPolicy(Qt::StrongFocus);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

int CheckList::count() const {
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
    if (m_content.restarts)
        m_current = 0;
    m_current = std::clamp(m_current, 0, std::max(0, count() - 1));
    arrange(width());
    updateGeometry();
    tell();
    update();
}

void CheckList::resizeEvent(QResizeEvent*) {
    const double before = m_height;
    arrange(width());
    if (m_height != before)
        updateGeometry();
}

void CheckList::setCurrent(int check) {
    m_current = std::clamp(check, 0, std::max(0, count() - 1));
    tell();
    emit currentAt(rowBox(m_current).toAlignedRect());
    update();
}

QRectF CheckList::rowBox(int check) const {
    const auto at = static_cast<std::size_t>(check);
    return at < m_boxes.size() ? m_boxes[at] : QRectF();
}

int CheckList::besideOf(int check, int by) const {
    const QRectF own = rowBox(check);
    int best = check;
    double nearest = 1e9;
    for (int i = 0; i < count(); ++i) {
        const QRectF other = rowBox(i);
        const double away = std::abs(other.center().y() - own.center().y());
        if ((other.left() - own.left()) * by > 1 && away < nearest) {
            nearest = away;
            best = i;
        }
    }
    return best;
}

QString CheckList::wordsOf(int check) const {
    if (check >= count())
        return m_content.empty;
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

void CheckList::tell() {
    describe(*this, QAccessible::List, m_content.name, wordsOf(m_current),
             tr("Arrows move, Space ticks"));
}

void CheckList::paintMark(QPainter& painter, const QRectF& box, TickState state) const {
    const auto& t = m_style.colours();
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
    const auto& t = m_style.colours();
    if (count() == 0) {
        painter.setFont(Style::font(TextRole::Body));
        painter.setPen(t.muted);
        painter.drawText(rect(), Qt::AlignLeft | Qt::AlignVCenter, m_content.empty);
        return;
    }
    for (int i = 0; i < count(); ++i) {
        const auto& check = m_content.checks[static_cast<std::size_t>(i)];
        const auto state = stateOf(m_content.ticks, check);
        const QRectF row = rowBox(i);
        if (hasFocus() && i == m_current)
            drawBlock(painter, row.adjusted(0, 0, 0, -1), t.raised, t.marigold, 1.5);
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
            continue;
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.muted);
        painter.drawText(QRectF(left + wide + 12, row.top(), room - wide - 12, row.height()),
                         Qt::AlignLeft | Qt::AlignVCenter,
                         elided(beside, painter.font(), room - wide - 12));
    }
}

void CheckList::keyPressEvent(QKeyEvent* event) {
    if (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier))
        return QWidget::keyPressEvent(event);
    switch (event->key()) {
    case Qt::Key_Up:
        return setCurrent(m_current - 1);
    case Qt::Key_Down:
        return setCurrent(m_current + 1);
    case Qt::Key_Left:
        return setCurrent(besideOf(m_current, -1));
    case Qt::Key_Right:
        return setCurrent(besideOf(m_current, 1));
    case Qt::Key_Home:
        return setCurrent(0);
    case Qt::Key_End:
        return setCurrent(count() - 1);
    case Qt::Key_Space:
    case Qt::Key_Return:
    case Qt::Key_Enter:
        if (m_current < count())
            emit ticked(m_current);
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

void CheckList::mousePressEvent(QMouseEvent* event) {
    for (int i = 0; i < count(); ++i)
        if (rowBox(i).contains(event->position())) {
            setCurrent(i);
            emit ticked(i);
            return;
        }
}

void CheckList::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}

void CheckList::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

bool CheckList::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip)
        return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    for (int i = 0; i < count(); ++i)
        if (rowBox(i).contains(help->pos())) {
            QToolTip::showText(help->globalPos(), wordsOf(i), this);
            return true;
        }
    QToolTip::hideText();
    return true;
}

} // namespace bslate::app
