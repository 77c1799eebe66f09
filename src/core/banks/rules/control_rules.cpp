#include "core/banks/rules/rules.h"
#include "core/kit/body_fields.h"

#include <algorithm>

namespace bslate::banks {
namespace {

bool isDangerous(const ControlUse& use) {
    return use.function == Function::Erase || use.function == Function::Format;
}

std::string_view clauseOf(SlipCause cause) {
    switch (cause) {
    case SlipCause::PowerOn:
        return "slips-power";
    case SlipCause::Lens:
        return "slips-lens";
    case SlipCause::Mode:
    case SlipCause::Knock:
        break;
    }
    return "slips-mode";
}

// Setups before which the slip has to be put right by hand.
std::string reachedBy(const Case& now, const Slip& slip) {
    std::string numbers;
    for (std::size_t k = 0; k < now.now.uses.size(); ++k)
        for (const auto& hand : now.now.uses[k].byHand)
            if (hand.setting == slip.setting && hand.why == HandWhy::Slipped)
                numbers += (numbers.empty() ? "" : ", ") + now.setups()[k].number;
    return numbers;
}

} // namespace

static void settingsSlip(const Case& now, Findings& out) {
    for (const auto& slip : now.camera.body.slips) {
        const auto subject = std::string(nameIn<BodySetting>(kSettingNames, slip.setting));
        Finding finding{FindingId::SettingKnocked, Severity::Note, {{"setting", slip.setting}}};
        finding.subject = subject;
        if (slip.cause != SlipCause::Knock) {
            const auto setups = reachedBy(now, slip);
            if (setups.empty())
                continue;
            finding.id = FindingId::SettingSlips;
            finding.severity = Severity::Caution;
            finding.subject += "-" + std::string(nameIn<SlipCause>(kSlipCauseNames, slip.cause));
            finding.facts.push_back({"cause", ReasonList{{{clauseOf(slip.cause), {}}}}});
            finding.facts.push_back({"to", slip.to.empty() ? std::string() : " to " + slip.to});
            finding.facts.push_back({"setups", setups});
        }
        out.push_back(std::move(finding));
    }
}

static void printedMoved(const Case& now, Findings& out) {
    for (const auto& use : now.plan.controls.uses) {
        const auto& control = now.camera.body.controls[use.control];
        if (!control.printed || !use.function || use.function == control.printed)
            continue;
        Finding finding{FindingId::PrintedMoved,
                        Severity::Caution,
                        {{"control", control.label},
                         {"printed", *control.printed},
                         {"function", *use.function}}};
        finding.subject = control.label;
        out.push_back(std::move(finding));
    }
}

static void eraseWithinReach(const Case& now, Findings& out) {
    const auto& controls = now.camera.body.controls;
    for (const auto& use : now.plan.controls.uses) {
        if (!isDangerous(use))
            continue;
        const auto& own = controls[use.control];
        const auto& uses = now.plan.controls.uses;
        const auto beside = std::find_if(uses.begin(), uses.end(), [&](const ControlUse& other) {
            return other.function && !isDangerous(other) && other.need.weight() > 0 &&
                   controls[other.control].place == own.place;
        });
        if (beside == uses.end())
            continue;
        Finding finding{FindingId::EraseNear,
                        Severity::Caution,
                        {{"function", *use.function},
                         {"control", own.label},
                         {"other", controls[beside->control].label},
                         {"used", *beside->function}}};
        finding.subject = own.label;
        out.push_back(std::move(finding));
    }
}

std::span<const Rule> controlRules() {
    static constexpr Rule kRules[] = {settingsSlip, printedMoved, eraseWithinReach};
    return kRules;
}

} // namespace bslate::banks
