#include "core/advice/levers.h"
#include "core/advice/offer.h"
#include "core/facts/schools.h"
#include "core/judgement/rules/changing_light.h"
#include "core/judgement/rules/placement.h"
#include "core/judgement/rules/rules.h"

#include <cmath>

namespace bslate::rules {
namespace {

Finding about(const PatchPlacement& patch, FindingId id, Severity severity) {
    Finding finding{id, severity, {{"patch", patch.name}}, patch.id};
    return finding;
}

const PatchPlacement& samePatch(const Evaluation& after, const std::string& id) {
    for (const auto& patch : after.patches)
        if (patch.id == id)
            return patch;
    return after.patches.front();
}

// Room between the darkest and brightest patches that matter, and between floor and clip.
Stops sceneSpan(const Evaluation& at) {
    return brightest(at)->recorded - darkest(at)->recorded;
}
Stops windowSpan(const Evaluation& at) {
    return at.clip - at.noiseFloor;
}

// The rating from which, with the payer holding the view, the sensor gets `less` less light.
std::optional<Remedy> reratingRemedy(const Case& now, Stops less) {
    const auto& setup = *now.context.setup;
    if (!now.remedies)
        return std::nullopt;
    const bool wouldPay = setup.payer == Payer::Nd || setup.payer == Payer::Iris;
    if (now.at.iso == IsoBehaviour::Recorded || !wouldPay)
        return std::nullopt;
    auto rating = nearestRating(ExposureIndex(setup.rating.value() * ratio(less)));
    if (stopsBetween(rating, setup.rating) < less)
        rating = stepRating(rating, 1);
    auto turned = turn(*now.context.shoot, setup, TurnRating{rating});
    if (!turned)
        return std::nullopt;
    return Remedy{RemedyId::Rerate, {{"ei", rating}}, std::move(turned->edit)};
}

// Save the subject: skin (else the darkest patch) goes to its place or out of the noise, and
// what is lost by that is marked as allowed to go.
void offerSavingSubject(const Case& now, Finding& finding) {
    if (!now.remedies)
        return;
    const auto* face = skin(now.at);
    const auto& subject = face ? *face : *darkest(now.at);
    const auto wanted = face ? skinPlace(now.context, now.at, *face) : std::nullopt;
    const Stops shift =
        wanted ? *wanted - subject.recorded : Stops(std::max(0.0, -subject.aboveNoise.value()));
    std::vector<Remedy> candidates;
    if (std::abs(shift.value()) > 0.34)
        candidates = exposureRemedies(now, shift);
    else
        candidates.push_back({RemedyId::SaveSubject, {}, {*now.context.setup, std::nullopt}});
    for (auto& remedy : candidates) {
        const auto after = tryOut(now, remedy.edit);
        if (!after)
            continue;
        remedy.id = RemedyId::SaveSubject;
        remedy.edit.scene = *now.context.scene;
        int given = 0;
        for (std::size_t i = 0; i < after->patches.size(); ++i) {
            auto& role = remedy.edit.scene->patches[i].role;
            if (isLost(after->patches[i]) && after->patches[i].id != subject.id &&
                role != PatchRole::Spare) {
                role = PatchRole::Spare;
                ++given;
            }
        }
        remedy.facts.push_back({"given", given});
        offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& then) {
            return given > 0 && !isLost(samePatch(then, subject.id));
        });
    }
}

} // namespace

// Said once, with the price of each: what would cure the one undoes the other.
static void placeOrHighlight(const Case& now, Findings& out) {
    const auto conflict = placeConflict(now);
    if (!conflict)
        return;
    const auto& top = *conflict->top;
    // Whoever took the loss on purpose has chosen.
    for (const auto& acceptance : now.context.setup->accepted)
        if (acceptance.finding == keyOf(FindingId::PatchClipped, top.id))
            return;
    const bool kept = top.headroom >= Stops(0.0);
    Finding finding{kept ? FindingId::HighlightKept : FindingId::PlaceOrHighlight,
                    kept ? Severity::Note : Severity::Caution,
                    {{"school", now.context.setup->school},
                     {"patch", top.name},
                     {"over", conflict->over},
                     {"off", conflict->shift}}};
    if (!kept) {
        for (auto& remedy : darkeningRemedies(now, -top.headroom))
            offer(now, finding.remedies, std::move(remedy),
                  [](const Evaluation& after) { return brightest(after)->headroom >= Stops(0.0); });
        if (auto remedy = reratingRemedy(now, -top.headroom))
            offer(now, finding.remedies, std::move(*remedy),
                  [](const Evaluation& after) { return brightest(after)->headroom >= Stops(0.0); });
        offerSavingSubject(now, finding);
    }
    out.push_back(std::move(finding));
}

static void patchClipped(const Case& now, Findings& out) {
    for (const auto& patch : now.at.patches) {
        if (patch.state != PatchState::Clipped)
            continue;
        const bool spare = patch.role == PatchRole::Spare;
        auto finding =
            about(patch, FindingId::PatchClipped, spare ? Severity::Note : Severity::Fault);
        finding.facts.push_back({"over", -patch.headroom});
        finding.facts.push_back({"place", patch.recorded});
        finding.facts.push_back({"clip", now.at.clip});
        finding.facts.push_back({"ei", now.context.setup->rating});
        const auto kept = [&](const Evaluation& after) {
            return samePatch(after, patch.id).headroom >= Stops(0.0);
        };
        // Where the place and the highlight cannot both be had, placeOrHighlight() offers each.
        if (!spare && !placeConflict(now)) {
            for (auto& remedy : darkeningRemedies(now, -patch.headroom))
                offer(now, finding.remedies, std::move(remedy), kept);
            if (auto remedy = reratingRemedy(now, -patch.headroom))
                offer(now, finding.remedies, std::move(*remedy), kept);
        }
        out.push_back(std::move(finding));
    }
}

static void patchNearClip(const Case& now, Findings& out) {
    for (const auto& patch : now.at.patches) {
        if (patch.state != PatchState::NearClip || patch.role == PatchRole::Spare)
            continue;
        auto finding = about(patch, FindingId::PatchNearClip, Severity::Caution);
        finding.facts.push_back({"room", patch.headroom});
        for (auto& remedy : darkeningRemedies(now, kNearClip - patch.headroom))
            offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
                // Not by leaving its place: the next finding would take it back.
                return samePatch(after, patch.id).headroom >= kNearClip - Stops(1e-6) &&
                       (schoolSatisfied(now, after) || !schoolSatisfied(now, now.at)) &&
                       !bringsTrouble(now, after);
            });
        out.push_back(std::move(finding));
    }
}

static void patchInNoise(const Case& now, Findings& out) {
    for (const auto& patch : now.at.patches) {
        if (patch.state != PatchState::Noise || patch.role == PatchRole::Spare)
            continue;
        auto finding = about(patch, FindingId::PatchInNoise, Severity::Caution);
        finding.facts.push_back({"under", -patch.aboveNoise});
        finding.facts.push_back({"floor", now.at.noiseFloor});
        finding.facts.push_back(
            {"snr", static_cast<int>(std::lround(now.context.shoot->snrFloor * 10))});
        // Enough light for the patch, rounded up to the next third stop.
        const Stops more(std::ceil(-patch.aboveNoise.value() * 3.0) / 3.0);
        for (auto& remedy : exposureRemedies(now, more))
            offer(now, finding.remedies, std::move(remedy), [&](const Evaluation& after) {
                return samePatch(after, patch.id).aboveNoise >= Stops(0.0) &&
                       !bringsTrouble(now, after);
            });
        out.push_back(std::move(finding));
    }
}

static void sceneWider(const Case& now, Findings& out) {
    const auto* top = brightest(now.at);
    const auto* bottom = darkest(now.at);
    if (!top || sceneSpan(now.at) - windowSpan(now.at) < kTold)
        return;
    // All of it under the floor or over the clip: that is the light, whatever the width.
    if (top->aboveNoise < Stops(0) || bottom->headroom < Stops(0))
        return;
    Finding finding{FindingId::SceneWider, Severity::Fault};
    const Stops excess = sceneSpan(now.at) - windowSpan(now.at);
    finding.facts = {{"scene", sceneSpan(now.at)},
                     {"window", windowSpan(now.at)},
                     {"excess", excess},
                     {"top", top->name},
                     {"bottom", bottom->name}};

    // Where the school's place is in the way, placeOrHighlight() offers the two.
    const bool torn = placeConflict(now).has_value();
    if (!torn)
        offerSavingSubject(now, finding);
    // Save the highlight: the brightest comes under the clip, when it is not there already.
    const Stops drop = -top->headroom;
    const bool wanted = drop > Stops(0.0) && !torn;
    for (auto& remedy : wanted ? darkeningRemedies(now, drop) : std::vector<Remedy>()) {
        remedy.id = RemedyId::SaveHighlight; // the lever follows as what it does beside its title
        offer(now, finding.remedies, std::move(remedy),
              [](const Evaluation& after) { return brightest(after)->headroom >= Stops(0.0); });
    }
    // Change the light: everything below mid-grey is filled by what is missing.
    Edit edit{*now.context.setup, *now.context.scene};
    const Stops fill = excess + kNearClip;
    for (std::size_t i = 0; i < edit.scene->patches.size(); ++i)
        if (now.at.patches[i].recorded < now.at.grey.value_or(Stops(0.0)))
            edit.scene->patches[i].reading = shifted(edit.scene->patches[i].reading, fill);
    offer(now, finding.remedies, Remedy{RemedyId::ChangeLight, {{"fill", fill}}, std::move(edit)},
          [](const Evaluation& after) {
              return brightest(after)->recorded - darkest(after)->recorded <=
                     after.clip - after.noiseFloor;
          });
    out.push_back(std::move(finding));
}

static void sceneFits(const Case& now, Findings& out) {
    const auto* top = brightest(now.at);
    const auto* bottom = darkest(now.at);
    if (!top || top->headroom < kNearClip || bottom->aboveNoise < Stops(0.0))
        return;
    if (const auto later = atEndOfChange(now))
        if (brightest(*later)->headroom < Stops(0.0) || darkest(*later)->aboveNoise < Stops(0.0))
            return; // changingLight() says when it no longer does
    out.push_back({FindingId::SceneFits,
                   Severity::Good,
                   {{"room", top->headroom},
                    {"top", top->name},
                    {"above", bottom->aboveNoise},
                    {"bottom", bottom->name}}});
}

std::span<const Rule> patchesRules() {
    static constexpr Rule kRules[] = {patchClipped, patchNearClip, patchInNoise,
                                      sceneWider,   sceneFits,     placeOrHighlight};
    return kRules;
}

} // namespace bslate::rules
