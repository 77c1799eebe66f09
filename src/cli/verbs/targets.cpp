#include "core/facts/targets.h"
#include "cli/verb.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"
#include "core/words/wording.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct TargetsOptions {
    ShootFile file;
    std::string setup;
    std::string school; ///< only this one
};

void askTargets(TargetsOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--setup", o.setup, "setup id or number").required();
    list.text("--school", o.school, "nominal, rated, to-the-right, guard or raw");
}

Json toolJson(const ToolTarget& tool) {
    return {{"tool", nameOf(tool.tool)},
            {"low_percent", tool.low.value()},
            {"high_percent", tool.high.value()},
            {"set_percent", tool.set.value()},
            {"range_percent", tool.range.value()},
            {"stops", tool.at.value()},
            {"measured_on", tool.tap == ZebraTap::Recorded ? "recorded" : "viewing_lut"},
            {"reachable", tool.reachable},
            {"in_use", tool.inUse}};
}

Json schoolJson(const SchoolTargets& targets) {
    Json node = {{"school", keyOf(targets.school)},
                 {"shift_stops", targets.shift.value()},
                 {"grey_stops", targets.grey.value()}};
    for (const auto& tool : targets.tools)
        node["tools"].push_back(toolJson(tool));
    node["stop_bands"] = Json::array();
    for (const auto& band : targets.bands)
        node["stop_bands"].push_back({{"from_grey_stops", band.fromGrey.value()},
                                      {"low_percent", band.low.value()},
                                      {"high_percent", band.high.value()},
                                      {"clipped", band.clipped},
                                      {"noisy", band.noisy}});
    return node;
}

Result<int> targets(const TargetsOptions& options, Output& output) {
    const auto found = openedSetup(options.file, options.setup);
    if (!found)
        return found.error();
    const auto& shoot = found->shoot;
    const auto& setup = found->setup();
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    const auto at = evaluate(*context);
    auto list = targetsOf(*context, at);
    if (list.empty())
        list = {targetsInUse(*context, at)};
    if (!options.school.empty()) {
        const auto school = schoolNamed(options.school);
        if (!school)
            return school.error();
        std::erase_if(list, [&](const SchoolTargets& item) { return item.school != *school; });
    }
    Json node = {{"setup", setup.id}, {"schools", Json::array()}};
    for (const auto& item : list)
        node["schools"].push_back(schoolJson(item));
    if (output.json) {
        output.write(node);
        return 0;
    }
    for (const auto& item : list) {
        output.text << keyOf(item.school) << "  " << print(item.shift) << " stops from here\n";
        for (const auto& tool : item.tools)
            if (tool.inUse)
                output.text << "  " << nameOf(tool.tool) << "  " << fixedText(tool.low.value(), 1)
                            << (tool.high == tool.low ? std::string()
                                                      : " to " + fixedText(tool.high.value(), 1))
                            << " %, set " << fixedText(tool.set.value(), 1)
                            << (tool.range.value() > 0
                                    ? " plus and minus " + fixedText(tool.range.value(), 1)
                                    : std::string())
                            << (tool.reachable ? "" : "  out of reach") << "\n";
    }
    return 0;
}

} // namespace

extern const Verb kTargetsVerb;
const Verb kTargetsVerb{"targets", "What every exposure tool should read",
                        "bslate targets slack-water.bslate --setup 2A",
                        prepared<TargetsOptions, askTargets, targets>};

} // namespace bslate::cli
