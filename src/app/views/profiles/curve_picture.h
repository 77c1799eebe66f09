#pragma once

#include "app/style/style.h"
#include "app/widgets/stops_axis.h"
#include "core/signal/curve.h"

#include <QWidget>

#include <optional>

namespace bslate::app {

/// Recording curves over one stops axis: level above, codes in each stop below. A second curve is
/// drawn beside the first; the cursor reads both.
class CurvePicture : public QWidget {
    Q_OBJECT

public:
    /// One curve with what a setup's sensor allows on it.
    struct Shown {
        QString name;
        Curve curve;
        BitDepth depth;
        std::optional<Stops> clip;  ///< of the sensor, when a setup uses it
        std::optional<Stops> floor; ///< noise
    };

    explicit CurvePicture(const Style& style, QWidget* parent = nullptr);

    void show(std::optional<Shown> first, std::optional<Shown> second);
    /// What the cursor reads at these stops: level, code, codes in the stop, of each curve.
    [[nodiscard]] QString readingAt(Stops stops) const;
    void setCursorAt(std::optional<Stops> stops);
    [[nodiscard]] StopsAxis axis() const;

    QSize sizeHint() const override { return {600, 360}; }
    QSize minimumSizeHint() const override { return {420, 260}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    [[nodiscard]] QRectF levels() const;
    [[nodiscard]] QRectF codes() const;
    [[nodiscard]] double mostCodes() const;
    void paintGrid(QPainter& painter) const;
    void paintCurve(QPainter& painter, const Shown& shown, bool second) const;
    void paintCodes(QPainter& painter, const Shown& shown, bool second) const;
    void paintCursor(QPainter& painter) const;

    const Style& m_style;
    std::optional<Shown> m_first, m_second;
    std::optional<Stops> m_cursor;
};

} // namespace bslate::app
