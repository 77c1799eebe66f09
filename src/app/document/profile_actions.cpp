#include "app/document/profile_actions.h"

#include "core/base/enumerated.h"

#include "app/document/text.h"
#include "core/base/fresh_id.h"
#include "core/kit/profile_edit.h"
#include "core/shoot/uses.h"

#include <QCoreApplication>

#include <algorithm>

namespace bslate::app {

QString nameOf(LookPart part) {
    const ByEnum<LookPart, QString> names{ProfileActions::tr("lift"),
                                          ProfileActions::tr("toe"),
                                          ProfileActions::tr("shoulder"),
                                          ProfileActions::tr("colourfulness"),
                                          ProfileActions::tr("lightness of hues"),
                                          ProfileActions::tr("sharpening")};
    return names[part];
}

QString namesOf(const std::vector<LookPart>& parts) {
    QStringList names;
    for (const auto part : parts)
        names << nameOf(part);
    return names.join(QStringLiteral(", "));
}

ProfileActions::ProfileActions(KitActions& kit, QObject* parent)
    : QObject(parent)
    , m_kit(kit) {}

bool ProfileActions::replaceKit(const QString& name, const Result<Kit>& kit) {
    if (!kit) {
        emit refused(messageOf(kit.error()));
        return false;
    }
    return m_kit.change(name, [&](Kit& value) { value = *kit; });
}

QString ProfileActions::add(const Profile& profile, const std::vector<std::string>& cameras) {
    const auto kit = withProfile(document().shoot().kit, profile, cameras);
    if (!replaceKit(tr("Add profile %1").arg(toQt(profile.name)), kit))
        return {};
    return toQt(kit->profiles.back().id);
}

void ProfileActions::remove(const QString& id) {
    const auto wanted = fromQt(id);
    if (const auto* setup = setupInProfile(document().shoot(), wanted)) {
        emit refused(tr("Setup %1 records in this profile: give it another one first.")
                         .arg(toQt(setup->number)));
        return;
    }
    m_kit.removeFrom(tr("Delete profile"),
                     [&](Kit& kit) { kit = withoutProfile(std::move(kit), wanted); });
}

void ProfileActions::rename(const QString& id, const QString& name) {
    if (name.trimmed().isEmpty()) {
        emit refused(tr("A profile needs a name people know it by."));
        return;
    }
    m_kit.change(tr("Rename profile"), [&](Kit& kit) {
        if (auto* profile = findById(kit.profiles, fromQt(id)))
            profile->name = fromQt(name.trimmed());
    });
}

QString ProfileActions::addMeasured(const Measurement& measurement, const Curve& curve) {
    const auto kit = withMeasured(document().shoot().kit, measurement, curve);
    if (!replaceKit(tr("Keep the measured profile"), kit))
        return {};
    for (const auto& profile : kit->profiles)
        if (profile.measured && *profile.measured == measurement)
            return toQt(profile.id);
    return {};
}

void ProfileActions::useInSetup(const QString& id) {
    const auto* setup = document().setup();
    const auto* profile = findProfile(document().shoot().kit, fromQt(id));
    if (!setup || !profile) {
        emit refused(tr("A profile is used by a setup: add one first."));
        return;
    }
    const auto* camera = findCamera(document().shoot().kit, setup->camera);
    if (camera && std::find(camera->profiles.begin(), camera->profiles.end(), profile->id) ==
                      camera->profiles.end()) {
        emit refused(tr("%1 does not have %2: import it for this camera.")
                         .arg(toQt(camera->name), toQt(profile->name)));
        return;
    }
    Shoot after = document().shoot();
    findById(after.setups, setup->id)->profile = profile->id;
    document().edit(tr("Profile %1").arg(toQt(profile->name)), std::move(after));
}

QString ProfileActions::keepRecipe(const QString& profileId, const QString& name) {
    QString id;
    m_kit.change(tr("Keep recipe %1").arg(name), [&](Kit& kit) {
        const auto* profile = findById(kit.profiles, fromQt(profileId));
        if (!profile)
            return;
        Recipe recipe{freshId(kit.recipes, "recipe"), fromQt(name), lookOf(*profile), {}};
        id = toQt(recipe.id);
        kit.recipes.push_back(std::move(recipe));
    });
    return id;
}

void ProfileActions::changeRecipe(const QString& recipeId, const QString& what,
                                  const std::function<void(Recipe&)>& change) {
    m_kit.change(what, [&](Kit& kit) {
        if (auto* recipe = findById(kit.recipes, fromQt(recipeId)))
            change(*recipe);
    });
}

void ProfileActions::removeRecipe(const QString& recipeId) {
    m_kit.change(tr("Delete recipe"), [&](Kit& kit) {
        std::erase_if(kit.recipes,
                      [&](const Recipe& recipe) { return recipe.id == fromQt(recipeId); });
    });
}

void ProfileActions::putRecipe(const QString& recipeId, const QString& profileId) {
    const auto& kit = document().shoot().kit;
    const auto* profile = findProfile(kit, fromQt(profileId));
    const auto* recipe = findRecipe(kit, fromQt(recipeId));
    if (!profile || !recipe)
        return;
    const auto locked = lockedParts(*profile);
    const QString name = toQt(profile->name), recipeName = toQt(recipe->name);
    if (locked.size() == kLookParts) {
        emit refused(tr("%1 is a log profile: the camera switches its image controls off. Show the "
                        "recipe through a look LUT instead.")
                         .arg(name));
        return;
    }
    if (!replaceKit(tr("%1 in %2").arg(recipeName, name),
                    withRecipeIn(kit, fromQt(profileId), fromQt(recipeId))))
        return;
    emit told(locked.empty()
                  ? tr("%1 is in %2 and will be baked into what it records.").arg(recipeName, name)
                  : tr("%1 is in %2, without %3: its curve has none.")
                        .arg(recipeName, name, namesOf(locked)));
}

} // namespace bslate::app
