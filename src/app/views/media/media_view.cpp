#include "app/views/media/media_view.h"

#include "app/document/text.h"
#include "app/views/media/pack_card.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/shoot/take_line.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {

QLabel* secondary(const QString& text = {}) {
    auto* label = new QLabel(text);
    label->setFont(Style::font(TextRole::Secondary));
    label->setForegroundRole(QPalette::PlaceholderText);
    return label;
}

} // namespace

MediaView::MediaView(DayActions& actions, const Style& style, QWidget* parent)
    : StepView(style, parent)
    , m_actions(actions)
    , m_style(style)
    , m_title(new QLabel)
    , m_summary(secondary())
    , m_caution(secondary(tr("Charge lithium cells on a surface that does not burn, never "
                             "unattended; no swollen or dropped ones.")))
    , m_fill(new QPushButton(tr("Fill from the scenes (S)")))
    , m_pack(new QPushButton(tr("Pack list\u2026 (P)")))
    , m_begins(quantityField(
          "day-begins", tr("Day begins"),
          [](const QString& text) { return problemOf(parseTimeOfDay(fromQt(text))); }))
    , m_safeBy(quantityField("day-safe-by", tr("Everything copied by"),
                             [](const QString& text) -> std::optional<QString> {
                                 return text.trimmed().isEmpty()
                                            ? std::nullopt
                                            : problemOf(parseTimeOfDay(fromQt(text)));
                             }))
    , m_copies(quantityField("day-copies", tr("Checked copies wanted"),
                             [](const QString& text) -> std::optional<QString> {
                                 bool whole = false;
                                 const int copies = text.trimmed().toInt(&whole);
                                 return whole && copies >= 1 && copies <= 4
                                            ? std::nullopt
                                            : std::optional(
                                                  tr("Copies of every card, from 1 to 4."));
                             }))
    , m_finished(quantityField("day-finished", tr("Length that is delivered"),
                               [](const QString& text) -> std::optional<QString> {
                                   return text.trimmed().isEmpty()
                                              ? std::nullopt
                                              : problemOf(parseDuration(fromQt(text)));
                               }))
    , m_fields(new TakeFields(actions))
    , m_timeline(new DayTimeline(style)) {
    setObjectName(QStringLiteral("media-view"));
    setAccessibleName(tr("Media"));
    setFocusPolicy(Qt::StrongFocus);
    addKeys();
    layOut();
    wireFields();
    wireTimeline();
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    connect(&actions.planner(), &DayPlanner::changed, this, &MediaView::refresh);
    connect(&actions.planner(), &DayPlanner::progressed, this, &MediaView::showProgress);
    connect(&actions, &DayActions::refused, this, &MediaView::refused);
    refresh();
}

void MediaView::addKeys() {
    auto& keys = keyTable();
    const auto take = [this](int by) { return [this, by] { stepTake(by); }; };
    const auto line = [this] { m_fields->typeLine(this->take().isEmpty()); };
    keys.add({{Qt::Key_Left, take(-1)}, {Qt::Key_Right, take(1)}},
             QT_TRANSLATE_NOOP("Help", "choose a take"), QT_TRANSLATE_NOOP("Help", "take"));
    keys.add({{Qt::Key_Up, [this] { stepLane(-1); }}, {Qt::Key_Down, [this] { stepLane(1); }}},
             QT_TRANSLATE_NOOP("Help", "choose a camera"), QT_TRANSLATE_NOOP("Help", "camera"));
    keys.add({{Qt::ALT | Qt::Key_Left, [this] { nudge(-5); }},
              {Qt::ALT | Qt::Key_Right, [this] { nudge(5); }}},
             QT_TRANSLATE_NOOP("Help", "move the take by five minutes"),
             QT_TRANSLATE_NOOP("Help", "move"));
    keys.add({{Qt::Key_W, [this] { m_actions.toggleWhole(this->take()); }}},
             QT_TRANSLATE_NOOP("Help", "the take must not be interrupted"),
             QT_TRANSLATE_NOOP("Help", "whole"));
    keys.add({{Qt::Key_E, [this] { m_fields->typeReally(); }}},
             QT_TRANSLATE_NOOP("Help", "when it really ran"),
             QT_TRANSLATE_NOOP("Help", "really ran"));
    keys.add({{Qt::Key_C, [this] { m_fields->typeCard(); }}},
             QT_TRANSLATE_NOOP("Help", "type the card"), QT_TRANSLATE_NOOP("Help", "card"));
    keys.add({{Qt::Key_X, [this] { failCard(); }}}, QT_TRANSLATE_NOOP("Help", "the card failed"),
             QT_TRANSLATE_NOOP("Help", "card failed"));
    keys.add({{Qt::Key_Plus, [this] { m_timeline->zoom(2); }},
              {Qt::Key_Minus, [this] { m_timeline->zoom(0.5); }}},
             QT_TRANSLATE_NOOP("Help", "zoom"), QT_TRANSLATE_NOOP("Help", "zoom"));
    keys.add({{Qt::Key_F, [this] { m_timeline->fit(); }}}, QT_TRANSLATE_NOOP("Help", "whole day"),
             QT_TRANSLATE_NOOP("Help", "fit"));
    keys.add(
        {{Qt::Key_PageUp, [this] { stepDay(-1); }}, {Qt::Key_PageDown, [this] { stepDay(1); }}},
        QT_TRANSLATE_NOOP("Help", "other day"), QT_TRANSLATE_NOOP("Help", "day"));
    keys.add({{Qt::Key_P, [this] { emit sheetRequested(QStringLiteral("pack-list")); }}},
             QT_TRANSLATE_NOOP("Help", "pack list"), QT_TRANSLATE_NOOP("Help", "pack"));
    keys.add({{Qt::Key_Insert, [this] { m_fields->typeLine(true); }}},
             QT_TRANSLATE_NOOP("Help", "type a new take"));
    keys.add({{Qt::Key_Return, line}, {Qt::Key_F2, line}},
             QT_TRANSLATE_NOOP("Help", "rewrite the take"));
    keys.add({{Qt::Key_Delete, [this] { m_actions.removeTake(this->take()); }}},
             QT_TRANSLATE_NOOP("Help", "delete the take"));
    keys.add({{Qt::Key_S, [this] { fill(); }}},
             QT_TRANSLATE_NOOP("Help", "fill an empty day from the scenes"));
    keys.add({{Qt::Key_Escape, [this] { m_actions.planner().stop(); }}},
             QT_TRANSLATE_NOOP("Help", "stop searching: the best so far stays"));
}

void MediaView::fill() {
    if (m_actions.planner().plan().takes.empty())
        m_actions.fillFromScenes();
    else
        emit refused(tr("The day has takes already; delete them first."));
}

void MediaView::settle() {
    if (const auto* scene = m_actions.document().scene())
        m_actions.planner().chooseDay(scene->day);
    m_actions.planner().settle();
}

void MediaView::layOut() {
    m_title->setFont(Style::font(TextRole::Head));
    m_title->setObjectName(QStringLiteral("day-title"));
    m_summary->setObjectName(QStringLiteral("day-summary"));
    m_fill->setObjectName(QStringLiteral("day-fill"));
    m_pack->setObjectName(QStringLiteral("day-pack"));
    m_begins->setFixedWidth(64);
    m_safeBy->setFixedWidth(64);
    m_copies->setFixedWidth(32);
    m_finished->setFixedWidth(72);
    m_finished->setPlaceholderText(tr("12 min"));
    m_safeBy->setPlaceholderText(tr("22:45"));
    auto* head = new QHBoxLayout;
    head->setSpacing(8);
    head->addWidget(m_title);
    head->addStretch(1);
    head->addWidget(secondary(tr("begins")));
    head->addWidget(m_begins);
    head->addWidget(secondary(tr("safe by")));
    head->addWidget(m_safeBy);
    head->addWidget(secondary(tr("copies")));
    head->addWidget(m_copies);
    head->addWidget(secondary(tr("delivers")));
    head->addWidget(m_finished);
    head->addWidget(m_fill);
    head->addWidget(m_pack);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 10, 16, 8);
    column->setSpacing(6);
    column->addLayout(head);
    column->addWidget(m_summary);
    column->addWidget(m_fields);
    column->addWidget(m_timeline, 1);
    column->addWidget(m_caution);
    column->addWidget(hintLabel());
}

void MediaView::wireFields() {
    for (auto* edit : {m_begins, m_safeBy, m_copies, m_finished})
        connect(edit, &QuantityEdit::refused, this, &MediaView::refused);
    connect(m_fields, &TakeFields::refused, this, &MediaView::refused);
    connect(m_fields, &TakeFields::added, this, [this](const QString& take) { chooseTake(take); });
    connect(m_fields, &TakeFields::entered, this, [this] { setFocus(); });
    connect(m_begins, &QuantityEdit::entered, this,
            [this](const QString& text) { m_actions.setStart(*parseTimeOfDay(fromQt(text))); });
    connect(m_safeBy, &QuantityEdit::entered, this, [this](const QString& text) {
        const auto by = parseTimeOfDay(fromQt(text));
        m_actions.setSafeBy(by ? std::optional(*by) : std::nullopt);
    });
    connect(m_copies, &QuantityEdit::entered, this,
            [this](const QString& text) { m_actions.setCopies(text.trimmed().toInt()); });
    connect(m_finished, &QuantityEdit::entered, this, [this](const QString& text) {
        m_actions.setFinished(parseDuration(fromQt(text)).valueOr(Seconds(0)));
    });
    connect(m_fill, &QPushButton::clicked, &m_actions, &DayActions::fillFromScenes);
    connect(m_pack, &QPushButton::clicked, this,
            [this] { emit sheetRequested(QStringLiteral("pack-list")); });
}

void MediaView::wireTimeline() {
    m_timeline->setJudge(
        [this](CardPlace place, int unit) { return m_actions.refusal(place, unit); });
    connect(m_timeline, &DayTimeline::chosen, this, [this](const QString& take, int lane) {
        setFocus();
        chooseTake(take, lane);
    });
    connect(m_timeline, &DayTimeline::takeDragStarted, this,
            [this] { m_drag = m_actions.document().beginDrag(); });
    connect(m_timeline, &DayTimeline::takeDragged, this, &MediaView::dropTake);
    connect(m_timeline, &DayTimeline::takeDragEnded, this, [this] { m_drag = 0; });
    connect(m_timeline, &DayTimeline::cardDropped, &m_actions, &DayActions::putCard);
    connect(m_timeline, &DayTimeline::cardRefused, this, &MediaView::refused);
}

void MediaView::showEvent(QShowEvent*) {
    m_actions.planner().setActive(true);
}

void MediaView::hideEvent(QHideEvent*) {
    m_actions.planner().setActive(false);
}

QString MediaView::summary() const {
    const auto& plan = m_actions.planner().plan();
    if (plan.takes.empty())
        return tr("No takes yet: S takes them from the scenes, Insert types one as a line.");
    QStringList parts = {tr("%1 \u2013 %2")
                             .arg(toQt(printClock(plan.takes.front().start)),
                                  toQt(printClock(plan.takes.back().end, true))),
                         tr("%1 takes").arg(plan.takes.size()),
                         tr("%1 recorded").arg(toQt(printDuration(plan.footage))),
                         toQt(print(plan.recorded)),
                         tr("%1 card and %2 battery changes")
                             .arg(plan.cards.plan.cost.changes)
                             .arg(plan.power.plan.cost.changes)};
    if (plan.safe)
        parts << tr("safe at %1").arg(toQt(printClock(*plan.safe, true)));
    return parts.join(QStringLiteral(" \u00b7 "));
}

void MediaView::refresh() {
    const auto& planner = m_actions.planner();
    const auto& plan = planner.plan();
    m_title->setText(tr("Day %1").arg(plan.day));
    m_fill->setVisible(plan.takes.empty());
    m_caution->setVisible(!plan.power.plan.uses.empty());
    showProgress();
    DayTimeline::Shown shown;
    shown.shoot = m_actions.document().value();
    shown.plan = plan;
    shown.changedCards = planner.changedCards();
    shown.changedPower = planner.changedPower();
    shown.failed.resize(plan.cards.unitIds.size());
    for (const auto& failure : planner.day().failures)
        if (const int unit = plan.cards.unitOf(failure.card); unit >= 0)
            shown.failed[static_cast<std::size_t>(unit)] = true;
    ShootDay untouched = planner.day();
    for (auto& take : untouched.takes) {
        take.began.reset();
        take.ran.reset();
    }
    const auto meant = timesOf(untouched);
    for (std::size_t i = 0; i < plan.takes.size(); ++i)
        if (plan.takes[i].done) {
            shown.now = plan.takes[i].end;
            shown.late = plan.takes[i].end - meant[i].end;
        }
    m_timeline->show(std::move(shown));
    const bool known = std::any_of(plan.takes.begin(), plan.takes.end(),
                                   [&](const DayTake& own) { return toQt(own.id) == take(); });
    if (!known && !m_fields->isFresh())
        m_timeline->choose(plan.takes.empty() ? QString() : toQt(plan.takes.front().id), -1);
    showFields();
}

void MediaView::showProgress() {
    if (const auto done = m_actions.planner().progress())
        m_summary->setText(tr("Looking for a better plan, %1 %. Escape keeps the best so far.")
                               .arg(static_cast<int>(*done * 100)));
    else
        m_summary->setText(summary());
}

void MediaView::showFields() {
    const auto& planner = m_actions.planner();
    const auto& day = planner.day();
    m_begins->showValue(toQt(spellTimeOfDay(day.start)));
    m_safeBy->showValue(day.safeBy ? toQt(spellTimeOfDay(*day.safeBy)) : QString());
    const auto& brief = m_actions.document().shoot().brief;
    m_copies->showValue(QString::number(brief.copies));
    m_finished->showValue(brief.finished.value() > 0 ? toQt(printDuration(brief.finished))
                                                     : QString());
    m_fields->show(take(), m_timeline->chosenLane());
}

void MediaView::chooseTake(const QString& take, int lane) {
    m_timeline->choose(take, lane);
    showFields();
}

void MediaView::stepTake(int by) {
    const auto& takes = m_actions.planner().plan().takes;
    if (takes.empty())
        return;
    int now = 0;
    for (std::size_t i = 0; i < takes.size(); ++i)
        if (toQt(takes[i].id) == take())
            now = static_cast<int>(i);
    const int next = std::clamp(now + by, 0, static_cast<int>(takes.size()) - 1);
    chooseTake(toQt(takes[static_cast<std::size_t>(next)].id), m_timeline->chosenLane());
}

void MediaView::stepLane(int by) {
    const int count = static_cast<int>(m_actions.planner().plan().cards.lanes.size());
    if (count > 0)
        chooseTake(take(), std::clamp(m_timeline->chosenLane() + by, 0, count - 1));
}

void MediaView::stepDay(int by) {
    const auto numbers = dayNumbers(m_actions.document().shoot());
    const auto here = std::find(numbers.begin(), numbers.end(), m_actions.planner().plan().day);
    const auto at = (here == numbers.end() ? 0 : here - numbers.begin()) + by;
    if (at >= 0 && at < static_cast<std::ptrdiff_t>(numbers.size()))
        m_actions.planner().chooseDay(numbers[static_cast<std::size_t>(at)]);
}

void MediaView::nudge(int minutes) {
    for (const auto& own : m_actions.planner().plan().takes)
        if (toQt(own.id) == take()) // the edit makes another plan: nothing of this one after it
            return m_actions.moveTake(take(), own.start + Seconds(minutes * 60.0));
}

void MediaView::dropTake(const QString& take, Seconds start) {
    m_actions.moveTake(take, start, m_drag);
}

// The card of the chosen camera, from the middle of the chosen take on.
void MediaView::failCard() {
    const auto place = m_fields->place();
    const auto& plan = m_actions.planner().plan();
    if (place)
        for (const auto& use : plan.cards.plan.uses)
            if (use.lane == place->lane && use.demand == place->demand) {
                m_actions.failCard(use.unit, (use.start + use.end) * 0.5);
                return;
            }
    // A card that has failed is in no take any more: its label says which one is meant.
    for (const auto& failure : m_actions.planner().day().failures)
        if (const int unit = plan.cards.unitOf(failure.card); unit >= 0) {
            m_actions.failCard(unit, failure.at);
            return;
        }
    emit refused(tr("No card is in this take."));
}

std::optional<Card> MediaView::packCard() const {
    const auto list = packListOf(m_actions.document().shoot());
    if (list.days == 0)
        return std::nullopt;
    return packCardOf(m_actions.document().shoot(), list);
}

} // namespace bslate::app
