#include "app/views/frame/frame_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/label_rows.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>
#include <tuple>
#include <utility>

namespace bslate::app {

FramePicture::FramePicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("frame-picture"));
    setCursor(Qt::SplitHCursor);
    connect(&style, &Style::changed, this, &FramePicture::forgetLayers);
}

void FramePicture::show(Side left, Side right) {
    m_left = std::move(left);
    m_right = std::move(right);
    QStringList read;
    if (m_right.images)
        for (const auto& patch : m_right.images->patches)
            read << tr("%1 %2").arg(toQt(patch.name), toQt(print(patch.found)));
    describe(*this, QAccessible::Graphic, tr("Frame"),
             tr("%1 beside %2").arg(m_left.caption, m_right.caption),
             read.join(QStringLiteral("; ")));
    forgetLayers();
}

void FramePicture::clear() {
    m_left = {};
    m_right = {};
    forgetLayers();
}

void FramePicture::setSplit(double share) {
    m_split = std::clamp(share, 0.0, 1.0);
    update();
}

void FramePicture::setHeldProbe(const QString& patch) {
    m_heldProbe = patch;
    update();
}

QPointF FramePicture::centreOf(const FoundPatch& patch) const {
    if (m_dragAt && toQt(patch.id) == m_draggedProbe)
        return *m_dragAt;
    return {patch.area.x + patch.area.width / 2, patch.area.y + patch.area.height / 2};
}

void FramePicture::setMarks(const Marks& marks) {
    m_marks = marks;
    forgetLayers();
}

QRectF FramePicture::frameBox() const {
    double aspect = 16.0 / 9;
    if (m_right.images) {
        const auto size = m_right.images->look[0].size();
        aspect = static_cast<double>(size.width()) / std::max(1, size.height());
    }
    const double wide = std::min<double>(width(), height() * aspect);
    return {(width() - wide) / 2, 0, wide, wide / aspect};
}

// The pattern where the mask is: painted whole and cut by it.
void FramePicture::paintMask(QPainter& painter, const QImage& mask,
                             const std::function<void(QPainter&, const QRectF&)>& pattern,
                             QSizeF size) const {
    if (mask.isNull())
        return;
    QImage layer(size.toSize() * devicePixelRatioF(), QImage::Format_ARGB32_Premultiplied);
    layer.setDevicePixelRatio(devicePixelRatioF());
    layer.fill(Qt::transparent);
    const QRectF area(QPointF(0, 0), size);
    QPainter on(&layer);
    on.setRenderHint(QPainter::Antialiasing);
    pattern(on, area);
    QImage alpha = mask;
    alpha.reinterpretAsFormat(QImage::Format_Alpha8);
    on.setCompositionMode(QPainter::CompositionMode_DestinationIn);
    on.drawImage(area, alpha);
    on.end();
    painter.drawImage(QPointF(0, 0), layer);
}

// A side as a whole, so that a split that is dragged has nothing to do but cut.
QPixmap FramePicture::layerOf(const Side& side, QSizeF size) const {
    const auto& t = m_style.colours();
    QPixmap layer(size.toSize() * devicePixelRatioF());
    layer.setDevicePixelRatio(devicePixelRatioF());
    QPainter painter(&layer);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(QRectF(QPointF(0, 0), size),
                      side.images->look[static_cast<std::size_t>(side.look)]);
    if (side.look == FrameLook::Light)
        return layer;
    if (m_marks.fates) {
        const auto channel = static_cast<std::size_t>(*m_marks.fates);
        paintMask(
            painter, side.images->clipped[channel],
            [&](QPainter& on, const QRectF& area) { drawHatch(on, area, t.coral, 8); }, size);
        paintMask(
            painter, side.images->drowned[channel],
            [&](QPainter& on, const QRectF& area) { drawDots(on, area, QColor(150, 160, 168), 6); },
            size);
    }
    if (m_marks.bands && side.look == FrameLook::Grade)
        paintMask(
            painter, side.images->bands,
            [&](QPainter& on, const QRectF& area) { drawDots(on, area, t.marigold, 8); }, size);
    if (m_marks.zebra && side.look != FrameLook::Stops)
        paintMask(
            painter, side.images->zebra[static_cast<std::size_t>(*m_marks.zebra)],
            [&](QPainter& on, const QRectF& area) { drawHatch(on, area, t.sky, 5); }, size);
    return layer;
}

void FramePicture::forgetLayers() {
    m_leftLayer = {};
    m_rightLayer = {};
    update();
}

void FramePicture::resizeEvent(QResizeEvent*) {
    forgetLayers();
}

void FramePicture::paintSide(QPainter& painter, const Side& side, QPixmap& layer,
                             const QRectF& part) const {
    if (!side.images || part.width() <= 0)
        return;
    const auto& t = m_style.colours();
    const QRectF box = frameBox();
    if (layer.isNull())
        layer = layerOf(side, box.size());
    painter.save();
    painter.setClipRect(part);
    painter.drawPixmap(box.topLeft(), layer);
    painter.restore();
    painter.setFont(Style::font(TextRole::Secondary));
    const QString caption = elided(side.caption, painter.font(), part.width() - 24);
    const double wide = QFontMetricsF(painter.font()).horizontalAdvance(caption) + 12;
    if (part.width() < 60)
        return;
    const bool left = &side == &m_left;
    const QRectF label(left ? part.left() + 6 : part.right() - wide - 6, part.bottom() - 24, wide,
                       18);
    painter.fillRect(label, t.ground);
    painter.setPen(t.ink);
    painter.drawText(label, Qt::AlignCenter, caption);
}

void FramePicture::paintProbes(QPainter& painter) const {
    const auto& t = m_style.colours();
    const QRectF box = frameBox();
    painter.setFont(Style::font(TextRole::Secondary));
    const QFontMetricsF metrics(painter.font());
    std::vector<QRectF> boxes;
    std::vector<QString> texts;
    for (const bool right : {false, true}) {
        const auto& images = right ? m_right.images : m_left.images;
        if (!images)
            continue;
        for (const auto& patch : images->patches) {
            const QPointF centre = centreOf(patch);
            if ((centre.x() > m_split) != right)
                continue;
            const QPointF at(box.left() + centre.x() * box.width(),
                             box.top() + centre.y() * box.height());
            const double radius = toQt(patch.id) == m_heldProbe ? 9 : 5;
            painter.setPen(QPen(t.marigold, 2 * t.stroke));
            painter.drawEllipse(at, radius, radius);
            texts.push_back(QStringLiteral("%1 %2")
                                .arg(toQt(patch.name))
                                .arg(std::lround(patch.found.value())));
            const double wide = metrics.horizontalAdvance(texts.back()) + 8;
            const bool turned = at.x() + 10 + wide > box.right();
            boxes.emplace_back(turned ? at.x() - 10 - wide : at.x() + 10, at.y() - 8, wide, 16);
        }
    }
    spreadBoxes(boxes, box);
    for (std::size_t i = 0; i < boxes.size(); ++i) {
        QColor ground = t.ground;
        ground.setAlphaF(0.8F);
        painter.fillRect(boxes[i], ground);
        painter.setPen(t.ink);
        painter.drawText(boxes[i], Qt::AlignCenter, texts[i]);
    }
}

void FramePicture::paintSplit(QPainter& painter) const {
    const auto& t = m_style.colours();
    const QRectF box = frameBox();
    const double x = box.left() + m_split * box.width();
    painter.setPen(QPen(t.marigold, 2 * t.stroke));
    painter.drawLine(QPointF(x, box.top()), QPointF(x, box.bottom()));
    drawDiamond(painter, {x, box.center().y()}, 8, t.marigold, t.ground);
}

void FramePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    const QRectF box = frameBox();
    if (!m_right.images) {
        drawBlock(painter, box, m_style.colours().deep, {}, 0);
        return;
    }
    const double x = box.left() + m_split * box.width();
    paintSide(painter, m_left, m_leftLayer, {box.left(), box.top(), x - box.left(), box.height()});
    paintSide(painter, m_right, m_rightLayer, {x, box.top(), box.right() - x, box.height()});
    if (m_marks.probes)
        paintProbes(painter);
    paintSplit(painter);
    paintHeldBox(painter);
    paintSpot(painter);
}

QPointF FramePicture::pointOf(QPointF share) const {
    const QRectF box = frameBox();
    return {box.left() + share.x() * box.width(), box.top() + share.y() * box.height()};
}

const FrameImages* FramePicture::under(QPointF share) const {
    const auto& side = share.x() > m_split ? m_right : m_left;
    return side.images ? side.images.get() : m_right.images.get();
}

QString FramePicture::spotText() const {
    const auto* images = m_spot ? under(*m_spot) : nullptr;
    return images && images->recording ? textOf(spotIn(*images, m_spot->x(), m_spot->y()))
                                       : QString();
}

// Four corners about the place, so that it is no patch's ring.
void FramePicture::paintSpot(QPainter& painter) const {
    const QString text = spotText();
    if (text.isEmpty())
        return;
    const auto& t = m_style.colours();
    const QRectF box = frameBox();
    const auto area = spotAbout({m_spot->x(), m_spot->y(), 0, 0});
    const QRectF place(pointOf({area.x, area.y}),
                       QSizeF(area.width * box.width(), area.height * box.height()));
    painter.setPen(QPen(t.sky, 2 * t.stroke));
    const double arm = place.width() / 3;
    for (const auto& [corner, dx, dy] :
         {std::tuple{place.topLeft(), 1, 1}, std::tuple{place.topRight(), -1, 1},
          std::tuple{place.bottomLeft(), 1, -1}, std::tuple{place.bottomRight(), -1, -1}}) {
        painter.drawLine(corner, corner + QPointF(dx * arm, 0));
        painter.drawLine(corner, corner + QPointF(0, dy * arm));
    }
    painter.setFont(Style::font(TextRole::Secondary));
    const QRectF wanted =
        QFontMetricsF(painter.font()).boundingRect(QRectF(0, 0, 400, 60), 0, text);
    QRectF label(place.right() + 6, place.top() - 6, wanted.width() + 10, wanted.height() + 6);
    if (label.right() > box.right())
        label.moveRight(place.left() - 6);
    label.moveTop(std::clamp(label.top(), box.top(), box.bottom() - label.height()));
    painter.fillRect(label, t.ground);
    painter.setPen(t.ink);
    painter.drawText(label, Qt::AlignCenter, text);
}

void FramePicture::paintHeldBox(QPainter& painter) const {
    if (!m_heldBox || m_heldProbe.isEmpty())
        return;
    const auto& t = m_style.colours();
    painter.setPen(QPen(t.marigold, t.stroke, Qt::DashLine));
    painter.setBrush(Qt::NoBrush);
    const QRectF box(pointOf(m_heldBox->topLeft()), pointOf(m_heldBox->bottomRight()));
    painter.drawRect(box);
    painter.fillRect(QRectF(box.right() - 4, box.bottom() - 4, 8, 8), t.marigold);
}

void FramePicture::setSpot(const std::optional<QPointF>& centre) {
    m_spot = centre;
    if (m_spot)
        m_spot = QPointF(std::clamp(centre->x(), 0.0, 1.0), std::clamp(centre->y(), 0.0, 1.0));
    update();
}

void FramePicture::setHeldBox(const std::optional<QRectF>& box) {
    m_heldBox = box;
    update();
}

QString FramePicture::probeAt(QPointF at) const {
    constexpr double kReach = 10;
    if (m_marks.probes && m_right.images)
        for (const auto& patch : m_right.images->patches)
            if (QLineF(at, pointOf(centreOf(patch))).length() <= kReach)
                return toQt(patch.id);
    return {};
}

void FramePicture::dragTo(QPointF at) {
    const QRectF box = frameBox();
    const QPointF share((at.x() - box.left()) / box.width(), (at.y() - box.top()) / box.height());
    const QPointF inside(std::clamp(share.x(), 0.0, 1.0), std::clamp(share.y(), 0.0, 1.0));
    switch (m_drag) {
    case Drag::Probe:
        m_dragAt = inside;
        emit probeMoved(m_draggedProbe, inside);
        return update();
    case Drag::Spot:
        setSpot(inside);
        return emit spotMoved(inside);
    case Drag::Corner:
        m_heldBox->setBottomRight({std::max(inside.x(), m_heldBox->left() + kLeastPlace),
                                   std::max(inside.y(), m_heldBox->top() + kLeastPlace)});
        return update();
    case Drag::Split:
        setSplit(share.x());
        return emit splitMoved(m_split);
    case Drag::None:
        return;
    }
}

void FramePicture::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    constexpr double kReach = 14;
    const QPointF at = event->position();
    m_dragAt.reset();
    m_draggedProbe.clear();
    if (m_heldBox && QLineF(at, pointOf(m_heldBox->bottomRight())).length() <= kReach)
        m_drag = Drag::Corner;
    else if (m_spot && QLineF(at, pointOf(*m_spot)).length() <= kReach)
        m_drag = Drag::Spot;
    else if (m_draggedProbe = probeAt(at); !m_draggedProbe.isEmpty())
        m_drag = Drag::Probe;
    else
        m_drag = Drag::Split;
    if (m_drag == Drag::Probe)
        emit probeHeld(m_draggedProbe);
    if (m_drag == Drag::Split)
        dragTo(at);
}

void FramePicture::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        dragTo(event->position());
}

void FramePicture::mouseReleaseEvent(QMouseEvent*) {
    const auto drag = std::exchange(m_drag, Drag::None);
    const auto patch = std::exchange(m_draggedProbe, {});
    const auto at = std::exchange(m_dragAt, {});
    if (drag == Drag::Probe && at)
        emit probeDropped(patch, *at);
    if (drag == Drag::Corner && m_heldBox)
        emit boxResized(m_heldProbe, m_heldBox->size());
}

} // namespace bslate::app
