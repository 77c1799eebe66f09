// What pulsed light and motion look like at this rate and shutter.
#include "core/cadence/shutter.h"
#include "core/verdict/levers.h"
#include "core/verdict/rules/offer.h"
#include "core/verdict/rules/rules.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

constexpr Stops kObvious{0.05};    // seen by anyone: common practice, no source
constexpr Stops kPulsesAtAll{0.1}; // lamps under this need no telling when they are still
constexpr Degrees kLeans{3};       // of an upright edge: common practice, no source
constexpr std::size_t kMostRemedies = 2;

const PulsedLight& strongest(const CadenceFacts& cadence) {
    return cadence.lights[*cadence.pulsing.strongest];
}

// Turns a control with the setup's payer and offers it when the light is still or in step then.
void offerTurn(const Case& now, Finding& finding, const Turn& change, Remedy remedy) {
    const auto turned = turn(*now.context.shoot, *now.context.setup, change);
    if (!turned)
        return;
    remedy.edit = turned->edit;
    const bool paid = turned->payer != Payer::Nobody;
    remedy.facts.push_back({"cost", Stops(std::abs(turned->gained.value()))});
    remedy.facts.push_back({"payer", turned->payer});
    if (paid && remedy.id == "set-shutter")
        remedy.id = "set-shutter-paid";
    const auto alias = now.at.cadence.pulsing.alias;
    offer(now, finding, std::move(remedy), [&](const Evaluation& after) {
        const auto& pulsing = after.cadence.pulsing;
        return pulsing.peakToPeak <= kVisible ||
               (alias > Hertz(0) && pulsing.strongest && pulsing.alias == Hertz(0));
    });
}

void offerShutters(const Case& now, Finding& finding, std::vector<Shutter> safe) {
    const auto& setup = *now.context.setup;
    std::stable_sort(safe.begin(), safe.end(), [&](const Shutter& a, const Shutter& b) {
        return distance(setup.shutter, a, setup.rate) < distance(setup.shutter, b, setup.rate);
    });
    for (std::size_t i = 0; i < std::min(kMostRemedies, safe.size()); ++i)
        offerTurn(now, finding, TurnShutter{safe[i]},
                  Remedy{"set-shutter", {{"shutter", safe[i]}}, {}, {}, {}, 0});
}

void offerRates(const Case& now, Finding& finding) {
    const auto& setup = *now.context.setup;
    const auto offered = ratesOf(*now.context.mode);
    std::size_t count = 0;
    for (const auto& safe : nearestSafeRates(now.at.cadence.lights, setup.rate, offered)) {
        if (safe.rate == setup.rate || count++ == kMostRemedies)
            continue;
        offerTurn(now, finding, TurnRate{safe.rate},
                  Remedy{"set-rate", {{"rate", safe.rate}}, {}, {}, {}, 0});
    }
}

// How the pulsing shows: the id of the finding.
std::string_view kindOf(const Case& now, bool shutterHelps) {
    const auto& pulsing = now.at.cadence.pulsing;
    if (pulsing.alias == Hertz(0))
        return pulsing.bands >= 0.1 ? "bands-standing" : "pulsing-in-step";
    if (pulsing.alias <= kDrift)
        return "pulsing-drift";
    return shutterHelps ? "pulsing-visible" : "pulsing-unspannable";
}

void stillLight(const Case& now, Findings& out) {
    const auto& cadence = now.at.cadence;
    const auto* lamp = mostPulsing(cadence.lights);
    // A hundredth of a pulse gathers nearly the bare waveform.
    const Swing bare =
        lamp ? swing(cadence.lights, Seconds(0.01 / lamp->frequency.value())) : Swing{};
    if (peakToPeak(bare) < kPulsesAtAll)
        return;
    Finding finding;
    finding.id = "pulsing-still";
    finding.severity = Severity::Good;
    finding.source = "integral of the waveform over the exposure";
    finding.facts = {
        {"shutter", now.context.setup->shutter},
        {"time", now.at.exposureTime},
        {"pulses", Magnification(lamp->frequency.value() * now.at.exposureTime.value())},
        {"frequency", lamp->frequency},
        {"worst", cadence.pulsing.worstOnMains}};
    if (!lamp->fromMains)
        finding.id = "pulsing-still-own";
    out.push_back(std::move(finding));
}

} // namespace

void pulsedLight(const Case& now, Findings& out) {
    const auto& cadence = now.at.cadence;
    const auto& pulsing = cadence.pulsing;
    if (!pulsing.strongest || pulsing.peakToPeak <= kVisible)
        return stillLight(now, out);
    auto safe = safeOnDial(now.context);
    Finding finding;
    finding.id = kindOf(now, !safe.empty());
    const bool moves = pulsing.alias > Hertz(0);
    finding.severity =
        moves && pulsing.peakToPeak >= kObvious ? Severity::Fault : Severity::Caution;
    finding.source = "integral of the waveform over the exposure";
    finding.facts = {{"shutter", now.context.setup->shutter},
                     {"rate", now.context.setup->rate},
                     {"ripple", pulsing.ripple},
                     {"stops", pulsing.peakToPeak},
                     {"alias", pulsing.alias},
                     {"frequency", strongest(cadence).frequency},
                     {"period", Seconds(1 / strongest(cadence).frequency.value())},
                     {"bands", Magnification(pulsing.bands)}};
    ReasonList rolling;
    if (pulsing.bands >= 0.1)
        rolling.all.push_back({"rolling-bands", {{"bands", Magnification(pulsing.bands)}}});
    finding.facts.push_back({"rolling", rolling});
    if (moves && pulsing.alias <= kDrift)
        finding.facts.push_back({"round", Duration{Seconds(1 / pulsing.alias.value())}});
    offerShutters(now, finding, std::move(safe));
    // Another rate plays at another speed: a way out where sound is not wanted, else the last one.
    if (finding.remedies.empty() || !now.context.scene->sound)
        offerRates(now, finding);
    out.push_back(std::move(finding));
}

void motion(const Case& now, Findings& out) {
    const auto& scene = *now.context.scene;
    const auto& cadence = now.at.cadence;
    if (scene.pan && cadence.fastestPan && *scene.pan > *cadence.fastestPan) {
        Finding finding;
        finding.id = "pan-strobes";
        finding.severity = Severity::Caution;
        finding.source = kCommonPractice;
        finding.facts = {{"pan", *scene.pan},
                         {"most", *cadence.fastestPan},
                         {"crossing", Duration{cadence.shortestCrossing}},
                         {"rate", now.context.setup->rate}};
        out.push_back(std::move(finding));
    }
    if (cadence.skew > kLeans) {
        Finding finding;
        finding.id = "skew-leans";
        finding.severity = Severity::Caution;
        finding.source = kCommonPractice;
        finding.facts = {{"skew", cadence.skew}, {"readout", now.at.recording.readout}};
        out.push_back(std::move(finding));
    }
}

} // namespace bslate::rules
