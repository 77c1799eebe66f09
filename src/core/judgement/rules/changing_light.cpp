// Light that climbs or falls while the scene lasts: judged at both ends and on the way between.
#include "core/judgement/rules/changing_light.h"

#include "core/advice/offer.h"
#include "core/facts/evaluate.h"
#include "core/facts/light_change.h"
#include "core/judgement/rules/rules.h"

#include <cmath>

namespace bslate::rules {
namespace {

// The scene as it is after its light moved by `by`.
Evaluation litBy(const SetupContext& context, Stops by) {
    const Scene later = brightened(*context.scene, by);
    SetupContext moved = context;
    moved.scene = &later;
    return evaluate(moved);
}

struct Loss {
    const PatchPlacement* patch = nullptr;
    Stops room;   ///< now, to the end that it will pass
    Seconds from; ///< from the beginning of the change
    bool clips = false;
};

// The patch that is lost first on the way, if one is that is not lost now.
std::optional<Loss> firstLoss(const Evaluation& at, Stops by, Seconds over) {
    std::optional<Loss> first;
    for (const auto& patch : at.patches) {
        if (patch.role == PatchRole::Spare)
            continue;
        const Stops room = by > Stops(0) ? patch.headroom : patch.aboveNoise;
        if (room < Stops(0) || std::abs(by.value()) - room.value() < kTold.value())
            continue;
        const Seconds from = over * (room.value() / std::abs(by.value()));
        if (!first || from < first->from)
            first = Loss{&patch, room, from, by > Stops(0)};
    }
    return first;
}

bool holds(const Evaluation& at) {
    return brightest(at) && brightest(at)->headroom >= Stops(0) &&
           darkest(at)->aboveNoise >= Stops(0);
}

// Exposures that keep the scene from one end to the other.
void offerBothEnds(const Case& now, Finding& finding, Stops by) {
    const auto end = litBy(now.context, by);
    const auto& critical = by > Stops(0) ? end : now.at;
    const auto& other = by > Stops(0) ? now.at : end;
    if (!now.remedies)
        return;
    const Stops over = std::max(Stops(0), -brightest(critical)->headroom);
    const Stops under = std::max(Stops(0), -darkest(other)->aboveNoise);
    auto candidates = over > Stops(0) ? darkeningRemedies(now, over) : exposureRemedies(now, under);
    for (auto& remedy : candidates) {
        const auto context = resolve(*now.context.shoot, *remedy.edit.setup);
        if (!context)
            continue;
        const auto later = litBy(*context, by);
        offer(now, finding.remedies, std::move(remedy),
              [&](const Evaluation& after) { return holds(after) && holds(later); });
    }
}

} // namespace

std::optional<Evaluation> atEndOfChange(const Case& now) {
    const auto by = lightChangeOf(*now.context.scene, now.context.shoot->meter);
    return by ? std::optional(litBy(now.context, *by)) : std::nullopt;
}

static void changingLight(const Case& now, Findings& out) {
    const auto by = lightChangeOf(*now.context.scene, now.context.shoot->meter);
    if (!by || !brightest(now.at))
        return;
    const Seconds over = now.context.scene->change->over;
    const auto loss = firstLoss(now.at, *by, over);
    Finding finding;
    finding.facts = {{"by", *by}, {"over", Duration{over}}};
    if (loss) {
        finding.id = loss->clips ? FindingId::LightClimbsOut : FindingId::LightFallsAway;
        finding.severity = loss->clips ? Severity::Fault : Severity::Caution;
        finding.subject = loss->patch->id;
        finding.facts.push_back({"patch", loss->patch->name});
        finding.facts.push_back({"room", loss->room});
        finding.facts.push_back({"from", Duration{loss->from}});
        finding.facts.push_back({"need", Stops(std::abs(by->value())) - loss->room});
        offerBothEnds(now, finding, *by);
    } else {
        const auto end = litBy(now.context, *by);
        if (!holds(now.at) || !holds(end))
            return; // what is lost now is told by itself
        finding.id = FindingId::LightChangeFits;
        finding.severity = Severity::Good;
        finding.facts.push_back(
            {"room", std::min(brightest(now.at)->headroom, brightest(end)->headroom)});
        finding.facts.push_back(
            {"above", std::min(darkest(now.at)->aboveNoise, darkest(end)->aboveNoise)});
    }
    out.push_back(std::move(finding));
}

std::span<const Rule> changingLightRules() {
    static constexpr Rule kRules[] = {changingLight};
    return kRules;
}

} // namespace bslate::rules
