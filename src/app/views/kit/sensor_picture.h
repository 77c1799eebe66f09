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

    /// Without the list of modes the areas have all of the place.
    void showModes(bool beside) { m_modesBeside = beside; }
    /// `focal` is that of the lens at hand; none leaves the angles out.
    void show(const Camera& camera, const QString& lens, std::optional<Millimetres> focal);

    QSize sizeHint() const override { return {560, 300}; }
    QSize minimumSizeHint() const override {
        return m_modesBeside ? QSize(360, 220) : QSize(200, 150);
    }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void paintAreas(QPainter& painter, const QRectF& place) const;
    void paintModes(QPainter& painter, const QRectF& place) const;

    const Style& m_style;
    Camera m_camera;
    QString m_lens;
    std::optional<Millimetres> m_focal;
    bool m_modesBeside = true;
};

} // namespace bslate::app
