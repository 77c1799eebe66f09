#pragma once

#include "app/document/profile_actions.h"
#include "app/style/style.h"

#include <QDialog>

#include <functional>

class QComboBox;
class QFormLayout;
class QLabel;
class QLayout;

namespace bslate::app {

class LookPicture;
class QuantityEdit;

/// Recipes: kept from a profile slot, changed by number, put into other slots, and two of them
/// compared on the selected setup's scene.
class RecipeSheet : public QDialog {
    Q_OBJECT

public:
    RecipeSheet(ProfileActions& actions, const QString& profileId, const Style& style,
                QWidget* parent = nullptr);

    void choose(const QString& recipeId);
    [[nodiscard]] QString chosen() const;

private:
    void build();
    void addFields();
    [[nodiscard]] QLayout* profileRow();
    void addField(const QString& label, const char* name, double low, double high, int decimals,
                  std::function<double&(Look&)> part, double scale = 1.0);
    void fill();
    void showLooks();

    struct Field {
        QuantityEdit* edit;
        std::function<double&(Look&)> part;
        double scale;
        int decimals;
    };

    ProfileActions& m_actions;
    QString m_profileId;
    QComboBox* m_recipe;
    QComboBox* m_other;
    QComboBox* m_slot;
    QFormLayout* m_left;
    QFormLayout* m_right;
    std::vector<Field> m_fields;
    QLabel* m_told;
    LookPicture* m_picture;
};

} // namespace bslate::app
