#pragma once

#include "app/style/style.h"
#include "app/views/recipes/look_handle.h"
#include "app/widgets/key_table.h"

#include <QWidget>

namespace bslate::app {

/// A picture of a look with handles: dragged, or chosen with Left and Right and moved with Up and
/// Down (Shift: more), Delete puts one back, Return asks for its number.
class HandlePicture : public QWidget {
    Q_OBJECT

public:
    HandlePicture(const Style& style, LookHandle first, int count, QWidget* parent = nullptr);

    /// `other` is drawn beside it, for comparison.
    void show(const Look& look, const Look& other);
    void setHeld(LookHandle handle);
    [[nodiscard]] LookHandle held() const { return m_held; }
    [[nodiscard]] const Look& look() const { return m_look; }
    [[nodiscard]] virtual QPointF placeOf(LookHandle handle) const = 0;
    [[nodiscard]] const KeyTable& keys() const { return m_keys; }

signals:
    /// While a hand moves it; followed by changed() when it lets go.
    void dragged(const bslate::Look& look);
    void changed(bslate::app::LookHandle handle, const bslate::Look& look);
    void chosen(bslate::app::LookHandle handle);
    void numberWanted();

protected:
    /// What the look would be with the handle at this place.
    [[nodiscard]] virtual Look lookAt(LookHandle handle, QPointF place) const = 0;
    /// Up makes it more of itself (1) or less (-1).
    [[nodiscard]] virtual int upIs(LookHandle) const { return 1; }
    [[nodiscard]] const Look& other() const { return m_other; }
    [[nodiscard]] const Style& style() const { return m_style; }
    void paintHandles(QPainter& painter) const;

    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    [[nodiscard]] LookHandle handleAt(int index) const;
    void addKeys();
    void tell();

    const Style& m_style;
    LookHandle m_first, m_held;
    int m_count;
    KeyTable m_keys;
    bool m_dragging = false;
    Look m_look, m_other, m_before; ///< before a drag
};

} // namespace bslate::app
