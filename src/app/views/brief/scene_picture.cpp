#include "app/views/brief/scene_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/label_rows.h"
#include "app/widgets/painted_access.h"
#include "core/light/metering.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kLeft = 30;
constexpr double kLine = 90;
constexpr double kLabelRoom = 60;
constexpr double kDefaultLow = -5;  // log2 cd/m2: about 0.03 cd/m2
constexpr double kDefaultHigh = 14; // about 16 000 cd/m2

} // namespace

ScenePicture::ScenePicture(Actions& actions, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_style(style) {
    setObjectName(QStringLiteral("scene-picture"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

const Scene* ScenePicture::scene() const {
    return findScene(m_actions.document().shoot(), fromQt(m_sceneId));
}

void ScenePicture::showScene(const QString& sceneId) {
    m_sceneId = sceneId;
    arrange();
    const auto* now = scene();
    describe(*this, QAccessible::Chart, tr("Scene light"),
             now ? tr("%1, %2 patches").arg(toQt(now->name)).arg(now->patches.size())
                 : tr("no scene"));
    update();
}

// Stops of luminance over 1 cd/m2.
StopsAxis ScenePicture::axis() const {
    StopsAxis axis{kLeft, width() - kLeft, kDefaultLow, kDefaultHigh};
    if (m_frozen) {
        axis.low = m_frozen->low;
        axis.high = m_frozen->high;
        return axis;
    }
    if (const auto* now = scene()) {
        const auto& meter = m_actions.document().shoot().meter;
        for (const auto& patch : now->patches) {
            const double stops =
                std::log2(luminanceOf(patch.reading, patch.reflectance, meter).value());
            axis.low = std::min(axis.low, std::floor(stops - 1));
            axis.high = std::max(axis.high, std::ceil(stops + 1));
        }
    }
    return axis;
}

void ScenePicture::resizeEvent(QResizeEvent*) {
    arrange();
}

void ScenePicture::arrange() {
    const auto* now = scene();
    const std::size_t count = now ? now->patches.size() : 0;
    while (m_handles.size() < count) {
        m_handles.push_back(new PatchHandle(m_style, this));
        wire(m_handles.back());
    }
    const auto scale = axis();
    for (std::size_t i = 0; i < m_handles.size(); ++i) {
        m_handles[i]->setVisible(i < count);
        if (i >= count)
            continue;
        const auto& patch = now->patches[i];
        const auto light =
            luminanceOf(patch.reading, patch.reflectance, m_actions.document().shoot().meter);
        m_handles[i]->show(toQt(patch.id), toQt(patch.name), toQt(print(patch.reading)),
                           PatchState::Good);
        m_handles[i]->centreOn(
            QPoint(qRound(scale.x(Stops(std::log2(light.value())))), qRound(kLine)));
    }
}

void ScenePicture::wire(PatchHandle* handle) {
    const auto move = [this, handle](Stops by, const ShootDocument::Value& from, int drag) {
        Shoot after = *from;
        auto* changed = findScene(after, fromQt(m_sceneId));
        auto* patch = changed ? findPatch(*changed, fromQt(handle->id())) : nullptr;
        if (!patch)
            return;
        patch->reading = roundedReading(shifted(patch->reading, by));
        m_actions.document().edit(tr("Move %1").arg(toQt(patch->name)), std::move(after), drag);
    };
    connect(handle, &PatchHandle::dragStarted, this, [this] {
        m_drag = m_actions.document().beginDrag();
        m_dragFrom = m_actions.document().value();
        m_frozen = axis();
    });
    connect(handle, &PatchHandle::dragged, this, [this, move](int pixels) {
        if (m_dragFrom)
            move(Stops(pixels / axis().pixelsPerStop()), m_dragFrom, m_drag);
    });
    connect(handle, &PatchHandle::dragEnded, this, [this] {
        m_dragFrom.reset();
        m_frozen.reset();
        showScene(m_sceneId);
    });
    connect(handle, &PatchHandle::nudged, this,
            [this, move](double stops) { move(Stops(stops), m_actions.document().value(), 0); });
    connect(handle, &PatchHandle::typeRequested, this,
            [this, handle] { emit typeRequested(handle->id()); });
    connect(handle, &PatchHandle::deleteRequested, this,
            [this, handle] { m_actions.deletePatch(m_sceneId, handle->id()); });
}

void ScenePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    drawBlock(painter, rect(), t.deep, {}, 0);
    const auto* now = scene();
    if (!now)
        return;
    const auto scale = axis();
    const auto small = Style::font(TextRole::Secondary);
    painter.setFont(small);
    painter.setPen(QPen(t.line, 1.2));
    painter.drawLine(QPointF(scale.left, kLine), QPointF(scale.right, kLine));
    const auto& meter = m_actions.document().shoot().meter;
    const int every = std::max(1, static_cast<int>(std::ceil(kLabelRoom / scale.pixelsPerStop())));
    for (int stop = static_cast<int>(std::ceil(scale.low)); stop <= scale.high; stop += every) {
        const double x = scale.x(Stops(stop));
        const CandelaPerM2 light(std::exp2(stop));
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(x, kLine + 4), QPointF(x, kLine + 12));
        painter.setPen(t.muted);
        const auto value = light.value() < 0.1
                               ? fixedText(light.value(), 2)
                               : std::string(print(light)).substr(0, print(light).find(' '));
        painter.drawText(QRectF(x - 34, kLine + 14, 68, 16), Qt::AlignHCenter, toQt(value));
        painter.drawText(QRectF(x - 34, kLine + 30, 68, 16), Qt::AlignHCenter,
                         toQt(fixedText(evOf(light, meter).value(), 1)));
    }
    painter.drawText(QRectF(0, kLine + 50, width() - 12.0, 16), Qt::AlignRight,
                     tr("cd/m\u00b2 above, EV at ISO 100 below"));
    std::vector<AxisLabel> labels;
    double low = 1e9, high = -1e9;
    for (const auto& patch : now->patches) {
        const double stops =
            std::log2(luminanceOf(patch.reading, patch.reflectance, meter).value());
        labels.push_back({toQt(patch.name), scale.x(Stops(stops)), {}, {}});
        if (patch.role != PatchRole::Spare) {
            low = std::min(low, stops);
            high = std::max(high, stops);
        }
    }
    QFont bold = small;
    bold.setBold(true);
    staggerLabels(labels, bold, 6, width() - 6.0, kLine - 14, 16, 4);
    painter.setFont(bold);
    for (const auto& label : labels) {
        if (label.box.isEmpty())
            continue;
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(label.x, label.box.bottom()), QPointF(label.x, kLine - 8));
        painter.setPen(t.ink);
        painter.drawText(label.box, Qt::AlignCenter, label.shown);
    }
    if (high <= low)
        return;
    const double y = kLine + 78;
    painter.setPen(QPen(t.sky, 1.6 * t.stroke));
    const double from = scale.x(Stops(low)), to = scale.x(Stops(high));
    painter.drawLine(QPointF(from, y), QPointF(to, y));
    painter.drawLine(QPointF(from, y - 5), QPointF(from, y + 5));
    painter.drawLine(QPointF(to, y - 5), QPointF(to, y + 5));
    painter.drawText(QRectF(from, y + 3, std::max(160.0, to - from), 16), Qt::AlignHCenter,
                     tr("%1 stops must be kept").arg(toQt(fixedText(high - low, 1))));
}

} // namespace bslate::app
