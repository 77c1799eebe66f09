#include "app/views/light/light_canvas.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/light/target_marks.h"
#include "app/widgets/painted_access.h"
#include "core/facts/evaluate.h"
#include "core/light/metering.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kPercents = 44;     // the level axis
constexpr double kInstruments = 112; // what zebra, cards and skin read
constexpr double kLeft = kPercents + kInstruments;
constexpr double kBands = 16; // stops from grey
constexpr double kRight = kBands + 62;
constexpr double kSceneRows = 3;
constexpr double kRowHeight = 16;
constexpr double kDefaultLow = -9;
constexpr double kDefaultHigh = 8;

} // namespace

LightCanvas::LightCanvas(Actions& actions, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_style(style) {
    setObjectName(QStringLiteral("light-canvas"));
    setAttribute(Qt::WA_OpaquePaintEvent);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    refresh();
}

void LightCanvas::refresh() {
    auto& document = m_actions.document();
    m_value = document.value();
    m_context.reset();
    m_at.reset();
    if (const auto* setup = document.setup()) {
        if (const auto context = resolve(*m_value, *setup))
            m_context = *context;
        m_at = document.verdicts().evaluation(*setup);
    }
    findTargets();
    arrangeHandles();
    describe(*this, QAccessible::Chart, tr("Light picture"), spoken());
    update();
}

QString LightCanvas::spoken() const {
    if (!m_at)
        return tr("no setup");
    return tr("clip %1, noise %2, %3 patches; %4")
        .arg(toQt(print(m_at->clip + m_at->ratingOffset)),
             toQt(print(m_at->noiseFloor + m_at->ratingOffset)))
        .arg(m_at->patches.size())
        .arg(m_targets ? targetWords(*m_targets) : QString());
}

void LightCanvas::setGhost(std::optional<School> school) {
    m_ghost = school;
    findTargets();
    update();
}

void LightCanvas::findTargets() {
    m_targets.reset();
    if (!m_context || !m_at)
        return;
    m_targets = targetsInUse(*m_context, *m_at);
    if (m_ghost)
        for (auto& other : targetsOf(*m_context, *m_at))
            if (other.school == *m_ghost)
                m_targets = std::move(other);
}

double LightCanvas::Geometry::y(Level level) const {
    const double share = (level.value() - lowLevel) / (highLevel - lowLevel);
    return recording.bottom() - share * recording.height();
}

LightCanvas::Geometry LightCanvas::geometry() const {
    Geometry g;
    const double w = width(), h = height();
    g.axis.left = kLeft;
    g.axis.right = std::max(kLeft + 100, w - kRight);
    g.axis.low = kDefaultLow;
    g.axis.high = kDefaultHigh;
    if (m_at) {
        for (const auto& patch : m_at->patches) {
            g.axis.low = std::min(g.axis.low, std::floor(patch.viewed.value() - 0.5));
            g.axis.high = std::max(g.axis.high, std::ceil(patch.viewed.value() + 0.5));
        }
        g.axis.low = std::max(g.axis.low, -20.0);
        g.axis.high = std::min(g.axis.high, 20.0);
    }
    if (m_frozenAxis) {
        g.axis.low = m_frozenAxis->low;
        g.axis.high = m_frozenAxis->high;
    }
    const double span = g.axis.right - g.axis.left;
    g.sceneLine = kSceneRows * kRowHeight + 16;
    g.scene = QRectF(g.axis.left, 0, span, g.sceneLine + 30);
    g.sensor = QRectF(g.axis.left, g.scene.bottom() + 18, span, 32);
    const double top = g.sensor.bottom() + 24;
    g.recording = QRectF(g.axis.left, top, span, std::max(80.0, h - top - 24));
    g.instruments = QRectF(kPercents, top, kInstruments, g.recording.height());
    g.bands = QRectF(g.axis.right + 4, top, kBands, g.recording.height());
    return g;
}

void LightCanvas::resizeEvent(QResizeEvent*) {
    arrangeHandles();
}

void LightCanvas::arrangeHandles() {
    const std::size_t count = m_at ? m_at->patches.size() : 0;
    while (m_handles.size() < count) {
        auto* handle = new PatchHandle(m_style, this);
        m_handles.push_back(handle);
        wireHandle(handle);
    }
    const auto g = geometry();
    for (std::size_t i = 0; i < m_handles.size(); ++i) {
        if (i >= count) {
            m_handles[i]->hide();
            continue;
        }
        const auto& patch = m_at->patches[i];
        const QString value = tr("%1 stops, %2, reads %3")
                                  .arg(toQt(print(patch.viewed)), toQt(print(patch.luminance)),
                                       toQt(print(patch.level)));
        m_handles[i]->show(toQt(patch.id), toQt(patch.name), value, patch.state);
        const double x = std::clamp(g.axis.x(patch.viewed), g.axis.left, g.axis.right);
        m_handles[i]->centreOn(QPoint(qRound(x), qRound(g.sceneLine)));
        m_handles[i]->setVisible(true);
    }
}

void LightCanvas::wireHandle(PatchHandle* handle) {
    connect(handle, &PatchHandle::dragStarted, this, [this, handle] {
        m_drag = m_actions.document().beginDrag();
        m_dragFrom = m_actions.document().value();
        m_dragId = handle->id();
        m_frozenAxis = geometry().axis;
    });
    connect(handle, &PatchHandle::dragged, this, [this](int pixels) {
        if (m_dragFrom)
            moveHeldPatch(Stops(pixels / geometry().axis.pixelsPerStop()));
    });
    connect(handle, &PatchHandle::dragEnded, this, [this] {
        m_dragFrom.reset();
        m_frozenAxis.reset();
        refresh();
    });
    connect(handle, &PatchHandle::nudged, this, [this, handle](double stops) {
        m_drag = 0;
        m_dragFrom = m_actions.document().value();
        m_dragId = handle->id();
        moveHeldPatch(Stops(stops));
        m_dragFrom.reset();
    });
    connect(handle, &PatchHandle::typeRequested, this, [this, handle] {
        m_dragFrom.reset();
        m_frozenAxis.reset();
        emit typePatchRequested(handle->id(), handle->mapTo(window(), QPoint(0, 26)));
    });
    connect(handle, &PatchHandle::deleteRequested, this, [this, handle] {
        if (const auto* scene = m_actions.document().scene())
            m_actions.deletePatch(toQt(scene->id), handle->id());
    });
}

void LightCanvas::moveHeldPatch(Stops by) {
    const auto* setup = findSetup(*m_dragFrom, fromQt(m_actions.document().setupId()));
    if (!setup)
        return;
    Shoot after = *m_dragFrom;
    auto* scene = findScene(after, setup->scene);
    auto* patch = scene ? findPatch(*scene, fromQt(m_dragId)) : nullptr;
    if (!patch)
        return;
    patch->reading = roundedReading(shifted(patch->reading, by));
    m_actions.document().edit(tr("Move %1").arg(toQt(patch->name)), std::move(after), m_drag);
}

} // namespace bslate::app
