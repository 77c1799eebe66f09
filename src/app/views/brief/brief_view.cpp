#include "app/views/brief/brief_view.h"

#include "app/document/text.h"
#include "app/views/brief/brief_bar.h"
#include "app/views/brief/days_band.h"
#include "app/views/brief/patch_row.h"
#include "app/views/brief/scene_entry.h"
#include "app/views/brief/scene_picture.h"
#include "app/widgets/quantity_edit.h"
#include "core/shoot/scene_line_text.h"

#include <QCheckBox>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QSpinBox>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

std::optional<QString> anything(const QString&) {
    return std::nullopt;
}

std::optional<QString> nameCheck(const QString& text) {
    return text.trimmed().isEmpty()
               ? std::optional(QObject::tr("A scene needs a name people will know it by."))
               : std::nullopt;
}

bool& hazardOf(Hazards& hazards, int index) {
    bool* const all[] = {&hazards.sun, &hazards.water, &hazards.mains, &hazards.heights};
    return *all[index];
}

} // namespace

BriefView::BriefView(Actions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_bar(new BriefBar(actions, style))
    , m_entry(new SceneEntry(style))
    , m_days(new DaysBand(style))
    , m_picture(new ScenePicture(actions, style))
    , m_empty(
          new QLabel(tr("For example: 1A harbour ext dawn 108lx talk 6min. The meter's reading, "
                        "or a word such as overcast, becomes its light."))) {
    setObjectName(QStringLiteral("brief-view"));
    setFocusPolicy(Qt::StrongFocus);
    keyTable().include(m_days->keys());
    keyTable().add({{Qt::Key_Insert, [this] { scene() ? addPatch() : beginScene(); }}},
                   QT_TRANSLATE_NOOP("Help", "add a patch; without a scene, type one"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 12, 16, 10);
    column->setSpacing(8);
    column->addWidget(m_bar);
    column->addWidget(m_entry);
    column->addWidget(buildDays(), 1);
    column->addWidget(buildScenePage(), 2);
    m_empty->setWordWrap(true);
    m_empty->setAlignment(Qt::AlignLeft | Qt::AlignTop);
    m_empty->setForegroundRole(QPalette::PlaceholderText);
    column->addWidget(m_empty, 4);
    connect(&actions.document(), &ShootDocument::changed, this, &BriefView::refresh);
    connect(&actions.document(), &ShootDocument::selectionChanged, this, [this] {
        if (const auto* now = m_actions.document().scene())
            m_sceneId = toQt(now->id);
        refresh();
    });
    connect(m_bar, &BriefBar::refused, this, &BriefView::refused);
    connect(m_entry, &SceneEntry::refused, this, &BriefView::refused);
    connect(m_entry, &SceneEntry::entered, this, &BriefView::enterLine);
    connect(m_picture, &ScenePicture::typeRequested, this, [this](const QString& patchId) {
        for (auto* patchRow : m_rows)
            if (patchRow->id() == patchId && !patchRow->isHidden())
                patchRow->focusReading();
    });
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    refresh();
}

QWidget* BriefView::buildDays() {
    m_daysScroll = new QScrollArea;
    m_daysScroll->setWidget(m_days);
    m_daysScroll->setWidgetResizable(true);
    m_daysScroll->setFocusPolicy(Qt::NoFocus);
    m_daysScroll->setMinimumHeight(196); // two days
    m_daysScroll->viewport()->setAutoFillBackground(false);
    m_days->setAutoFillBackground(false);
    connect(m_days, &DaysBand::selected, this, &BriefView::select);
    connect(m_days, &PickCanvas::currentAt, this, [this](QRect slate) {
        m_daysScroll->ensureVisible(slate.center().x(), slate.center().y(), slate.width() / 2,
                                    slate.height() / 2);
    });
    connect(m_days, &DaysBand::editRequested, this, [this](const QString& id) {
        if (const auto* edited = findScene(m_actions.document().shoot(), fromQt(id)))
            m_entry->startEditing(id, toQt(lineOf(*edited)));
    });
    connect(m_days, &DaysBand::deleteRequested, &m_actions, &Actions::deleteScene);
    return m_daysScroll;
}

// A scene that has a setup selects it, so that the verdict beside speaks of the same place.
void BriefView::select(const QString& sceneId) {
    m_sceneId = sceneId;
    const auto* selected = m_actions.document().setup();
    if (!selected || toQt(selected->scene) != sceneId)
        for (const auto& setup : m_actions.document().shoot().setups)
            if (toQt(setup.scene) == sceneId) {
                m_actions.document().select(toQt(setup.id));
                break;
            }
    m_sceneId = sceneId;
    refresh();
}

void BriefView::enterLine(const QString& sceneId, const SceneLine& line) {
    if (sceneId.isEmpty()) {
        select(m_actions.addScene(line));
        return;
    }
    m_actions.rewriteScene(sceneId, line);
    select(sceneId);
    m_days->setFocus();
}

QWidget* BriefView::buildScenePage() {
    m_page = new QWidget;
    auto* column = new QVBoxLayout(m_page);
    column->setContentsMargins(0, 0, 0, 0);
    m_name = new QuantityEdit(nameCheck);
    m_name->setFont(Style::font(TextRole::Head));
    m_name->setAccessibleName(tr("Scene name"));
    m_name->setObjectName(QStringLiteral("scene-name"));
    m_note = new QuantityEdit(anything);
    m_note->setPlaceholderText(tr("Note: what changes, what must not go wrong"));
    m_note->setAccessibleName(tr("Scene note"));
    m_deleteScene = new QPushButton(tr("Delete scene"));
    m_deleteScene->setObjectName(QStringLiteral("delete-scene"));
    connect(m_deleteScene, &QPushButton::clicked, this,
            [this] { m_actions.deleteScene(m_sceneId); });
    m_day = new QSpinBox;
    m_day->setRange(1, 10000);
    m_day->setPrefix(tr("Day "));
    m_day->setAccessibleName(tr("Day of the shoot"));
    auto* head = new QHBoxLayout;
    head->addWidget(m_name, 1);
    head->addWidget(m_day);
    head->addWidget(m_deleteScene);
    column->addLayout(head);
    buildHazards(*column);
    column->addWidget(m_picture);
    auto* list = new QWidget;
    m_rowColumn = new QVBoxLayout(list);
    m_rowColumn->setContentsMargins(0, 0, 8, 0);
    m_rowColumn->setSpacing(4);
    auto* add = new QPushButton(tr("Add patch (Insert)"));
    add->setObjectName(QStringLiteral("add-patch"));
    m_rowColumn->addWidget(add, 0, Qt::AlignLeft);
    m_rowColumn->addStretch(1);
    auto* scroll = new QScrollArea;
    scroll->setWidget(list);
    scroll->setWidgetResizable(true);
    scroll->viewport()->setAutoFillBackground(false);
    list->setAutoFillBackground(false);
    column->addWidget(scroll, 1);
    connect(add, &QPushButton::clicked, this, [this] { addPatch(); });
    connect(m_name, &QuantityEdit::entered, this, [this](const QString& text) {
        changeScene(tr("Rename scene"), [&](Scene& scene) { scene.name = fromQt(text.trimmed()); });
    });
    connect(m_name, &QuantityEdit::refused, this, &BriefView::refused);
    connect(m_note, &QuantityEdit::entered, this, [this](const QString& text) {
        changeScene(tr("Change note"), [&](Scene& scene) { scene.note = fromQt(text); });
    });
    connect(m_day, &QSpinBox::valueChanged, this, [this](int day) {
        changeScene(tr("Change day"), [&](Scene& scene) { scene.day = day; });
    });
    return m_page;
}

void BriefView::buildHazards(QVBoxLayout& column) {
    const QString names[] = {tr("Sun"), tr("Water"), tr("Mains"), tr("Heights")};
    auto* row = new QHBoxLayout;
    row->addWidget(m_note, 1);
    auto* label = new QLabel(tr("Take care:"));
    label->setForegroundRole(QPalette::PlaceholderText);
    row->addWidget(label);
    for (int i = 0; i < 4; ++i) {
        m_hazards[i] = new QCheckBox(names[i]);
        row->addWidget(m_hazards[i]);
        connect(m_hazards[i], &QCheckBox::clicked, this, [this, i](bool on) {
            changeScene(tr("Change caution"),
                        [&](Scene& scene) { hazardOf(scene.hazards, i) = on; });
        });
    }
    column.addLayout(row);
}

const Scene* BriefView::scene() const {
    return findScene(m_actions.document().shoot(), fromQt(m_sceneId));
}

void BriefView::changeScene(const QString& name, const std::function<void(Scene&)>& change) {
    m_actions.changeScene(name, m_sceneId, change);
}

PatchRow* BriefView::row(std::size_t index) {
    while (static_cast<std::size_t>(m_rows.size()) <= index) {
        auto* patchRow = new PatchRow;
        m_rowColumn->insertWidget(m_rowColumn->count() - 2, patchRow);
        m_rows.append(patchRow);
        connect(patchRow, &PatchRow::changed, this,
                [this, patchRow](const QString& name, const std::function<void(Patch&)>& change) {
                    changeScene(name, [&](Scene& scene) {
                        if (auto* patch = findPatch(scene, fromQt(patchRow->id())))
                            change(*patch);
                    });
                });
        connect(patchRow, &PatchRow::refused, this, &BriefView::refused);
        connect(patchRow, &PatchRow::duplicateRequested, this,
                [this, patchRow] { m_actions.duplicatePatch(m_sceneId, patchRow->id()); });
        connect(patchRow, &PatchRow::deleteRequested, this,
                [this, patchRow] { m_actions.deletePatch(m_sceneId, patchRow->id()); });
    }
    return m_rows[static_cast<qsizetype>(index)];
}

void BriefView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void BriefView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    if (!scene()) {
        const auto& scenes = m_actions.document().shoot().scenes;
        const auto* selected = m_actions.document().scene();
        m_sceneId = selected         ? toQt(selected->id)
                    : scenes.empty() ? QString()
                                     : toQt(scenes.front().id);
    }
    m_bar->refresh();
    m_days->show(m_actions.document().value(), m_sceneId);
    m_daysScroll->setVisible(!m_actions.document().shoot().scenes.empty());
    const auto* now = scene();
    m_page->setVisible(now);
    m_empty->setVisible(!now);
    m_deleteScene->setEnabled(now);
    if (now) {
        m_name->showValue(toQt(now->name));
        m_note->showValue(toQt(now->note));
        const QSignalBlocker quiet(m_day);
        m_day->setValue(now->day);
        Hazards hazards = now->hazards;
        for (int i = 0; i < 4; ++i)
            m_hazards[i]->setChecked(hazardOf(hazards, i));
    }
    refreshRows(now);
    m_picture->showScene(m_sceneId);
}

void BriefView::refreshRows(const Scene* now) {
    const std::size_t count = now ? now->patches.size() : 0;
    for (std::size_t i = 0; i < count; ++i)
        row(i)->show(now->patches[i], now->lamps);
    for (auto i = static_cast<qsizetype>(count); i < m_rows.size(); ++i)
        m_rows[i]->hide();
}

void BriefView::addPatch() {
    const QString id = m_actions.addPatch(m_sceneId);
    for (auto* patchRow : m_rows)
        if (patchRow->id() == id && !patchRow->isHidden())
            patchRow->focusName();
}

void BriefView::beginScene() {
    if (!m_entry->editing().isEmpty())
        m_entry->startNew();
    m_entry->setFocus();
}

// Where nothing is yet, there is one thing to type.
void BriefView::focusInEvent(QFocusEvent* event) {
    StepView::focusInEvent(event);
    if (m_actions.document().shoot().scenes.empty())
        beginScene();
}

} // namespace bslate::app
