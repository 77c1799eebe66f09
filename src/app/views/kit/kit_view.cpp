#include "app/views/kit/kit_view.h"

#include "app/document/text.h"
#include "app/views/kit/body_picture.h"
#include "app/views/kit/camera_sheet.h"
#include "app/views/kit/gear_rows.h"
#include "app/views/kit/modes_picture.h"
#include "app/views/kit/sensor_picture.h"
#include "app/widgets/field_form.h"
#include "app/widgets/more_button.h"
#include "app/widgets/open_path.h"
#include "app/widgets/save_path.h"
#include "core/facts/open_facts.h"
#include "core/quantity/print.h"
#include "core/words/wording.h"

#include <QLabel>
#include <QPushButton>
#include <QTreeWidget>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

QString summaryOf(const Camera& camera) {
    QStringList parts;
    QStringList bases;
    for (const auto& base : camera.bases)
        bases << toQt(print(base.iso));
    parts << KitView::tr("base ISO %1").arg(bases.join(QStringLiteral(" / ")))
          << KitView::tr("%1 recording modes").arg(camera.modes.size());
    if (camera.draw.value() > 0)
        parts << toQt(print(camera.draw));
    QStringList rules;
    for (const auto& constraint : camera.constraints)
        rules << toQt(constraint.reason);
    QString text = parts.join(QStringLiteral(" \u00b7 "));
    if (!rules.isEmpty())
        text += KitView::tr("\nForbids: %1.").arg(rules.join(QStringLiteral("; ")));
    QStringList unknown;
    for (const auto fact : camera.guessed)
        unknown << toQt(reasonOf(nameOfFact(fact), translator()));
    if (!unknown.isEmpty())
        text += KitView::tr("\nNot known: %1.").arg(unknown.join(QStringLiteral(", ")));
    return text;
}

} // namespace

KitView::KitView(KitActions& actions, MyKit& mine, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_mine(mine)
    , m_style(style)
    , m_list(new QTreeWidget)
    , m_title(new QLabel)
    , m_summary(new QLabel)
    , m_picture(new SensorPicture(style))
    , m_body(new BodyPicture(style))
    , m_modes(new ModesPicture(style))
    , m_pictures(new QWidget)
    , m_describe(new QPushButton(tr("Describe\u2026 (Return)")))
    , m_refine(new QPushButton(tr("&Modes\u2026")))
    , m_beside(new QLabel)
    , m_keep(new QPushButton(tr("&Keep in My kit")))
    , m_take(new QPushButton(tr("Take My kit's")))
    , m_form(new FieldForm(QStringLiteral("gear-field"))) {
    setObjectName(QStringLiteral("kit-view"));
    setFocusPolicy(Qt::StrongFocus);
    addKeys();
    m_ask = [this](bool save) {
        const QString filter = tr("Kits (*.bskit.json)");
        return save
                   ? askSavePath(this, {tr("Export kit"), {}, filter, QStringLiteral("bskit.json")})
                   : askOpenPath(this, tr("Import kit"), filter);
    };
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(16, 14, 16, 10);
    row->setSpacing(16);
    row->addWidget(buildList());
    row->addWidget(buildPage(), 1);
    setFocusProxy(m_list);
    connect(&actions.document(), &ShootDocument::changed, this, &KitView::refresh);
    connect(&mine, &MyKit::changed, this, &KitView::refresh);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void KitView::addKeys() {
    auto& keys = keyTable();
    keys.add({{Qt::Key_Insert, [this] { add(); }}},
             QT_TRANSLATE_NOOP("Help", "add one of its kind"));
    keys.add({{Qt::Key_Delete, [this] { removeChosen(); }}},
             QT_TRANSLATE_NOOP("Help", "delete the chosen one"));
    keys.add({{Qt::Key_Return,
               [this] { return m_kind == KitPart::Camera && (describeCamera(m_id), true); }}},
             QT_TRANSLATE_NOOP("Help", "describe the camera"));
}

QWidget* KitView::buildList() {
    auto* side = new QWidget;
    side->setFixedWidth(232);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    m_list->setObjectName(QStringLiteral("gear"));
    m_list->setAccessibleName(tr("Kit"));
    m_list->setHeaderHidden(true);
    m_list->setIndentation(12);
    m_list->setRootIsDecorated(false);
    column->addWidget(m_list, 1);
    column->addLayout(buildButtons());
    connect(m_list, &QTreeWidget::currentItemChanged, this, [this](QTreeWidgetItem* item) {
        if (!item)
            return;
        m_kind = static_cast<KitPart>(item->data(0, Qt::UserRole + 1).toInt());
        m_id = item->data(0, Qt::UserRole).toString();
        showChosen();
    });
    return side;
}

// The two that begin something, and a menu for what follows.
QLayout* KitView::buildButtons() {
    auto* row = new QHBoxLayout;
    const auto button = [&](const QString& text, const char* name) {
        auto* made = new QPushButton(text);
        made->setObjectName(QString::fromLatin1(name));
        row->addWidget(made);
        return made;
    };
    connect(button(tr("Add"), "gear-add"), &QPushButton::clicked, this, &KitView::add);
    connect(button(tr("Import\u2026"), "gear-import"), &QPushButton::clicked, this, [this] {
        if (const QString path = m_ask(false); !path.isEmpty())
            m_actions.importFile(path);
    });
    auto* more = new MoreButton("gear-more");
    row->addWidget(more);
    more->entry(tr("D&uplicate this"), "gear-duplicate", [this] { duplicate(); });
    more->entry(tr("&Delete this"), "gear-delete", [this] { removeChosen(); });
    more->entry(tr("&Export this\u2026"), "gear-export", [this] {
        if (const QString path = m_ask(true); !path.isEmpty())
            m_actions.exportFile(path, m_kind, m_id);
    });
    more->entry(tr("Export the &whole kit\u2026"), "kit-export", [this] {
        if (const QString path = m_ask(true); !path.isEmpty())
            m_actions.exportFile(path, m_kind, {});
    });
    return row;
}

QWidget* KitView::buildPage() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(0, 0, 0, 0);
    m_title->setFont(Style::font(TextRole::Head));
    m_title->setObjectName(QStringLiteral("gear-title"));
    m_summary->setWordWrap(true);
    m_summary->setForegroundRole(QPalette::PlaceholderText);
    m_describe->setObjectName(QStringLiteral("gear-describe"));
    auto* head = new QHBoxLayout;
    head->addWidget(m_title, 1);
    head->addWidget(m_refine);
    head->addWidget(m_describe);
    column->addLayout(head);
    column->addWidget(m_summary);
    column->addWidget(buildMine());
    m_picture->showModes(false);
    auto* body = new QHBoxLayout;
    body->setSpacing(20);
    body->addWidget(m_picture, 1);
    body->addWidget(m_body, 1);
    auto* pictures = new QVBoxLayout(m_pictures);
    pictures->setContentsMargins(0, 8, 0, 0);
    pictures->setSpacing(12);
    pictures->addLayout(body, 2);
    pictures->addWidget(m_modes, 3);
    column->addWidget(m_pictures, 1);
    column->addWidget(m_form);
    connect(m_form, &FieldForm::refused, this, &KitView::refused);
    connect(m_form, &FieldForm::entered, this, &KitView::takeOver);
    column->addStretch(0);
    connect(m_describe, &QPushButton::clicked, this, [this] { describeCamera(m_id); });
    m_refine->setObjectName(QStringLiteral("gear-refine"));
    m_refine->setToolTip(tr("its recording modes as a lattice, refined by clips and by hand"));
    connect(m_refine, &QPushButton::clicked, this, [this] { emit latticeWanted(m_id); });
    return page;
}

QWidget* KitView::buildMine() {
    auto* strip = new QWidget;
    auto* row = new QHBoxLayout(strip);
    row->setContentsMargins(0, 0, 0, 0);
    m_beside->setObjectName(QStringLiteral("gear-beside"));
    m_beside->setTextFormat(Qt::PlainText);
    m_beside->setWordWrap(true);
    row->addWidget(m_beside, 1);
    auto* all = new QPushButton(tr("Both kits\u2026"));
    for (const auto& [button, name] :
         {std::pair(m_take, "gear-take"), std::pair(m_keep, "gear-keep"),
          std::pair(all, "gear-both")}) {
        button->setObjectName(QString::fromLatin1(name));
        row->addWidget(button);
    }
    const auto chosen = [this] { return std::vector<MyKit::Part>{{m_kind, m_id}}; };
    connect(m_keep, &QPushButton::clicked, this, [this, chosen] { m_mine.keep(chosen()); });
    connect(m_take, &QPushButton::clicked, this, [this, chosen] { m_mine.take(chosen()); });
    connect(all, &QPushButton::clicked, this,
            [this] { emit sheetRequested(QStringLiteral("my-kit")); });
    return strip;
}

// How the chosen thing stands in My kit, and what can be done about it.
void KitView::showMine() {
    const auto one = m_mine.beside(m_kind, m_id);
    m_keep->setVisible(one && one->state != PartState::Same);
    m_take->setVisible(one && one->state == PartState::Differs);
    m_beside->setText(!one                            ? QString()
                      : one->state == PartState::Same ? tr("As in My kit.")
                      : one->state == PartState::Differs
                          ? tr("Differs from My kit: %1.").arg(differingFields(*one))
                          : tr("In this shoot only, not in My kit."));
}

void KitView::fillList() {
    const QSignalBlocker quiet(m_list);
    m_list->clear();
    const auto& kit = m_actions.document().shoot().kit;
    QTreeWidgetItem* chosen = nullptr;
    for (const auto kind : kGear) {
        auto* group = new QTreeWidgetItem(m_list, {headingOf(kind)});
        group->setData(0, Qt::UserRole + 1, static_cast<int>(kind));
        group->setFont(0, Style::font(TextRole::Title));
        for (const auto& [id, name] : itemsOf(kit, kind)) {
            auto* item = new QTreeWidgetItem(group, {name});
            item->setData(0, Qt::UserRole, id);
            item->setData(0, Qt::UserRole + 1, static_cast<int>(kind));
            if (kind == m_kind && id == m_id)
                chosen = item;
        }
        group->setExpanded(true);
    }
    if (!chosen) { // what was chosen is gone: the first of its kind, or the group
        auto* group = m_list->topLevelItem(static_cast<int>(m_kind));
        chosen = group->childCount() > 0 ? group->child(0) : group;
        m_id = chosen->data(0, Qt::UserRole).toString();
    }
    m_list->setCurrentItem(chosen);
}

void KitView::choose(KitPart kind, const QString& id) {
    m_kind = kind;
    m_id = id;
    fillList();
    showChosen();
}

void KitView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (m_id.isEmpty())
        if (const auto* setup = m_actions.document().setup())
            m_id = toQt(setup->camera);
    refresh();
}

void KitView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    fillList();
    showChosen();
}

void KitView::showChosen() {
    const auto& shoot = m_actions.document().shoot();
    const auto* camera = m_kind == KitPart::Camera ? findCamera(shoot.kit, fromQt(m_id)) : nullptr;
    m_describe->setVisible(camera);
    m_refine->setVisible(camera);
    m_pictures->setVisible(camera);
    m_summary->setVisible(true);
    QString name = headingOf(m_kind);
    for (const auto& [id, text] : itemsOf(shoot.kit, m_kind))
        if (id == m_id)
            name = text;
    m_title->setText(name);
    m_summary->setText(
        camera ? summaryOf(*camera)
        : m_id.isEmpty()
            ? tr("Nothing here yet: Insert adds a %1, Import reads a kit file.").arg(nameOf(m_kind))
            : QString());
    if (camera) {
        const auto* setup = m_actions.document().setup();
        const auto* lens = setup ? findLens(shoot.kit, setup->lens) : nullptr;
        std::optional<Millimetres> focal;
        if (lens && lens->shortest.value() > 0)
            focal = setup->focal.value() > 0 ? setup->focal : lens->shortest;
        m_picture->show(*camera, lens ? toQt(lens->name) : QString(), focal);
        m_body->show(*camera, shoot.snrFloor);
        m_modes->show(*camera, focal);
    }
    showFields();
    showMine();
}

void KitView::showFields() {
    m_form->clear();
    const auto rows = gearRows(m_actions.document().shoot().kit, m_kind, m_id);
    m_form->setVisible(!rows.empty());
    for (const auto& row : rows)
        m_form->add(row.look, row.text,
                    [check = row.check](const QString& text) { return problemOf(check(text)); });
}

void KitView::takeOver(const QString& key, const QString& text) {
    for (const auto& row : gearRows(m_actions.document().shoot().kit, m_kind, m_id))
        if (toQt(row.look.key) == key &&
            !m_actions.change(tr("%1: %2").arg(m_title->text(), row.look.name()),
                              [&](Kit& kit) { row.put(kit, text); }))
            return showFields(); // the kit as a whole refused: the old value stands again
}

void KitView::describeCamera(const QString& id) {
    const auto value = m_actions.document().value();
    const auto* camera = findCamera(value->kit, fromQt(id));
    if (!camera)
        return;
    describe(*camera);
}

void KitView::describeNewCamera() {
    describe(m_actions.freshCamera());
}

void KitView::describe(const Camera& camera) {
    const auto value = m_actions.document().value(); // the sheet refers to its kit
    CameraSheet sheet(value->kit, camera, m_style, this);
    if (sheet.exec() == QDialog::Accepted && m_actions.putCamera(sheet.result()))
        choose(KitPart::Camera, toQt(camera.id));
}

void KitView::add() {
    if (m_kind == KitPart::Camera)
        return describeNewCamera();
    const QString id = m_actions.add(m_kind);
    if (id.isEmpty())
        return;
    choose(m_kind, id);
    if (auto* first = m_form->findChild<QuantityEdit*>()) {
        first->setFocus();
        first->selectAll();
    }
}

void KitView::duplicate() {
    if (const QString id = m_actions.duplicate(m_kind, m_id); !id.isEmpty())
        choose(m_kind, id);
}

void KitView::removeChosen() {
    if (!m_id.isEmpty())
        m_actions.remove(m_kind, m_id);
}

} // namespace bslate::app
