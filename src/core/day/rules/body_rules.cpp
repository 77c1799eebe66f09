#include "core/day/rules/rules.h"
#include "core/facts/evaluate.h"
#include "core/facts/heat_reason.h"
#include "core/facts/light_change.h"

#include <cmath>
#include <set>

namespace bslate::day {

static void takesOutlastMode(const Case& now, Findings& out) {
    for (const auto& roll : now.rolls.rolls) {
        const auto& mode = *roll.context.mode;
        const Seconds length = roll.end - roll.start;
        const auto ambient = ambientOf(roll.context);
        const auto severity = roll.whole ? Severity::Fault : Severity::Caution;
        if (mode.clipLimit && *mode.clipLimit < length)
            out.push_back(about(now, roll.take,
                                roll.whole ? FindingId::DayClipLimit : FindingId::DayClipSplit,
                                severity,
                                {{"camera", roll.context.camera->name},
                                 {"mode", mode.name},
                                 {"limit", Duration{*mode.clipLimit}},
                                 {"length", Duration{length}}}));
        const auto heat = heatTime(mode, ambient);
        if (heat && heat->time < length)
            out.push_back(about(now, roll.take, FindingId::DayHeat, severity,
                                {{"camera", roll.context.camera->name},
                                 {"limit", Duration{heat->time}},
                                 {"beyond", beyondHeat(*heat)},
                                 {"ambient", ambient},
                                 {"length", Duration{length}}}));
    }
}

// Light that changes while takes run: what is lost in which of them.
static void lightOnTheDay(const Case& now, Findings& out) {
    for (const auto& roll : now.rolls.rolls) {
        const auto& scene = *roll.context.scene;
        const auto by = lightChangeOf(scene, now.shoot.meter);
        if (!by || !scene.start)
            continue;
        const Seconds begins = onDay(now.day.start, *scene.start);
        const auto at = evaluate(roll.context);
        const Stops first = changedBy(*scene.change, *by, roll.start - begins);
        const Stops last = changedBy(*scene.change, *by, roll.end - begins);
        for (const auto& patch : at.patches) {
            if (patch.role == PatchRole::Spare)
                continue;
            const bool climbs = *by > Stops(0);
            const Stops room = climbs ? patch.headroom : patch.aboveNoise;
            const Stops most(climbs ? last.value() : -last.value());
            const Stops early(climbs ? first.value() : -first.value());
            if (room < Stops(0) || most <= room)
                continue; // lost from the start, which the setup's own verdict tells; or kept
            // Before a take the dials can follow the light; inside it nothing can.
            const bool before = early > room;
            const Seconds from =
                before ? roll.start
                       : begins + scene.change->over * (room.value() / std::abs(by->value()));
            out.push_back(about(now, roll.take,
                                before   ? FindingId::DayLightMoved
                                : climbs ? FindingId::DayLightClimbs
                                         : FindingId::DayLightFalls,
                                climbs && !before ? Severity::Fault : Severity::Caution,
                                {{"patch", patch.name},
                                 {"camera", roll.context.camera->name},
                                 {"from", ClockTime{from}},
                                 {"moved", changedBy(*scene.change, *by, roll.start - begins)},
                                 {"by", most - room}}));
            break;
        }
    }
}

static void shortOfPower(const Case& now, Findings& out) {
    const auto& power = now.plan.power;
    for (const auto& gap : power.plan.shortfalls) {
        const auto& lane = power.lanes[static_cast<std::size_t>(gap.lane)];
        const auto& demand = power.problem.lanes[static_cast<std::size_t>(gap.lane)]
                                 .demands[static_cast<std::size_t>(gap.demand)];
        out.push_back(
            about(now, lane.takes[static_cast<std::size_t>(gap.demand)],
                  demand.whole ? FindingId::DayBatteryEmptyWhole : FindingId::DayBatteryEmpty,
                  Severity::Fault,
                  {{"camera", lane.title},
                   {"from", ClockTime{gap.from}},
                   {"lost", Duration{demand.end - gap.from}},
                   {"missing", WattHours(gap.missing.value())}}));
    }
    for (const auto& fit : power.plan.tight) {
        const auto& lane = power.lanes[static_cast<std::size_t>(fit.lane)];
        const auto& demand = power.problem.lanes[static_cast<std::size_t>(fit.lane)]
                                 .demands[static_cast<std::size_t>(fit.demand)];
        const Seconds length = demand.end - demand.start;
        out.push_back(
            about(now, lane.takes[static_cast<std::size_t>(fit.demand)], FindingId::DayBatteryTight,
                  Severity::Caution,
                  {{"camera", lane.title},
                   {"spare", Duration{length * (fit.spare.value() / demand.amount.value())}},
                   {"length", Duration{length}}}));
    }
    for (const auto& use : power.plan.uses) {
        if (!use.inside)
            continue;
        const auto& lane = power.lanes[static_cast<std::size_t>(use.lane)];
        out.push_back(about(now, lane.takes[static_cast<std::size_t>(use.demand)],
                            FindingId::DayBatteryInside, Severity::Caution,
                            {{"camera", lane.title}, {"at", ClockTime{use.start}}}));
    }
}

static void externalPowerNeeded(const Case& now, Findings& out) {
    std::set<std::string> told;
    for (const auto& roll : now.rolls.rolls)
        if (roll.context.mode->externalPower && !roll.context.setup->externalPower &&
            told.insert(roll.context.setup->id).second)
            out.push_back(
                about(now, roll.take, FindingId::DayPowerNeeded, Severity::Fault,
                      {{"camera", roll.context.camera->name}, {"mode", roll.context.mode->name}}));
}

std::span<const Rule> bodyRules() {
    static constexpr Rule kRules[] = {takesOutlastMode, lightOnTheDay, shortOfPower,
                                      externalPowerNeeded};
    return kRules;
}

} // namespace bslate::day
