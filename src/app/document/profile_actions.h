#pragma once

#include "app/document/kit_actions.h"

#include <QObject>

namespace bslate::app {

/// What a person can do to profiles and recipes, as named undoable edits of the kit.
class ProfileActions : public QObject {
    Q_OBJECT

public:
    explicit ProfileActions(KitActions& kit, QObject* parent = nullptr);

    [[nodiscard]] ShootDocument& document() { return m_kit.document(); }

    /// Adds a profile to the kit and to these cameras; returns its id, empty after a refusal.
    QString add(const Profile& profile, const std::vector<std::string>& cameras);
    /// Removes a profile with what was measured in it; refuses while a setup records in either.
    void remove(const QString& id);
    void rename(const QString& id, const QString& name);
    /// The measured profile beside the nominal one; returns its id, empty after a refusal.
    QString addMeasured(const Measurement& measurement, const Curve& curve);
    /// Gives the selected setup this profile.
    void useInSetup(const QString& id);

    /// A recipe from a slot's look; returns its id.
    QString keepRecipe(const QString& profileId, const QString& name);
    void changeRecipe(const QString& recipeId, const QString& what,
                      const std::function<void(Recipe&)>& change);
    void removeRecipe(const QString& recipeId);
    /// Puts a recipe into a slot; tells what the slot does not take.
    void putRecipe(const QString& recipeId, const QString& profileId);

signals:
    void refused(const QString& message);
    void told(const QString& message);

private:
    bool replaceKit(const QString& name, const Result<Kit>& kit);

    KitActions& m_kit;
};

/// The name of a look control, translated.
[[nodiscard]] QString nameOf(LookPart part);
[[nodiscard]] QString namesOf(const std::vector<LookPart>& parts);

} // namespace bslate::app
