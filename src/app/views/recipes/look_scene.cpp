#include "app/views/recipes/look_scene.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/frame/frame_images.h"
#include "app/widgets/label_rows.h"
#include "app/widgets/painted_access.h"
#include "core/frame/looked_scene.h"

#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr PictureSize kSceneSize{560, 315}, kMovingSize{240, 135};

// Mean luma of a place of a shown picture, percent.
Level readOf(const Image& shown, const PictureArea& area) {
    const auto box = pixelsOf(area, shown.size);
    double sum = 0, count = 0;
    for (int y = box.top; y < box.bottom; ++y)
        for (int x = box.left; x < box.right; ++x) {
            const auto at = shown.at(x, y);
            sum += 0.2126 * shown.plane[0][at] + 0.7152 * shown.plane[1][at] +
                   0.0722 * shown.plane[2][at];
            ++count;
        }
    return Level(100 * sum / count);
}

} // namespace

LookScene::LookScene(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("look-scene"));
    setCursor(Qt::SplitHCursor);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void LookScene::setScene(const SetupContext* context, const Evaluation* at) {
    m_light = m_small = Image();
    m_probes.clear();
    m_names.clear();
    for (auto& side : m_sides)
        side = Side{};
    if (!context || !at)
        return;
    m_light = paintScene(surfacesOf(*context), kSceneSize);
    m_small = paintScene(surfacesOf(*context), kMovingSize);
    m_how = lightShownOf(*context, *at);
    for (auto& probe : probesOf(*context))
        if (const auto* patch = findPatch(*context->scene, probe.name)) {
            m_names.push_back(toQt(patch->name));
            m_probes.push_back(std::move(probe));
        }
}

void LookScene::makeSide(Side& side, const Look& look, const QString& name,
                         const Image& light) const {
    const bool same = side.look == look && side.shown.size == light.size;
    side.look = look;
    side.name = name;
    if (same || light.size.pixels() == 0)
        return;
    side.shown = lookedScene(light, m_how, look);
    side.picture = imageOf(side.shown);
    side.scaled = {};
}

void LookScene::read() {
    m_readings.clear();
    if (m_light.size.pixels() == 0)
        return;
    for (std::size_t i = 0; i < m_probes.size(); ++i)
        m_readings.push_back({m_names[i],
                              m_probes[i].area,
                              {readOf(m_sides[0].shown, m_probes[i].area),
                               readOf(m_sides[1].shown, m_probes[i].area)}});
}

void LookScene::showLooks(const Look& left, const QString& leftName, const Look& right,
                          const QString& rightName, bool moving) {
    makeSide(m_sides[0], left, leftName, m_light);
    makeSide(m_sides[1], right, rightName, moving ? m_small : m_light);
    read();
    describe(*this, QAccessible::Graphic, tr("Scene"), tr("%1 beside %2").arg(leftName, rightName),
             words());
    update();
}

void LookScene::setSplit(double share) {
    m_split = std::clamp(share, 0.0, 1.0);
    update();
}

QString LookScene::words() const {
    QStringList lines;
    for (const auto& reading : m_readings)
        lines << tr("%1 %2 and %3")
                     .arg(reading.name)
                     .arg(std::lround(reading.level[0].value()))
                     .arg(std::lround(reading.level[1].value()));
    return lines.join(QLatin1Char('\n'));
}

QRectF LookScene::box() const {
    const double wide = std::min<double>(width(), height() * 16.0 / 9);
    return {(width() - wide) / 2, 0, wide, wide * 9 / 16};
}

void LookScene::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    const auto& t = m_style.colours();
    const QRectF area = box();
    painter.setFont(Style::font(TextRole::Secondary));
    if (m_light.size.pixels() == 0) {
        drawBlock(painter, area, t.deep, {}, 0);
        painter.setPen(t.muted);
        painter.drawText(area, Qt::AlignCenter, tr("no scene to see it on"));
        return;
    }
    const double x = area.left() + m_split * area.width();
    const QRectF parts[] = {{area.left(), area.top(), x - area.left(), area.height()},
                            {x, area.top(), area.right() - x, area.height()}};
    const QFontMetricsF metrics(painter.font());
    for (std::size_t i = 0; i < 2; ++i) {
        painter.save();
        painter.setClipRect(parts[i]);
        auto& side = m_sides[i];
        const auto size = (area.size() * devicePixelRatioF()).toSize();
        if (side.scaled.size() != size) {
            side.scaled = QPixmap::fromImage(
                side.picture.scaled(size, Qt::IgnoreAspectRatio, Qt::SmoothTransformation));
            side.scaled.setDevicePixelRatio(devicePixelRatioF());
        }
        painter.drawPixmap(area.topLeft(), side.scaled);
        painter.restore();
        const double wide = metrics.horizontalAdvance(m_sides[i].name) + 12;
        if (wide > parts[i].width())
            continue;
        const QRectF label(i == 0 ? parts[i].left() + 6 : parts[i].right() - wide - 6,
                           area.bottom() - 24, wide, 18);
        painter.fillRect(label, t.ground);
        painter.setPen(t.ink);
        painter.drawText(label, Qt::AlignCenter, m_sides[i].name);
    }
    std::vector<QRectF> boxes;
    std::vector<QString> texts;
    for (const auto& reading : m_readings) {
        const double share = reading.area.x + reading.area.width / 2;
        const QPointF at(area.left() + share * area.width(),
                         area.top() + (reading.area.y + reading.area.height / 2) * area.height());
        painter.setPen(QPen(t.marigold, 2 * t.stroke));
        painter.setBrush(Qt::NoBrush);
        painter.drawEllipse(at, 5, 5);
        texts.push_back(QStringLiteral("%1 | %2")
                            .arg(std::lround(reading.level[0].value()))
                            .arg(std::lround(reading.level[1].value())));
        boxes.emplace_back(at.x() + 10, at.y() - 8, metrics.horizontalAdvance(texts.back()) + 8,
                           16);
    }
    spreadBoxes(boxes, area);
    for (std::size_t i = 0; i < boxes.size(); ++i) {
        painter.fillRect(boxes[i], t.ground);
        painter.setPen(t.ink);
        painter.drawText(boxes[i], Qt::AlignCenter, texts[i]);
    }
    painter.setPen(QPen(t.marigold, 2 * t.stroke));
    painter.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()));
    drawDiamond(painter, {x, area.center().y()}, 8, t.marigold, t.ground);
}

void LookScene::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton)
        setSplit((event->position().x() - box().left()) / box().width());
}

void LookScene::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        setSplit((event->position().x() - box().left()) / box().width());
}

} // namespace bslate::app
