#pragma once

#include "app/style/style.h"
#include "core/frame/image.h"
#include "core/judgement/finding.h"

#include <QImage>
#include <QWidget>

namespace bslate::app {

/// A place that is shown besides the marked one, with how good it is.
struct MarkedPlace {
    PictureArea area;
    QString label;
    Severity severity = Severity::Note;
};

/// A picture on which the place is marked: a frame drawn with the mouse, or moved with the
/// arrow keys and made larger or smaller with Shift and them.
class AreaPicker : public QWidget {
    Q_OBJECT

public:
    explicit AreaPicker(const Style& style, QWidget* parent = nullptr);

    void show(const QImage& picture);
    void showPlaces(std::vector<MarkedPlace> places);
    [[nodiscard]] const std::vector<MarkedPlace>& places() const { return m_places; }
    void mark(PictureArea area) { put(area); }
    [[nodiscard]] const PictureArea& area() const { return m_area; }
    /// Where a share of the picture is drawn.
    [[nodiscard]] QPointF placeOf(double x, double y) const;

    QSize sizeHint() const override { return {560, 320}; }
    QSize minimumSizeHint() const override { return {320, 180}; }

signals:
    void changed();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    [[nodiscard]] QRectF box() const; ///< of the picture
    [[nodiscard]] QPointF shareAt(QPointF place) const;
    void put(PictureArea area);

    const Style& m_style;
    QImage m_picture;
    PictureArea m_area{0.45, 0.45, 0.1, 0.1};
    std::vector<MarkedPlace> m_places;
    QPointF m_from;
    bool m_drawing = false;
};

} // namespace bslate::app
