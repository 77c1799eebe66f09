#pragma once

#include "app/views/recipes/handle_picture.h"

namespace bslate::app {

/// The tone curve of a look over stops of light from mid-grey, with its toe, shoulder and lift to
/// drag; another look's curve dashed.
class TonePicture : public HandlePicture {
    Q_OBJECT

public:
    explicit TonePicture(const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] QPointF placeOf(LookHandle handle) const override;
    QSize sizeHint() const override { return {420, 230}; }
    QSize minimumSizeHint() const override { return {300, 190}; }

protected:
    [[nodiscard]] Look lookAt(LookHandle handle, QPointF place) const override;
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] QRectF plot() const;
    [[nodiscard]] QPointF at(double stops, double signal) const;
    [[nodiscard]] double signalAt(QPointF place) const;
    void paintCurve(QPainter& painter, const Look& of, const QPen& pen) const;
};

} // namespace bslate::app
