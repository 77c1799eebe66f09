// What pulsed light and motion look like at this rate and shutter.
#include "core/advice/levers.h"
#include "core/advice/offer.h"
#include "core/cadence/safe_rate.h"
#include "core/cadence/shutter.h"
#include "core/judgement/rules/rules.h"
#include "core/shoot/handling_of.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

constexpr Stops kObvious{0.05};    // seen by anyone: common practice, no source
constexpr Stops kPulsesAtAll{0.1}; // lamps under this need no telling when they are still
constexpr Degrees kLeans{3};       // of an upright edge: common practice, no source
constexpr std::size_t kMostRemedies = 2;
constexpr std::size_t kMostOthers = 4; // lamps told beside the strongest

const PulsedLight& strongest(const CadenceFacts& cadence) {
    return cadence.lights[*cadence.pulsing.strongest];
}

// Turns a control with the setup's payer and offers it when the light is still or in step then.
void offerTurn(const Case& now, Finding& finding, const Turn& change, Remedy remedy) {
    if (!now.remedies)
        return;
    const auto turned = turn(*now.context.shoot, *now.context.setup, change);
    if (!turned)
        return;
    remedy.edit = turned->edit;
    const bool paid = turned->payer != Payer::Nobody;
    remedy.facts.push_back({"cost", Stops(std::abs(turned->gained.value()))});
    remedy.facts.push_back({"payer", turned->payer});
    if (paid && remedy.id == RemedyId::SetShutter)
        remedy.id = RemedyId::SetShutterPaid;
    const bool moved = isMoving(now.at.cadence.pulsing);
    offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
        const auto& pulsing = after.cadence.pulsing;
        return isStill(pulsing) || (moved && !isMoving(pulsing));
    });
}

// True when the shutter as it is turned to this rate holds the light still there.
bool isSafeAt(const Case& now, FrameRate rate) {
    const auto turned = turn(*now.context.shoot, *now.context.setup, TurnRate{rate});
    if (!turned || !turned->edit.setup)
        return false;
    const auto at = tryOut(now, turned->edit);
    return at && !isMoving(at->cadence.pulsing);
}

void offerShutters(const Case& now, Finding& finding, std::vector<Shutter> safe) {
    const auto& setup = *now.context.setup;
    std::stable_sort(safe.begin(), safe.end(), [&](const Shutter& a, const Shutter& b) {
        return distance(setup.shutter, a, setup.rate) < distance(setup.shutter, b, setup.rate);
    });
    for (std::size_t i = 0; i < std::min(kMostRemedies, safe.size()); ++i)
        offerTurn(now, finding, TurnShutter{safe[i]},
                  Remedy{RemedyId::SetShutter, {{"shutter", safe[i]}}, {}});
}

// Another rate, with the shutter that holds the light still there when it matters.
void offerRate(const Case& now, Finding& finding, const SafeRate& safe) {
    const auto& setup = *now.context.setup;
    if (safe.anyShutter || isSafeAt(now, safe.rate)) {
        offerTurn(now, finding, TurnRate{safe.rate},
                  Remedy{RemedyId::SetRate, {{"rate", safe.rate}}, {}});
        return;
    }
    const auto dial = nearestOnDial(now.context.camera->shutter, Shutter(*safe.shutter), safe.rate);
    const auto first = turn(*now.context.shoot, setup, TurnRate{safe.rate});
    const auto second =
        first ? turn(*now.context.shoot, *first->edit.setup, TurnShutter{dial}) : first;
    if (!second)
        return;
    Remedy remedy{RemedyId::SetRateShutter, {{"rate", safe.rate}, {"shutter", dial}}, second->edit};
    const bool moved = isMoving(now.at.cadence.pulsing);
    offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
        return isStill(after.cadence.pulsing) || (moved && !isMoving(after.cadence.pulsing));
    });
}

void offerRates(const Case& now, Finding& finding) {
    if (!now.remedies)
        return;
    const auto& setup = *now.context.setup;
    const auto offered = ratesOf(*now.context.mode);
    std::size_t count = 0;
    for (const auto& safe : nearestSafeRates(now.at.cadence.lights, setup.rate, offered,
                                             shutterAngle(setup.shutter, setup.rate)))
        if (safe.rate != setup.rate && count++ < kMostRemedies)
            offerRate(now, finding, safe);
}

// How the pulsing shows.
FindingId kindOf(const Case& now, bool shutterHelps) {
    const auto& pulsing = now.at.cadence.pulsing;
    if (!isMoving(pulsing))
        return pulsing.bands >= 0.1 ? FindingId::BandsStanding : FindingId::PulsingInStep;
    if (pulsing.alias <= kDrift)
        return FindingId::PulsingDrift;
    return shutterHelps ? FindingId::PulsingVisible : FindingId::PulsingUnspannable;
}

// What else is to be known: bands that roll, other lamps that move, mains that let go of the step.
ReasonList besides(const Case& now) {
    const auto& cadence = now.at.cadence;
    const auto& pulsing = cadence.pulsing;
    ReasonList list;
    const bool moving = isMoving(pulsing);
    if (moving && pulsing.bands >= 0.1)
        list.all.push_back({"rolling-bands", {{"bands", Magnification(pulsing.bands)}}});
    for (std::size_t i = 1; moving && i < pulsing.movers.size() && i < kMostOthers; ++i) {
        const auto& lamp = cadence.lights[pulsing.movers[i]];
        list.all.push_back({"other-lamps",
                            {{"frequency", lamp.frequency},
                             {"alias", aliasOf(lamp.frequency, now.context.setup->rate)}}});
    }
    if (!moving && strongest(cadence).fromMains) {
        const Seconds round(1 / (strongest(cadence).frequency.value() * kMainsTolerance));
        list.all.push_back({"mains-let-go", {{"round", Duration{round}}}});
    }
    if (pulsing.worstOnMains >= pulsing.peakToPeak + Stops(0.01))
        list.all.push_back({"mains-off", {{"worst", pulsing.worstOnMains}}});
    return list;
}

void stillLight(const Case& now, Findings& out) {
    const auto& cadence = now.at.cadence;
    const auto* lamp = mostPulsing(cadence.lights);
    // A hundredth of a pulse gathers nearly the bare waveform.
    const Swing bare =
        lamp ? swing(cadence.lights, Seconds(0.01 / lamp->frequency.value())) : Swing{};
    if (!lamp || peakToPeak(bare) < kPulsesAtAll)
        return;
    Finding finding{
        FindingId::PulsingStill,
        Severity::Good,
        {{"shutter", now.context.setup->shutter},
         {"time", now.at.exposureTime},
         {"pulses", Magnification(lamp->frequency.value() * now.at.exposureTime.value())},
         {"frequency", lamp->frequency},
         {"worst", cadence.pulsing.worstOnMains}}};
    if (!lamp->fromMains)
        finding.id = FindingId::PulsingStillOwn;
    out.push_back(std::move(finding));
}

} // namespace

static void pulsedLight(const Case& now, Findings& out) {
    const auto& cadence = now.at.cadence;
    const auto& pulsing = cadence.pulsing;
    if (!pulsing.strongest || isStill(pulsing))
        return stillLight(now, out);
    const bool moves = isMoving(pulsing);
    const bool searched = !now.was || now.was->cadence.pulsing != pulsing;
    auto safe = searched ? safeOnDial(now.context) : std::vector<Shutter>();
    if (searched && safe.empty() && moves)
        safe = safeOnDial(now.context, Stillness::Moving);
    Finding finding;
    finding.id = kindOf(now, !searched || !safe.empty());
    const Stops seen = moves ? pulsing.moving : pulsing.peakToPeak;
    finding.severity =
        moves && pulsing.worstMoving >= kObvious ? Severity::Fault : Severity::Caution;
    finding.facts = {{"shutter", now.context.setup->shutter},
                     {"rate", now.context.setup->rate},
                     {"ripple", pulsing.ripple},
                     {"stops", seen},
                     {"alias", pulsing.alias},
                     {"frequency", strongest(cadence).frequency},
                     {"period", Seconds(1 / strongest(cadence).frequency.value())},
                     {"bands", Magnification(pulsing.bands)},
                     {"besides", besides(now)}};
    if (moves && pulsing.alias <= kDrift)
        finding.facts.push_back({"round", Duration{Seconds(1 / pulsing.alias.value())}});
    offerShutters(now, finding, std::move(safe));
    // Another rate plays at another speed: a way out where sound is not wanted, else the last one.
    if (finding.remedies.empty() ||
        !handlingOf(*now.context.scene, *now.context.setup).wantsSound())
        offerRates(now, finding);
    out.push_back(std::move(finding));
}

static void motion(const Case& now, Findings& out) {
    const auto& scene = *now.context.scene;
    const auto& cadence = now.at.cadence;
    if (scene.pan && cadence.fastestPan && *scene.pan > *cadence.fastestPan) {
        out.push_back({FindingId::PanStrobes,
                       Severity::Caution,
                       {{"pan", *scene.pan},
                        {"most", *cadence.fastestPan},
                        {"crossing", Duration{cadence.shortestCrossing}},
                        {"rate", now.context.setup->rate}}});
    }
    if (cadence.skew > kLeans) {
        out.push_back({FindingId::SkewLeans,
                       Severity::Caution,
                       {{"skew", cadence.skew}, {"readout", now.at.recording.readout}}});
    }
}

std::span<const Rule> pulsesRules() {
    static constexpr Rule kRules[] = {pulsedLight, motion};
    return kRules;
}

} // namespace bslate::rules
