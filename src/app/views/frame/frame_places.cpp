// Where patches stand in the drawn frame: dragged by their rings, or moved by key.
#include "app/document/text.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_view.h"
#include "core/facts/evaluate.h"
#include "core/frame/surface.h"

#include <algorithm>

namespace bslate::app {
namespace {

constexpr double kPlaceStep = 0.02;
constexpr FramePlace kUsualPlace{0, 0, 0.12, 0.16};

double middleOf(double start, double size) {
    return start + size / 2;
}

// Which way an arrow points; none for another key.
QPointF wayOf(int key) {
    return {key == Qt::Key_Right  ? 1.0
            : key == Qt::Key_Left ? -1.0
                                  : 0.0,
            key == Qt::Key_Down ? 1.0
            : key == Qt::Key_Up ? -1.0
                                : 0.0};
}

} // namespace

// The place a patch has about a centre; none for a patch that is not there.
std::optional<FramePlace> FrameView::placeOf(const QString& patch, QPointF centre) const {
    const auto* scene = m_actions.document().scene();
    const auto* found = scene ? findPatch(*scene, fromQt(patch)) : nullptr;
    if (!found)
        return std::nullopt;
    FramePlace place = found->place.value_or(kUsualPlace);
    place.x = std::clamp(centre.x() - place.width / 2, 0.0, 1 - place.width);
    place.y = std::clamp(centre.y() - place.height / 2, 0.0, 1 - place.height);
    return place;
}

void FrameView::placePatch(const QString& patch, const std::optional<FramePlace>& place) {
    const auto* scene = m_actions.document().scene();
    if (!scene)
        return;
    m_actions.changeScene(tr("Place in the frame"), toQt(scene->id), [&](Scene& changed) {
        if (auto* found = findPatch(changed, fromQt(patch)))
            found->place = place;
    });
}

void FrameView::dropProbe(const QString& patch, QPointF centre) {
    if (m_still)
        return; // it was measured while it moved
    if (const auto place = placeOf(patch, centre))
        placePatch(patch, place);
}

// What a patch fills of the picture; none for a still, whose rings only measure.
std::optional<QRectF> FrameView::boxOf(const QString& patch) const {
    const auto& document = m_actions.document();
    const auto* setup = document.setup();
    const auto context = setup ? resolve(document.shoot(), *setup) : Result<SetupContext>(Error{});
    if (!context || m_still || patch.isEmpty())
        return std::nullopt;
    for (const auto& surface : surfacesOf(*context))
        if (surface.patch == fromQt(patch))
            return QRectF(surface.box.x, surface.box.y, surface.box.width, surface.box.height);
    return std::nullopt;
}

void FrameView::showHeld() {
    m_picture->setHeldProbe(m_patch);
    m_picture->setHeldBox(boxOf(m_patch));
}

void FrameView::holdPatch(const QString& patch) {
    m_patch = patch;
    showHeld();
}

void FrameView::resizePatch(const QString& patch, QSizeF size) {
    const auto box = boxOf(patch);
    if (!box)
        return;
    FramePlace place{std::clamp(box->x(), 0.0, 1 - kLeastPlace),
                     std::clamp(box->y(), 0.0, 1 - kLeastPlace), 0, 0};
    place.width = std::clamp(size.width(), kLeastPlace, 1 - place.x);
    place.height = std::clamp(size.height(), kLeastPlace, 1 - place.y);
    placePatch(patch, place);
}

// Shift as well: what it fills, from its upper left corner on.
bool FrameView::stretchPatch(int key) {
    const auto box = boxOf(m_patch);
    if (!box)
        return false;
    const QPointF way = wayOf(key);
    if (way.isNull())
        return false;
    resizePatch(m_patch,
                {box->width() + kPlaceStep * way.x(), box->height() + kPlaceStep * way.y()});
    return true;
}

void FrameView::toggleSpot() {
    m_picture->setSpot(m_picture->spot() ? std::nullopt : std::optional(QPointF(0.5, 0.5)));
}

bool FrameView::moveSpot(int key) {
    if (!m_picture->spot())
        return false;
    constexpr double kStep = 0.01;
    const QPointF way = wayOf(key);
    if (way.isNull())
        return false;
    m_picture->setSpot(*m_picture->spot() + kStep * way);
    return true;
}

void FrameView::nextPatch() {
    const auto* shown = images();
    if (!shown || shown->patches.empty())
        return emit refused(tr("No patch of this scene is in the picture."));
    const auto& patches = shown->patches;
    const auto at = std::find_if(patches.begin(), patches.end(),
                                 [this](const FoundPatch& one) { return toQt(one.id) == m_patch; });
    // Behind the last none is held.
    if (at != patches.end() && at + 1 == patches.end())
        return holdPatch({});
    const auto next = at == patches.end() ? patches.begin() : at + 1;
    holdPatch(toQt(next->id));
    emit told(tr("%1: Alt and arrows move it, with Shift they make it larger or smaller, "
                 "Alt+Delete puts it where its role belongs.")
                  .arg(toQt(next->name)));
}

// Alt with an arrow or Delete; false for another key, and while no patch is chosen.
bool FrameView::movePatch(int key) {
    const auto* shown = images();
    if (!shown)
        return false;
    if (m_patch.isEmpty())
        return moveSpot(key);
    const auto at = std::find_if(shown->patches.begin(), shown->patches.end(),
                                 [this](const FoundPatch& one) { return toQt(one.id) == m_patch; });
    if (at == shown->patches.end())
        return false;
    if (key == Qt::Key_Delete) {
        if (!m_still)
            placePatch(m_patch, std::nullopt);
        return true;
    }
    const QPointF way = wayOf(key);
    if (way.isNull())
        return false;
    const QPointF centre =
        QPointF(middleOf(at->area.x, at->area.width), middleOf(at->area.y, at->area.height)) +
        kPlaceStep * way;
    if (m_still)
        moveProbe(m_patch, centre);
    else
        dropProbe(m_patch, centre);
    return true;
}

} // namespace bslate::app
