#pragma once

#include "app/style/style.h"
#include "core/quantity/quantities.h"

#include <QWidget>

#include <optional>

namespace bslate::app {

/// Two seconds of life above, what they last on screen below. The lower end is dragged to choose
/// the capture rate.
class SpeedRuler : public QWidget {
    Q_OBJECT

public:
    explicit SpeedRuler(const Style& style, QWidget* parent = nullptr);

    void show(FrameRate capture, FrameRate base);
    void clear();
    [[nodiscard]] QString words() const; ///< "100 captured, plays at 24: 24 %. 2 s last 8.33 s"
    [[nodiscard]] QPoint handle() const;

    QSize sizeHint() const override { return {760, 48}; }
    QSize minimumSizeHint() const override { return {480, 46}; }

signals:
    void dragStarted();
    void rateDragged(double perSecond); ///< wanted, before what the mode offers
    void dragEnded();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

private:
    [[nodiscard]] double pixelsPerSecond() const;

    const Style& m_style;
    std::optional<FrameRate> m_capture;
    FrameRate m_base;
    double m_scale = 0; ///< held while dragging, pixels a second
    bool m_dragging = false;
};

} // namespace bslate::app
