#pragma once

#include "app/style/style.h"
#include "app/widgets/quantity_edit.h"

#include <QWidget>

namespace bslate::app {

/// A block that holds a value: dragged sideways in steps, typed over with Return, F2 or a double
/// click. What it shows and what its keys do is the derived block's.
class DragField : public QWidget {
    Q_OBJECT

public:
    DragField(const Style& style, QuantityEdit::Check check, int pixelsPerStep,
              QWidget* parent = nullptr);

    /// Opens the typed field over the block.
    void type();

signals:
    void dragStarted();
    void draggedSteps(int steps); ///< from where the drag started
    void dragEnded();
    void typed(const QString& text);
    void refused(const QString& message);

protected:
    /// The text the typed field starts with, and where it opens.
    [[nodiscard]] virtual QString typedText() const = 0;
    [[nodiscard]] virtual QRect typedArea() const = 0;

    [[nodiscard]] bool isActive() const { return hasFocus() || m_dragging; }
    [[nodiscard]] const Style& style() const { return m_style; }
    [[nodiscard]] QuantityEdit& edit() { return *m_edit; }

    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    const Style& m_style;
    QuantityEdit* m_edit;
    int m_pixelsPerStep;
    int m_pressedAt = 0;
    int m_lastSteps = 0;
    bool m_dragging = false;
};

} // namespace bslate::app
