#include "core/advice/levers.h"
#include "core/advice/offer.h"
#include "core/judgement/rules/rules.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {
namespace {

constexpr Stops kNoCost(0.05); // less than any figure shows

// This setup with the dial at its base, nothing else changed.
std::optional<Evaluation> atBaseRating(const Case& now) {
    Edit edit{*now.context.setup, std::nullopt};
    edit.setup->rating = now.at.base;
    return tryOut(now, edit);
}

} // namespace

static void ratingDiffers(const Case& now, Findings& out) {
    const double offset = now.at.ratingOffset.value();
    if (now.at.iso == IsoBehaviour::Recorded || std::abs(offset) < 0.05)
        return;
    out.push_back({offset < 0 ? FindingId::RatedOver : FindingId::RatedUnder,
                   Severity::Note,
                   {{"by", now.at.ratingOffset},
                    {"ei", now.context.setup->rating},
                    {"base", now.at.base},
                    {"clip", now.at.clip + now.at.ratingOffset},
                    {"floor", now.at.noiseFloor + now.at.ratingOffset}}});
}

static void isoOutsideProfile(const Case& now, Findings& out) {
    const auto& dial = now.context.iso;
    const auto& setup = *now.context.setup;
    const bool below = setup.rating < dial.minimum;
    if (!below && setup.rating <= dial.maximum)
        return;
    Finding finding{below ? FindingId::IsoBelowMinimum : FindingId::IsoAboveMaximum,
                    Severity::Fault};
    const auto limit = below ? dial.minimum : dial.maximum;
    finding.facts = {
        {"ei", setup.rating}, {"limit", limit}, {"profile", now.context.profile->name}};
    if (auto turned = turn(*now.context.shoot, setup, TurnRating{limit}))
        offer(now, finding.remedies, Remedy{RemedyId::SetRating, {{"ei", limit}}, turned->edit},
              [](const Evaluation&) { return true; });
    out.push_back(std::move(finding));
}

static void isoOffBase(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    if (now.context.base->iso != setup.base) {
        Finding finding{FindingId::BaseNotOffered,
                        Severity::Fault,
                        {{"base", setup.base}, {"used", now.at.base}}};
        Edit edit{setup, std::nullopt};
        edit.setup->base = now.at.base;
        offer(now, finding.remedies,
              Remedy{RemedyId::SetBase, {{"ei", now.at.base}}, std::move(edit)},
              [](const Evaluation&) { return true; });
        out.push_back(std::move(finding));
    }
    if (now.at.iso != IsoBehaviour::Recorded || std::abs(now.at.gain.value()) < 0.05)
        return;
    const auto atBase = atBaseRating(now);
    if (!atBase)
        return;
    const bool above = now.at.gain > Stops(0.0);
    const Stops cost = above ? now.at.noiseFloor - atBase->noiseFloor : atBase->clip - now.at.clip;
    const bool free = cost < kNoCost;
    Finding finding{above  ? FindingId::IsoAboveBase
                    : free ? FindingId::IsoBelowBaseFree
                           : FindingId::IsoBelowBase,
                    free ? Severity::Note : Severity::Caution,
                    {{"gain", cost},
                     {"ei", setup.rating},
                     {"base", now.at.base},
                     {"clip", now.at.clip},
                     {"floor", now.at.noiseFloor}}};
    if (!free && now.at.base >= now.context.iso.minimum && now.at.base <= now.context.iso.maximum)
        if (auto turned = turn(*now.context.shoot, setup, TurnRating{now.at.base}))
            offer(now, finding.remedies,
                  Remedy{RemedyId::SetRating, {{"ei", now.at.base}}, turned->edit},
                  [](const Evaluation& after) { return std::abs(after.gain.value()) < 0.05; });
    out.push_back(std::move(finding));
}

std::span<const Rule> ratingRules() {
    static constexpr Rule kRules[] = {ratingDiffers, isoOutsideProfile, isoOffBase};
    return kRules;
}

} // namespace bslate::rules
