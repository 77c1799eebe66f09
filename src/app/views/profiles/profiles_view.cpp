#include "app/views/profiles/profiles_view.h"

#include "app/document/text.h"
#include "app/views/profiles/curve_picture.h"
#include "app/views/profiles/gamut_picture.h"
#include "app/views/profiles/import_dialog.h"
#include "app/views/profiles/ramp_picture.h"
#include "app/widgets/more_button.h"
#include "app/widgets/open_path.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"

#include <QComboBox>
#include <QKeyEvent>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {

ProfilesView::ProfilesView(ProfileActions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_list(new QListWidget)
    , m_compare(new QComboBox)
    , m_title(new QLabel)
    , m_summary(new QLabel)
    , m_curves(new CurvePicture(style))
    , m_gamuts(new GamutPicture(style))
    , m_ramps(new RampPicture(style)) {
    setObjectName(QStringLiteral("profiles-view"));
    addKeys();
    m_ask = [this] {
        return askOpenPath(this, tr("Import a curve"),
                           tr("Curves (*.cube *.clf *.ctf *.spi1d *.spi3d *.ocio)"));
    };
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(16, 8, 16, 10);
    row->setSpacing(16);
    row->addWidget(buildSide());
    row->addWidget(buildPage(), 1);
    setFocusProxy(m_list);
    connect(&actions.document(), &ShootDocument::changed, this, &ProfilesView::refresh);
    connect(&actions.document(), &ShootDocument::selectionChanged, this, &ProfilesView::refresh);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void ProfilesView::addKeys() {
    auto& keys = keyTable();
    const auto sheet = [this](const char* name) {
        return [this, name] { emit sheetRequested(QLatin1String(name)); };
    };
    keys.add({{Qt::Key_Return, [this] { m_actions.useInSetup(m_id); }}},
             QT_TRANSLATE_NOOP("Help", "use the profile in the setup"));
    keys.add({{Qt::Key_F2, [this] { m_list->editItem(m_list->currentItem()); }}},
             QT_TRANSLATE_NOOP("Help", "rename it"));
    keys.add({{Qt::Key_Insert,
               [this] {
                   if (const QString path = m_ask(); !path.isEmpty())
                       importFile(path);
               }}},
             QT_TRANSLATE_NOOP("Help", "import a curve"));
    keys.add({{Qt::Key_Delete, [this] { m_actions.remove(m_id); }}},
             QT_TRANSLATE_NOOP("Help", "delete it"));
    keys.add({{Qt::Key_R, sheet("recipes")}, {Qt::Key_L, sheet("lut")}},
             QT_TRANSLATE_NOOP("Help", "recipes, LUT"));
}

QWidget* ProfilesView::buildSide() {
    auto* side = new QWidget;
    side->setFixedWidth(232);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    m_list->setObjectName(QStringLiteral("profiles"));
    m_list->setAccessibleName(tr("Profiles"));
    m_list->installEventFilter(this); // letters are commands here, not a search
    column->addWidget(m_list, 1);
    column->addLayout(buildButtons());
    connect(m_list, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
        if (!item)
            return;
        m_id = item->data(Qt::UserRole).toString();
        showCurves();
    });
    connect(m_list, &QListWidget::itemChanged, this, [this](const QListWidgetItem* item) {
        // The list is filled anew, which must not happen under the editor that is closing.
        const auto rename = [this, id = item->data(Qt::UserRole).toString(), name = item->text()] {
            m_actions.rename(id, name);
            fillLists();
        };
        QMetaObject::invokeMethod(this, rename, Qt::QueuedConnection);
    });
    return side;
}

// The two that begin something, and a menu for what follows.
QLayout* ProfilesView::buildButtons() {
    auto* row = new QHBoxLayout;
    const auto button = [&](const QString& text, const QString& tip, const char* name, auto act) {
        auto* made = new QPushButton(text);
        made->setObjectName(QString::fromLatin1(name));
        made->setToolTip(tip);
        connect(made, &QPushButton::clicked, this, act);
        row->addWidget(made);
    };
    button(tr("Use it"), tr("Use in the setup (Return)"), "profile-use",
           [this] { m_actions.useInSetup(m_id); });
    button(tr("Import\u2026"), tr("Import a curve from a file (Insert)"), "profile-import", [this] {
        if (const QString path = m_ask(); !path.isEmpty())
            importFile(path);
    });
    auto* more = new MoreButton("profile-more");
    row->addWidget(more);
    more->entry(tr("Import from the &colour library\u2026"), "profile-library",
                [this] { importFromLibrary(); });
    more->entry(tr("&Recipes\tR"), "profile-recipes",
                [this] { emit sheetRequested(QStringLiteral("recipes")); });
    more->entry(tr("&LUT of the setup\u2026\tL"), "profile-lut",
                [this] { emit sheetRequested(QStringLiteral("lut")); });
    more->entry(tr("Re&name\tF2"), "profile-rename",
                [this] { m_list->editItem(m_list->currentItem()); });
    more->entry(tr("&Delete\tDel"), "profile-delete", [this] { m_actions.remove(m_id); });
    return row;
}

QWidget* ProfilesView::buildPage() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    m_title->setFont(Style::font(TextRole::Head));
    m_title->setObjectName(QStringLiteral("profile-title"));
    m_summary->setObjectName(QStringLiteral("profile-summary"));
    m_summary->setWordWrap(true);
    m_summary->setForegroundRole(QPalette::PlaceholderText);
    m_compare->setObjectName(QStringLiteral("profile-compare"));
    m_compare->setAccessibleName(tr("Compare with"));
    m_compare->setMinimumWidth(190);
    auto* head = new QHBoxLayout;
    head->addWidget(m_title, 1);
    head->addWidget(m_compare);
    column->addLayout(head);
    column->addWidget(m_summary);
    column->addWidget(m_curves, 3);
    auto* below = new QHBoxLayout;
    below->setSpacing(20);
    below->addWidget(m_gamuts, 2);
    below->addWidget(m_ramps, 3);
    column->addLayout(below, 2);
    connect(m_compare, &QComboBox::currentIndexChanged, this, [this] {
        m_other = m_compare->currentData().toString();
        showCurves();
    });
    return page;
}

void ProfilesView::fillLists() {
    const auto& kit = m_actions.document().shoot().kit;
    const QSignalBlocker quietList(m_list), quietCompare(m_compare);
    m_list->clear();
    m_compare->clear();
    m_compare->addItem(tr("Compare with nothing"), QString());
    for (const auto& profile : kit.profiles) {
        auto* item = new QListWidgetItem(toQt(profile.name), m_list);
        item->setData(Qt::UserRole, toQt(profile.id));
        item->setFlags(item->flags() | Qt::ItemIsEditable); // F2
        m_compare->addItem(tr("with %1").arg(toQt(profile.name)), toQt(profile.id));
    }
    if (!findProfile(kit, fromQt(m_id)))
        m_id = kit.profiles.empty() ? QString() : toQt(kit.profiles.front().id);
    if (!findProfile(kit, fromQt(m_other)))
        m_other.clear();
    for (int i = 0; i < m_list->count(); ++i)
        if (m_list->item(i)->data(Qt::UserRole).toString() == m_id)
            m_list->setCurrentRow(i);
    m_compare->setCurrentIndex(std::max(0, m_compare->findData(m_other)));
}

void ProfilesView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    fillLists();
    showCurves();
}

void ProfilesView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (m_id.isEmpty())
        if (const auto* setup = m_actions.document().setup())
            m_id = toQt(setup->profile);
    refresh();
}

void ProfilesView::choose(const QString& id) {
    m_id = id;
    refresh();
}

void ProfilesView::compareWith(const QString& id) {
    m_other = id;
    refresh();
}

QString ProfilesView::summary() const {
    return m_summary->text();
}

namespace {

QString summaryOf(const Kit& kit, const Profile& profile) {
    const BitDepth depth{10};
    QStringList parts;
    parts << ProfilesView::tr("mid-grey at %1")
                 .arg(toQt(print(levelAt(profile.curve, Stops(0), depth))))
          << ProfilesView::tr("ends at %1, %2 stops over it")
                 .arg(toQt(print(
                          levelOf(endSignal(profile.curve, depth), profile.curve.range, depth))),
                      toQt(print(endStops(profile.curve, depth))))
          << toQt(profile.gamutName);
    QStringList cameras;
    for (const auto& camera : kit.cameras)
        if (std::find(camera.profiles.begin(), camera.profiles.end(), profile.id) !=
            camera.profiles.end())
            cameras << toQt(camera.name);
    parts << (cameras.isEmpty() ? ProfilesView::tr("in no camera")
                                : cameras.join(QStringLiteral(", ")));
    if (!profile.recipe.empty())
        parts << ProfilesView::tr("recipe %1").arg(toQt(profile.recipe));
    const auto baked = bakedParts(profile);
    if (!baked.empty())
        parts << ProfilesView::tr("baked: %1").arg(namesOf(baked));
    if (!profile.locks.empty())
        parts << ProfilesView::tr("locks image controls");
    if (const auto& measured = profile.measured)
        parts << ProfilesView::tr("measured on this body at %1, %2 readings, %3 codes rms")
                     .arg(toQt(print(measured->base)))
                     .arg(measured->readings.size())
                     .arg(tenBitCodes(measured->rms), 0, 'f', 1);
    return parts.join(QStringLiteral(" \u00b7 "));
}

} // namespace

void ProfilesView::showCurves() {
    const auto& shoot = m_actions.document().shoot();
    const auto* first = findProfile(shoot.kit, fromQt(m_id));
    const auto* second = findProfile(shoot.kit, fromQt(m_other));
    m_title->setText(first ? toQt(first->name) : tr("No profiles"));
    m_summary->setText(first ? summaryOf(shoot.kit, *first)
                             : tr("Insert imports a curve from a file; a camera described on the "
                                  "Gear page brings its own."));
    const auto curveOf = [](const Profile* profile) -> std::optional<CurvePicture::Shown> {
        if (!profile)
            return std::nullopt;
        return CurvePicture::Shown{toQt(profile->name), profile->curve, BitDepth{10}, {}, {}};
    };
    const auto gamutOf = [](const Profile* profile) -> std::optional<GamutPicture::Shown> {
        if (!profile)
            return std::nullopt;
        return GamutPicture::Shown{toQt(profile->gamutName), profile->gamut};
    };
    auto shown = curveOf(first);
    const auto* setup = m_actions.document().setup();
    if (setup && first && setup->profile == first->id)
        if (const auto at = evaluate(shoot, *setup)) {
            shown->depth = at->depth;
            shown->clip = at->clip;
            shown->floor = at->noiseFloor;
        }
    m_curves->show(shown, curveOf(second));
    m_gamuts->show(gamutOf(first), gamutOf(second));
    showRamp();
}

void ProfilesView::showRamp() {
    const auto& shoot = m_actions.document().shoot();
    const auto* setup = m_actions.document().setup();
    if (!setup)
        return m_ramps->clear(tr("A setup says which camera records: the ramp needs its noise."));
    Setup tried = *setup;
    tried.profile = fromQt(m_id);
    const auto context = resolve(shoot, tried);
    if (!context)
        return m_ramps->clear(messageOf(context.error()));
    m_ramps->show(*context);
}

void ProfilesView::take(ImportDialog& dialog) {
    if (dialog.exec() != QDialog::Accepted)
        return;
    if (const QString id = m_actions.add(dialog.profile(), dialog.cameras()); !id.isEmpty())
        choose(id);
}

void ProfilesView::importFile(const QString& path) {
    const auto value = m_actions.document().value(); // the dialog refers to its kit
    ImportDialog dialog(value->kit, m_style, this);
    dialog.readFile(path);
    take(dialog);
}

void ProfilesView::importFromLibrary() {
    const auto value = m_actions.document().value();
    ImportDialog dialog(value->kit, m_style, this);
    dialog.useLibrary();
    take(dialog);
}

bool ProfilesView::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_list && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->key() == Qt::Key_R || key->key() == Qt::Key_L)
            return keyTable().press(*key);
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace bslate::app
