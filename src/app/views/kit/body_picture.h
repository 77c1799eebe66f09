#pragma once

#include "app/style/style.h"
#include "core/kit/camera.h"

#include <QWidget>

namespace bslate::app {

/// What a body has: the sensor's window at every base over one stops axis, its card slots and its
/// memories.
class BodyPicture : public QWidget {
    Q_OBJECT

public:
    explicit BodyPicture(const Style& style, QWidget* parent = nullptr);

    /// `snrFloor` is the shoot's: where the window ends below.
    void show(const Camera& camera, double snrFloor);

    QSize sizeHint() const override { return {280, 190}; }
    QSize minimumSizeHint() const override { return {200, 150}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] double paintWindows(QPainter& painter) const; ///< all give where they end
    [[nodiscard]] double paintSlots(QPainter& painter, double top) const;
    void paintBanks(QPainter& painter, double top) const;

    const Style& m_style;
    Camera m_camera;
    double m_snr = 2;
};

} // namespace bslate::app
