#pragma once

#include "app/document/profile_actions.h"
#include "app/style/style.h"
#include "app/views/recipes/look_handle.h"
#include "app/views/step_view.h"

#include <optional>

class QComboBox;
class QLabel;
class QPushButton;
class QVBoxLayout;

namespace bslate::app {

class HueRing;
class LookScene;
class QuantityEdit;
class TonePicture;

/// Recipes as pictures: the selected setup's scene before and after, the tone curve with its ends
/// to drag, and six hues to pull. A recipe is kept from a profile's look, changed here, and put
/// into other profiles.
class RecipesView : public StepView {
    Q_OBJECT

public:
    RecipesView(ProfileActions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();
    void choose(const QString& recipeId);
    [[nodiscard]] QString chosen() const; ///< id; empty when there is none

    [[nodiscard]] TonePicture& tone() { return *m_tone; }
    [[nodiscard]] HueRing& hues() { return *m_hues; }
    [[nodiscard]] LookScene& scene() { return *m_scene; }

protected:
    void showEvent(QShowEvent* event) override;

private:
    void addKeys();
    void nextBeside();
    void build();
    void buildHeader(QVBoxLayout& column);
    void buildNumber(QVBoxLayout& column);
    void connectPictures();
    void fillLists();
    void showScene();
    void showLooks();
    void hold(LookHandle handle);
    void change(LookHandle handle, const Look& look);
    void keepRecipe();
    void putRecipe();
    void deleteRecipe();
    [[nodiscard]] const Recipe* recipe() const;
    [[nodiscard]] Look otherLook() const;

    ProfileActions& m_actions;
    const Style& m_style;
    QComboBox *m_recipe, *m_other, *m_profile, *m_detail;
    LookScene* m_scene;
    TonePicture* m_tone;
    HueRing* m_hues;
    QLabel* m_handleName;
    QuantityEdit* m_number;
    LookHandle m_held = LookHandle::Shoulder;
    std::optional<Look> m_dragged; ///< while a hand moves it
    ShootDocument::Value m_sceneOf;
    QString m_sceneFor;
};

} // namespace bslate::app
