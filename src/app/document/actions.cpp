#include "app/document/actions.h"

#include "app/document/text.h"
#include "core/base/fresh_id.h"
#include "core/shoot/acceptances.h"
#include "core/shoot/scene_line_text.h"
#include "core/shoot/uses.h"

namespace bslate::app {
namespace {

Scene namedScene(const std::string& id) {
    Scene scene = startingScene(id);
    scene.name = fromQt(Actions::tr("New scene"));
    scene.patches.front().name = fromQt(Actions::tr("Grey card"));
    return scene;
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

void Actions::put(const QString& name, Added added) {
    if (m_document.edit(name, std::move(added.shoot)) && !added.setup.empty())
        m_document.select(toQt(added.setup));
}

QString Actions::addScene(const SceneLine& line) {
    auto added = withScene(m_document.shoot(), line, m_document.setup());
    const QString id = toQt(added.scene);
    put(tr("Add scene %1").arg(toQt(line.scene.name)), std::move(added));
    return findScene(m_document.shoot(), fromQt(id)) ? id : QString();
}

void Actions::rewriteScene(const QString& sceneId, const SceneLine& line) {
    changeScene(tr("Change scene %1").arg(toQt(line.scene.name)), sceneId,
                [&](Scene& scene) { scene = rewritten(scene, line); });
}

void Actions::addSetup() {
    if (m_document.shoot().kit.cameras.empty()) {
        emit refused(tr("The kit has no camera: open a kit file first (Shoot, Use kit file)."));
        return;
    }
    put(tr("Add setup"), withSetup(m_document.shoot(), m_document.setup(), fromQt(tr("New setup")),
                                   namedScene("scene-1")));
}

void Actions::duplicateSetup() {
    if (const auto* current = m_document.setup())
        put(tr("Duplicate setup"), withSetupCopied(m_document.shoot(), current->id));
}

void Actions::deleteSetup() {
    const auto* current = m_document.setup();
    if (!current)
        return;
    Shoot after = m_document.shoot();
    std::erase_if(after.setups, [&](const Setup& setup) { return setup.id == current->id; });
    m_document.edit(tr("Delete setup %1").arg(toQt(current->number)), std::move(after));
}

void Actions::addScene() {
    Shoot after = m_document.shoot();
    after.scenes.push_back(namedScene(freshId(after.scenes, "scene")));
    m_document.edit(tr("Add scene"), std::move(after));
}

void Actions::deleteScene(const QString& sceneId) {
    Shoot after = m_document.shoot();
    if (const auto* user = setupInScene(after, fromQt(sceneId))) {
        emit refused(tr("Setup %1 uses this scene: delete or move the setup first.")
                         .arg(toQt(user->number)));
        return;
    }
    std::erase_if(after.scenes, [&](const Scene& scene) { return toQt(scene.id) == sceneId; });
    m_document.edit(tr("Delete scene"), std::move(after));
}

QString Actions::addPatch(const QString& sceneId) {
    QString id;
    const bool done = changeScene(tr("Add patch"), sceneId, [&](Scene& scene) {
        id = toQt(bslate::addPatch(scene, fromQt(tr("New patch"))));
    });
    return done ? id : QString();
}

void Actions::duplicatePatch(const QString& sceneId, const QString& patchId) {
    changeScene(tr("Duplicate patch"), sceneId,
                [&](Scene& scene) { copyPatch(scene, fromQt(patchId)); });
}

void Actions::deletePatch(const QString& sceneId, const QString& patchId) {
    changeScene(tr("Delete patch"), sceneId, [&](Scene& scene) {
        std::erase_if(scene.patches, [&](const Patch& own) { return toQt(own.id) == patchId; });
    });
}

void Actions::accept(const QStringList& findings, const QString& reason) {
    bool accepted = true;
    changeSetup(tr("Accept finding"), [&](Setup& setup) {
        for (const auto& key : findings)
            accepted = accepted && bslate::accept(setup.accepted, fromQt(key), fromQt(reason));
    });
    if (!accepted)
        emit refused(needsReason());
}

void Actions::withdrawAcceptance(const QStringList& findings) {
    changeSetup(tr("Withdraw acceptance"), [&](Setup& setup) {
        for (const auto& key : findings)
            withdraw(setup.accepted, fromQt(key));
    });
}

QString needsReason() {
    return Actions::tr("To accept this, say why: the reason is printed on the card.");
}

} // namespace bslate::app
