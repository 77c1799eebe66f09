#pragma once

#include "app/widgets/drag_field.h"
#include "core/cadence/pulse.h"

namespace bslate::app {

/// One lamp: its name, how it pulses and its share of the light. Dragged sideways or stepped with
/// Left and Right it changes its frequency, with Up and Down how far it pulses; Return types it as
/// a line, Delete takes it away.
class LampBlock : public DragField {
    Q_OBJECT

public:
    LampBlock(const Style& style, QuantityEdit::Check check, QWidget* parent = nullptr);

    void show(const QString& name, const QString& line, const PulsedLight& light);

    QSize sizeHint() const override { return {232, 50}; }
    QSize minimumSizeHint() const override { return {150, 50}; }

signals:
    void frequencyStepped(int hertz);
    void depthStepped(int percent);
    void deleteRequested();

protected:
    [[nodiscard]] QString typedText() const override { return m_line; }
    [[nodiscard]] QRect typedArea() const override { return rect().adjusted(3, 3, -3, -3); }
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    QString m_name, m_line, m_facts;
};

} // namespace bslate::app
