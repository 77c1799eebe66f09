#include "core/judgement/rules/profiles.h"

#include "core/advice/offer.h"
#include "core/facts/open_facts.h"
#include "core/facts/precision.h"
#include "core/judgement/rules/rules.h"

#include <algorithm>

namespace bslate::rules {
namespace {

Remedy toProfile(const Case& now, const Profile& profile) {
    Edit edit;
    edit.setup = *now.context.setup;
    edit.setup->profile = profile.id;
    return {RemedyId::SetProfile, {{"profile", profile.name}}, edit};
}

} // namespace

Reason eightBitReason(const Case& now) {
    const auto bits = eightBits(now.context, now.context.shoot->brief.grade);
    const auto& precision = bits.graded;
    const double gain = *std::max_element(precision.chromaGain.begin(), precision.chromaGain.end());
    const Facts facts = {
        {"gain", Magnification(gain)}, {"from", precision.firstBand}, {"to", precision.lastBand}};
    switch (bits.answer) {
    case EightBitAnswer::Enough:
        return {"eight-enough", facts};
    case EightBitAnswer::NormalGamut:
        return {"eight-normal-gamut", facts};
    case EightBitAnswer::OnlyIfNailed:
        return {"eight-nailed", facts};
    case EightBitAnswer::Never:
        break;
    }
    return {"eight-never", facts};
}

static void curveSource(const Case& now, Findings& out) {
    const auto& profile = *now.context.profile;
    if (now.at.curveSource == CurveSource::MeasuredElsewhere) {
        const auto* camera = findCamera(now.context.shoot->kit, profile.measured->camera);
        const auto* nominal = findProfile(now.context.shoot->kit, profile.measured->nominal);
        Finding finding{FindingId::MeasuredElsewhere,
                        Severity::Caution,
                        {{"profile", profile.name},
                         {"camera", camera ? camera->name : profile.measured->camera},
                         {"base", profile.measured->base}}};
        if (nominal)
            offer(now, finding.remedies, toProfile(now, *nominal),
                  [](const Evaluation&) { return true; });
        out.push_back(std::move(finding));
        return;
    }
    if (now.at.curveSource == CurveSource::Measured) {
        out.push_back({FindingId::MeasuredInUse,
                       Severity::Note,
                       {{"profile", profile.name},
                        {"clip", now.at.sensorClip},
                        {"nominal", now.context.base->sensor.clip}}});
        return;
    }
    for (const auto& other : now.context.shoot->kit.profiles) {
        if (!other.measured || other.measured->nominal != profile.id ||
            other.measured->camera != now.context.camera->id ||
            other.measured->base != now.context.base->iso)
            continue;
        Finding finding{FindingId::NominalInUse,
                        Severity::Note,
                        {{"profile", profile.name}, {"measured", other.name}}};
        offer(now, finding.remedies, toProfile(now, other), [](const Evaluation&) { return true; });
        out.push_back(std::move(finding));
        return;
    }
}

// What a test of the body has found is known.
static void guessedFacts(const Case& now, Findings& out) {
    ReasonList open;
    for (const auto fact : now.context.camera->guessed)
        if (now.at.curveSource != CurveSource::Measured ||
            (fact != CameraFact::OverGrey && fact != CameraFact::Range))
            open.all.push_back(leftOpen(fact));
    if (!open.all.empty())
        out.push_back({FindingId::CameraGuessed,
                       Severity::Note,
                       {{"camera", now.context.camera->name}, {"open", open}}});
}

std::span<const Rule> profilesRules() {
    static constexpr Rule kRules[] = {curveSource, guessedFacts};
    return kRules;
}

} // namespace bslate::rules
