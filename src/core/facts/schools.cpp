#include "core/facts/schools.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr Stops kRatedOver{1.0}; // recorded ISO: "about one stop over"
constexpr Stops kMostGuard{1.0};
constexpr Stops kShortCurve{5.0};

// Where the school wants the scene's 18 % grey on the recording; needs `evaluation.grey`.
Stops wantedGrey(School school, const Evaluation& at) {
    const Stops grey = *at.grey;
    switch (school) {
    case School::Rated:
        return at.iso == IsoBehaviour::Recorded ? kRatedOver : -at.ratingOffset;
    case School::Guard: {
        const auto* top = brightest(at);
        const Stops atNominal = top->recorded - grey;
        const Stops lacking = atNominal + kNearClip - at.clip;
        return -std::clamp(lacking, Stops(0.0), kMostGuard);
    }
    default:
        return Stops(0.0);
    }
}

} // namespace

std::optional<SchoolTarget> targetOf(School school, const SetupContext&, const Evaluation& at) {
    const auto* top = brightest(at);
    const auto* bottom = darkest(at);
    if (!top)
        return std::nullopt;
    Stops shift;
    switch (school) {
    case School::ToTheRight:
        shift = top->headroom - kNearClip;
        break;
    case School::Raw:
        shift = at.sensorClip - kNearClip - top->sensor;
        break;
    default:
        if (!at.grey)
            return std::nullopt;
        shift = wantedGrey(school, at) - *at.grey;
    }
    return SchoolTarget{school, shift, top->headroom - shift, bottom->aboveNoise + shift};
}

std::optional<Stops> skinPlace(const SetupContext& context, const Evaluation& at,
                               const PatchPlacement& face) {
    const School school = context.setup->school;
    if (school == School::ToTheRight || school == School::Raw) {
        const auto target = targetOf(school, context, at);
        return target ? std::optional(face.recorded + target->shift) : std::nullopt;
    }
    if (!at.grey)
        return std::nullopt;
    return skinTone(face.role) + wantedGrey(school, at);
}

namespace {

School suggestedByScene(const SetupContext& context, const Evaluation& at) {
    if (at.iso == IsoBehaviour::Note)
        return School::Raw;
    const auto nominal = targetOf(School::Nominal, context, at);
    if (!nominal)
        return School::Nominal;
    if (at.clip < kShortCurve && nominal->highlights < kNearClip)
        return School::Guard;
    const bool roomAbove = nominal->highlights >= kRatedOver + kNearClip;
    const bool thinShadows = nominal->shadows < kThinShadows;
    return roomAbove && thinShadows && !context.profile->ready ? School::Rated : School::Nominal;
}

} // namespace

School suggestedSchool(const SetupContext& context, const Evaluation& at) {
    const School suggested = suggestedByScene(context, at);
    const auto& preferred = context.shoot->brief.schools;
    const bool welcome = preferred.empty() || std::find(preferred.begin(), preferred.end(),
                                                        suggested) != preferred.end();
    return welcome ? suggested : preferred.front();
}

} // namespace bslate
