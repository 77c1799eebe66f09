#pragma once

#include "core/verdict/day/day_problem.h"
#include "core/verdict/day/day_verdict.h"
#include "core/verdict/day/drop_chances.h"

/// The judgements of a day, one small function each. Private to verdict/day.
namespace bslate::day {

struct Case {
    const Shoot& shoot;
    const ShootDay& day;
    const DayPlan& plan;
    DayRolls rolls;
    DropChances& chances;
};
using Findings = std::vector<Finding>;

// card_rules.cpp: what the cards do inside the takes
void shortOfCards(const Case&, Findings&);
void cardsChangedInside(const Case&, Findings&);
void cardsMarginal(const Case&, Findings&);
void mirrorAndProxy(const Case&, Findings&);
void slotLowersRate(const Case&, Findings&);
void cardsTight(const Case&, Findings&);
void takesInFiles(const Case&, Findings&);
void classesUnknown(const Case&, Findings&);
void busHoldsBack(const Case&, Findings&);
void cardFailed(const Case&, Findings&);

// body_rules.cpp: clip limits, heat and power
void takesOutlastMode(const Case&, Findings&);
void lightOnTheDay(const Case&, Findings&);
void shortOfPower(const Case&, Findings&);
void externalPowerNeeded(const Case&, Findings&);

// copy_rules.cpp: copies, storage, and how the day stands
void copiesMissing(const Case&, Findings&);
void backLate(const Case&, Findings&);
void safeTonight(const Case&, Findings&);
void storage(const Case&, Findings&);
void takesLate(const Case&, Findings&);
void dayWhole(const Case&, Findings&);
void howGood(const Case&, Findings&);

/// A finding about a take, or about the day when it is -1.
[[nodiscard]] Finding about(const Case& now, int take, std::string_view id, Severity severity,
                            Facts facts, std::string_view source);

/// What trying remedies out may cost, for all findings of a day together.
struct Trials {
    KeepGoing keepGoing;
    long looks = 300'000; ///< as PlanEffort counts them: a second or so
    [[nodiscard]] bool goOn() const { return looks > 0 && (!keepGoing || keepGoing(1)); }
};

/// Tries the smallest changes out and keeps at most four that cure the finding without a new
/// fault. Stops with those it has when the trials are over.
void offerRemedies(const Case& now, const Findings& all, Finding& finding, Trials& trials);

/// The rules run, unsorted, without remedies.
[[nodiscard]] Findings findingsOf(const Case& now);

} // namespace bslate::day
