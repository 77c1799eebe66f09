#include "app/document/day_actions.h"

#include "app/document/actions.h"
#include "app/document/text.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/shoot/acceptances.h"
#include "core/shoot/edit.h"
#include "core/shoot/take_line.h"

#include <algorithm>

namespace bslate::app {

DayActions::DayActions(ShootDocument& document, DayPlanner& planner, QObject* parent)
    : QObject(parent)
    , m_document(document)
    , m_planner(planner) {}

bool DayActions::edit(const QString& name, const ShootDay& day, int drag) {
    return m_document.edit(name, applied(m_document.shoot(), {.day = day}), drag);
}

template<class Change>
void DayActions::changeTake(const QString& name, const QString& take, Change change) {
    auto day = m_planner.day();
    if (auto* own = findTake(day, fromQt(take))) {
        change(*own);
        edit(name, day);
    }
}

QString DayActions::addTake(const QString& line, const QString& after) {
    auto take = parseTakeLine(m_document.shoot(), fromQt(line));
    if (!take) {
        emit refused(messageOf(take.error()));
        return {};
    }
    auto day = m_planner.day();
    const QString id = toQt(bslate::addTake(day, *std::move(take), fromQt(after)));
    return edit(tr("Add take"), day) ? id : QString();
}

void DayActions::rewriteTake(const QString& take, const QString& line) {
    const auto typed = parseTakeLine(m_document.shoot(), fromQt(line));
    if (!typed) {
        emit refused(messageOf(typed.error()));
        return;
    }
    changeTake(tr("Change take"), take, [&](Take& own) { own = rewritten(own, *typed); });
}

void DayActions::removeTake(const QString& take) {
    auto day = m_planner.day();
    std::erase_if(day.takes, [&](const Take& own) { return toQt(own.id) == take; });
    edit(tr("Delete take"), day);
}

void DayActions::moveTake(const QString& take, Seconds start, int drag) {
    edit(tr("Move take"), withTakeAt(m_planner.day(), fromQt(take), start), drag);
}

void DayActions::toggleWhole(const QString& take) {
    changeTake(tr("Uninterruptible or not"), take, [](Take& own) { own.whole = !own.whole; });
}

void DayActions::happened(const QString& take, const QString& text) {
    if (text.trimmed().isEmpty()) {
        changeTake(tr("Take has not happened"), take, [](Take& own) {
            own.began.reset();
            own.ran.reset();
            own.cards.clear();
        });
        return;
    }
    const auto really = parseHappened(fromQt(text));
    if (!really) {
        emit refused(messageOf(really.error()));
        return;
    }
    const auto& plan = m_planner.plan();
    for (const auto& planned : plan.takes)
        if (toQt(planned.id) == take) // an edit makes another plan: nothing of this one after it
            return void(edit(tr("Take really ran"),
                             withHappened(m_document.shoot(), m_planner.day(), plan, planned.id,
                                          really->began.value_or(planned.start), really->ran)));
}

QString DayActions::refusal(CardPlace place, int unit) const {
    const auto reason =
        cardRefusal(m_document.shoot(), m_planner.day(), m_planner.plan(), place, unit);
    return reason ? toQt(reasonOf(*reason, translator())) : QString();
}

void DayActions::putCard(CardPlace place, int unit) {
    if (unit >= 0)
        if (const QString why = refusal(place, unit); !why.isEmpty()) {
            emit refused(tr("Not there: %1.").arg(why));
            return;
        }
    edit(unit >= 0 ? tr("Put card into take") : tr("Let the plan choose the card"),
         withCard(m_document.shoot(), m_planner.day(), m_planner.plan(), place, unit));
}

void DayActions::failCard(int unit, Seconds at) {
    const auto before = m_planner.day();
    const auto& card = m_planner.plan().cards.unitIds[static_cast<std::size_t>(unit)];
    const auto day = withCardFailed(before, card, at);
    edit(day.failures.size() < before.failures.size() ? tr("Card in use again") : tr("Card failed"),
         day);
}

void DayActions::fillFromScenes() {
    auto day = m_planner.day();
    day.takes = takesFromScenes(m_document.shoot(), day.number);
    if (day.takes.empty()) {
        emit refused(tr("Day %1 has no scenes with setups to take them from.").arg(day.number));
        return;
    }
    if (day.takes.size() > kMostTakes)
        day.takes.resize(kMostTakes);
    edit(tr("Takes from the scenes"), day);
}

void DayActions::setStart(Seconds start) {
    auto day = m_planner.day();
    day.start = start;
    edit(tr("Day begins"), day);
}

void DayActions::setSafeBy(std::optional<Seconds> by) {
    auto day = m_planner.day();
    day.safeBy = by;
    edit(tr("Safe by"), day);
}

void DayActions::setCopies(int copies) {
    Shoot after = m_document.shoot();
    after.brief.copies = copies;
    m_document.edit(tr("Copies wanted"), std::move(after));
}

void DayActions::setFinished(Seconds length) {
    Shoot after = m_document.shoot();
    after.brief.finished = length;
    m_document.edit(tr("Length delivered"), std::move(after));
}

void DayActions::apply(const QString& name, const Edit& change) {
    m_document.edit(name, applied(m_document.shoot(), change));
}

void DayActions::accept(const QStringList& findings, const QString& reason) {
    auto day = m_planner.day();
    for (const auto& key : findings)
        if (!bslate::accept(day.accepted, fromQt(key), fromQt(reason))) {
            emit refused(needsReason());
            return;
        }
    edit(tr("Accept"), day);
}

void DayActions::withdraw(const QStringList& findings) {
    auto day = m_planner.day();
    for (const auto& key : findings)
        bslate::withdraw(day.accepted, fromQt(key));
    edit(tr("Take acceptance back"), day);
}

} // namespace bslate::app
