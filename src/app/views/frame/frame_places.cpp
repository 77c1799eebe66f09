// Where patches stand in the drawn frame: dragged by their rings, or moved by key.
#include "app/document/text.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_view.h"

#include <algorithm>

namespace bslate::app {
namespace {

constexpr double kPlaceStep = 0.02;
constexpr FramePlace kUsualPlace{0, 0, 0.12, 0.16};

double middleOf(double start, double size) {
    return start + size / 2;
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

void FrameView::nextPatch() {
    const auto* shown = images();
    if (!shown || shown->patches.empty())
        return emit refused(tr("No patch of this scene is in the picture."));
    const auto& patches = shown->patches;
    const auto at = std::find_if(patches.begin(), patches.end(),
                                 [this](const FoundPatch& one) { return toQt(one.id) == m_patch; });
    const auto next = at == patches.end() || at + 1 == patches.end() ? patches.begin() : at + 1;
    m_patch = toQt(next->id);
    m_picture->setHeldProbe(m_patch);
    emit told(tr("%1: Alt and arrows move it, Alt+Delete puts it where its role belongs.")
                  .arg(toQt(next->name)));
}

// Alt with an arrow or Delete; false for another key, and while no patch is chosen.
bool FrameView::movePatch(int key) {
    const auto* shown = images();
    if (!shown || m_patch.isEmpty())
        return false;
    const auto at = std::find_if(shown->patches.begin(), shown->patches.end(),
                                 [this](const FoundPatch& one) { return toQt(one.id) == m_patch; });
    if (at == shown->patches.end())
        return false;
    QPointF centre(middleOf(at->area.x, at->area.width), middleOf(at->area.y, at->area.height));
    switch (key) {
    case Qt::Key_Left:
        centre.rx() -= kPlaceStep;
        break;
    case Qt::Key_Right:
        centre.rx() += kPlaceStep;
        break;
    case Qt::Key_Up:
        centre.ry() -= kPlaceStep;
        break;
    case Qt::Key_Down:
        centre.ry() += kPlaceStep;
        break;
    case Qt::Key_Delete:
        if (!m_still)
            placePatch(m_patch, std::nullopt);
        return true;
    default:
        return false;
    }
    if (m_still)
        moveProbe(m_patch, centre);
    else
        dropProbe(m_patch, centre);
    return true;
}

} // namespace bslate::app
