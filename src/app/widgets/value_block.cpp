#include "app/widgets/value_block.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QKeyEvent>
#include <QPainter>

namespace bslate::app {

namespace {
constexpr int kPixelsPerStep = 12;
}

ValueBlock::ValueBlock(const Style& style, const QString& caption, const QString& help,
                       QuantityEdit::Check check, QWidget* parent)
    : DragField(style, std::move(check), kPixelsPerStep, parent)
    , m_caption(caption)
    , m_help(help) {
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setToolTip(help);
    edit().setFont(Style::font(TextRole::Value));
    edit().setAccessibleName(caption);
}

void ValueBlock::show(const QString& value, const QString& side, bool pays, bool changed) {
    if (value == m_value && side == m_side && pays == m_pays && changed == m_changed)
        return;
    m_value = value;
    m_side = side;
    m_pays = pays;
    m_changed = changed;
    const QString spoken = pays ? tr("%1, %2, pays for changes").arg(value, side)
                                : QStringLiteral("%1, %2").arg(value, side);
    describe(*this, QAccessible::SpinBox, m_caption, spoken, m_help);
    update();
}

void ValueBlock::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = style().colours();
    const bool active = isActive();
    drawBlock(painter, rect(), active ? t.raised : t.deep,
              active || m_changed ? t.marigold : t.line, active ? 2.0 : 1.2);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRect(9, 5, width() - 18, 16), Qt::AlignLeft | Qt::AlignVCenter, m_caption);
    if (m_pays) {
        painter.setPen(t.marigold);
        painter.drawText(QRect(9, 5, width() - 16, 16), Qt::AlignRight | Qt::AlignVCenter,
                         tr("pays"));
    }
    const auto valueFont = Style::font(TextRole::BigValue);
    const auto sideFont = Style::font(TextRole::Secondary);
    const double sideWidth = QFontMetricsF(sideFont).horizontalAdvance(m_side);
    const double valueWidth = QFontMetricsF(valueFont).horizontalAdvance(m_value);
    const bool both = 9 + valueWidth + 6 + sideWidth + 8 <= width();
    painter.setFont(valueFont);
    painter.setPen(m_changed ? t.marigold : t.ink);
    painter.drawText(QRect(9, 21, width() - 14, 24), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(m_value, valueFont, width() - 16));
    if (both) {
        painter.setFont(sideFont);
        painter.setPen(t.muted);
        painter.drawText(QRect(9, 24, width() - 17, 20), Qt::AlignRight | Qt::AlignVCenter, m_side);
    }
}

void ValueBlock::wheelEvent(QWheelEvent* event) {
    const int steps = event->angleDelta().y() / 120;
    if (steps != 0 && hasFocus())
        emit stepped(steps);
    else
        event->ignore();
}

void ValueBlock::keyPressEvent(QKeyEvent* event) {
    if (event->modifiers() & Qt::ControlModifier) {
        DragField::keyPressEvent(event);
        return;
    }
    switch (event->key()) {
    case Qt::Key_Right:
    case Qt::Key_Up:
        emit stepped(1);
        break;
    case Qt::Key_Left:
    case Qt::Key_Down:
        emit stepped(-1);
        break;
    default:
        DragField::keyPressEvent(event);
    }
}

} // namespace bslate::app
