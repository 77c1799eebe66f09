#pragma once

#include "app/style/style.h"
#include "core/cadence/pulse.h"

#include <QWidget>

#include <optional>
#include <vector>

namespace bslate::app {

/// Four frames to scale: the lamps' light over time, the open shutter under it, and what each
/// frame gathers, filled and in stops against the mean. A second row shows another shutter to
/// compare with. The end of the open shutter is dragged.
class TimeStrip : public QWidget {
    Q_OBJECT

public:
    struct Row {
        Seconds exposure;
        ShutterAngle angle;
        QString name;       ///< "180°"
        bool still = false; ///< the pulsing cannot be seen
    };

    explicit TimeStrip(const Style& style, QWidget* parent = nullptr);

    void show(std::vector<PulsedLight> lights, FrameRate rate, Row now, std::optional<Row> other);
    void clear();

    /// What each of the four frames gathers, stops against the mean.
    [[nodiscard]] std::vector<Stops> gatheredStops(const Row& row) const;
    [[nodiscard]] const std::optional<Row>& now() const { return m_now; }
    [[nodiscard]] const std::optional<Row>& other() const { return m_other; }
    /// Where the end of the open shutter is drawn in the first frame.
    [[nodiscard]] QPoint handle() const;

    /// Degrees that four pixels of dragging are worth.
    [[nodiscard]] double reach() const;

    QSize sizeHint() const override { return {760, 216}; }
    QSize minimumSizeHint() const override { return {480, 150}; }

signals:
    void dragStarted();
    void shutterDragged(Seconds exposure); ///< wanted, before the camera's dial
    void dragEnded();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

private:
    [[nodiscard]] QRectF rowArea(int index) const;
    [[nodiscard]] double secondsPerPixel(const QRectF& area) const;
    [[nodiscard]] double light(Seconds time) const;
    void paintRow(QPainter& painter, const QRectF& area, const Row& row, bool compared) const;
    void paintLight(QPainter& painter, const QRectF& plot, const Row& row) const;
    [[nodiscard]] QString words() const;

    const Style& m_style;
    std::vector<PulsedLight> m_lights;
    FrameRate m_rate;
    std::optional<Row> m_now, m_other;
    double m_brightest = 1; ///< of the light over the frames drawn, for the scale
    bool m_dragging = false;
};

} // namespace bslate::app
