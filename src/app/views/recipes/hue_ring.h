#pragma once

#include "app/views/recipes/handle_picture.h"

namespace bslate::app {

/// Six hues about a middle: pulled inwards one becomes darker, outwards lighter; how colourful all
/// of it is, on the line below. Each disc is the hue as the look shows it, its rim as the other
/// look does.
class HueRing : public HandlePicture {
    Q_OBJECT

public:
    explicit HueRing(const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] QPointF placeOf(LookHandle handle) const override;
    QSize sizeHint() const override { return {260, 230}; }
    QSize minimumSizeHint() const override { return {210, 190}; }

protected:
    [[nodiscard]] Look lookAt(LookHandle handle, QPointF place) const override;
    [[nodiscard]] int upIs(LookHandle handle) const override;
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] QPointF middle() const;
    [[nodiscard]] double reach() const;
    [[nodiscard]] QRectF line() const; ///< of colourfulness
    void paintHues(QPainter& painter) const;
};

} // namespace bslate::app
