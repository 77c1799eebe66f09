#include "app/views/recipes/recipes_view.h"

#include "app/document/text.h"
#include "app/views/recipes/hue_ring.h"
#include "app/views/recipes/look_scene.h"
#include "app/views/recipes/tone_picture.h"
#include "app/widgets/quantity_edit.h"
#include "core/base/find_by_id.h"
#include "core/facts/evaluate.h"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {

const QString kSlot = QStringLiteral("slot"), kPlain = QStringLiteral("plain");

} // namespace

RecipesView::RecipesView(ProfileActions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_recipe(new QComboBox)
    , m_other(new QComboBox)
    , m_profile(new QComboBox)
    , m_detail(new QComboBox)
    , m_scene(new LookScene(style))
    , m_tone(new TonePicture(style))
    , m_hues(new HueRing(style))
    , m_handleName(new QLabel)
    , m_number(
          quantityField("recipe-number", tr("Number of the handle"), [this](const QString& text) {
              return parsed(m_held, text) ? std::nullopt : std::optional(rangeOf(m_held));
          })) {
    setObjectName(QStringLiteral("recipes-view"));
    addKeys();
    build();
    connectPictures();
    auto& document = m_actions.document();
    connect(&document, &ShootDocument::changed, this, &RecipesView::refresh);
    connect(&document, &ShootDocument::selectionChanged, this, &RecipesView::refresh);
    setFocusPolicy(Qt::StrongFocus);
    setFocusProxy(m_tone);
    m_tone->setHeld(m_held);
}

void RecipesView::addKeys() {
    auto& keys = keyTable();
    keys.include(m_tone->keys());
    keys.add({{Qt::Key_K, [this] { nextBeside(); }}},
             QT_TRANSLATE_NOOP("Help", "next look beside the recipe"),
             QT_TRANSLATE_NOOP("Help", "beside"));
    keys.add({{Qt::Key_Insert, [this] { keepRecipe(); }}},
             QT_TRANSLATE_NOOP("Help", "keep the profile's look as a recipe"));
    keys.add({{Qt::Key_P, [this] { putRecipe(); }}},
             QT_TRANSLATE_NOOP("Help", "put the recipe into the profile"));
}

void RecipesView::nextBeside() {
    m_other->setCurrentIndex((m_other->currentIndex() + 1) % std::max(1, m_other->count()));
    showLooks();
}

void RecipesView::build() {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 14, 16, 10);
    column->setSpacing(8);
    buildHeader(*column);
    column->addWidget(m_scene, 3);
    auto* row = new QHBoxLayout;
    row->setSpacing(12);
    row->addWidget(m_tone, 3);
    row->addWidget(m_hues, 2);
    column->addLayout(row, 2);
    buildNumber(*column);
}

void RecipesView::buildHeader(QVBoxLayout& column) {
    const auto box = [](QComboBox& of, const char* name, const QString& spoken, int wide) {
        of.setObjectName(QString::fromLatin1(name));
        of.setAccessibleName(spoken);
        of.setFixedWidth(wide);
    };
    box(*m_recipe, "recipe", tr("Recipe"), 170);
    box(*m_other, "recipe-other", tr("Compared with"), 170);
    box(*m_profile, "recipe-slot", tr("Profile"), 130);
    auto* row = new QHBoxLayout;
    row->addWidget(m_recipe);
    row->addWidget(new QLabel(tr("beside")));
    row->addWidget(m_other);
    row->addStretch(1);
    row->addWidget(m_profile);
    const auto button = [&](const QString& text, const QString& tip, const char* name, auto act) {
        auto* made = new QPushButton(text);
        made->setObjectName(QString::fromLatin1(name));
        made->setToolTip(tip);
        connect(made, &QPushButton::clicked, this, act);
        row->addWidget(made);
    };
    button(tr("Keep"), tr("Keep the profile's look as a recipe (Insert)"), "recipe-keep",
           &RecipesView::keepRecipe);
    button(tr("Put in"), tr("Put the recipe into the profile (P)"), "recipe-put",
           &RecipesView::putRecipe);
    button(tr("Delete"), tr("Delete the recipe"), "recipe-delete", &RecipesView::deleteRecipe);
    column.addLayout(row);
}

void RecipesView::buildNumber(QVBoxLayout& column) {
    m_handleName->setObjectName(QStringLiteral("recipe-handle"));
    m_number->setFixedWidth(90);
    m_detail->setObjectName(QStringLiteral("recipe-detail"));
    m_detail->setAccessibleName(tr("Crispness of edges"));
    for (int i = -7; i <= 7; ++i)
        m_detail->addItem(i > 0 ? QStringLiteral("+%1").arg(i) : QString::number(i), i);
    auto* row = new QHBoxLayout;
    row->addWidget(m_handleName);
    row->addWidget(m_number);
    row->addSpacing(12);
    row->addWidget(hintLabel());
    row->addStretch(1);
    row->addWidget(new QLabel(tr("Edges")));
    row->addWidget(m_detail);
    column.addLayout(row);
}

void RecipesView::connectPictures() {
    for (auto* picture : std::initializer_list<HandlePicture*>{m_tone, m_hues}) {
        connect(picture, &HandlePicture::chosen, this, &RecipesView::hold);
        connect(picture, &HandlePicture::dragged, this, [this](const Look& look) {
            m_dragged = look;
            showLooks();
        });
        connect(picture, &HandlePicture::changed, this, &RecipesView::change);
        connect(picture, &HandlePicture::numberWanted, this, [this] {
            m_number->setFocus();
            m_number->selectAll();
        });
    }
    connect(m_number, &QuantityEdit::refused, this, &RecipesView::refused);
    connect(m_number, &QuantityEdit::entered, this, [this](const QString& text) {
        if (const auto* own = recipe())
            change(m_held, withValue(own->look, m_held, *parsed(m_held, text)));
    });
    for (auto* box : {m_recipe, m_other})
        connect(box, &QComboBox::activated, this, &RecipesView::showLooks);
    connect(m_detail, &QComboBox::activated, this, [this] {
        m_actions.changeRecipe(chosen(), tr("Recipe: edges"), [&](Recipe& changed) {
            changed.look.colour.detail = m_detail->currentData().toInt();
        });
    });
}

void RecipesView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void RecipesView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    m_dragged.reset();
    fillLists();
    showScene();
    showLooks();
}

void RecipesView::fillLists() {
    const auto& kit = m_actions.document().shoot().kit;
    const auto* setup = m_actions.document().setup();
    const auto refill = [](QComboBox& box, const auto& fill, const QString& first) {
        const QString kept = box.count() > 0 ? box.currentData().toString() : first;
        box.clear();
        fill(box);
        box.setCurrentIndex(std::max(0, box.findData(kept)));
    };
    QString own; // the recipe of the setup's profile
    const auto* profile = setup ? findProfile(kit, setup->profile) : nullptr;
    for (const auto& one : kit.recipes)
        if (profile && one.name == profile->recipe)
            own = toQt(one.id);
    refill(
        *m_recipe,
        [&](QComboBox& box) {
            for (const auto& one : kit.recipes)
                box.addItem(toQt(one.name), toQt(one.id));
        },
        own);
    refill(
        *m_other,
        [&](QComboBox& box) {
            box.addItem(tr("neutral"), kPlain);
            if (profile && profile->ready)
                box.addItem(tr("%1 as it is").arg(toQt(profile->name)), kSlot);
            for (const auto& one : kit.recipes)
                box.addItem(toQt(one.name), toQt(one.id));
        },
        kPlain);
    refill(
        *m_profile,
        [&](QComboBox& box) {
            for (const auto& one : kit.profiles)
                box.addItem(toQt(one.name), toQt(one.id));
        },
        setup ? toQt(setup->profile) : QString());
}

const Recipe* RecipesView::recipe() const {
    return findRecipe(m_actions.document().shoot().kit, fromQt(chosen()));
}

Look RecipesView::otherLook() const {
    const auto& kit = m_actions.document().shoot().kit;
    const QString id = m_other->currentData().toString();
    const auto* setup = m_actions.document().setup();
    if (id == kSlot && setup)
        if (const auto* profile = findProfile(kit, setup->profile))
            return lookOf(*profile);
    const auto* other = findRecipe(kit, fromQt(id));
    return other ? other->look : neutralLook();
}

// The scene changes with the setup, never with a look.
void RecipesView::showScene() {
    auto& document = m_actions.document();
    if (m_sceneOf == document.value() && m_sceneFor == document.setupId())
        return;
    m_sceneOf = document.value();
    m_sceneFor = document.setupId();
    const auto* setup = document.setup();
    const auto context = setup ? resolve(document.shoot(), *setup) : Result<SetupContext>(Error{});
    m_scene->setScene(context ? &*context : nullptr, context ? document.evaluation() : nullptr);
}

void RecipesView::showLooks() {
    const auto* own = recipe();
    for (QWidget* part : std::initializer_list<QWidget*>{m_tone, m_hues, m_number, m_detail})
        part->setEnabled(own);
    const Look look = m_dragged ? *m_dragged : own ? own->look : Look{};
    const Look other = otherLook();
    m_tone->show(look, other);
    m_hues->show(look, other);
    m_scene->showLooks(other, m_other->currentText(), look,
                       own ? toQt(own->name) : tr("no recipe: keep a profile's look"),
                       m_dragged.has_value());
    m_handleName->setText(nameOf(m_held));
    m_number->showValue(own ? textOf(look, m_held) : QString());
    m_detail->setCurrentIndex(look.colour.detail + 7);
}

void RecipesView::hold(LookHandle handle) {
    m_held = handle;
    const bool tone = static_cast<int>(handle) < kToneHandles;
    (tone ? static_cast<HandlePicture*>(m_tone) : m_hues)->setHeld(handle);
    showLooks();
}

void RecipesView::change(LookHandle handle, const Look& look) {
    m_dragged.reset();
    m_actions.changeRecipe(chosen(), tr("Recipe: %1").arg(nameOf(handle)),
                           [&](Recipe& changed) { changed.look = look; });
    showLooks();
}

void RecipesView::keepRecipe() {
    const QString name = tr("%1 recipe").arg(m_profile->currentText());
    if (const QString id = m_actions.keepRecipe(m_profile->currentData().toString(), name);
        !id.isEmpty())
        choose(id);
}

void RecipesView::putRecipe() {
    m_actions.putRecipe(chosen(), m_profile->currentData().toString());
}

void RecipesView::deleteRecipe() {
    m_actions.removeRecipe(chosen());
}

void RecipesView::choose(const QString& recipeId) {
    m_recipe->setCurrentIndex(std::max(0, m_recipe->findData(recipeId)));
    showLooks();
}

QString RecipesView::chosen() const {
    return m_recipe->currentData().toString();
}

} // namespace bslate::app
