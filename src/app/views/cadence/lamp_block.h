#pragma once

#include "app/style/style.h"
#include "app/widgets/quantity_edit.h"
#include "core/cadence/pulse.h"

#include <QWidget>

namespace bslate::app {

/// One lamp: its name, how it pulses and its share of the light. Dragged sideways or stepped with
/// Left and Right it changes its frequency, with Up and Down how far it pulses; Return types it as
/// a line, Delete takes it away.
class LampBlock : public QWidget {
    Q_OBJECT

public:
    LampBlock(const Style& style, QuantityEdit::Check check, QWidget* parent = nullptr);

    void show(const QString& name, const QString& line, const PulsedLight& light);
    /// Opens the typed field over the block.
    void type();
    [[nodiscard]] const QString& line() const { return m_line; }

    QSize sizeHint() const override { return {232, 50}; }
    QSize minimumSizeHint() const override { return {150, 50}; }

signals:
    void frequencyStepped(int hertz);
    void depthStepped(int percent);
    void dragStarted();
    void draggedHertz(int hertz); ///< from where the drag started
    void dragEnded();
    void typed(const QString& line);
    void refused(const QString& message);
    void deleteRequested();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    const Style& m_style;
    QuantityEdit* m_edit;
    QString m_name, m_line, m_facts;
    int m_pressedAt = 0;
    int m_lastHertz = 0;
    bool m_dragging = false;
};

} // namespace bslate::app
