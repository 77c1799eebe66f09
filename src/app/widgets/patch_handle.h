#pragma once

#include "app/style/style.h"
#include "core/facts/evaluation.h"

#include <QWidget>

namespace bslate::app {

/// A patch on a stops axis: a diamond that is dragged sideways, nudged with the arrow keys and
/// typed with Return. It knows nothing of documents.
class PatchHandle : public QWidget {
    Q_OBJECT

public:
    PatchHandle(const Style& style, QWidget* parent);

    void show(const QString& id, const QString& name, const QString& value, PatchState state);
    [[nodiscard]] const QString& id() const { return m_id; }
    /// Puts the diamond's middle at a point of the parent.
    void centreOn(QPoint point);

signals:
    void dragStarted();
    void dragged(int pixels); ///< from where the drag started
    void dragEnded();
    void nudged(double stops);
    void typeRequested();
    void deleteRequested();
    void focused();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void enterEvent(QEnterEvent* event) override;
    void leaveEvent(QEvent* event) override;

private:
    const Style& m_style;
    QString m_id;
    PatchState m_state = PatchState::Good;
    int m_pressedAt = 0;
    bool m_dragging = false;
    bool m_hovered = false;
};

} // namespace bslate::app
