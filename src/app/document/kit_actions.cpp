#include "app/document/kit_actions.h"

#include "app/document/text.h"
#include "core/advice/additions.h"
#include "core/kit/check.h"
#include "core/kit/edit.h"
#include "core/shoot/uses.h"
#include "io/json/kit_json.h"
#include "io/system/files.h"

#include <QFileInfo>

#include <algorithm>

namespace bslate::app {
QString nameOf(KitPart kind) {
    static constexpr ByEnum<KitPart, const char*> kNames{
        QT_TR_NOOP("camera"),  QT_TR_NOOP("lens"),    QT_TR_NOOP("filter"), QT_TR_NOOP("gel"),
        QT_TR_NOOP("card"),    QT_TR_NOOP("battery"), QT_TR_NOOP("reader"), QT_TR_NOOP("drive"),
        QT_TR_NOOP("charger"), QT_TR_NOOP("profile"), QT_TR_NOOP("recipe")};
    return KitActions::tr(kNames[kind]);
}

KitActions::KitActions(ShootDocument& document, QObject* parent)
    : QObject(parent)
    , m_document(document) {}

bool KitActions::change(const QString& name, const std::function<void(Kit&)>& change) {
    Shoot after = m_document.shoot();
    change(after.kit);
    if (after.kit == m_document.shoot().kit)
        return true;
    if (const auto outcome = checkKit(after.kit); !outcome) {
        emit refused(messageOf(outcome.error()));
        return false;
    }
    const bool wasFile = after.kitFile.has_value();
    after.kitFile.reset();
    if (!m_document.edit(name, std::move(after)))
        return false;
    if (wasFile)
        emit told(tr("The kit is kept inside this shoot from now on; Export writes a kit file."));
    return true;
}

QString KitActions::add(KitPart kind) {
    QString id;
    const bool done = change(tr("Add %1").arg(nameOf(kind)), [&](Kit& kit) {
        id = toQt(addGear(kit, kind, fromQt(tr("New %1").arg(nameOf(kind)))));
    });
    return done ? id : QString();
}

QString KitActions::duplicate(KitPart kind, const QString& id) {
    std::optional<std::string> copy;
    const bool done = change(tr("Duplicate %1").arg(nameOf(kind)), [&](Kit& kit) {
        copy = copyGear(kit, kind, fromQt(id), fromQt(tr(" copy")));
    });
    return done && copy ? toQt(*copy) : QString();
}

void KitActions::remove(KitPart kind, const QString& id) {
    if (const auto user = userOf(m_document.shoot(), kind, fromQt(id))) {
        const QString name = toQt(user->name);
        emit refused(tr("%1 uses this %2: change that first.")
                         .arg(user->kind == User::Kind::Setup ? tr("setup %1").arg(name) : name,
                              nameOf(kind)));
        return;
    }
    removeFrom(tr("Delete %1").arg(nameOf(kind)),
               [&](Kit& kit) { removeGear(kit, kind, fromQt(id)); });
}

void KitActions::removeFrom(const QString& name, const std::function<void(Kit&)>& removal) {
    const auto tests = [&] {
        const auto& profiles = m_document.shoot().kit.profiles;
        return std::count_if(profiles.begin(), profiles.end(),
                             [](const Profile& profile) { return profile.measured.has_value(); });
    };
    const auto before = tests();
    if (change(name, removal) && tests() < before)
        emit told(tr("What was measured there went with it; undo brings both back."));
}

Camera KitActions::freshCamera() const {
    Camera camera = startingCamera(m_document.shoot().kit);
    camera.name = fromQt(tr("New %1").arg(nameOf(KitPart::Camera)));
    return camera;
}

bool KitActions::putCamera(const Camera& camera) {
    return change(tr("Describe %1").arg(toQt(camera.name)), [&](Kit& kit) {
        if (auto* there = findById(kit.cameras, camera.id))
            *there = camera;
        else
            kit.cameras.push_back(camera);
    });
}

void KitActions::importFile(const QString& path) {
    auto other = io::loadKit(fromQt(path));
    if (!other) {
        emit refused(messageOf(other.error()));
        return;
    }
    const auto before = m_document.shoot().kit;
    if (change(tr("Import %1").arg(QFileInfo(path).fileName()),
               [&](Kit& kit) { kit = merged(kit, *std::move(other)); }))
        emit told(m_document.shoot().kit == before
                      ? tr("Everything in that file is in the kit already.")
                      : tr("%1 is imported.").arg(QFileInfo(path).fileName()));
}

void KitActions::exportFile(const QString& path, KitPart kind, const QString& id) {
    const auto& kit = m_document.shoot().kit;
    const Kit chosen = extracted(kit, kind, fromQt(id)).value_or(kit);
    const auto outcome = io::writeFileAtomically(fromQt(path), io::writeKit(chosen));
    if (outcome)
        emit told(tr("Written: %1").arg(path));
    else
        emit refused(messageOf(outcome.error()));
}

} // namespace bslate::app
