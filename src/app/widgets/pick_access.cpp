#include "app/widgets/pick_access.h"

#include "app/widgets/painted_access.h"
#include "app/widgets/pick_canvas.h"

#include <QPointer>

namespace bslate::app {
namespace {

class ItemAccess : public QAccessibleInterface {
public:
    ItemAccess(PickCanvas& canvas, int item)
        : m_canvas(&canvas)
        , m_item(item) {}

    bool isValid() const override { return m_canvas && m_item < m_canvas->itemCount(); }
    QObject* object() const override { return nullptr; }
    QAccessibleInterface* parent() const override {
        return QAccessible::queryAccessibleInterface(m_canvas);
    }
    QAccessibleInterface* child(int) const override { return nullptr; }
    QAccessibleInterface* childAt(int, int) const override { return nullptr; }
    int childCount() const override { return 0; }
    int indexOfChild(const QAccessibleInterface*) const override { return -1; }

    QString text(QAccessible::Text kind) const override {
        return isValid() && kind == QAccessible::Name ? m_canvas->itemWords(m_item) : QString();
    }
    void setText(QAccessible::Text, const QString&) override {}
    QRect rect() const override {
        if (!isValid())
            return {};
        const QRect box = m_canvas->itemBox(m_item).toAlignedRect();
        return {m_canvas->mapToGlobal(box.topLeft()), box.size()};
    }
    QAccessible::Role role() const override { return QAccessible::ListItem; }
    QAccessible::State state() const override {
        QAccessible::State state;
        state.invalid = !isValid();
        if (state.invalid)
            return state;
        const bool current = m_item == m_canvas->current();
        state.focusable = state.selectable = true;
        state.selected = current;
        state.focused = current && m_canvas->hasFocus();
        return state;
    }
    int item() const { return m_item; }

private:
    QPointer<PickCanvas> m_canvas;
    int m_item;
};

class CanvasAccess : public PaintedAccess {
public:
    explicit CanvasAccess(PickCanvas& canvas)
        : PaintedAccess(&canvas)
        , m_canvas(canvas) {}
    ~CanvasAccess() override {
        for (const auto id : m_children)
            QAccessible::deleteAccessibleInterface(id);
    }

    int childCount() const override { return m_canvas.itemCount(); }
    QAccessibleInterface* child(int index) const override {
        if (index < 0 || index >= childCount())
            return nullptr;
        while (static_cast<int>(m_children.size()) <= index)
            m_children.push_back(QAccessible::registerAccessibleInterface(
                new ItemAccess(m_canvas, static_cast<int>(m_children.size()))));
        return QAccessible::accessibleInterface(m_children[static_cast<std::size_t>(index)]);
    }
    QAccessibleInterface* childAt(int x, int y) const override {
        const auto item = m_canvas.itemAt(m_canvas.mapFromGlobal(QPointF(x, y)));
        return item ? child(*item) : nullptr;
    }
    int indexOfChild(const QAccessibleInterface* child) const override {
        const auto* item = dynamic_cast<const ItemAccess*>(child);
        return item ? item->item() : -1;
    }
    QAccessibleInterface* focusChild() const override {
        return m_canvas.hasFocus() ? child(m_canvas.current()) : nullptr;
    }

private:
    PickCanvas& m_canvas;
    mutable std::vector<QAccessible::Id> m_children;
};

QAccessibleInterface* makePickInterface(const QString&, QObject* object) {
    auto* canvas = qobject_cast<PickCanvas*>(object);
    return canvas ? new CanvasAccess(*canvas) : nullptr;
}

} // namespace

void installPickAccess() {
    static const bool once = [] {
        QAccessible::installFactory(makePickInterface);
        return true;
    }();
    Q_UNUSED(once);
}

} // namespace bslate::app
