#include "app/views/cadence/cadence_view.h"

#include "app/document/text.h"
#include "app/views/cadence/angle_scale.h"
#include "app/views/cadence/lamp_row.h"
#include "app/views/cadence/motion_picture.h"
#include "app/views/cadence/speed_ruler.h"
#include "app/views/cadence/time_strip.h"
#include "app/widgets/value_block.h"
#include "core/facts/evaluate.h"
#include "core/facts/rate_steps.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include <QComboBox>
#include <QKeyEvent>
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
    , m_hint(new QLabel)
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

std::span<const KeyLine> CadenceView::keys() const {
    static constexpr KeyLine kKeys[] = {
        {"Left, Right, Up, Down",
         QT_TRANSLATE_NOOP("Help", "shutter by clicks (Shift: ten), capture rate")},
        {"S, H, O",
         QT_TRANSLATE_NOOP("Help", "next safe shutter, the school's shutter, next school")},
        {"A, R, L", QT_TRANSLATE_NOOP("Help", "type the shutter, the rate, a lamp")},
        {"Space, Escape",
         QT_TRANSLATE_NOOP("Help", "play the motion after a caution, keep it still")}};
    return kKeys;
}

void CadenceView::buildHeader(QVBoxLayout& column) {
    m_title->setObjectName(QStringLiteral("cadence-title"));
    m_school->setObjectName(QStringLiteral("shutter-school"));
    m_school->setAccessibleName(tr("What the shutter is chosen by"));
    for (int i = 0; i <= static_cast<int>(ShutterSchool::Custom); ++i)
        m_school->addItem(toQt(nameOf(static_cast<ShutterSchool>(i), translator())));
    m_payer->setObjectName(QStringLiteral("cadence-payer"));
    m_payer->setAccessibleName(tr("Who pays for a change"));
    for (int i = 0; i <= static_cast<int>(Payer::Nobody); ++i)
        m_payer->addItem(tr("%1 pays").arg(toQt(nameOf(static_cast<Payer>(i), translator()))));
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
    m_hint->setFont(Style::font(TextRole::Secondary));
    m_hint->setForegroundRole(QPalette::PlaceholderText);
    m_hint->setText(tr("\u25c2 \u25b8 shutter   \u25b4 \u25be rate   S next safe   H the "
                       "school's angle   O school   A R type   L lamp   P who pays   Space play"));
    column.addWidget(m_hint);
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

void CadenceView::keyPressEvent(QKeyEvent* event) {
    const auto* setup = m_actions.document().setup();
    if (!setup || event->modifiers() & (Qt::ControlModifier | Qt::AltModifier))
        return QWidget::keyPressEvent(event);
    const auto& value = m_actions.document().value();
    const int many = event->modifiers() & Qt::ShiftModifier ? 10 : 1;
    switch (event->key()) {
    case Qt::Key_Right:
        return stepShutterBy(many, value, 0);
    case Qt::Key_Left:
        return stepShutterBy(-many, value, 0);
    case Qt::Key_Up:
        return stepRateBy(1, value, 0);
    case Qt::Key_Down:
        return stepRateBy(-1, value, 0);
    case Qt::Key_S:
        return nextSafe();
    case Qt::Key_H:
        if (const auto context = resolve(*value, *setup))
            turnShutter(shutterFor(*context, setup->shutterSchool));
        return;
    case Qt::Key_O:
        return setSchool(
            static_cast<ShutterSchool>((static_cast<int>(setup->shutterSchool) + 1) % 4));
    case Qt::Key_P:
        return m_actions.setPayer(static_cast<Payer>((static_cast<int>(setup->payer) + 1) % 5));
    case Qt::Key_A:
        return m_shutter->type();
    case Qt::Key_R:
        return m_rate->type();
    case Qt::Key_L:
        return m_lamps->addLamp();
    case Qt::Key_Space:
        return m_motion->advance();
    case Qt::Key_Escape:
        return m_motion->stop();
    default:
        QWidget::keyPressEvent(event);
    }
}

} // namespace bslate::app
