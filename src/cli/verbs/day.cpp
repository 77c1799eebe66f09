#include "cli/findings.h"
#include "cli/verb.h"
#include "core/day/day_verdict.h"
#include "core/day/pack_list.h"
#include "core/day/plan_day.h"
#include "core/quantity/print.h"
#include "core/shoot/take_line.h"
#include "core/words/wording.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct DayOptions {
    ShootFile file;
    std::string day; ///< only this one; empty: all
};

void askDay(DayOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--day", o.day, "only this day");
}

Json usesJson(const DayPlan& plan, const DayCarriers& carriers, const char* before,
              const char* after) {
    Json list = Json::array();
    for (const auto& use : carriers.plan.uses) {
        const auto& lane = carriers.lanes[static_cast<std::size_t>(use.lane)];
        const auto take = lane.takes[static_cast<std::size_t>(use.demand)];
        list.push_back({{"camera", lane.camera},
                        {"second_slot", lane.second},
                        {"take", plan.takes[static_cast<std::size_t>(take)].id},
                        {"unit", carriers.unitIds[static_cast<std::size_t>(use.unit)]},
                        {"label", carriers.unitLabels[static_cast<std::size_t>(use.unit)]},
                        {"start_s", use.start.value()},
                        {"end_s", use.end.value()},
                        {before, use.before.value()},
                        {after, use.after.value()}});
    }
    return list;
}

// Changes in gaps and inside takes, cards and batteries alike.
Json swapsJson(const DayPlan& plan) {
    Json list = Json::array();
    for (const auto* carriers : {&plan.cards, &plan.power})
        for (const auto& use : carriers->plan.uses) {
            if (!use.changed)
                continue;
            const auto& lane = carriers->lanes[static_cast<std::size_t>(use.lane)];
            list.push_back({{"what", carriers == &plan.cards ? "card" : "battery"},
                            {"camera", lane.camera},
                            {"at_s", use.start.value()},
                            {"to", carriers->unitIds[static_cast<std::size_t>(use.unit)]},
                            {"inside_take", use.inside}});
        }
    return list;
}

Json renewalsJson(const DayCarriers& carriers) {
    Json list = Json::array();
    for (const auto& renewal : carriers.plan.renewals)
        list.push_back({{"unit", carriers.unitIds[static_cast<std::size_t>(renewal.unit)]},
                        {"where", carriers.servers[static_cast<std::size_t>(renewal.server)]},
                        {"start_s", renewal.start.value()},
                        {"end_s", renewal.end.value()}});
    return list;
}

Json dayJson(const DayPlan& plan, const std::vector<Finding>& findings) {
    Json node = {{"day", plan.day}, {"takes", Json::array()}};
    for (const auto& take : plan.takes)
        node["takes"].push_back({{"id", take.id},
                                 {"setups", take.setups},
                                 {"start_s", take.start.value()},
                                 {"end_s", take.end.value()},
                                 {"whole", take.whole}});
    node["assignments"] = usesJson(plan, plan.cards, "before_bytes", "after_bytes");
    node["batteries"] = usesJson(plan, plan.power, "before_wh", "after_wh");
    node["swaps"] = swapsJson(plan);
    node["offloads"] = renewalsJson(plan.cards);
    node["charging"] = renewalsJson(plan.power);
    node["recorded_bytes"] = plan.recorded.value();
    node["safe_s"] = plan.safe ? Json(plan.safe->value()) : Json(nullptr);
    node["optimal"] = plan.optimal();
    node["changes"] = plan.cards.plan.cost.changes + plan.power.plan.cost.changes;
    node["least_changes"] = plan.cards.plan.bound.changes + plan.power.plan.bound.changes;
    node["findings"] = findingsJson(findings);
    return node;
}

Json packJson(const PackList& pack) {
    Json list = Json::array();
    for (const auto& row : pack.rows)
        list.push_back({{"name", row.name}, {"needed", row.needed}, {"owned", row.owned}});
    return list;
}

void tellCarriers(const DayPlan& plan, const DayCarriers& carriers, std::ostream& out) {
    for (const auto& use : carriers.plan.uses) {
        const auto& lane = carriers.lanes[static_cast<std::size_t>(use.lane)];
        const auto take = lane.takes[static_cast<std::size_t>(use.demand)];
        out << "  " << printClock(use.start) << "  " << lane.title << "  "
            << plan.takes[static_cast<std::size_t>(take)].title << "  "
            << carriers.unitLabels[static_cast<std::size_t>(use.unit)]
            << (use.inside    ? "  changed inside"
                : use.changed ? "  changed"
                              : "")
            << "\n";
    }
}

void tell(const DayPlan& plan, const std::vector<Finding>& findings, std::ostream& out) {
    out << "Day " << plan.day << "\n";
    tellCarriers(plan, plan.cards, out);
    for (const auto& renewal : plan.cards.plan.renewals)
        out << "  " << printClock(renewal.start) << "  copy "
            << plan.cards.unitLabels[static_cast<std::size_t>(renewal.unit)] << " until "
            << printClock(renewal.end, true) << "\n";
    tellCarriers(plan, plan.power, out);
    tellFindings(findings, out);
}

std::string daysText(const Shoot& shoot) {
    std::string text;
    for (const int number : dayNumbers(shoot))
        text += (text.empty() ? "a day of the shoot: " : ", ") + std::to_string(number);
    return text;
}

Result<int> day(const DayOptions& options, Output& output) {
    const auto shoot = opened(options.file);
    if (!shoot)
        return shoot.error();
    Json days = Json::array();
    bool faults = false, seen = false;
    std::optional<std::int64_t> only;
    if (!options.day.empty()) {
        const auto wanted = wholeOf("--day", options.day, 1, 9999, daysText(*shoot));
        if (!wanted)
            return wanted.error();
        only = *wanted;
    }
    for (const int number : dayNumbers(*shoot)) {
        if (only && number != *only)
            continue;
        seen = true;
        auto planned = dayOf(*shoot, number);
        if (planned.takes.empty())
            planned.takes = takesFromScenes(*shoot, number);
        const auto plan = planDay(*shoot, planned);
        const auto findings = judgeDay(*shoot, planned, plan, {DayRemedies::Verified});
        faults = faults || countOf(findings, Severity::Fault) > 0;
        if (output.json)
            days.push_back(dayJson(plan, findings));
        else
            tell(plan, findings, output.text);
    }
    if (!seen)
        return usage("--day", options.day, daysText(*shoot));
    const auto pack = packListOf(*shoot);
    if (output.json) {
        output.write(Json({{"days", days}, {"pack", packJson(pack)}}));
    } else {
        output.text << "Pack\n";
        for (const auto& row : pack.rows)
            output.text << "  " << row.needed << " of " << row.owned << "  " << row.name << "\n";
    }
    return faults ? 1 : 0;
}

} // namespace

extern const Verb kDayVerb;
const Verb kDayVerb{"day", "Plan cards, batteries and copies of a shoot's days",
                    "bslate day slack-water.bslate --day 2", prepared<DayOptions, askDay, day>};

} // namespace bslate::cli
