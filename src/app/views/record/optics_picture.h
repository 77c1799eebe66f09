#pragma once

#include "app/style/style.h"
#include "core/facts/evaluation.h"

#include <QWidget>

#include <optional>

namespace bslate::app {

/// What the lens sees and holds sharp: the sensor with the recorded area to scale, the angle of
/// view, and the sharp range and hyperfocal distance on a scale of distances. A second recording
/// may be drawn in lilac for comparison.
class OpticsPicture : public QWidget {
    Q_OBJECT

public:
    explicit OpticsPicture(const Style& style, QWidget* parent = nullptr);

    struct Shown {
        RecordingFacts facts;
        std::vector<SensorArea> areas;
        QString lens;
        TStop iris{4};
        std::optional<Metres> focus;
    };
    void show(std::optional<Shown> now, std::optional<RecordingFacts> other);

    QSize sizeHint() const override { return {700, 128}; }
    QSize minimumSizeHint() const override { return {520, 120}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void paintSensor(QPainter& painter, const QRectF& area) const;
    void paintAngle(QPainter& painter, const QRectF& area) const;
    void paintDistances(QPainter& painter, const QRectF& area) const;
    [[nodiscard]] QString words() const;

    const Style& m_style;
    std::optional<Shown> m_now;
    std::optional<RecordingFacts> m_other;
};

} // namespace bslate::app
