#include "core/banks/bank_record.h"

#include "core/kit/body_fields.h"

#include <algorithm>

namespace bslate {

std::vector<RecordLine> bankLines(const BankProblem& problem, std::size_t bank, std::size_t setup) {
    std::vector<RecordLine> lines;
    for (const auto setting : kBankSettings) {
        const auto& value = problem.work.setups[setup].settings[setting];
        if (value && holds(problem.banks[bank], setting))
            lines.push_back({std::string(nameIn<BodySetting>(kSettingNames, setting)), *value});
    }
    return lines;
}

CameraRecord withWritten(CameraRecord record, const BankProblem& problem, const BankPlan& plan,
                         std::size_t bank, std::string when) {
    if (!plan.writtenAs[bank])
        return record;
    WrittenBank written;
    written.label = problem.banks[bank].label;
    written.when = std::move(when);
    written.setup = problem.work.setups[*plan.writtenAs[bank]].id;
    written.values = bankLines(problem, bank, *plan.writtenAs[bank]);
    addWritten(record, std::move(written));
    return record;
}

std::vector<RecordLine> settingLines(const Camera& camera, const ControlPlan& controls) {
    const auto& body = camera.body;
    std::vector<RecordLine> lines;
    const auto add = [&](std::string setting, std::string value) {
        if (!value.empty())
            lines.push_back({std::move(setting), std::move(value)});
    };
    add("firmware", body.facts.firmware);
    add("region found", body.facts.region);
    add("clock", body.facts.clock);
    for (const auto& automatic : body.automatics)
        add("automatic " + std::string(nameIn<AutomaticKind>(kAutomaticNames, automatic.kind)),
            "off");
    const auto nameOf = [](Function function) {
        return std::string(nameIn<Function>(kFunctionNames, function));
    };
    for (const auto& use : controls.uses)
        if (use.function)
            add("control " + body.controls[use.control].label, nameOf(*use.function));
    const auto menu = [&](const std::vector<FunctionNeed>& list) {
        std::string text;
        for (const auto& need : list)
            text += (text.empty() ? "" : ", ") + nameOf(need.function);
        return text;
    };
    add("quick menu", menu(controls.quickMenu));
    for (std::size_t page = 0; page < controls.ownMenu.size(); ++page)
        add("own menu page " + std::to_string(page + 1), menu(controls.ownMenu[page]));
    return lines;
}

std::vector<BankChange> changesBetween(const std::vector<RecordLine>& was,
                                       const std::vector<RecordLine>& now) {
    std::vector<BankChange> changes;
    for (const auto& line : now) {
        const auto* before = lineValue(was, line.setting);
        if (!before || *before != line.value)
            changes.push_back({line.setting, before ? *before : std::string(), line.value});
    }
    for (const auto& line : was)
        if (!lineValue(now, line.setting))
            changes.push_back({line.setting, line.value, {}});
    return changes;
}

std::vector<BankChange> changesOf(const BankProblem& problem, const BankPlan& plan,
                                  const CameraRecord& record, std::size_t bank) {
    const auto* written = findWritten(record, problem.banks[bank].label);
    if (!written || !plan.writtenAs[bank])
        return {};
    auto changes = changesBetween(written->values, bankLines(problem, bank, *plan.writtenAs[bank]));
    if (written->setup.empty())
        return toldByBoth(std::move(changes));
    std::erase_if(changes, [](const BankChange& change) { return change.now.empty(); });
    return changes;
}

std::vector<BankChange> toldByBoth(std::vector<BankChange> changes) {
    std::erase_if(
        changes, [](const BankChange& change) { return change.was.empty() || change.now.empty(); });
    return changes;
}

CameraRecord withHeld(CameraRecord record, const std::string& label, std::vector<RecordLine> values,
                      std::string when) {
    WrittenBank held;
    held.label = label;
    held.when = std::move(when);
    held.values = std::move(values);
    addWritten(record, std::move(held));
    return record;
}

ReasonList toldChanges(const std::vector<BankChange>& changes) {
    ReasonList told;
    for (const auto& change : changes) {
        const auto* setting = valueIn<BodySetting>(kSettingNames, change.setting);
        Facts facts = {{"setting", setting ? FactValue(*setting) : FactValue(change.setting)},
                       {"was", change.was},
                       {"now", change.now}};
        told.all.push_back({change.was.empty()   ? "change-new"
                            : change.now.empty() ? "change-gone"
                                                 : "change",
                            std::move(facts)});
    }
    return told;
}

} // namespace bslate
