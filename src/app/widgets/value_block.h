#pragma once

#include "app/widgets/drag_field.h"

namespace bslate::app {

/// One value of a row of controls: a caption, a value read across a room, and a side note. Dragged
/// sideways, stepped with the arrow keys or the wheel, typed with Return.
class ValueBlock : public DragField {
    Q_OBJECT

public:
    ValueBlock(const Style& style, const QString& caption, const QString& help,
               QuantityEdit::Check check, QWidget* parent = nullptr);

    /// `pays` marks the lever that compensates; `changed` the one that differs from nominal.
    void show(const QString& value, const QString& side, bool pays, bool changed);

    QSize sizeHint() const override { return {120, 48}; }
    QSize minimumSizeHint() const override { return {92, 48}; }

signals:
    void stepped(int steps); ///< positive is to the right or up: more light or a higher number

protected:
    [[nodiscard]] QString typedText() const override { return m_value; }
    [[nodiscard]] QRect typedArea() const override { return rect().adjusted(4, 16, -4, -2); }
    void paintEvent(QPaintEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    QString m_caption, m_value, m_side, m_help;
    bool m_pays = false;
    bool m_changed = false;
};

} // namespace bslate::app
