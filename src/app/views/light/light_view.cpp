#include "app/views/light/light_view.h"

#include "app/document/text.h"
#include "app/views/light/light_canvas.h"
#include "app/views/light/light_train.h"
#include "app/views/light/live_picture.h"
#include "app/widgets/quantity_edit.h"
#include "core/facts/evaluate.h"
#include "core/facts/schools.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include "core/judgement/cautions.h"

#include <QComboBox>
#include <QKeyEvent>
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
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 14, 16, 10);
    column->setSpacing(8);
    buildHeader(*column);
    column->addWidget(m_train);
    column->addWidget(m_canvas, 1);
    m_hint = new QLabel(tr("\u25c2 \u25b8 iris   \u25b4 \u25be rating   N ND   [ ] shutter   K L "
                           "light   B base   P who pays   O school   Space compare   ? all keys"));
    m_hint->setFont(Style::font(TextRole::Secondary));
    m_hint->setForegroundRole(QPalette::PlaceholderText);
    column->addWidget(m_hint);
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

std::span<const KeyLine> LightView::keys() const {
    static constexpr KeyLine kKeys[] = {
        {"Left, Right", QT_TRANSLATE_NOOP("Help", "iris a third of a stop down, up in light")},
        {"Up, Down", QT_TRANSLATE_NOOP("Help", "rating a third of a stop up, down")},
        {"N, Shift+N", QT_TRANSLATE_NOOP("Help", "next stronger, weaker ND of your own")},
        {"[ and ]", QT_TRANSLATE_NOOP("Help", "shutter shorter, longer")},
        {"K, L", QT_TRANSLATE_NOOP("Help", "less, more light on the scene")},
        {"B", QT_TRANSLATE_NOOP("Help", "other base ISO")},
        {"I, D, S, E, M",
         QT_TRANSLATE_NOOP("Help", "type iris, ND, shutter, rating, metered light")},
        {"P", QT_TRANSLATE_NOOP("Help", "who pays for a change: ND, iris, light, rating, nobody")},
        {"O", QT_TRANSLATE_NOOP("Help", "next school")},
        {"Space, G", QT_TRANSLATE_NOOP("Help", "ghost of the other schools: next, on and off")},
        {"Tab, then Left or Right",
         QT_TRANSLATE_NOOP("Help", "a patch: move it; Return types its reading")},
        {"Insert, Delete", QT_TRANSLATE_NOOP("Help", "add a patch, delete the focused one")}};
    return kKeys;
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
    for (int i = 0; i <= static_cast<int>(Payer::Nobody); ++i)
        m_payer->addItem(tr("%1 pays").arg(toQt(nameOf(static_cast<Payer>(i), translator()))));
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

void LightView::keyPressEvent(QKeyEvent* event) {
    const auto* setup = m_actions.document().setup();
    if (!setup || event->modifiers() & (Qt::ControlModifier | Qt::AltModifier)) {
        QWidget::keyPressEvent(event);
        return;
    }
    const bool shift = event->modifiers() & Qt::ShiftModifier;
    const auto cycle = [](auto value, int count) { return (static_cast<int>(value) + 1) % count; };
    switch (event->key()) {
    case Qt::Key_Left:
        return m_train->step(LightTrain::Iris, -1);
    case Qt::Key_Right:
        return m_train->step(LightTrain::Iris, 1);
    case Qt::Key_Up:
        return m_train->step(LightTrain::Rated, 1);
    case Qt::Key_Down:
        return m_train->step(LightTrain::Rated, -1);
    case Qt::Key_N:
        return m_train->step(LightTrain::Nd, shift ? 1 : -1);
    case Qt::Key_BracketLeft:
        return m_train->step(LightTrain::ShutterLink, -1);
    case Qt::Key_BracketRight:
        return m_train->step(LightTrain::ShutterLink, 1);
    case Qt::Key_K:
        return m_train->step(LightTrain::Key, -1);
    case Qt::Key_L:
        return m_train->step(LightTrain::Key, 1);
    case Qt::Key_B:
        return m_train->step(LightTrain::Base, 1);
    case Qt::Key_I:
        return m_train->type(LightTrain::Iris);
    case Qt::Key_D:
        return m_train->type(LightTrain::Nd);
    case Qt::Key_S:
        return m_train->type(LightTrain::ShutterLink);
    case Qt::Key_E:
        return m_train->type(LightTrain::Rated);
    case Qt::Key_M:
        return m_train->type(LightTrain::Key);
    case Qt::Key_P:
        return m_actions.setPayer(static_cast<Payer>(cycle(setup->payer, 5)));
    case Qt::Key_O:
        return m_actions.setSchool(static_cast<School>(cycle(setup->school, 5)));
    case Qt::Key_Space:
        return cycleGhost();
    case Qt::Key_G:
        return m_canvas->setGhost(m_canvas->ghost() ? std::nullopt
                                                    : std::optional(School::Nominal));
    case Qt::Key_Insert:
        m_actions.addPatch(toQt(setup->scene));
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

} // namespace bslate::app
