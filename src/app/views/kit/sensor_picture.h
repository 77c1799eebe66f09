#pragma once

#include "app/style/style.h"
#include "core/kit/kit.h"

#include <QWidget>

#include <optional>

namespace bslate::app {

/// A camera's sensor areas drawn to scale over each other, with a bar for every recording mode
/// saying its crop and the angle of view it gives the lens at hand.
class SensorPicture : public QWidget {
    Q_OBJECT

public:
    explicit SensorPicture(const Style& style, QWidget* parent = nullptr);

    /// `focal` is that of the lens at hand; none leaves the angles out.
    void show(const Camera& camera, const QString& lens, std::optional<Millimetres> focal);

    QSize sizeHint() const override { return {560, 300}; }
    QSize minimumSizeHint() const override { return {360, 220}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void paintAreas(QPainter& painter, const QRectF& place) const;
    void paintModes(QPainter& painter, const QRectF& place) const;

    const Style& m_style;
    Camera m_camera;
    QString m_lens;
    std::optional<Millimetres> m_focal;
};

} // namespace bslate::app
