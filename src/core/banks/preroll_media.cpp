#include "core/banks/preroll_media.h"

#include "core/banks/card_formats.h"

#include <algorithm>
#include <cmath>
#include <string_view>

namespace bslate {
namespace {

// A carrier in use for a setup's next take: what it has left, and how fast that goes.
struct InUse {
    std::string name;
    Seconds left{0};   ///< at the rate of this take
    Seconds length{0}; ///< of the take
    std::string take;  ///< its title
    std::string then;  ///< what goes in when it is used up; empty: nothing does
};

std::optional<InUse> nextUse(const DayPlan& day, const DayCarriers& carriers,
                             const std::string& setup) {
    for (const auto& use : carriers.plan.uses) {
        const auto& lane = carriers.lanes[static_cast<std::size_t>(use.lane)];
        const auto demand = static_cast<std::size_t>(use.demand);
        const auto& take = day.takes[static_cast<std::size_t>(lane.takes[demand])];
        if (lane.second || lane.setups[demand] != setup || take.done)
            continue;
        const auto& wanted =
            carriers.problem.lanes[static_cast<std::size_t>(use.lane)].demands[demand];
        const Seconds length = wanted.end - wanted.start;
        const auto& kind =
            carriers.problem.kinds[static_cast<std::size_t>(carriers.problem.kindOf(use.unit))];
        const double perSecond = wanted.amount.value() / std::max(1.0, length.value());
        InUse found;
        found.name = carriers.unitLabels[static_cast<std::size_t>(use.unit)];
        found.length = length;
        found.take = take.title;
        for (const auto& other : carriers.plan.uses)
            if (other.lane == use.lane && other.demand == use.demand && other.unit != use.unit)
                found.then = carriers.unitLabels[static_cast<std::size_t>(other.unit)];
        found.left =
            perSecond > 0 ? Seconds((kind.capacity - use.before).value() / perSecond) : Seconds(0);
        return found;
    }
    return std::nullopt;
}

// A unit in use with what it has left. A tick is for this take, and for as much as is left now.
Check checkOf(const InUse& used, std::string_view id, std::string_view one, std::string_view then,
              std::string_view fails) {
    const bool enough = used.left >= used.length - Seconds(0.5);
    const auto minutes = std::to_string(std::llround(used.left.value() / 60));
    Check check{std::string(id),
                {enough              ? one
                 : used.then.empty() ? fails
                                     : then,
                 {{id, used.name},
                  {"left", Duration{used.left}},
                  {"then", used.then},
                  {"short", Duration{std::max(Seconds(0), used.length - used.left)}}}},
                {"why-take-length", {{"length", Duration{used.length}}}},
                {},
                used.name + " " + minutes + " min for " + used.take};
    check.fails = !enough && used.then.empty();
    return check;
}

} // namespace

std::vector<Check> mediaChecks(const SetupContext& context, const Evaluation& at, bool prepared,
                               const DayPlan* day) {
    std::vector<Check> checks;
    const auto& setup = *context.setup;
    const auto card = day ? nextUse(*day, day->cards, setup.id) : std::nullopt;
    const auto battery = day ? nextUse(*day, day->power, setup.id) : std::nullopt;
    if (prepared)
        checks.push_back(
            {std::string(kCardPrepared),
             {"check-card-prepared", {}},
             {"why-card-prepared", {{"copies", context.shoot->brief.copies}}},
             {},
             (card ? card->name : std::string()) + " day " + std::to_string(context.scene->day)});
    if (card)
        checks.push_back(
            checkOf(*card, "card", "check-card", "check-card-then", "check-card-short"));
    else if (!at.recording.card.empty() && at.recording.recordTime)
        checks.push_back(
            {"card",
             {"check-card",
              {{"card", at.recording.card}, {"left", Duration{*at.recording.recordTime}}}},
             {"why-card-fresh", {{"slot", at.recording.slot}}},
             {},
             at.recording.card});
    if (battery)
        checks.push_back(checkOf(*battery, "battery", "check-battery", "check-battery-then",
                                 "check-battery-short"));
    else
        checks.push_back({"battery",
                          {setup.externalPower ? "check-power" : "check-battery-full", {}},
                          {"why-battery", {}},
                          {},
                          setup.externalPower ? "external" : "battery"});
    return checks;
}

} // namespace bslate
