#include "app/document/actions.h"

#include "app/document/text.h"
#include "core/advice/starting.h"
#include "core/base/fresh_id.h"
#include "core/shoot/scene_line_text.h"

#include <algorithm>

namespace bslate::app {
namespace {

Scene namedScene(const std::string& id) {
    Scene scene = startingScene(id);
    scene.name = fromQt(Actions::tr("New scene"));
    scene.patches.front().name = fromQt(Actions::tr("Grey card"));
    return scene;
}

template<class Items>
auto positionOf(Items& items, const std::string& id) {
    return std::find_if(items.begin(), items.end(), [&](const auto& i) { return i.id == id; });
}

} // namespace

Actions::Actions(ShootDocument& document, QObject* parent)
    : QObject(parent)
    , m_document(document) {}

void Actions::turnControl(const QString& name, const Turn& change, int drag,
                          ShootDocument::Value from) {
    const auto start = from ? from : m_document.value();
    const auto* setup = findSetup(*start, fromQt(m_document.setupId()));
    if (!setup)
        return;
    const auto turned = turn(*start, *setup, change, owedBy(start));
    if (!turned) {
        emit refused(messageOf(turned.error()));
        return;
    }
    m_document.edit(name, applied(*start, turned->edit), drag);
    if (drag == 0 && turned->payer != Payer::Nobody)
        m_debt = {m_document.value(), m_document.setupId(), turned->unpaid};
}

Stops Actions::owedBy(const ShootDocument::Value& start) const {
    const bool same = start == m_debt.after && m_document.setupId() == m_debt.setupId;
    return same ? m_debt.owed : Stops(0.0);
}

void Actions::apply(const QString& name, const Edit& edit) {
    m_document.edit(name, applied(m_document.shoot(), edit));
}

void Actions::changeSetup(const QString& name, const std::function<void(Setup&)>& change,
                          int drag) {
    Shoot after = m_document.shoot();
    if (auto* setup = findSetup(after, fromQt(m_document.setupId()))) {
        change(*setup);
        m_document.edit(name, std::move(after), drag);
    }
}

bool Actions::changeScene(const QString& name, const QString& sceneId,
                          const std::function<void(Scene&)>& change, int drag) {
    Shoot after = m_document.shoot();
    auto* scene = findScene(after, fromQt(sceneId));
    if (!scene)
        return false;
    change(*scene);
    return m_document.edit(name, std::move(after), drag);
}

void Actions::setPayer(Payer payer) {
    changeSetup(tr("Who pays: %1").arg(toQt(nameOf(payer, translator()))),
                [&](Setup& setup) { setup.payer = payer; });
}

void Actions::setSchool(School school) {
    changeSetup(tr("School: %1").arg(toQt(nameOf(school, translator()))),
                [&](Setup& setup) { setup.school = school; });
}

void Actions::changeBrief(const QString& name, const std::function<void(Brief&)>& change) {
    Shoot after = m_document.shoot();
    change(after.brief);
    m_document.edit(name, std::move(after));
}

QString Actions::addScene(const SceneLine& line) {
    Shoot after = m_document.shoot();
    Scene scene = line.scene;
    scene.id = freshId(after.scenes, "scene");
    after.days = std::max(after.days, scene.day);
    const bool taken =
        std::any_of(after.setups.begin(), after.setups.end(),
                    [&](const Setup& setup) { return setup.number == scene.number; });
    QString setupId;
    if (!scene.number.empty() && !taken && !after.kit.cameras.empty()) {
        Setup setup = startingSetup(after, m_document.setup());
        setup.id = freshId(after.setups, "setup");
        setup.number = scene.number;
        setup.name = scene.name;
        setup.scene = scene.id;
        setupId = toQt(setup.id);
        after.setups.push_back(std::move(setup));
    }
    const QString id = toQt(scene.id);
    after.scenes.push_back(std::move(scene));
    if (!m_document.edit(tr("Add scene %1").arg(toQt(line.scene.name)), std::move(after)))
        return {};
    if (!setupId.isEmpty())
        m_document.select(setupId);
    return id;
}

void Actions::rewriteScene(const QString& sceneId, const SceneLine& line) {
    changeScene(tr("Change scene %1").arg(toQt(line.scene.name)), sceneId,
                [&](Scene& scene) { scene = rewritten(scene, line); });
}

void Actions::addSetup() {
    Shoot after = m_document.shoot();
    const auto* current = m_document.setup();
    if (after.kit.cameras.empty()) {
        emit refused(tr("The kit has no camera: open a kit file first (Shoot, Use kit file)."));
        return;
    }
    Setup setup = startingSetup(after, current);
    setup.id = freshId(after.setups, "setup");
    setup.number = freshNumber(after, current ? current->number : std::string());
    setup.name = fromQt(tr("New setup"));
    if (after.scenes.empty()) {
        after.scenes.push_back(namedScene("scene-1"));
    }
    setup.scene = current ? current->scene : after.scenes.front().id;
    const QString id = toQt(setup.id);
    after.setups.push_back(std::move(setup));
    m_document.edit(tr("Add setup"), std::move(after));
    m_document.select(id);
}

void Actions::duplicateSetup() {
    const auto* current = m_document.setup();
    if (!current)
        return;
    Shoot after = m_document.shoot();
    Setup copy = *current;
    copy.id = freshId(after.setups, "setup");
    copy.number = freshNumber(after, current->number);
    copy.accepted.clear();
    const QString id = toQt(copy.id);
    after.setups.insert(positionOf(after.setups, current->id) + 1, std::move(copy));
    m_document.edit(tr("Duplicate setup"), std::move(after));
    m_document.select(id);
}

void Actions::deleteSetup() {
    Shoot after = m_document.shoot();
    const auto at = positionOf(after.setups, fromQt(m_document.setupId()));
    if (at == after.setups.end())
        return;
    const QString name = tr("Delete setup %1").arg(toQt(at->number));
    after.setups.erase(at);
    m_document.edit(name, std::move(after));
}

void Actions::addScene() {
    Shoot after = m_document.shoot();
    after.scenes.push_back(namedScene(freshId(after.scenes, "scene")));
    m_document.edit(tr("Add scene"), std::move(after));
}

void Actions::deleteScene(const QString& sceneId) {
    Shoot after = m_document.shoot();
    const auto id = fromQt(sceneId);
    for (const auto& setup : after.setups) {
        if (setup.scene == id) {
            emit refused(tr("Setup %1 uses this scene: delete or move the setup first.")
                             .arg(toQt(setup.number)));
            return;
        }
    }
    const auto at = positionOf(after.scenes, id);
    if (at == after.scenes.end())
        return;
    after.scenes.erase(at);
    m_document.edit(tr("Delete scene"), std::move(after));
}

QString Actions::addPatch(const QString& sceneId) {
    QString id;
    const bool done = changeScene(tr("Add patch"), sceneId, [&](Scene& scene) {
        Patch patch;
        patch.id = freshId(scene.patches, "patch");
        patch.name = fromQt(tr("New patch"));
        patch.role = PatchRole::Highlight;
        for (const auto& other : scene.patches)
            if (other.role == PatchRole::Grey)
                patch.reading = other.reading;
        id = toQt(patch.id);
        scene.patches.push_back(std::move(patch));
    });
    return done ? id : QString();
}

void Actions::duplicatePatch(const QString& sceneId, const QString& patchId) {
    changeScene(tr("Duplicate patch"), sceneId, [&](Scene& scene) {
        const auto at = positionOf(scene.patches, fromQt(patchId));
        if (at == scene.patches.end())
            return;
        Patch copy = *at;
        copy.id = freshId(scene.patches, "patch");
        scene.patches.insert(at + 1, std::move(copy));
    });
}

void Actions::deletePatch(const QString& sceneId, const QString& patchId) {
    changeScene(tr("Delete patch"), sceneId, [&](Scene& scene) {
        const auto at = positionOf(scene.patches, fromQt(patchId));
        if (at != scene.patches.end())
            scene.patches.erase(at);
    });
}

void Actions::accept(const QString& findingKey, const QString& reason) {
    if (reason.trimmed().isEmpty()) {
        emit refused(tr("To accept this, say why: the reason is printed on the card."));
        return;
    }
    changeSetup(tr("Accept finding"), [&](Setup& setup) {
        std::erase_if(setup.accepted,
                      [&](const Acceptance& a) { return a.finding == fromQt(findingKey); });
        setup.accepted.push_back({fromQt(findingKey), fromQt(reason.trimmed()), {}});
    });
}

void Actions::withdrawAcceptance(const QString& findingKey) {
    changeSetup(tr("Withdraw acceptance"), [&](Setup& setup) {
        std::erase_if(setup.accepted,
                      [&](const Acceptance& a) { return a.finding == fromQt(findingKey); });
    });
}

} // namespace bslate::app
