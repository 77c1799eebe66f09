#include "core/advice/offer.h"
#include "core/facts/focus_limits.h"
#include "core/facts/handling_reasons.h"
#include "core/judgement/rules/rules.h"
#include "core/kit/body_fields.h"
#include "core/shoot/handling_of.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

// A setup's own word for what is wrong; kept when the changed setup can be evaluated.
template<class Change>
void offerHand(const Case& now, Finding& finding, RemedyId id, Facts facts, Change change) {
    Edit edit{*now.context.setup, std::nullopt};
    change(*edit.setup);
    offer(now, finding.remedies, Remedy{id, std::move(facts), std::move(edit)},
          [](const Evaluation&) { return true; });
}

void offerWirelessOff(const Case& now, Finding& finding) {
    offerHand(now, finding, RemedyId::WirelessOff, {},
              [](Setup& setup) { setup.wireless = false; });
}

void offerAutomaticOff(const Case& now, Finding& finding, AutomaticKind kind) {
    offerHand(now, finding, RemedyId::AutomaticOff, {{"automatic", kind}}, [&](Setup& setup) {
        std::erase_if(setup.automatics, [&](const auto& left) { return left.kind == kind; });
    });
}

} // namespace

static void stabiliserAgainstSupport(const Case& now, Findings& out) {
    const auto handling = handlingOf(*now.context.scene, *now.context.setup);
    const auto wanted = stabiliserFor(handling.support);
    if (!wanted || handling.stabiliser == wanted)
        return;
    Finding finding{*wanted ? FindingId::StabiliserOffInHand : FindingId::StabiliserOnSupport,
                    Severity::Caution,
                    {{"support", ReasonList{{wordOf(handling.support)}}}}};
    offerHand(now, finding, *wanted ? RemedyId::StabiliserOn : RemedyId::StabiliserOff, {},
              [](Setup& setup) { setup.stabiliser = Stabiliser::AsSupport; });
    out.push_back(std::move(finding));
}

static void wirelessAndRadio(const Case& now, Findings& out) {
    const auto handling = handlingOf(*now.context.scene, *now.context.setup);
    if (!now.context.setup->wireless || handling.sound != SoundBy::Radio)
        return;
    Finding finding{FindingId::WirelessNearRadio, Severity::Caution, {}};
    offerWirelessOff(now, finding);
    out.push_back(std::move(finding));
}

static void focusOfTheCamera(const Case& now, Findings& out) {
    const auto focus = handlingOf(*now.context.scene, *now.context.setup).focus;
    for (const auto limit : focusLimitsOf(now.context, now.at)) {
        Finding finding{FindingId::FocusWanted, Severity::Caution, {}};
        switch (limit) {
        case FocusLimit::Rate:
            finding.severity = Severity::Fault;
            finding.facts = {
                {"mode", now.context.mode->name},
                {"rate", now.context.setup->rate},
                {"focus",
                 ReasonList{{{focus == FocusBy::Faces ? "dial-faces" : "dial-continuous", {}}}}}};
            break;
        case FocusLimit::Bright:
            finding.id = FindingId::FocusBright;
            finding.facts = {{"grey", *now.at.grey}};
            break;
        case FocusLimit::Nd:
            finding.id = FindingId::FocusThroughNd;
            finding.facts = {{"nd", now.context.ndLoss}};
            break;
        case FocusLimit::Wireless:
            finding.id = FindingId::FocusWireless;
            break;
        }
        if (limit == FocusLimit::Wireless)
            offerWirelessOff(now, finding);
        else
            offerHand(now, finding, RemedyId::FocusByHand, {},
                      [](Setup& setup) { setup.focusBy = FocusBy::Hand; });
        out.push_back(std::move(finding));
    }
}

static void automaticsLeft(const Case& now, Findings& out) {
    for (const auto& left : now.context.setup->automatics) {
        Finding finding{FindingId::AutomaticOn, Severity::Caution, {{"automatic", left.kind}}};
        finding.subject = nameIn<AutomaticKind>(kAutomaticNames, left.kind);
        const bool iso = left.kind == AutomaticKind::Iso;
        if (left.low && left.high) {
            const double low = *left.low, high = *left.high;
            finding.id = FindingId::AutomaticBounded;
            finding.severity = Severity::Note;
            const Stops wander(std::log2(high / low));
            const int mired = static_cast<int>(std::lround(1e6 / low - 1e6 / high));
            finding.facts.push_back(
                {"costs", ReasonList{{iso ? Reason{"bounded-iso", {{"wander", wander}}}
                                          : Reason{"bounded-white", {{"mired", mired}}}}}});
            for (const auto& [name, bound] : {std::pair("low", low), std::pair("high", high)})
                finding.facts.push_back(
                    {name, iso ? FactValue(ExposureIndex(bound)) : FactValue(Kelvin(bound))});
        } else {
            finding.facts.push_back(
                {"effect", ReasonList{{effectOf(*now.context.camera, left.kind)}}});
        }
        offerAutomaticOff(now, finding, left.kind);
        out.push_back(std::move(finding));
    }
}

std::span<const Rule> handsRules() {
    static constexpr Rule kRules[] = {stabiliserAgainstSupport, wirelessAndRadio, focusOfTheCamera,
                                      automaticsLeft};
    return kRules;
}

} // namespace bslate::rules
