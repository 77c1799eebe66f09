#include "app/document/day_planner.h"

#include "core/day/day_edit.h"
#include "core/day/plan_day.h"
#include "core/shoot/take_line.h"

#include <QTimer>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr int kSettleMs = 80;
constexpr long kThorough = 150'000; // states: about half a second of a full day

} // namespace

DayPlanner::DayPlanner(ShootDocument& document, QObject* parent)
    : QObject(parent)
    , m_document(document)
    , m_later(new QTimer(this)) {
    m_later->setSingleShot(true);
    m_later->setInterval(kSettleMs);
    connect(m_later, &QTimer::timeout, this, &DayPlanner::begin);
    connect(&m_thorough, &BackgroundJob::progressed, this, &DayPlanner::progressed);
    connect(&document, &ShootDocument::changed, this, [this] {
        m_stale = true;
        if (m_active)
            refresh();
    });
}

void DayPlanner::setActive(bool active) {
    m_active = active;
    if (active && m_stale)
        refresh();
}

void DayPlanner::chooseDay(int number) {
    if (number == m_number)
        return;
    m_number = number;
    m_settled.reset();
    m_reference.reset();
    m_stale = true;
    if (m_active)
        refresh();
}

void DayPlanner::refresh() {
    m_thorough.stop();
    const auto& shoot = m_document.shoot();
    const auto numbers = dayNumbers(shoot);
    if (std::find(numbers.begin(), numbers.end(), m_number) == numbers.end()) {
        m_number = numbers.front();
        m_settled.reset();
    }
    m_stale = false;
    m_reference = m_settled;
    m_day = dayOf(shoot, m_number);
    // One way down, guided by what was there.
    m_plan = planDay(shoot, m_day, {1, {}}, m_settled ? &*m_settled : nullptr);
    m_findings = judgeDay(shoot, m_day, m_plan, {DayRemedies::None, {}, &m_chances});
    mark();
    m_later->start();
    emit changed();
}

void DayPlanner::begin() {
    // From the document alone: the same shoot always gets the same plan, here, on the command line
    // and on the printed labels.
    m_thorough.start([this, value = m_document.value(), day = m_day](const auto& control) {
        const PlanEffort effort{kThorough, control.keepGoing()};
        auto plan = planDay(*value, day, effort);
        auto findings = judgeDay(*value, day, plan, {DayRemedies::Verified, effort.keepGoing});
        return [this, plan = std::move(plan), findings = std::move(findings)] {
            take(plan, findings);
        };
    });
}

void DayPlanner::take(DayPlan plan, std::vector<Finding> findings) {
    m_plan = std::move(plan);
    m_settled = m_plan;
    m_findings = std::move(findings);
    mark();
    emit changed();
}

void DayPlanner::mark() {
    m_changedCards.clear();
    m_changedPower.clear();
    if (!m_reference)
        return;
    m_changedCards = changedUses(*m_reference, m_reference->cards, m_plan, m_plan.cards);
    m_changedPower = changedUses(*m_reference, m_reference->power, m_plan, m_plan.power);
}

void DayPlanner::stop() {
    m_thorough.hurry();
}

void DayPlanner::settle() {
    if (m_stale)
        refresh();
    if (m_later->isActive()) {
        m_later->stop();
        begin();
    }
    m_thorough.settle();
}

} // namespace bslate::app
