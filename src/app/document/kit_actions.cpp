#include "app/document/kit_actions.h"

#include "app/document/text.h"
#include "core/advice/starting.h"
#include "core/base/fresh_id.h"
#include "core/kit/check.h"
#include "core/kit/edit.h"
#include "io/json/kit_json.h"
#include "io/system/files.h"

#include <QFileInfo>

#include <algorithm>

namespace bslate::app {
namespace {

// Calls `visit(list, prefix)` with the kit's list of a kind.
template<class AnyKit, class Visit>
auto withList(AnyKit& kit, GearKind kind, Visit visit) {
    switch (kind) {
    case GearKind::Camera:
        return visit(kit.cameras, "camera");
    case GearKind::Lens:
        return visit(kit.lenses, "lens");
    case GearKind::Filter:
        return visit(kit.filters, "filter");
    case GearKind::Card:
        return visit(kit.cards, "card");
    case GearKind::Battery:
        return visit(kit.batteries, "battery");
    case GearKind::Reader:
        return visit(kit.readers, "reader");
    case GearKind::Drive:
        return visit(kit.drives, "drive");
    case GearKind::Charger:
        break;
    }
    return visit(kit.chargers, "charger");
}

} // namespace

QString nameOf(GearKind kind) {
    const QString names[] = {KitActions::tr("camera"),  KitActions::tr("lens"),
                             KitActions::tr("filter"),  KitActions::tr("card"),
                             KitActions::tr("battery"), KitActions::tr("reader"),
                             KitActions::tr("drive"),   KitActions::tr("charger")};
    return names[static_cast<int>(kind)];
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

QString KitActions::add(GearKind kind) {
    QString id;
    const bool done = change(tr("Add %1").arg(nameOf(kind)), [&](Kit& kit) {
        withList(kit, kind, [&](auto& items, const char* prefix) {
            using Item = typename std::decay_t<decltype(items)>::value_type;
            Item item;
            if constexpr (std::is_same_v<Item, Camera>)
                item = freshCamera();
            item.id = freshId(items, prefix);
            item.name = fromQt(tr("New %1").arg(nameOf(kind)));
            if constexpr (std::is_same_v<Item, Filter>)
                item.label = {NdTradition::Density, 0.6};
            if constexpr (std::is_same_v<Item, CardReader>)
                item.forms = {CardForm::Sd};
            id = toQt(item.id);
            items.push_back(std::move(item));
        });
    });
    return done ? id : QString();
}

QString KitActions::duplicate(GearKind kind, const QString& id) {
    QString copyId;
    const bool done = change(tr("Duplicate %1").arg(nameOf(kind)), [&](Kit& kit) {
        withList(kit, kind, [&](auto& items, const char* prefix) {
            const auto* item = findById(items, fromQt(id));
            if (!item)
                return;
            auto copy = *item;
            copy.id = freshId(items, prefix);
            copy.name += fromQt(tr(" copy"));
            copyId = toQt(copy.id);
            items.insert(items.begin() + (item - items.data()) + 1, std::move(copy));
        });
    });
    return done ? copyId : QString();
}

// The setup or camera that would be left without it.
QString KitActions::userOf(GearKind kind, const std::string& id) const {
    const auto& shoot = m_document.shoot();
    for (const auto& setup : shoot.setups) {
        const bool filter =
            std::find(setup.filters.begin(), setup.filters.end(), id) != setup.filters.end();
        if ((kind == GearKind::Camera && setup.camera == id) ||
            (kind == GearKind::Lens && setup.lens == id) || (kind == GearKind::Filter && filter))
            return tr("setup %1").arg(toQt(setup.number));
    }
    for (const auto& camera : shoot.kit.cameras) {
        const bool battery = std::find(camera.batteries.begin(), camera.batteries.end(), id) !=
                             camera.batteries.end();
        if ((kind == GearKind::Lens && camera.fixedLens == id) ||
            (kind == GearKind::Battery && battery))
            return toQt(camera.name);
    }
    for (const auto& charger : shoot.kit.chargers)
        if (kind == GearKind::Battery &&
            std::find(charger.batteries.begin(), charger.batteries.end(), id) !=
                charger.batteries.end())
            return toQt(charger.name);
    return {};
}

void KitActions::remove(GearKind kind, const QString& id) {
    if (const QString user = userOf(kind, fromQt(id)); !user.isEmpty()) {
        emit refused(tr("%1 uses this %2: change that first.").arg(user, nameOf(kind)));
        return;
    }
    change(tr("Delete %1").arg(nameOf(kind)), [&](Kit& kit) {
        withList(kit, kind, [&](auto& items, const char*) {
            std::erase_if(items, [&](const auto& item) { return item.id == fromQt(id); });
        });
    });
}

Camera KitActions::freshCamera() const {
    Camera camera = startingCamera(m_document.shoot().kit);
    camera.name = fromQt(tr("New %1").arg(nameOf(GearKind::Camera)));
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

void KitActions::exportFile(const QString& path, GearKind kind, const QString& id) {
    const auto& kit = m_document.shoot().kit;
    Kit chosen = kit;
    if (const auto camera = extracted(kit, fromQt(id)); kind == GearKind::Camera && camera) {
        chosen = *camera;
    } else {
        withList(kit, kind, [&](const auto& items, const char*) {
            const auto* item = findById(items, fromQt(id));
            if (!item)
                return;
            chosen = Kit();
            chosen.name = item->name;
            withList(chosen, kind, [&](auto& list, const char*) {
                if constexpr (std::is_same_v<std::decay_t<decltype(list)>,
                                             std::decay_t<decltype(items)>>)
                    list = {*item};
            });
            if constexpr (std::is_same_v<std::decay_t<decltype(*item)>, Charger>)
                for (const auto& battery : kit.batteries) // which it names
                    if (std::find(item->batteries.begin(), item->batteries.end(), battery.id) !=
                        item->batteries.end())
                        chosen.batteries.push_back(battery);
        });
    }
    const auto outcome = io::writeFileAtomically(fromQt(path), io::writeKit(chosen));
    if (outcome)
        emit told(tr("Written: %1").arg(path));
    else
        emit refused(messageOf(outcome.error()));
}

} // namespace bslate::app
