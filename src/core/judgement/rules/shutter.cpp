#include "core/cadence/shutter.h"
#include "core/advice/offer.h"
#include "core/cadence/rates.h"
#include "core/facts/neighbours.h"
#include "core/judgement/rules/rules.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

constexpr double kAngleClose = 0.1; // stops; 1/50 at 24 and 1/125 at 60 are within it

// The classic slip: the rate changed since the setup before on this camera, the time did not.
const Setup* leftBehindBy(const Case& now) {
    const auto& setup = *now.context.setup;
    const auto* before = earlierOnCamera(*now.context.shoot, setup);
    const bool same = before && before->rate != setup.rate && before->shutter == setup.shutter &&
                      std::holds_alternative<Seconds>(setup.shutter);
    const bool wasRight =
        same && std::abs(stopsFromHalfFrame(before->shutter, before->rate).value()) <= kAngleClose;
    return wasRight ? before : nullptr;
}

// The camera's own of what the rule asks for.
Edit aimedAt(const Case& now, ShutterAngle aim) {
    Edit edit{*now.context.setup, std::nullopt};
    edit.setup->shutter = nearestOnDial(now.context.camera->shutter, aim, now.context.setup->rate);
    return edit;
}

// True when this shutter keeps the lamps still and the rule's would not.
bool holdsTheLamps(const Case& now, ShutterAngle aim) {
    const auto& pulsing = now.at.cadence.pulsing;
    if (!mostPulsing(now.at.cadence.lights) || isMoving(pulsing))
        return false;
    const auto aimed = tryOut(now, aimedAt(now, aim));
    return aimed && (isMoving(aimed->cadence.pulsing) ||
                     (isStill(pulsing) && !isStill(aimed->cadence.pulsing)));
}

// How far it is along a dial that a hand can count.
ReasonList stepsTo(const Case& now, ShutterAngle aim) {
    constexpr int kCounted = 12;
    const auto& setup = *now.context.setup;
    const int steps =
        std::abs(stepsOnDial(now.context.camera->shutter, setup.shutter, aim, setup.rate));
    if (steps == 0 || steps > kCounted)
        return {};
    return {{{"dial-steps", {{"steps", steps}}}}};
}

void offerShutter(const Case& now, Finding& finding, ShutterAngle aim) {
    auto edit = aimedAt(now, aim);
    const auto dial = edit.setup->shutter;
    const auto away = [&](const Evaluation& at) {
        return std::abs(stopsBetween(at.angle, aim).value());
    };
    offer(now, finding.remedies, Remedy{RemedyId::SetShutter, {{"shutter", dial}}, std::move(edit)},
          [&](const Evaluation& after) { return away(after) < away(now.at); });
}

} // namespace

static void shutterAngleOffRule(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    const auto school = setup.shutterSchool;
    const ShutterAngle aim = aimOf(school, setup);
    const Stops off = stopsBetween(now.at.angle, aim);
    const Stops fromHalf = stopsFromHalfFrame(setup.shutter, setup.rate);
    const Stops fromQuarter = fromHalf + Stops(1.0);
    const bool close = std::abs(off.value()) <= kAngleClose;
    const auto* before = leftBehindBy(now);
    Finding finding;
    finding.facts = {{"angle", Shutter(now.at.angle)},
                     {"time", now.at.exposureTime},
                     {"off", fromHalf},
                     {"offQuarter", fromQuarter},
                     {"rate", setup.rate},
                     {"steps", stepsTo(now, aim)}};
    finding.severity = Severity::Caution;
    if (!fitsFrame(setup.shutter, setup.rate)) {
        finding.id = FindingId::ShutterLongerThanFrame;
        finding.severity = Severity::Fault;
    } else if (school == ShutterSchool::Custom) {
        finding.id = FindingId::ShutterByHand;
        finding.severity = Severity::Note;
    } else if (close) {
        // No praise for a shutter under which the light pulses.
        finding.id =
            school == ShutterSchool::Crisp ? FindingId::ShutterCrisp : FindingId::ShutterHalfFrame;
        finding.severity = isMoving(now.at.cadence.pulsing) ? Severity::Note : Severity::Good;
    } else if (holdsTheLamps(now, aim) ||
               (school == ShutterSchool::MainsLocked && isStill(now.at.cadence.pulsing))) {
        finding.id = FindingId::ShutterLockedOff;
        finding.severity = Severity::Note;
    } else if (before) {
        finding.id = FindingId::ShutterLeftBehind;
        finding.facts.push_back({"before", "Setup " + before->number});
        finding.facts.push_back({"was", before->rate});
    } else if (school == ShutterSchool::Crisp) {
        finding.id = FindingId::ShutterNotCrisp;
    } else if (std::abs(fromQuarter.value()) <= kAngleClose) {
        finding.id = FindingId::ShutterCrisp;
        finding.severity = Severity::Note;
    } else {
        finding.id = fromHalf > Stops(0.0) ? FindingId::ShutterLong : FindingId::ShutterShort;
    }
    if (finding.severity == Severity::Fault || finding.severity == Severity::Caution)
        offerShutter(now, finding, aim);
    out.push_back(std::move(finding));
}

static void shutterNotOnDial(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    const auto dial = nearestOnDial(now.context.camera->shutter, setup.shutter, setup.rate);
    const Stops off = stopsBetween(exposureTime(dial, setup.rate), now.at.exposureTime);
    if (std::abs(off.value()) < 0.01)
        return;
    Finding finding{FindingId::ShutterNotOnDial,
                    Severity::Caution,
                    {{"set", setup.shutter},
                     {"dial", dial},
                     {"off", off},
                     {"degrees", Degrees(std::abs(shutterAngle(dial, setup.rate).value() -
                                                  now.at.angle.value()))},
                     {"camera", now.context.camera->name}}};
    Edit edit{setup, std::nullopt};
    edit.setup->shutter = dial;
    offer(now, finding.remedies, Remedy{RemedyId::SetShutter, {{"shutter", dial}}, std::move(edit)},
          [](const Evaluation&) { return true; });
    if (const auto safe = now.remedies && mostPulsing(now.at.cadence.lights)
                              ? safeOnDial(now.context)
                              : std::vector<Shutter>();
        !safe.empty()) {
        const auto nearest =
            *std::min_element(safe.begin(), safe.end(), [&](const Shutter& a, const Shutter& b) {
                return distance(setup.shutter, a, setup.rate) <
                       distance(setup.shutter, b, setup.rate);
            });
        if (nearest != dial) {
            Edit still{setup, std::nullopt};
            still.setup->shutter = nearest;
            offer(now, finding.remedies,
                  Remedy{RemedyId::SetShutter, {{"shutter", nearest}}, std::move(still)},
                  [](const Evaluation& after) { return !isMoving(after.cadence.pulsing); });
        }
    }
    out.push_back(std::move(finding));
}

static void rateNearMiss(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    const FrameRate base = now.context.shoot->brief.rate;
    if (!isNearMiss(setup.rate, base))
        return;
    Finding finding{
        FindingId::RateNearMiss,
        Severity::Caution,
        {{"rate", setup.rate}, {"base", base}, {"drift", Duration{driftAnHour(setup.rate, base)}}}};
    Edit edit{setup, std::nullopt};
    edit.setup->rate = base;
    if (bitRateAt(*now.context.mode, base, base))
        offer(now, finding.remedies, Remedy{RemedyId::SetRate, {{"rate", base}}, std::move(edit)},
              [](const Evaluation&) { return true; });
    out.push_back(std::move(finding));
}

std::span<const Rule> shutterRules() {
    static constexpr Rule kRules[] = {shutterAngleOffRule, shutterNotOnDial, rateNearMiss};
    return kRules;
}

} // namespace bslate::rules
