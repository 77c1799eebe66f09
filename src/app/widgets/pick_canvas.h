#pragma once

#include "app/style/style.h"
#include "app/widgets/key_table.h"

#include <QAccessible>
#include <QWidget>

#include <optional>

namespace bslate::app {

/// A painted canvas of items one of which is current: arrows move it, Return and the mouse pick
/// it, each item says what it is in its tip and to assistive technology. What the items are, where
/// they stand and how they look is the derived canvas's.
class PickCanvas : public QWidget {
    Q_OBJECT

public:
    /// How arrows go through the items: along them with left and right (and to the nearest above
    /// or below), along them with up and down (and to the nearest beside), or cell by cell.
    enum class Order { Across, Down, Grid };
    enum class Click { Moves, Picks }; ///< else a double click picks

    [[nodiscard]] int current() const { return m_current; }
    /// The nearest there is; tells who listens even where it was the current one before.
    void setCurrent(int item);

    [[nodiscard]] virtual int itemCount() const = 0;
    [[nodiscard]] virtual QRectF itemBox(int item) const = 0;
    /// What an item is in a sentence.
    [[nodiscard]] virtual QString itemWords(int item) const = 0;
    [[nodiscard]] std::optional<int> itemAt(QPointF point) const;
    [[nodiscard]] const KeyTable& keys() const { return m_keys; }

signals:
    void moved(int item); ///< another one is current, by hand
    void picked(int item);
    void currentAt(QRect box); ///< to be kept in view

protected:
    /// What arrows do, for the key sheet and the hint.
    struct Moves {
        const char* what;
        const char* hint = nullptr;
    };
    PickCanvas(const Style& style, const char* name, Order order, Click click, Moves moves,
               QWidget* parent);

    /// Keys that pick the current item.
    void addPick(std::initializer_list<Qt::Key> keys, const char* what, const char* hint = nullptr);

    /// What the whole is, for assistive technology.
    void setSpoken(QAccessible::Role role, const QString& name, const QString& help);
    /// The items are others, or others of them: `current` is what is chosen now.
    void itemsChanged(int current);
    /// Another one is current, not by hand; nothing is painted or told to who listens.
    void holdCurrent(int item);
    /// Instead of the words of an item where there are none.
    [[nodiscard]] virtual QString emptyWords() const { return {}; }
    [[nodiscard]] virtual int columns() const { return 1; } ///< of a grid
    [[nodiscard]] const Style& style() const { return m_style; }
    [[nodiscard]] KeyTable& keyTable() { return m_keys; }
    void tell();

    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;
    bool event(QEvent* event) override;

private:
    void step(int across, int down);
    void stepInGrid(int across, int down);
    void goToEnd(int way);
    [[nodiscard]] int nearest(int across, int down) const;
    [[nodiscard]] bool pickCurrent();

    const Style& m_style;
    Order m_order;
    Click m_click;
    int m_current = 0;
    QAccessible::Role m_role = QAccessible::List;
    QString m_name, m_help;
    KeyTable m_keys;
};

} // namespace bslate::app
