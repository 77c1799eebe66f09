#include "core/banks/preroll.h"
#include "cli/verb.h"
#include "core/banks/starting_point.h"
#include "core/day/plan_day.h"
#include "core/facts/evaluate.h"
#include "core/shoot/take_line.h"
#include "core/words/bank_cards.h"

#include <algorithm>
#include <ostream>

namespace bslate::cli {
namespace {

struct PrerollOptions {
    ShootFile file;
    std::string setup;
    std::string borrowed; ///< camera id: the starting point of a borrowed body instead
};

void askPreroll(PrerollOptions& o, OptionList& list) {
    list.shoot(o.file);
    OptionList either = list.oneOf("what the checks are for");
    either.text("--setup", o.setup, "setup id or number");
    either.text("--borrowed", o.borrowed, "camera id: how to start with somebody else's");
}

// When it was looked at; null for what was not, or has changed since.
Json tickedAt(const std::vector<Tick>& ticks, const Check& check) {
    if (stateOf(ticks, check) == TickState::Ticked)
        for (const auto& tick : ticks)
            if (tick.check == check.id)
                return tick.when;
    return nullptr;
}

void write(const std::vector<Check>& checks, const std::vector<Tick>& ticks, const Card& card,
           Output& output) {
    if (!output.json) {
        output.text << cardText(card);
        return;
    }
    Json list = Json::array();
    for (const auto& check : checks)
        list.push_back({{"id", check.id},
                        {"text", reasonOf(check.text)},
                        {"reason", reasonOf(check.reason)},
                        {"where", check.where ? Json(reasonOf(*check.where)) : Json(nullptr)},
                        {"ticked", tickedAt(ticks, check)},
                        {"fault", check.fails}});
    output.write(Json{{"checks", list}});
}

Result<int> preroll(const PrerollOptions& options, Output& output) {
    if (!options.borrowed.empty()) {
        const auto shoot = opened(options.file);
        if (!shoot)
            return shoot.error();
        const auto camera = cameraNamed(shoot->kit, options.file.path, options.borrowed);
        if (!camera)
            return camera.error();
        const auto* record = findRecord(*shoot, (*camera)->id);
        write(startingPoint(*shoot, **camera), record ? record->ticks : std::vector<Tick>{},
              startingCardOf(*shoot, **camera), output);
        return 0;
    }
    const auto found = openedSetup(options.file, options.setup);
    if (!found)
        return found.error();
    const auto& shoot = found->shoot;
    const auto& setup = found->setup();
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    const auto plan = planCamera(shoot, *context->camera);
    const auto now = planWith(plan.problem, threadsOf(plan.problem, shoot));
    const auto day = dayOf(shoot, context->scene->day);
    const auto planned = planDay(shoot, day, {});
    const auto checks = prerollOf(shoot, setup, plan, now, day.takes.empty() ? nullptr : &planned);
    write(checks, setup.ticks, prerollCardOf(shoot, setup, checks), output);
    return std::any_of(checks.begin(), checks.end(),
                       [](const Check& check) { return check.fails; });
}

} // namespace

extern const Verb kPrerollVerb;
const Verb kPrerollVerb{"preroll", "What to check before a setup rolls",
                        "bslate preroll slack-water.bslate --setup 3A",
                        prepared<PrerollOptions, askPreroll, preroll>};

} // namespace bslate::cli
