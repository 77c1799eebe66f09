// What comes first on a shoot that is still empty: the words and deeds of NextBar.
#include "app/shell/main_window.h"

#include "app/views/brief/brief_view.h"
#include "app/views/kit/kit_view.h"

#include <algorithm>

namespace bslate::app {

NextBar::Advice MainWindow::adviceOn(NextThing next, bool starting) {
    switch (next) {
    case NextThing::TypeScene:
        return {starting ? tr("First a scene, a place with its light. It will be planned with the "
                              "invented kit of the demo; the Kit step takes yours.")
                         : tr("First a scene: a place with its light."),
                tr("Type a scene"), [this] {
                    showView(QStringLiteral("brief"));
                    view<BriefView>().beginScene();
                }};
    case NextThing::BringCamera:
        return {tr("First a camera: described in a sheet, or from a kit file."),
                tr("Describe a camera"), [this] {
                    showView(QStringLiteral("kit"));
                    view<KitView>().describeNewCamera();
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
    const bool starting = shoot.scenes.empty() && m_files.hasStarterKit();
    if (next)
        m_next->show(adviceOn(*next, starting));
    else if (step != m_steps.end() && step->work == Work::Kit && starting)
        m_next->show({tr("These cameras are the demo's, and invented. Plan with your own: a kit "
                         "file, or a camera described here."),
                      tr("Use a kit file\u2026"), [this] { askKit(); }});
    else
        m_next->clear();
}

} // namespace bslate::app
