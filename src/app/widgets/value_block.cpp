#include "app/widgets/value_block.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

namespace bslate::app {

namespace {
constexpr int kPixelsPerStep = 12;
}

ValueBlock::ValueBlock(const Style& style, const QString& caption, const QString& help,
                       QuantityEdit::Check check, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_caption(caption)
    , m_help(help)
    , m_edit(new QuantityEdit(std::move(check), this)) {
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::SizeHorCursor);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setToolTip(help);
    m_edit->setFont(Style::font(TextRole::Value));
    m_edit->setAccessibleName(caption);
    m_edit->hide();
    const auto close = [this] {
        m_edit->hide();
        setFocus();
    };
    connect(m_edit, &QuantityEdit::entered, this, [this, close](const QString& text) {
        close();
        emit typed(text);
    });
    connect(m_edit, &QuantityEdit::refused, this, [this, close](const QString& message) {
        close();
        emit refused(message);
    });
    connect(m_edit, &QuantityEdit::leftUnchanged, this, close);
    connect(m_edit, &QLineEdit::editingFinished, m_edit, &QWidget::hide);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
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

void ValueBlock::type() {
    m_edit->setGeometry(rect().adjusted(4, 16, -4, -2));
    m_edit->showValue(m_value);
    m_edit->setText(m_value);
    m_edit->setModified(false);
    m_edit->show();
    m_edit->raise();
    m_edit->selectAll();
    m_edit->setFocus();
}

void ValueBlock::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    const bool active = hasFocus() || m_dragging;
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

void ValueBlock::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    m_pressedAt = static_cast<int>(event->globalPosition().x());
    m_lastSteps = 0;
    m_dragging = true;
    emit dragStarted();
    update();
}

void ValueBlock::mouseMoveEvent(QMouseEvent* event) {
    if (!m_dragging)
        return;
    const int steps =
        (static_cast<int>(event->globalPosition().x()) - m_pressedAt) / kPixelsPerStep;
    if (steps == m_lastSteps)
        return;
    m_lastSteps = steps;
    emit draggedSteps(steps);
}

void ValueBlock::mouseReleaseEvent(QMouseEvent*) {
    if (!m_dragging)
        return;
    m_dragging = false;
    emit dragEnded();
    update();
}

void ValueBlock::mouseDoubleClickEvent(QMouseEvent*) {
    m_dragging = false;
    type();
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
        QWidget::keyPressEvent(event);
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
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_F2:
        type();
        break;
    default:
        QWidget::keyPressEvent(event);
    }
}

} // namespace bslate::app
