#include "app/views/white/white_view.h"

#include "app/document/text.h"
#include "app/views/white/channel_picture.h"
#include "app/views/white/later_picture.h"
#include "app/views/white/ratio_row.h"
#include "app/views/white/white_picture.h"
#include "app/widgets/open_path.h"
#include "app/widgets/quantity_edit.h"
#include "app/widgets/value_block.h"
#include "core/facts/evaluate.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/shoot/lamps.h"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

QString gelNames(const Kit& kit, const std::vector<std::string>& ids) {
    QStringList names;
    for (const auto& id : ids)
        if (const auto* gel = findGel(kit, id))
            names << toQt(gel->name);
    return names.join(QStringLiteral(" + "));
}

} // namespace

WhiteView::WhiteView(Actions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_title(new QLabel)
    , m_subtitle(new QLabel)
    , m_white(new ValueBlock(
          style, tr("White"), tr("Drag or arrows: the camera's steps; Return or W: type"),
          [this](const QString& text) -> std::optional<QString> {
              const auto now = context();
              return now ? problemOf(parseWhite(now->camera->white, fromQt(text))) : std::nullopt;
          }))
    , m_wanted(new ValueBlock(style, tr("Grade wants"),
                              tr("The white the grade is to have; Return or E: type"),
                              [](const QString& text) -> std::optional<QString> {
                                  return text.trimmed().isEmpty() || text == tr("as shot")
                                             ? std::nullopt
                                             : problemOf(parseKelvin(fromQt(text)));
                              }))
    , m_by(new QComboBox)
    , m_key(new QPushButton(tr("For the key")))
    , m_between(new QPushButton(tr("Between")))
    , m_background(new QPushButton(tr("Background")))
    , m_measure(new QPushButton(tr("From a clip\u2026")))
    , m_sensor(new QPushButton(tr("Chart\u2026")))
    , m_picture(new WhitePicture(style))
    , m_channels(new ChannelPicture(style))
    , m_ratios(new RatioRow(actions))
    , m_later(new LaterPicture(style))
    , m_line(
          new QuantityEdit([this](const QString& text) { return problemWithLight(text); }, this)) {
    setObjectName(QStringLiteral("white-view"));
    addKeys();
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 14, 16, 10);
    column->setSpacing(8);
    buildHeader(*column);
    column->addWidget(m_picture, 1);
    column->addWidget(m_channels);
    column->addWidget(m_ratios);
    column->addWidget(m_later);
    column->addWidget(hintLabel());
    m_line->hide();
    m_line->setObjectName(QStringLiteral("white-lamp"));
    m_line->setAccessibleName(tr("A light as one line"));
    m_line->setPlaceholderText(tr("window steady 6500K share30% fill"));
    connectPicture();
    auto& document = m_actions.document();
    connect(&document, &ShootDocument::changed, this, &WhiteView::refresh);
    connect(&document, &ShootDocument::selectionChanged, this, [this] {
        m_chosen.reset();
        refresh();
    });
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    setFocusPolicy(Qt::StrongFocus);
}

void WhiteView::buildHeader(QVBoxLayout& column) {
    m_white->setObjectName(QStringLiteral("white-block"));
    m_white->setFixedWidth(148);
    m_wanted->setObjectName(QStringLiteral("wanted-white-block"));
    m_wanted->setFixedWidth(116);
    m_by->setObjectName(QStringLiteral("white-by"));
    m_by->setAccessibleName(tr("How white is set"));
    m_by->addItems({tr("dialled in"), tr("from the card")});
    m_by->setToolTip(tr("The card: in the key, filling the frame, in focus or not, through the "
                        "lens and filters of the take; again after a strong ND."));
    m_key->setObjectName(QStringLiteral("white-key"));
    m_between->setObjectName(QStringLiteral("white-between"));
    m_background->setObjectName(QStringLiteral("white-background"));
    auto* grid = new QGridLayout;
    grid->setSpacing(4);
    grid->addWidget(m_by, 0, 0);
    grid->addWidget(m_key, 0, 1);
    grid->addWidget(m_between, 1, 0);
    grid->addWidget(m_background, 1, 1);
    buildFootage(*grid);
    auto* row = new QHBoxLayout;
    row->addLayout(pageHead(*m_title, *m_subtitle), 1);
    row->addWidget(m_white);
    row->addWidget(m_wanted);
    row->addLayout(grid);
    column.addLayout(row);
    connect(m_by, &QComboBox::activated, this,
            [this](int index) { setBy(static_cast<WhiteBy>(index)); });
    connect(m_key, &QPushButton::clicked, this,
            [this] { choose(choices().key, tr("White for the key")); });
    connect(m_between, &QPushButton::clicked, this,
            [this] { choose(choices().between, tr("White between")); });
    connect(m_background, &QPushButton::clicked, this,
            [this] { choose(choices().background, tr("White for the background")); });
    for (auto* block : {m_white, m_wanted})
        connect(block, &ValueBlock::refused, this, &WhiteView::refused);
    connect(m_white, &ValueBlock::typed, this, &WhiteView::typeWhite);
    connect(m_wanted, &ValueBlock::typed, this, &WhiteView::typeWanted);
    connect(m_white, &ValueBlock::stepped, this, [this](int steps) { stepWhite(steps, 0); });
    connect(m_white, &ValueBlock::dragStarted, this, [this] {
        const auto* at = m_actions.document().evaluation();
        m_dragFrom = at ? at->white.set : WhiteSetting{};
        m_drag = m_actions.document().beginDrag();
    });
    connect(m_white, &ValueBlock::draggedSteps, this, [this](int steps) {
        if (const auto now = context())
            setWhite(tr("Change white"), stepped(now->camera->white, m_dragFrom, steps, 0), m_drag);
    });
}

// What is measured with the camera itself.
void WhiteView::buildFootage(QGridLayout& grid) {
    m_measure->setObjectName(QStringLiteral("white-measure"));
    m_measure->setToolTip(tr("white measured with the camera: a grey card in a clip"));
    m_sensor->setObjectName(QStringLiteral("white-sensor"));
    m_sensor->setToolTip(
        tr("the camera's primaries and gains, found from a chart of known patches"));
    grid.addWidget(m_measure, 2, 0);
    grid.addWidget(m_sensor, 2, 1);
    connect(m_sensor, &QPushButton::clicked, this, &WhiteView::findSensor);
    m_ask = [this] { return askOpenPath(this, tr("A clip with a grey card")); };
    m_askChart = [this]() -> std::array<QString, 2> {
        const auto picture = askOpenPath(this, tr("A photograph or a clip of a chart"));
        if (picture.isEmpty())
            return {};
        return {picture, askOpenPath(this, tr("The colours of that chart, CGATS text"),
                                     tr("Charts (*.txt *.cgats *.it8 *.cie);;All files (*)"))};
    };
    connect(m_measure, &QPushButton::clicked, this, &WhiteView::measureWhite);
}

void WhiteView::connectPicture() {
    connect(m_picture, &WhitePicture::dragStarted, this,
            [this] { m_drag = m_actions.document().beginDrag(); });
    connect(m_picture, &WhitePicture::whiteDragged, this, [this](const ColourPoint& to) {
        if (const auto now = context())
            setWhite(tr("Change white"), whiteFor(now->camera->white, to), m_drag);
    });
    connect(m_picture, &WhitePicture::lightChosen, this, [this](std::size_t light) {
        m_chosen = light;
        setFocus();
        refresh();
    });
    connect(m_picture, &WhitePicture::lightDragged, this, &WhiteView::moveLight);
    connect(m_picture, &WhitePicture::lightTyped, this, [this](std::size_t light) {
        m_chosen = light;
        typeLight(light);
    });
    connect(m_line, &QuantityEdit::entered, this, &WhiteView::enterLight);
    connect(m_line, &QuantityEdit::leftUnchanged, this, [this] {
        m_line->hide();
        setFocus();
    });
    connect(m_line, &QuantityEdit::refused, this, &WhiteView::refused);
    m_line->keepRefused();
    connect(m_ratios, &RatioRow::refused, this, &WhiteView::refused);
}

void WhiteView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

std::optional<SetupContext> WhiteView::context() const {
    const auto& document = m_actions.document();
    const auto* setup = document.setup();
    const auto found = setup ? resolve(document.shoot(), *setup) : Result<SetupContext>(Error{});
    return found ? std::optional(*found) : std::nullopt;
}

WhiteChoices WhiteView::choices() const {
    const auto now = context();
    const auto* at = m_actions.document().evaluation();
    return now && at ? whiteChoices(*now, at->white) : WhiteChoices{};
}

void WhiteView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    auto& document = m_actions.document();
    const auto* setup = document.setup();
    m_title->setText(setup ? QStringLiteral("%1  %2").arg(toQt(setup->number), toQt(setup->name))
                           : tr("White"));
    const auto now = context();
    const auto* at = document.evaluation();
    m_ratios->refresh();
    for (QWidget* part : std::initializer_list<QWidget*>{m_white, m_wanted, m_by, m_key, m_between,
                                                         m_background, m_measure, m_sensor})
        part->setEnabled(now && at);
    if (now && at)
        showSetup(*now, *at);
    else
        showNothing();
}

void WhiteView::showNothing() {
    m_subtitle->setText(m_actions.document().setup()
                            ? tr("This setup cannot be worked out: the verdict says why.")
                            : tr("no setup yet"));
    m_picture->clear();
    m_channels->clear();
    m_later->clear();
    m_white->show(tr("\u2013"), {}, false, false);
    m_wanted->show(tr("\u2013"), {}, false, false);
}

void WhiteView::showSetup(const SetupContext& context, const Evaluation& at) {
    const auto& white = at.white;
    const auto& dial = context.camera->white;
    const auto& scene = *context.scene;
    m_subtitle->setText(subtitle(context, white));
    const auto whiteChoice = whiteChoices(context, white);
    m_white->show(toQt(print(dial, white.set)), white.baked ? tr("baked in") : tr("a note"), false,
                  whiteChoice.key && !(*whiteChoice.key == white.set));
    const auto& wanted = context.setup->wantedWhite;
    m_wanted->show(wanted ? toQt(print(*wanted)) : tr("as shot"), {}, false, wanted.has_value());
    m_by->setCurrentIndex(static_cast<int>(context.setup->whiteBy));
    const auto enable = [&](QPushButton& button, const std::optional<WhiteSetting>& choice) {
        button.setEnabled(choice && !(*choice == white.set));
        button.setToolTip(choice ? toQt(print(dial, *choice)) : QString());
    };
    enable(*m_key, whiteChoice.key);
    enable(*m_between, whiteChoice.between);
    enable(*m_background, whiteChoice.background);
    WhitePicture::Shown shown;
    for (const auto& light : white.lights) {
        const auto name = nameOf(scene, light);
        const auto& ids = light.lamp < scene.lamps.size() ? scene.lamps[light.lamp].gels
                                                          : std::vector<std::string>();
        shown.lights.push_back({name.empty() ? tr("the light") : toQt(name), light,
                                gelNames(context.shoot->kit, ids)});
    }
    shown.white = white.point;
    shown.whiteText = toQt(print(dial, white.set));
    shown.dial = dial;
    if (m_chosen && *m_chosen < shown.lights.size())
        shown.chosen = m_chosen;
    if (const auto wish = gelAim(white, m_chosen))
        if (const auto choice =
                gelsToward(context.shoot->kit.gels, white.lights[wish->light].colour, wish->wanted))
            shown.proposal = {
                wish->light, choice->colour,
                gelNames(context.shoot->kit, idsOf(context.shoot->kit.gels, *choice))};
    m_picture->show(std::move(shown));
    m_channels->show(white, channelNote(at));
    m_later->show({CameraColour(*context.camera), dial, white.point, toQt(print(dial, white.set)),
                   wanted, white.baked, RecordedIn{context.profile->curve, at.depth}});
}

QString WhiteView::subtitle(const SetupContext& context, const WhiteFacts& white) const {
    QStringList parts = {toQt(context.camera->name), white.baked
                                                         ? tr("the recording bakes white in")
                                                         : tr("white is a note in the recording")};
    if (white.generic)
        parts << tr("sensor not known: BT.2020 primaries stand in");
    if (white.filters != ColourShift{})
        parts << tr("filters move all light by %1 mired, Duv %2")
                     .arg(toQt(fixedText(white.filters.mired.value(), 0)),
                          toQt(print(white.filters.duv)));
    if (white.lights.empty())
        parts << tr("no light is told: A adds one, or type 4300K in the scene's line");
    return parts.join(QStringLiteral(" \u00b7 "));
}

// Which patch loses its colour, or comes nearest to it.
QString WhiteView::channelNote(const Evaluation& at) const {
    const PatchWhite* worst = nullptr;
    QString name;
    for (std::size_t i = 0; i < at.white.patches.size(); ++i) {
        const auto& patch = at.white.patches[i];
        if (at.patches[i].role == PatchRole::Spare || isLost(at.patches[i]))
            continue;
        if (!worst || patch.room[patch.clipsFirst] < worst->room[worst->clipsFirst]) {
            worst = &patch;
            name = toQt(at.patches[i].name);
        }
    }
    if (!worst)
        return {};
    const Stops room = worst->room[worst->clipsFirst];
    const auto channel = nameOfChannel(worst->clipsFirst);
    return room < Stops(0) ? tr("%1 clips on %2 by %3").arg(channel, name, toQt(printPlain(room)))
                           : tr("%1 is the first to clip: %2 keeps %3")
                                 .arg(channel, name, toQt(printPlain(room)));
}

} // namespace bslate::app
