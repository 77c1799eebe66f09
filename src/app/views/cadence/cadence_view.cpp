#include "app/views/cadence/cadence_view.h"

#include "app/document/text.h"
#include "app/views/cadence/angle_scale.h"
#include "app/views/cadence/lamp_row.h"
#include "app/views/cadence/motion_picture.h"
#include "app/views/cadence/speed_ruler.h"
#include "app/views/cadence/time_strip.h"
#include "app/widgets/value_block.h"
#include "core/base/enumerated.h"
#include "core/facts/evaluate.h"
#include "core/facts/rate_steps.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include <QComboBox>
#include <QLabel>
#include <QScrollArea>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr WidthsPerSecond kAssumedSpeed{0.25}; // the frame in four seconds, where nothing is told

// What the second row of the strip shows: a way out while it pulses, half the frame while it is
// still and something else is set.
std::optional<Shutter> compared(const SetupContext& context, const Evaluation& at) {
    const auto& setup = *context.setup;
    if (!isStill(at.cadence.pulsing)) {
        const auto safe = safeShutters(at.cadence.lights, setup.rate);
        return nearestSafe(context.camera->shutter, safe, setup.shutter, setup.rate);
    }
    const auto half = shutterFor(context, ShutterSchool::HalfFrame);
    if (at.cadence.lights.empty() || half == setup.shutter)
        return std::nullopt;
    return half;
}

} // namespace

CadenceView::CadenceView(Actions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_title(new QLabel)
    , m_subtitle(new QLabel)
    , m_school(new QComboBox)
    , m_payer(new QComboBox)
    , m_rate(new ValueBlock(
          style, tr("Capture rate"), tr("Drag or arrows: the mode's rates; Return or R: type"),
          [](const QString& text) { return problemOf(parseFrameRate(fromQt(text))); }))
    , m_shutter(new ValueBlock(
          style, tr("Shutter"), tr("Drag or arrows: clicks of the camera; Return or A: type"),
          [](const QString& text) { return problemOf(parseShutter(fromQt(text))); }))
    , m_strip(new TimeStrip(style))
    , m_scale(new AngleScale(style))
    , m_lamps(new LampRow(actions, style))
    , m_motion(new MotionPicture(style))
    , m_ruler(new SpeedRuler(style)) {
    setObjectName(QStringLiteral("cadence-view"));
    addKeys();
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 14, 16, 10);
    column->setSpacing(8);
    buildHeader(*column);
    buildPictures(*column);
    connectPictures();
    connect(&m_actions.document(), &ShootDocument::changed, this, &CadenceView::refresh);
    connect(&m_actions.document(), &ShootDocument::selectionChanged, this, &CadenceView::refresh);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    setFocusPolicy(Qt::StrongFocus);
}

void CadenceView::addKeys() {
    auto& keys = keyTable();
    auto& document = m_actions.document();
    const auto shutter = [this](int by) {
        return [this, by](bool ten) {
            stepShutterBy(ten ? 10 * by : by, m_actions.document().value(), 0);
        };
    };
    const auto rate = [this](int by) {
        return [this, by] { stepRateBy(by, m_actions.document().value(), 0); };
    };
    keys.onlyWhile([&document] { return document.setup() != nullptr; });
    keys.add({{Qt::Key_Left, shutter(-1)}, {Qt::Key_Right, shutter(1)}},
             QT_TRANSLATE_NOOP("Help", "shutter by clicks of the camera (Shift: ten)"),
             QT_TRANSLATE_NOOP("Help", "shutter"));
    keys.add({{Qt::Key_Up, rate(1)}, {Qt::Key_Down, rate(-1)}},
             QT_TRANSLATE_NOOP("Help", "capture rate"), QT_TRANSLATE_NOOP("Help", "rate"));
    keys.add({{Qt::Key_S, [this] { nextSafe(); }}}, QT_TRANSLATE_NOOP("Help", "next safe shutter"),
             QT_TRANSLATE_NOOP("Help", "next safe"));
    keys.add({{Qt::Key_H, [this] { schoolsShutter(); }}},
             QT_TRANSLATE_NOOP("Help", "the school's shutter"),
             QT_TRANSLATE_NOOP("Help", "the school's angle"));
    keys.add(
        {{Qt::Key_O, [this, &document] { setSchool(nextOf(document.setup()->shutterSchool)); }}},
        QT_TRANSLATE_NOOP("Help", "next school of the shutter"),
        QT_TRANSLATE_NOOP("Help", "school"));
    keys.add({{Qt::Key_A, [this] { m_shutter->type(); }}, {Qt::Key_R, [this] { m_rate->type(); }}},
             QT_TRANSLATE_NOOP("Help", "type the shutter, the rate"),
             QT_TRANSLATE_NOOP("Help", "type"));
    keys.add({{Qt::Key_L, [this] { m_lamps->addLamp(); }}}, QT_TRANSLATE_NOOP("Help", "add a lamp"),
             QT_TRANSLATE_NOOP("Help", "lamp"));
    keys.add(
        {{Qt::Key_P, [this, &document] { m_actions.setPayer(nextOf(document.setup()->payer)); }}},
        QT_TRANSLATE_NOOP("Help", "who pays for a change: ND, iris, light, rating, nobody"),
        QT_TRANSLATE_NOOP("Help", "who pays"));
    keys.add({{Qt::Key_Space, [this] { m_motion->advance(); }}},
             QT_TRANSLATE_NOOP("Help", "play the motion, after a caution"),
             QT_TRANSLATE_NOOP("Help", "play"));
    keys.add({{Qt::Key_Escape, [this] { m_motion->stop(); }}},
             QT_TRANSLATE_NOOP("Help", "keep the motion still"));
    keys.add({{Qt::Key_Tab, [] { return false; }}},
             QT_TRANSLATE_NOOP("Help",
                               "to the lamps: Left and Right change the frequency of one, "
                               "Up and Down its depth, Return its line, Delete deletes it"));
}

void CadenceView::buildHeader(QVBoxLayout& column) {
    m_title->setObjectName(QStringLiteral("cadence-title"));
    m_school->setObjectName(QStringLiteral("shutter-school"));
    m_school->setAccessibleName(tr("What the shutter is chosen by"));
    for (const auto school : kAllOf<ShutterSchool>)
        m_school->addItem(toQt(nameOf(school, translator())));
    m_payer->setObjectName(QStringLiteral("cadence-payer"));
    m_payer->setAccessibleName(tr("Who pays for a change"));
    for (const auto payer : kAllOf<Payer>)
        m_payer->addItem(tr("%1 pays").arg(toQt(nameOf(payer, translator()))));
    m_rate->setObjectName(QStringLiteral("rate-block"));
    m_shutter->setObjectName(QStringLiteral("shutter-block"));
    m_rate->setFixedWidth(132);
    m_shutter->setFixedWidth(152);
    auto* choices = new QVBoxLayout;
    choices->setSpacing(4);
    choices->addWidget(m_school);
    choices->addWidget(m_payer);
    auto* row = new QHBoxLayout;
    row->addLayout(pageHead(*m_title, *m_subtitle), 1);
    row->addWidget(m_rate);
    row->addWidget(m_shutter);
    row->addLayout(choices);
    column.addLayout(row);
    connect(m_school, &QComboBox::activated, this,
            [this](int index) { setSchool(static_cast<ShutterSchool>(index)); });
    connect(m_payer, &QComboBox::activated, this,
            [this](int index) { m_actions.setPayer(static_cast<Payer>(index)); });
}

void CadenceView::buildPictures(QVBoxLayout& column) {
    column.addWidget(m_strip, 1);
    column.addWidget(m_scale);
    auto* lamps = new QScrollArea;
    lamps->setWidget(m_lamps);
    lamps->setWidgetResizable(true);
    lamps->setFrameShape(QFrame::NoFrame);
    lamps->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    lamps->setFixedHeight(64);
    lamps->setFocusPolicy(Qt::NoFocus);
    lamps->viewport()->setAutoFillBackground(false);
    m_lamps->setAutoFillBackground(false);
    column.addWidget(lamps);
    column.addWidget(m_motion);
    column.addWidget(m_ruler);
    column.addWidget(hintLabel());
}

void CadenceView::connectPictures() {
    connect(m_strip, &TimeStrip::dragStarted, this, &CadenceView::startDrag);
    connect(m_strip, &TimeStrip::shutterDragged, this, [this](Seconds time) {
        if (const auto* setup = m_actions.document().setup())
            dragShutter(shutterAngle(time, setup->rate), m_strip->reach());
    });
    connect(m_scale, &AngleScale::dragStarted, this, &CadenceView::startDrag);
    connect(m_scale, &AngleScale::angleDragged, this,
            [this](ShutterAngle angle) { dragShutter(angle, m_scale->reach()); });
    connect(m_ruler, &SpeedRuler::dragStarted, this, &CadenceView::startDrag);
    connect(m_ruler, &SpeedRuler::rateDragged, this,
            [this](double perSecond) { turnRate(nearestRate(perSecond), m_drag); });
    connect(m_lamps, &LampRow::refused, this, &CadenceView::refused);
    for (auto* block : {m_rate, m_shutter}) {
        connect(block, &ValueBlock::dragStarted, this, &CadenceView::startDrag);
        connect(block, &ValueBlock::refused, this, &CadenceView::refused);
    }
    auto& document = m_actions.document();
    connect(m_rate, &ValueBlock::stepped, this,
            [&](int steps) { stepRateBy(steps, document.value(), 0); });
    connect(m_rate, &ValueBlock::draggedSteps, this,
            [this](int steps) { stepRateBy(steps, m_dragFrom, m_drag); });
    connect(m_rate, &ValueBlock::typed, this, [this](const QString& text) {
        if (const auto rate = parseFrameRate(fromQt(text)))
            turnRate(*rate);
    });
    connect(m_shutter, &ValueBlock::stepped, this,
            [&](int steps) { stepShutterBy(steps, document.value(), 0); });
    connect(m_shutter, &ValueBlock::draggedSteps, this,
            [this](int steps) { stepShutterBy(steps, m_dragFrom, m_drag); });
    connect(m_shutter, &ValueBlock::typed, this, [this](const QString& text) {
        if (const auto shutter = parseShutter(fromQt(text)))
            turnShutter(*shutter);
    });
}

void CadenceView::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

void CadenceView::refresh() {
    if (!isVisible())
        return; // showEvent catches up
    auto& document = m_actions.document();
    const auto* setup = document.setup();
    const auto* at = document.evaluation();
    m_title->setText(setup ? QStringLiteral("%1  %2").arg(toQt(setup->number), toQt(setup->name))
                           : tr("Cadence"));
    for (QWidget* part : std::initializer_list<QWidget*>{m_school, m_payer, m_rate, m_shutter})
        part->setEnabled(setup != nullptr);
    m_lamps->refresh();
    if (setup) {
        m_school->setCurrentIndex(static_cast<int>(setup->shutterSchool));
        m_payer->setCurrentIndex(static_cast<int>(setup->payer));
    }
    const auto context = setup ? resolve(document.shoot(), *setup) : Result<SetupContext>(Error{});
    if (!setup || !at || !context)
        return showNothing();
    showShutter(*context, *at);
    showMotion(*context, *at);
    m_subtitle->setText(subtitle(*context, *at));
}

void CadenceView::showNothing() {
    m_subtitle->setText(m_actions.document().setup()
                            ? tr("This setup cannot be worked out: the verdict says why.")
                            : tr("no setup yet"));
    m_strip->clear();
    m_scale->clear();
    m_motion->clear();
    m_ruler->clear();
    m_rate->show(tr("\u2013"), {}, false, false);
    m_shutter->show(tr("\u2013"), {}, false, false);
}

QString CadenceView::subtitle(const SetupContext& context, const Evaluation& at) const {
    QStringList parts = {tr("Day %1").arg(context.scene->day),
                         tr("plays at %1").arg(toQt(print(context.shoot->brief.rate))),
                         tr("%1 mains").arg(toQt(print(context.shoot->brief.mains)))};
    if (at.cadence.lights.empty())
        parts << tr("no lamps: L adds one");
    if (at.cadence.pulsing.strongest)
        parts << tr("ripple %1, %2 stop")
                     .arg(toQt(print(at.cadence.pulsing.ripple)))
                     .arg(at.cadence.pulsing.peakToPeak.value(), 0, 'f', 3);
    return parts.join(QStringLiteral(" \u00b7 "));
}

void CadenceView::showShutter(const SetupContext& context, const Evaluation& at) {
    const auto& setup = *context.setup;
    const auto& lights = at.cadence.lights;
    const auto row = [&](const Shutter& shutter) {
        const Seconds time = exposureTime(shutter, setup.rate);
        return TimeStrip::Row{time, shutterAngle(shutter, setup.rate),
                              toQt(print(shutterAngle(shutter, setup.rate))),
                              isStill(pulsing(lights, time, setup.rate, Seconds(0)))};
    };
    const auto other = compared(context, at);
    m_strip->show(lights, setup.rate, row(setup.shutter),
                  other ? std::optional(row(*other)) : std::nullopt);
    const bool pulses = std::any_of(lights.begin(), lights.end(), [](const auto& light) {
        return light.waveform != Waveform::Steady;
    });
    AngleScale::Shown shown;
    if (pulses) {
        shown.pulsing = pulsingByAngle(lights, setup.rate);
        shown.safe = safeShutters(lights, setup.rate);
    }
    shown.dial = context.camera->shutter;
    shown.rate = setup.rate;
    shown.set = at.angle;
    shown.aim = aimOf(setup.shutterSchool, setup);
    m_scale->show(std::move(shown));
    const bool angle = std::holds_alternative<ShutterAngle>(setup.shutter);
    m_shutter->show(toQt(print(setup.shutter)).remove(QStringLiteral(" s")),
                    angle ? toQt(print(at.exposureTime)) : toQt(print(at.angle)), false, false);
    m_rate->show(toQt(print(setup.rate)), tr("plays %1").arg(toQt(print(at.cadence.playback))),
                 false, setup.rate != context.shoot->brief.rate);
}

void CadenceView::showMotion(const SetupContext& context, const Evaluation& at) {
    const auto& setup = *context.setup;
    const auto& cadence = at.cadence;
    MotionPicture::Shown shown;
    shown.lights = cadence.lights;
    shown.capture = setup.rate;
    shown.base = context.shoot->brief.rate;
    shown.exposure = at.exposureTime;
    shown.readout = at.recording.readout;
    shown.assumedSpeed = context.scene->subjectSpeed.value() <= 0;
    shown.speed = shown.assumedSpeed ? kAssumedSpeed : context.scene->subjectSpeed;
    shown.frame = context.mode->frame;
    shown.still = isStill(cadence.pulsing);
    const Fraction blur = blurWidth(shown.speed, at.exposureTime);
    const Degrees skew = rollingSkew(shown.speed, shown.readout, shown.frame);
    shown.facts = tr("blur %1 px, %2 of width")
                      .arg(std::lround(blur.value() * shown.frame.width))
                      .arg(toQt(print(blur)));
    if (shown.readout.value() > 0)
        shown.facts += tr(" \u00b7 leans %1").arg(toQt(print(skew)));
    if (cadence.fastestPan)
        shown.facts += tr(" \u00b7 pan no faster than %1").arg(toQt(print(*cadence.fastestPan)));
    m_motion->show(std::move(shown));
    m_ruler->show(setup.rate, context.shoot->brief.rate);
}

void CadenceView::startDrag() {
    m_dragFrom = m_actions.document().value();
    m_drag = m_actions.document().beginDrag();
}

void CadenceView::turnShutter(const Shutter& wanted, int drag) {
    m_actions.turnControl(tr("Change shutter"), TurnShutter{wanted}, drag,
                          drag ? m_dragFrom : ShootDocument::Value());
}

void CadenceView::dragShutter(ShutterAngle wanted, double reach) {
    const auto* setup = m_actions.document().setup();
    const auto context =
        setup ? resolve(m_actions.document().shoot(), *setup) : Result<SetupContext>(Error{});
    if (!context)
        return;
    for (const auto& safe : safeOnDial(*context)) {
        const auto angle = shutterAngle(safe, setup->rate);
        if (std::abs(angle.value() - wanted.value()) <= reach)
            return turnShutter(safe, m_drag);
    }
    turnShutter(wanted, m_drag);
}

void CadenceView::turnRate(FrameRate wanted, int drag) {
    m_actions.turnControl(tr("Change capture rate"), TurnRate{wanted}, drag,
                          drag ? m_dragFrom : ShootDocument::Value());
}

void CadenceView::stepShutterBy(int clicks, const ShootDocument::Value& from, int drag) {
    const auto* setup = from ? findSetup(*from, fromQt(m_actions.document().setupId())) : nullptr;
    const auto context = setup ? resolve(*from, *setup) : Result<SetupContext>(Error{});
    if (!context)
        return;
    turnShutter(stepShutter(context->camera->shutter, setup->shutter, clicks, setup->rate), drag);
}

void CadenceView::stepRateBy(int places, const ShootDocument::Value& from, int drag) {
    const auto* setup = from ? findSetup(*from, fromQt(m_actions.document().setupId())) : nullptr;
    const auto context = setup ? resolve(*from, *setup) : Result<SetupContext>(Error{});
    if (!context)
        return;
    turnRate(stepRate(*context->mode, setup->rate, places), drag);
}

FrameRate CadenceView::nearestRate(double perSecond) const {
    const auto* setup = m_actions.document().setup();
    const auto context =
        setup ? resolve(m_actions.document().shoot(), *setup) : Result<SetupContext>(Error{});
    if (!context)
        return {};
    return rateNear(*context, Hertz(perSecond));
}

void CadenceView::nextSafe() {
    const auto* setup = m_actions.document().setup();
    const auto context =
        setup ? resolve(m_actions.document().shoot(), *setup) : Result<SetupContext>(Error{});
    if (!context)
        return;
    const auto safe = safeOnDial(*context);
    if (safe.empty()) {
        emit refused(context->scene->lamps.empty()
                         ? tr("Every shutter is safe: the scene has no lamps. L adds one.")
                         : tr("No shutter of this camera holds these lamps still at this rate; the "
                              "verdict says which rates do."));
        return;
    }
    const auto now = exposureTime(setup->shutter, setup->rate);
    for (const auto& shutter : safe)
        if (exposureTime(shutter, setup->rate).value() > now.value() * 1.001)
            return turnShutter(shutter);
    turnShutter(safe.front());
}

void CadenceView::setSchool(ShutterSchool school) {
    m_actions.changeSetup(tr("Shutter by: %1").arg(toQt(nameOf(school, translator()))),
                          [&](Setup& setup) { setup.shutterSchool = school; });
}

void CadenceView::schoolsShutter() {
    auto& document = m_actions.document();
    if (const auto context = resolve(document.shoot(), *document.setup()))
        turnShutter(shutterFor(*context, document.setup()->shutterSchool));
}

} // namespace bslate::app
