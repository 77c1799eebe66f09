#include "app/views/light/light_view.h"

#include "app/document/text.h"
#include "app/views/light/light_canvas.h"
#include "app/views/light/light_train.h"
#include "app/views/light/live_picture.h"
#include "app/widgets/quantity_edit.h"
#include "core/base/enumerated.h"
#include "core/facts/evaluate.h"
#include "core/facts/schools.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include "core/judgement/cautions.h"

#include <QComboBox>
#include <QLabel>
#include <QTimer>
#include <QVBoxLayout>

#include <utility>

namespace bslate::app {
namespace {

constexpr int kLiveMs = 60; // between two live pictures

} // namespace

LightView::LightView(Actions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_train(new LightTrain(actions, style, this))
    , m_canvas(new LightCanvas(actions, style, this))
    , m_patchEdit(new QuantityEdit(
          [](const QString& text) -> std::optional<QString> {
              const auto reading = parseLightReading(fromQt(text));
              return reading ? std::nullopt : std::optional(messageOf(reading.error()));
          },
          this))
    , m_live(new LivePicture(style, this))
    , m_liveLater(new QTimer(this)) {
    setObjectName(QStringLiteral("light-view"));
    addKeys();
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 14, 16, 10);
    column->setSpacing(8);
    buildHeader(*column);
    column->addWidget(m_train);
    column->addWidget(m_canvas, 1);
    auto* hint = hintLabel();
    hint->setText(tr("%1   ? all keys").arg(hint->text()));
    column->addWidget(hint);
    m_patchEdit->hide();
    m_patchEdit->setFixedWidth(130);
    m_patchEdit->setObjectName(QStringLiteral("patch-reading"));
    m_patchEdit->setAccessibleName(tr("Reading of the patch"));
    connect(m_patchEdit, &QuantityEdit::entered, this, [this](const QString& text) {
        m_patchEdit->hide();
        const auto reading = parseLightReading(fromQt(text)).valueOr({});
        const auto* scene = m_actions.document().scene();
        if (!scene)
            return;
        m_actions.changeScene(tr("Enter reading"), toQt(scene->id), [&](Scene& changed) {
            if (auto* patch = findPatch(changed, fromQt(m_typedPatch)))
                *patch = metered(*patch, reading);
        });
        m_canvas->setFocus();
    });
    connect(m_patchEdit, &QuantityEdit::leftUnchanged, m_patchEdit, &QWidget::hide);
    connect(m_patchEdit, &QuantityEdit::refused, this, [this](const QString& message) {
        m_patchEdit->hide();
        emit refused(message);
    });
    connect(m_train, &LightTrain::refused, this, &LightView::refused);
    connect(m_canvas, &LightCanvas::typePatchRequested, this, &LightView::typePatch);
    connect(&m_actions.document(), &ShootDocument::changed, this, &LightView::refresh);
    connect(&m_actions.document(), &ShootDocument::selectionChanged, this, &LightView::refresh);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    m_liveLater->setSingleShot(true);
    m_liveLater->setInterval(kLiveMs);
    connect(m_liveLater, &QTimer::timeout, this, &LightView::makeLive);
    setFocusPolicy(Qt::StrongFocus);
    refresh();
}

void LightView::addKeys() {
    auto& keys = keyTable();
    auto& document = m_actions.document();
    const auto step = [this](LightTrain::Link link, int by) {
        return [this, link, by] { m_train->step(link, by); };
    };
    const auto type = [this](LightTrain::Link link) {
        return [this, link] { m_train->type(link); };
    };
    keys.onlyWhile([&document] { return document.setup() != nullptr; });
    keys.add(
        {{Qt::Key_Left, step(LightTrain::Iris, -1)}, {Qt::Key_Right, step(LightTrain::Iris, 1)}},
        QT_TRANSLATE_NOOP("Help", "iris a third of a stop down, up in light"),
        QT_TRANSLATE_NOOP("Help", "iris"));
    keys.add(
        {{Qt::Key_Up, step(LightTrain::Rated, 1)}, {Qt::Key_Down, step(LightTrain::Rated, -1)}},
        QT_TRANSLATE_NOOP("Help", "rating a third of a stop up, down"),
        QT_TRANSLATE_NOOP("Help", "rating"));
    keys.add(
        {{Qt::Key_N, step(LightTrain::Nd, -1)}, {Qt::SHIFT | Qt::Key_N, step(LightTrain::Nd, 1)}},
        QT_TRANSLATE_NOOP("Help", "next stronger, weaker ND of your own"),
        QT_TRANSLATE_NOOP("Help", "ND"));
    keys.add({{Qt::Key_BracketLeft, step(LightTrain::ShutterLink, -1)},
              {Qt::Key_BracketRight, step(LightTrain::ShutterLink, 1)}},
             QT_TRANSLATE_NOOP("Help", "shutter shorter, longer"),
             QT_TRANSLATE_NOOP("Help", "shutter"));
    keys.add({{Qt::Key_K, step(LightTrain::Key, -1)}, {Qt::Key_L, step(LightTrain::Key, 1)}},
             QT_TRANSLATE_NOOP("Help", "less, more light on the scene"),
             QT_TRANSLATE_NOOP("Help", "light"));
    keys.add({{Qt::Key_B, step(LightTrain::Base, 1)}}, QT_TRANSLATE_NOOP("Help", "other base ISO"),
             QT_TRANSLATE_NOOP("Help", "base"));
    keys.add({{Qt::Key_I, type(LightTrain::Iris)},
              {Qt::Key_D, type(LightTrain::Nd)},
              {Qt::Key_S, type(LightTrain::ShutterLink)},
              {Qt::Key_E, type(LightTrain::Rated)},
              {Qt::Key_M, type(LightTrain::Key)}},
             QT_TRANSLATE_NOOP("Help", "type iris, ND, shutter, rating, metered light"));
    keys.add(
        {{Qt::Key_P, [this, &document] { m_actions.setPayer(nextOf(document.setup()->payer)); }}},
        QT_TRANSLATE_NOOP("Help", "who pays for a change: ND, iris, light, rating, nobody"),
        QT_TRANSLATE_NOOP("Help", "who pays"));
    keys.add(
        {{Qt::Key_O, [this, &document] { m_actions.setSchool(nextOf(document.setup()->school)); }}},
        QT_TRANSLATE_NOOP("Help", "next school"), QT_TRANSLATE_NOOP("Help", "school"));
    keys.add({{Qt::Key_Space, [this] { cycleGhost(); }}},
             QT_TRANSLATE_NOOP("Help", "ghost of the next other school"),
             QT_TRANSLATE_NOOP("Help", "compare"));
    keys.add({{Qt::Key_G,
               [this] {
                   m_canvas->setGhost(m_canvas->ghost() ? std::nullopt
                                                        : std::optional(School::Nominal));
               }}},
             QT_TRANSLATE_NOOP("Help", "ghost of the nominal school, on and off"));
    keys.add({{Qt::Key_Insert,
               [this, &document] { m_actions.addPatch(toQt(document.setup()->scene)); }}},
             QT_TRANSLATE_NOOP("Help", "add a patch"));
    keys.add({{Qt::Key_Tab, [] { return false; }}},
             QT_TRANSLATE_NOOP("Help", "to the patches: Left and Right move one, Return types its "
                                       "reading, Delete deletes it"));
}

void LightView::buildHeader(QVBoxLayout& column) {
    m_title = new QLabel;
    m_subtitle = new QLabel;
    m_safety = new QLabel;
    m_safety->setFont(Style::font(TextRole::Secondary));
    m_safety->setWordWrap(true);
    m_school = new QComboBox;
    m_school->setObjectName(QStringLiteral("school"));
    m_school->setAccessibleName(tr("School of placing the scene"));
    for (const auto school : kSchools)
        m_school->addItem(toQt(nameOf(school, translator())));
    m_payer = new QComboBox;
    m_payer->setObjectName(QStringLiteral("payer"));
    m_payer->setAccessibleName(tr("Who pays for a change"));
    for (const auto payer : kAllOf<Payer>)
        m_payer->addItem(tr("%1 pays").arg(toQt(nameOf(payer, translator()))));
    auto* row = new QHBoxLayout;
    row->addLayout(pageHead(*m_title, *m_subtitle), 1);
    row->addWidget(m_school);
    row->addWidget(m_payer);
    column.addLayout(row);
    column.addWidget(m_safety);
    connect(m_school, &QComboBox::activated, this,
            [this](int index) { m_actions.setSchool(static_cast<School>(index)); });
    connect(m_payer, &QComboBox::activated, this,
            [this](int index) { m_actions.setPayer(static_cast<Payer>(index)); });
}

void LightView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void LightView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    auto& document = m_actions.document();
    const auto* setup = document.setup();
    const auto* scene = document.scene();
    m_title->setText(setup ? QStringLiteral("%1  %2").arg(toQt(setup->number), toQt(setup->name))
                           : tr("Light"));
    m_subtitle->setText(subtitle());
    m_school->setEnabled(setup != nullptr);
    m_payer->setEnabled(setup != nullptr);
    if (setup) {
        m_school->setCurrentIndex(static_cast<int>(setup->school));
        m_payer->setCurrentIndex(static_cast<int>(setup->payer));
    }
    QStringList warnings;
    if (scene)
        for (const auto& caution : cautionsOf(*scene))
            warnings << QStringLiteral("\u26a0 %1: %2")
                            .arg(toQt(titleOf(caution, translator())),
                                 toQt(reasonOf(caution, translator())));
    m_safety->setText(warnings.join(QLatin1Char('\n')));
    m_safety->setVisible(!warnings.isEmpty());
    m_train->refresh();
    m_canvas->refresh();
    showLive();
}

// While something is moved: a value other than the one before it, of the same setup.
void LightView::showLive() {
    auto& document = m_actions.document();
    const auto before = std::exchange(m_shown, document.value());
    const auto setup = std::exchange(m_shownSetup, document.setupId());
    if (before && before != m_shown && setup == m_shownSetup && !m_liveLater->isActive())
        m_liveLater->start(); // not restarted: it comes during a drag, and the hand goes first
}

void LightView::makeLive() {
    auto& document = m_actions.document();
    if (!document.setup())
        return m_live->hide();
    const auto context = resolve(document.shoot(), *document.setup());
    const auto* at = document.evaluation();
    if (!context || !at)
        return m_live->hide();
    m_live->move(QRect(m_canvas->pos(), m_canvas->size()).bottomRight() -
                 QPoint(m_live->width() + 8, m_live->height() + 8));
    m_live->showFor(*context, *at);
}

QString LightView::subtitle() const {
    auto& document = m_actions.document();
    const auto* setup = document.setup();
    const auto* scene = document.scene();
    if (!setup || !scene)
        return tr("no setup yet");
    const auto* camera = findCamera(document.shoot().kit, setup->camera);
    const auto* profile = findProfile(document.shoot().kit, setup->profile);
    return tr("Day %1 \u00b7 %2 \u00b7 %3 \u00b7 %4 p")
        .arg(scene->day)
        .arg(camera ? toQt(camera->name) : tr("no camera"),
             profile ? toQt(profile->name) : tr("no profile"), toQt(print(setup->rate)));
}

void LightView::typePatch(const QString& patchId, QPoint at) {
    const auto* scene = m_actions.document().scene();
    const auto* patch = scene ? findPatch(*scene, fromQt(patchId)) : nullptr;
    if (!patch)
        return;
    m_typedPatch = patchId;
    const QPoint place = mapFrom(window(), at);
    m_patchEdit->move(qBound(0, place.x() - 53, width() - m_patchEdit->width()), place.y());
    const QString text = toQt(print(patch->reading));
    m_patchEdit->showValue(text);
    m_patchEdit->setText(text);
    m_patchEdit->setModified(false);
    m_patchEdit->show();
    m_patchEdit->raise();
    m_patchEdit->selectAll();
    m_patchEdit->setFocus();
}

void LightView::cycleGhost() {
    const auto* setup = m_actions.document().setup();
    if (!setup)
        return;
    const int now = m_canvas->ghost() ? static_cast<int>(*m_canvas->ghost()) : -1;
    int next = now + 1;
    if (next == static_cast<int>(setup->school))
        ++next;
    m_canvas->setGhost(next < static_cast<int>(kSchools.size())
                           ? std::optional(static_cast<School>(next))
                           : std::nullopt);
}

} // namespace bslate::app
