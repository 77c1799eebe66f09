#pragma once

#include "app/style/style.h"
#include "app/views/frame/frame_images.h"

#include <QPixmap>
#include <QWidget>

#include <memory>

namespace bslate::app {

/// A frame, or two, with a split that is dragged: what clipped hatched, what drowned dotted, the
/// camera's zebra as stripes, and its patches as rings with what they read.
class FramePicture : public QWidget {
    Q_OBJECT

public:
    struct Side {
        std::shared_ptr<const FrameImages> images;
        FrameLook look = FrameLook::Grade;
        QString caption;
    };

    explicit FramePicture(const Style& style, QWidget* parent = nullptr);

    void show(Side left, Side right);
    void clear();
    void setSplit(double share); ///< 0 to 1 of the width; held there
    [[nodiscard]] double split() const { return m_split; }
    /// A ring that is shown as held, by its patch; empty: none.
    void setHeldProbe(const QString& patch);
    /// What is drawn over the pictures.
    struct Marks {
        std::optional<int> fates = 0; ///< of any channel, or of 1 red, 2 green, 3 blue
        bool probes = true, bands = false;
        std::optional<ZebraUse> zebra;
        friend bool operator==(const Marks&, const Marks&) = default;
    };
    void setMarks(const Marks& marks);
    /// The box of the held patch, in shares, whose corner is dragged; none: nothing to drag.
    void setHeldBox(const std::optional<QRectF>& box);
    /// A free spot; none: not shown. It reads what is under it.
    void setSpot(const std::optional<QPointF>& centre);
    [[nodiscard]] const std::optional<QPointF>& spot() const { return m_spot; }
    [[nodiscard]] QString spotText() const; ///< what it reads; empty without one
    [[nodiscard]] QRectF frameBox() const;  ///< where the picture is

    QSize sizeHint() const override { return {640, 360}; }
    QSize minimumSizeHint() const override { return {380, 220}; }

signals:
    void splitMoved(double share);
    void probeMoved(const QString& patch, QPointF centre); ///< shares of the picture
    void probeDropped(const QString& patch, QPointF centre);
    void probeHeld(const QString& patch);               ///< its ring was pressed
    void boxResized(const QString& patch, QSizeF size); ///< shares of the picture
    void spotMoved(QPointF centre);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    void paintSide(QPainter& painter, const Side& side, QPixmap& layer, const QRectF& part) const;
    [[nodiscard]] QPixmap layerOf(const Side& side, QSizeF size) const;
    void paintMask(QPainter& painter, const QImage& mask,
                   const std::function<void(QPainter&, const QRectF&)>& pattern, QSizeF size) const;
    void forgetLayers();
    void paintProbes(QPainter& painter) const;
    void paintSplit(QPainter& painter) const;
    void paintSpot(QPainter& painter) const;
    void paintHeldBox(QPainter& painter) const;
    [[nodiscard]] QPointF pointOf(QPointF share) const;
    [[nodiscard]] const FrameImages* under(QPointF share) const;
    void dragTo(QPointF at);
    [[nodiscard]] QString probeAt(QPointF at) const;
    [[nodiscard]] QPointF centreOf(const FoundPatch& patch) const; ///< in shares

    const Style& m_style;
    Side m_left, m_right;
    double m_split = 0.5;
    QPixmap m_leftLayer, m_rightLayer; ///< each side whole with its marks; null: to be painted
    Marks m_marks;
    QString m_heldProbe, m_draggedProbe; ///< ids of patches
    std::optional<QPointF> m_dragAt;     ///< in shares, while one is dragged
    enum class Drag { None, Split, Probe, Spot, Corner };
    Drag m_drag = Drag::None;
    std::optional<QRectF> m_heldBox;
    std::optional<QPointF> m_spot;
};

} // namespace bslate::app
