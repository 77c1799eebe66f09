#include "app/views/profiles/recipe_sheet.h"

#include "app/document/text.h"
#include "app/views/profiles/look_picture.h"
#include "app/widgets/quantity_edit.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QInputDialog>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace bslate::app {

RecipeSheet::RecipeSheet(ProfileActions& actions, const QString& profileId, const Style& style,
                         QWidget* parent)
    : QDialog(parent)
    , m_actions(actions)
    , m_profileId(profileId)
    , m_recipe(new QComboBox)
    , m_other(new QComboBox)
    , m_slot(new QComboBox)
    , m_left(new QFormLayout)
    , m_right(new QFormLayout)
    , m_told(new QLabel)
    , m_picture(new LookPicture(style)) {
    setObjectName(QStringLiteral("recipe-sheet"));
    setWindowTitle(tr("Recipes"));
    resize(760, 640);
    build();
    fill();
    connect(&actions.document(), &ShootDocument::changed, this, &RecipeSheet::fill);
    connect(&actions, &ProfileActions::told, m_told, &QLabel::setText);
    connect(&actions, &ProfileActions::refused, m_told, &QLabel::setText);
}

void RecipeSheet::addField(const QString& label, const char* name, double low, double high,
                           int decimals, std::function<double&(Look&)> part, double scale) {
    auto* edit = new QuantityEdit([=](const QString& text) -> std::optional<QString> {
        bool number = false;
        const double value = QString(text).remove(QLatin1Char('%')).trimmed().toDouble(&number);
        if (number && std::isfinite(value) && value >= low && value <= high)
            return std::nullopt;
        return tr("%1: a number from %2 to %3").arg(label).arg(low).arg(high);
    });
    edit->setObjectName(QString::fromLatin1(name));
    edit->setAccessibleName(label);
    edit->setMaximumWidth(110);
    (m_fields.size() < 6 ? m_left : m_right)->addRow(label, edit);
    connect(edit, &QuantityEdit::refused, m_told, &QLabel::setText);
    connect(edit, &QuantityEdit::entered, this, [this, part, scale, label](const QString& text) {
        const double value = QString(text).remove(QLatin1Char('%')).trimmed().toDouble();
        m_actions.changeRecipe(chosen(), tr("Recipe: %1").arg(label),
                               [&](Recipe& recipe) { part(recipe.look) = value / scale; });
    });
    m_fields.push_back({edit, std::move(part), scale, decimals});
}

void RecipeSheet::addFields() {
    // By how much each changes the picture: the ends of the curve, then its colour.
    addField(
        tr("Shoulder from, %"), "recipe-knee-point", 50, 109, 1,
        [](Look& look) -> double& { return look.tone.kneePoint; }, 100);
    addField(tr("Shoulder slope"), "recipe-knee-slope", 0.01, 1, 2,
             [](Look& look) -> double& { return look.tone.kneeSlope; });
    addField(tr("Toe"), "recipe-black-gamma", -0.5, 0.5, 2,
             [](Look& look) -> double& { return look.tone.blackGamma; });
    addField(
        tr("Lift, %"), "recipe-black-level", -10, 20, 1,
        [](Look& look) -> double& { return look.tone.blackLevel; }, 100);
    addField(tr("Colourfulness"), "recipe-saturation", 0, 2, 2,
             [](Look& look) -> double& { return look.colour.saturation; });
    auto* detail = new QComboBox;
    detail->setObjectName(QStringLiteral("recipe-detail"));
    detail->setAccessibleName(tr("Sharpening"));
    for (int i = -7; i <= 7; ++i)
        detail->addItem(QString::number(i), i);
    m_left->addRow(tr("Sharpening"), detail);
    connect(detail, &QComboBox::activated, this, [this, detail] {
        m_actions.changeRecipe(chosen(), tr("Recipe: sharpening"), [&](Recipe& recipe) {
            recipe.look.colour.detail = detail->currentData().toInt();
        });
    });
    m_fields.push_back({nullptr, {}, 1, 0}); // detail has a list of its own
    const QString hues[] = {tr("Lightness of reds"), tr("of yellows"), tr("of greens"),
                            tr("of cyans"),          tr("of blues"),   tr("of magentas")};
    for (std::size_t i = 0; i < 6; ++i)
        addField(hues[i], "recipe-depth", -1, 1, 2,
                 [i](Look& look) -> double& { return look.colour.depth[i]; });
}

QLayout* RecipeSheet::profileRow() {
    auto* slot = new QHBoxLayout;
    slot->addWidget(new QLabel(tr("Profile")));
    slot->addWidget(m_slot, 1);
    const auto button = [&](const QString& text, const char* name, auto act) {
        auto* made = new QPushButton(text);
        made->setObjectName(QString::fromLatin1(name));
        made->setAutoDefault(false);
        connect(made, &QPushButton::clicked, this, act);
        slot->addWidget(made);
    };
    button(tr("&Keep its look as a recipe"), "recipe-keep", [this] {
        const QString name = tr("%1 recipe").arg(m_slot->currentText());
        if (const QString id = m_actions.keepRecipe(m_slot->currentData().toString(), name);
            !id.isEmpty())
            choose(id);
    });
    button(tr("&Put the recipe in"), "recipe-put",
           [this] { m_actions.putRecipe(chosen(), m_slot->currentData().toString()); });
    button(tr("&Delete the recipe"), "recipe-delete", [this] { m_actions.removeRecipe(chosen()); });
    return slot;
}

void RecipeSheet::build() {
    m_recipe->setObjectName(QStringLiteral("recipe"));
    m_recipe->setAccessibleName(tr("Recipe"));
    m_other->setObjectName(QStringLiteral("recipe-other"));
    m_other->setAccessibleName(tr("Compared with"));
    m_slot->setObjectName(QStringLiteral("recipe-slot"));
    m_slot->setAccessibleName(tr("Profile"));
    m_told->setObjectName(QStringLiteral("recipe-told"));
    m_told->setWordWrap(true);
    addFields();

    auto* top = new QHBoxLayout;
    top->addWidget(m_recipe, 1);
    top->addWidget(new QLabel(tr("compared with")));
    top->addWidget(m_other, 1);
    auto* numbers = new QHBoxLayout;
    numbers->addLayout(m_left);
    numbers->addSpacing(24);
    numbers->addLayout(m_right);
    numbers->addStretch(1);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    auto* column = new QVBoxLayout(this);
    column->addLayout(top);
    column->addLayout(numbers);
    column->addWidget(m_picture, 1);
    column->addLayout(profileRow());
    column->addWidget(m_told);
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    for (auto* box : {m_recipe, m_other})
        connect(box, &QComboBox::currentIndexChanged, this, &RecipeSheet::showLooks);
}

void RecipeSheet::choose(const QString& recipeId) {
    m_recipe->setCurrentIndex(std::max(0, m_recipe->findData(recipeId)));
}

QString RecipeSheet::chosen() const {
    return m_recipe->currentData().toString();
}

void RecipeSheet::fill() {
    const auto& kit = m_actions.document().shoot().kit;
    const QString now = chosen(), other = m_other->currentData().toString();
    const QString slot = m_slot->count() > 0 ? m_slot->currentData().toString() : m_profileId;
    {
        const QSignalBlocker a(m_recipe), b(m_other);
        m_recipe->clear();
        m_other->clear();
        m_slot->clear();
        for (const auto& recipe : kit.recipes) {
            m_recipe->addItem(toQt(recipe.name), toQt(recipe.id));
            m_other->addItem(toQt(recipe.name), toQt(recipe.id));
        }
        for (const auto& profile : kit.profiles)
            m_slot->addItem(toQt(profile.name), toQt(profile.id));
        m_recipe->setCurrentIndex(std::max(0, m_recipe->findData(now)));
        m_other->setCurrentIndex(m_other->findData(other) >= 0 ? m_other->findData(other)
                                                               : m_other->count() - 1);
        m_slot->setCurrentIndex(std::max(0, m_slot->findData(slot)));
    }
    showLooks();
}

void RecipeSheet::showLooks() {
    const auto& shoot = m_actions.document().shoot();
    const auto* recipe = findRecipe(shoot.kit, fromQt(chosen()));
    const auto* other = findRecipe(shoot.kit, fromQt(m_other->currentData().toString()));
    for (auto& field : m_fields) {
        if (!field.edit)
            continue;
        field.edit->setEnabled(recipe);
        Look look = recipe ? recipe->look : Look{};
        field.edit->showValue(
            recipe ? toQt(fixedText(field.part(look) * field.scale, field.decimals)) : QString());
    }
    auto* detail = findChild<QComboBox*>(QStringLiteral("recipe-detail"));
    detail->setEnabled(recipe);
    detail->setCurrentIndex(recipe ? recipe->look.colour.detail + 7 : 7);
    if (!recipe) {
        m_told->setText(tr("No recipes yet: choose a profile below and keep its look."));
        return m_picture->show({}, {}, {});
    }
    const auto* setup = m_actions.document().setup();
    const auto at = setup ? evaluate(shoot, *setup) : Result<Evaluation>(Evaluation{});
    const auto& second = other ? *other : *recipe;
    m_picture->show(compareLooks(at ? *at : Evaluation{}, recipe->look, second.look),
                    toQt(recipe->name), toQt(second.name));
}

} // namespace bslate::app
