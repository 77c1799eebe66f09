#pragma once

#include "app/style/style.h"
#include "core/cadence/safe_shutter.h"

#include <QWidget>

#include <vector>

namespace bslate::app {

/// The dial of angles laid out straight: how much the light pulses at each, the stretches where it
/// does not, the times a camera lists, the school's aim and the angle set. The mark is dragged.
class AngleScale : public QWidget {
    Q_OBJECT

public:
    struct Shown {
        std::vector<Stops> pulsing;  ///< at 0.1, 0.2, ... 360 degrees; empty: nothing pulses
        std::vector<SafeRange> safe; ///< empty as well when no angle is safe
        ShutterDial dial;
        FrameRate rate;
        ShutterAngle set;
        ShutterAngle aim;
    };

    explicit AngleScale(const Style& style, QWidget* parent = nullptr);

    void show(Shown shown);
    void clear();
    [[nodiscard]] double x(ShutterAngle angle) const;
    [[nodiscard]] int axisY() const; ///< where the mark is

    /// Degrees that four pixels of dragging are worth.
    [[nodiscard]] double reach() const;

    QSize sizeHint() const override { return {760, 84}; }
    QSize minimumSizeHint() const override { return {480, 78}; }

signals:
    void dragStarted();
    void angleDragged(ShutterAngle angle); ///< wanted, before the camera's dial
    void dragEnded();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

private:
    [[nodiscard]] QRectF plot() const;
    [[nodiscard]] ShutterAngle at(double pixel) const;
    void paintPulsing(QPainter& painter) const;
    void paintSafe(QPainter& painter) const;
    void paintAxis(QPainter& painter) const;

    const Style& m_style;
    std::optional<Shown> m_shown;
    bool m_dragging = false;
};

} // namespace bslate::app
