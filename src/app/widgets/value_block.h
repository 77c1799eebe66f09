#pragma once

#include "app/style/style.h"
#include "app/widgets/quantity_edit.h"

#include <QWidget>

namespace bslate::app {

/// One value of a row of controls: a caption, a value read across a room, and a side note. Dragged
/// sideways, stepped with the arrow keys or the wheel, typed with Return.
class ValueBlock : public QWidget {
    Q_OBJECT

public:
    ValueBlock(const Style& style, const QString& caption, const QString& help,
               QuantityEdit::Check check, QWidget* parent = nullptr);

    /// `pays` marks the lever that compensates; `changed` the one that differs from nominal.
    void show(const QString& value, const QString& side, bool pays, bool changed);
    /// Opens the typed field over the block.
    void type();

    QSize sizeHint() const override { return {120, 48}; }
    QSize minimumSizeHint() const override { return {92, 48}; }

signals:
    void stepped(int steps); ///< positive is to the right or up: more light or a higher number
    void dragStarted();
    void draggedSteps(int steps); ///< from where the drag started, 12 pixels a step
    void dragEnded();
    void typed(const QString& text);
    void refused(const QString& message);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    const Style& m_style;
    QString m_caption, m_value, m_side, m_help;
    QuantityEdit* m_edit;
    bool m_pays = false;
    bool m_changed = false;
    int m_pressedAt = 0;
    int m_lastSteps = 0;
    bool m_dragging = false;
};

} // namespace bslate::app
