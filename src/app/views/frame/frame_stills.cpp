// Stills of the user's own on the Frame step.
#include "app/document/text.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_view.h"
#include "core/facts/evaluate.h"
#include "core/light/metering.h"
#include "io/stills/still_codes.h"
#include "io/stills/still_file.h"

#include <QComboBox>
#include <QFileInfo>
#include <QLabel>
#include <QTimer>

namespace bslate::app {

void FrameView::openStill(const QString& path) {
    m_still = OpenStill{path, nullptr};
    m_moved.clear();
    m_stillImages.reset();
    m_left->setCurrentIndex(static_cast<int>(FrameLook::Curve));
    m_subtitle->setText(tr("reading %1 \u2026").arg(QFileInfo(path).fileName()));
    m_job.start([path, this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        auto read = io::readStill(path.toStdString(), control.keepGoing());
        if (!read) {
            const QString message = messageOf(read.error());
            return [this, message] {
                closeStill();
                emit refused(message);
            };
        }
        const auto still = std::make_shared<const io::Still>(*std::move(read));
        return [this, path, still] {
            if (!m_still || m_still->path != path)
                return; // it was closed meanwhile
            m_still->still = still;
            make();
        };
    });
}

void FrameView::closeStill() {
    if (!m_still)
        return;
    m_range->hide();
    m_job.stop(); // it may still be reading
    m_still.reset();
    m_stillImages.reset();
    m_left->setCurrentIndex(static_cast<int>(FrameLook::Light));
    m_later->start();
}

// Where they were left, else where they stand in the drawn picture.
std::vector<Probe> FrameView::stillProbes(const SetupContext& context) const {
    auto probes = probesOf(context);
    for (auto& probe : probes)
        if (const auto moved = m_moved.find(probe.name); moved != m_moved.end())
            probe.area = moved->second;
    return probes;
}

void FrameView::makeStill() {
    if (!m_still->still)
        return; // it is being read
    const auto value = m_actions.document().value();
    const QString setup = m_actions.document().setupId();
    const auto* found = findSetup(*value, fromQt(setup));
    const auto context = found ? resolve(*value, *found) : Result<SetupContext>(Error{});
    if (!context)
        return;
    const auto probes = stillProbes(*context);
    const auto how = shownHow();
    const auto still = m_still->still;
    const auto range = m_range->currentIndex() == 0 ? CodeRange::Full : CodeRange::Legal;
    QString name = QFileInfo(m_still->path).fileName();
    if (still->step > 1)
        name = tr("%1, one pixel of %2 each way").arg(name).arg(still->step);
    if (still->ofSensor)
        name = tr("%1 (light of a sensor, full where this one clips)").arg(name);
    m_job.start([=, this](const BackgroundJob::Control&) -> BackgroundJob::Then {
        const auto again = resolve(*value, *findSetup(*value, fromQt(setup)));
        const auto& curve = again->profile->curve;
        const auto at = evaluate(*again);
        const auto frame = io::codesOf(*still, curve, range, at.sensorClip);
        auto images = std::make_shared<FrameImages>(stillImages(*again, at, frame, probes, how));
        images->still = name;
        return [=, this] {
            m_stillImages = images;
            showImages();
        };
    });
}

void FrameView::moveProbe(const QString& patch, QPointF centre) {
    if (!m_still || !m_stillImages)
        return;
    for (const auto& found : m_stillImages->patches)
        if (found.id == fromQt(patch)) {
            const double wide = found.area.width, high = found.area.height;
            m_moved[found.id] = {std::clamp(centre.x() - wide / 2, 0.0, 1 - wide),
                                 std::clamp(centre.y() - high / 2, 0.0, 1 - high), wide, high};
        }
    make();
}

// Each patch by as many stops as it was found beside its plan.
void FrameView::takeReadings() {
    const auto* scene = m_actions.document().scene();
    if (!m_still || !m_stillImages || !scene)
        return emit refused(tr("Readings come from a still: O opens one."));
    const auto found = m_stillImages->patches;
    m_actions.changeScene(tr("Readings from a still"), toQt(scene->id), [&](Scene& changed) {
        for (const auto& one : found)
            if (auto* patch = findPatch(changed, one.id);
                patch && std::isfinite(one.foundStops.value()))
                *patch = metered(*patch, roundedReading(shifted(
                                             patch->reading, one.foundStops - one.plannedStops)));
    });
    emit told(tr("What the rings read is taken over as readings; undo gives the old ones back."));
}

} // namespace bslate::app
