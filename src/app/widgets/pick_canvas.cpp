#include "app/widgets/pick_canvas.h"

#include "app/widgets/painted_access.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QToolTip>

#include <algorithm>
#include <cmath>

namespace bslate::app {

PickCanvas::PickCanvas(const Style& style, const char* name, Order order, Click click, Moves moves,
                       QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_order(order)
    , m_click(click) {
    setObjectName(QLatin1String(name));
    setFocusPolicy(Qt::StrongFocus);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    m_keys.onlyWhile([this] { return itemCount() > 0; });
    m_keys.add({{Qt::Key_Left, [this] { step(-1, 0); }},
                {Qt::Key_Right, [this] { step(1, 0); }},
                {Qt::Key_Up, [this] { step(0, -1); }},
                {Qt::Key_Down, [this] { step(0, 1); }}},
               moves.what, moves.hint);
    m_keys.add({{Qt::Key_Home, [this] { goToEnd(-1); }}, {Qt::Key_End, [this] { goToEnd(1); }}},
               QT_TRANSLATE_NOOP("Help", "the first, the last"));
    if (order == Order::Grid)
        m_keys.add({{Qt::Key_PageUp, [this] { step(0, -itemCount()); }},
                    {Qt::Key_PageDown, [this] { step(0, itemCount()); }}},
                   QT_TRANSLATE_NOOP("Help", "the top, the bottom"));
}

void PickCanvas::addPick(std::initializer_list<Qt::Key> keys, const char* what, const char* hint) {
    std::vector<KeyTable::Binding> bindings;
    for (const auto key : keys)
        bindings.emplace_back(key, [this] { return pickCurrent(); });
    m_keys.add(std::move(bindings), what, hint);
}

void PickCanvas::setSpoken(QAccessible::Role role, const QString& name, const QString& help) {
    m_role = role;
    m_name = name;
    m_help = help;
    tell();
}

void PickCanvas::tell() {
    describe(*this, m_role, m_name,
             m_current >= 0 && m_current < itemCount() ? itemWords(m_current) : emptyWords(),
             m_help);
}

void PickCanvas::holdCurrent(int item) {
    m_current = std::clamp(item, 0, std::max(0, itemCount() - 1));
    tell();
}

void PickCanvas::itemsChanged(int current) {
    holdCurrent(current);
    updateGeometry();
    update();
}

void PickCanvas::setCurrent(int item) {
    holdCurrent(item);
    update();
    emit moved(m_current);
    if (m_current < itemCount())
        emit currentAt(itemBox(m_current).toAlignedRect());
}

std::optional<int> PickCanvas::itemAt(QPointF point) const {
    for (int i = 0; i < itemCount(); ++i)
        if (itemBox(i).contains(point))
            return i;
    return std::nullopt;
}

void PickCanvas::step(int across, int down) {
    if (m_order == Order::Grid)
        return stepInGrid(across, down);
    const int along = m_order == Order::Across ? across : down;
    setCurrent(along != 0 ? m_current + along : nearest(across, down));
}

void PickCanvas::stepInGrid(int across, int down) {
    const int wide = std::max(1, columns());
    const int lastRow = (itemCount() - 1) / wide;
    const int row = std::clamp(m_current / wide + down, 0, lastRow);
    const int column = std::clamp(m_current % wide + across, 0, wide - 1);
    setCurrent(row * wide + column);
}

// To the end of the row in a grid, else of all.
void PickCanvas::goToEnd(int way) {
    if (m_order == Order::Grid)
        stepInGrid(way * columns(), 0);
    else
        setCurrent(way < 0 ? 0 : itemCount() - 1);
}

// The item of the next row or column the arrow points to that is least aside; itself at the end.
int PickCanvas::nearest(int across, int down) const {
    const QRectF own = itemBox(m_current);
    int best = m_current;
    auto least = std::pair(1e9, 1e9);
    for (int i = 0; i < itemCount(); ++i) {
        const QPointF by = itemBox(i).center() - own.center();
        const auto away = std::pair(std::round(by.x() * across + by.y() * down),
                                    std::abs(by.x() * down) + std::abs(by.y() * across));
        if (away.first > 0 && away < least) {
            least = away;
            best = i;
        }
    }
    return best;
}

bool PickCanvas::pickCurrent() {
    if (m_current >= itemCount())
        return false;
    emit picked(m_current);
    return true;
}

void PickCanvas::keyPressEvent(QKeyEvent* event) {
    if (!m_keys.press(*event))
        QWidget::keyPressEvent(event);
}

void PickCanvas::mousePressEvent(QMouseEvent* event) {
    const auto item = itemAt(event->position());
    if (!item)
        return;
    setCurrent(*item);
    if (m_click == Click::Picks)
        emit picked(*item);
}

void PickCanvas::mouseDoubleClickEvent(QMouseEvent* event) {
    if (m_click == Click::Picks)
        return mousePressEvent(event);
    if (const auto item = itemAt(event->position()))
        emit picked(*item);
}

void PickCanvas::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}

void PickCanvas::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

bool PickCanvas::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip)
        return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    if (const auto item = itemAt(help->pos()))
        QToolTip::showText(help->globalPos(), itemWords(*item), this);
    else
        QToolTip::hideText();
    return true;
}

} // namespace bslate::app
