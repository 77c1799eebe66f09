#include "core/day/rules/rules.h"

#include <algorithm>
#include <cmath>

namespace bslate::day {
namespace {

constexpr Seconds kLate{60};       // nobody calls less than a minute late
constexpr Seconds kTightBack{900}; // a card back with less to spare: common practice, no source

} // namespace

static void copiesMissing(const Case& now, Findings& out) {
    const auto& plan = now.plan;
    if (plan.recorded.value() <= 0)
        return;
    if (plan.copiesPossible < plan.copies)
        out.push_back(about(now, -1, FindingId::DayNoSecondCopy, Severity::Fault,
                            {{"copies", plan.copies}, {"drives", plan.copiesPossible}}));
    else if (plan.cards.problem.servers.empty())
        out.push_back(about(now, -1, FindingId::DayNoReader, Severity::Fault, {}));
}

// Cards that come back, used again soon after.
static void backLate(const Case& now, Findings& out) {
    const auto& cards = now.plan.cards;
    for (const auto& renewal : cards.plan.renewals) {
        const auto next = std::find_if(
            cards.plan.uses.begin(), cards.plan.uses.end(), [&](const CarrierUse& use) {
                return use.unit == renewal.unit && use.start >= renewal.end;
            });
        if (next == cards.plan.uses.end() || next->start - renewal.end > kTightBack)
            continue;
        const auto& lane = cards.lanes[static_cast<std::size_t>(next->lane)];
        out.push_back(about(now, lane.takes[static_cast<std::size_t>(next->demand)],
                            FindingId::DayCardBackTight, Severity::Caution,
                            {{"card", cards.unitLabels[static_cast<std::size_t>(renewal.unit)]},
                             {"back", ClockTime{renewal.end, true}},
                             {"spare", Duration{next->start - renewal.end}},
                             {"start", ClockTime{next->start}}}));
    }
}

static void safeTonight(const Case& now, Findings& out) {
    const auto& plan = now.plan;
    if (plan.cards.plan.uses.empty())
        return;
    if (!plan.safe) {
        if (plan.copiesPossible >= plan.copies && !plan.cards.problem.servers.empty())
            out.push_back(about(now, -1, FindingId::DayNeverSafe, Severity::Fault, {}));
        return;
    }
    Facts facts = {{"safe", ClockTime{*plan.safe, true}}, {"copies", plan.copies}};
    const Seconds by = nextAfter(now.day.start, now.day.safeBy.value_or(Seconds(0)));
    if (now.day.safeBy && *plan.safe > by) {
        facts.push_back({"by", ClockTime{by}});
        facts.push_back({"late", Duration{*plan.safe - by}});
        out.push_back(about(now, -1, FindingId::DaySafeLate, Severity::Caution, std::move(facts)));
        return;
    }
    out.push_back(about(now, -1, FindingId::DaySafe, Severity::Good, std::move(facts)));
}

static void storage(const Case& now, Findings& out) {
    const auto& plan = now.plan;
    const double ratio = now.shoot.brief.finished.value() > 0
                             ? plan.projectFootage.value() / now.shoot.brief.finished.value()
                             : 0;
    Facts facts = {{"total", plan.projectBytes},
                   {"copies", plan.copies},
                   {"ratio", Magnification(ratio)},
                   {"footage", Duration{plan.projectFootage}}};
    if (plan.storageShort.value() > 0) {
        facts.push_back({"short", plan.storageShort});
        out.push_back(
            about(now, -1, FindingId::DayStorageShort, Severity::Fault, std::move(facts)));
    } else if (plan.projectBytes.value() > 0) {
        out.push_back(about(now, -1, ratio > 0 ? FindingId::DayStorageRatio : FindingId::DayStorage,
                            Severity::Note, std::move(facts)));
    }
}

static void takesLate(const Case& now, Findings& out) {
    for (std::size_t i = 0; i < now.day.takes.size() && i < now.plan.takes.size(); ++i) {
        const auto& take = now.day.takes[i];
        if (!take.at)
            continue;
        const Seconds late = now.plan.takes[i].start - onDay(now.day.start, *take.at);
        if (late > kLate)
            out.push_back(
                about(now, static_cast<int>(i), FindingId::DayTakeLate, Severity::Caution,
                      {{"late", Duration{late}}, {"start", ClockTime{now.plan.takes[i].start}}}));
    }
}

static void dayWhole(const Case& now, Findings& out) {
    int whole = 0;
    Seconds longest(0);
    std::string name;
    for (const auto& take : now.plan.takes)
        if (take.whole) {
            ++whole;
            if (take.end - take.start > longest) {
                longest = take.end - take.start;
                name = take.title;
            }
        }
    const bool broken = std::any_of(out.begin(), out.end(), [](const Finding& finding) {
        return finding.severity == Severity::Fault || finding.id == FindingId::DayCardTight ||
               finding.id == FindingId::DayBatteryTight ||
               finding.id == FindingId::DayCardBackTight;
    });
    if (whole > 0 && !broken)
        out.push_back(about(now, -1, FindingId::DayWhole, Severity::Good,
                            {{"count", whole}, {"take", name}, {"length", Duration{longest}}}));
}

static void howGood(const Case& now, Findings& out) {
    for (const auto& number : now.plan.incomplete) {
        out.push_back(
            about(now, -1, FindingId::DaySetupIncomplete, Severity::Fault, {{"setup", number}}));
        out.back().subject = number;
    }
    if (now.plan.takes.empty())
        return;
    const auto& cards = now.plan.cards.plan;
    const auto& power = now.plan.power.plan;
    const int least = cards.bound.changes + power.bound.changes;
    const Seconds saved = cards.cost.broken + cards.cost.lost - cards.bound.broken -
                          cards.bound.lost + power.cost.broken + power.cost.lost -
                          power.bound.broken - power.bound.lost;
    out.push_back(about(now, -1,
                        now.plan.optimal()     ? FindingId::DayChanges
                        : saved > Seconds(0.5) ? FindingId::DayLostGap
                                               : FindingId::DayChangesGap,
                        Severity::Note,
                        {{"cards", cards.cost.changes},
                         {"batteries", power.cost.changes},
                         {"least", least},
                         {"saved", Duration{saved}}}));
}

std::span<const Rule> copyRules() {
    static constexpr Rule kRules[] = {copiesMissing, backLate, safeTonight, storage,
                                      takesLate,     dayWhole, howGood};
    return kRules;
}

} // namespace bslate::day
