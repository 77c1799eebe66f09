// What comes first on a shoot that is still empty: the words and deeds of NextBar.
#include "app/shell/main_window.h"

#include "app/shell/step_bar.h"
#include "app/views/brief/brief_view.h"
#include "app/views/bring/bring_view.h"
#include "app/views/profiles/profiles_view.h"

#include <algorithm>

namespace bslate::app {

NextBar::Advice MainWindow::adviceOn(NextThing next) {
    switch (next) {
    case NextThing::TypeScene:
        return {tr("First a scene: a place with its light."), tr("Type a scene"), [this] {
                    showView(QStringLiteral("brief"));
                    view<BriefView>().beginScene();
                }};
    case NextThing::BringCamera:
        return {tr("First a camera: clips it recorded, lines of its manual or a few questions make "
                   "one."),
                tr("Bring a camera in"), [this] { showView(QStringLiteral("bring")); }};
    case NextThing::BringCurve:
        return {tr("Next its own curve: chosen from the colour library of this machine, or from a "
                   "file here; a body test measures it."),
                tr("Choose its curve\u2026"), [this] {
                    showView(QStringLiteral("profiles"));
                    view<ProfilesView>().importFromLibrary();
                }};
    case NextThing::AddSetup:
        return {tr("First a setup: a camera on a scene, with everything it is set to."),
                tr("Add a setup"), [this] { m_actions.addSetup(); }};
    case NextThing::PlanTakes:
        break;
    }
    return {tr("No day has takes yet: they come from the scenes, or are typed below."),
            tr("Takes from the scenes"), [this] { m_dayActions.fillFromScenes(); }};
}

void MainWindow::showNext() {
    const auto step = std::find_if(m_steps.begin(), m_steps.end(),
                                   [&](const Step& one) { return one.number == m_bar->current(); });
    const auto& shoot = m_document.shoot();
    const auto next = step == m_steps.end() ? std::nullopt : nextThing(shoot, step->work);
    // The page that brings one in is the next thing itself.
    const bool isBringing = placeInView().kind().inherits(&BringView::staticMetaObject);
    if (next && !(*next == NextThing::BringCamera && isBringing))
        m_next->show(adviceOn(*next));
    else
        m_next->clear();
}

} // namespace bslate::app
