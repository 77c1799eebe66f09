#include "core/cadence/rates.h"
#include "core/facts/evaluate.h"
#include "core/facts/neighbours.h"
#include "core/judgement/rules/rules.h"

#include <algorithm>

namespace bslate::rules {
namespace {

Finding about(const Setup& other, FindingId id, Severity severity, Facts facts) {
    Finding finding{id, severity};
    finding.subject = other.number;
    finding.facts = std::move(facts);
    finding.facts.push_back({"other", "Setup " + other.number});
    return finding;
}

std::string joined(const std::vector<std::string>& names) {
    std::string text;
    for (const auto& name : names)
        text += (text.empty() ? "" : " or ") + name;
    return text;
}

// Whether another camera has a mode that records at this setup's rate and is as asked.
template<class Asked>
bool canRecord(const Case& now, const Camera& camera, Asked asked) {
    return std::any_of(camera.modes.begin(), camera.modes.end(), [&](const RecordingMode& mode) {
        return bitRateAt(mode, now.context.setup->rate, now.context.shoot->brief.rate) &&
               asked(mode);
    });
}

bool couldMatchDepth(const Case& now, const Camera& camera) {
    return canRecord(now, camera, [&](const RecordingMode& mode) {
        const auto* codec = findCodec(camera, mode.codec);
        return codec && codec->depth == now.context.codec->depth;
    });
}

bool couldMatchGamut(const Case& now, const Camera& camera) {
    return std::any_of(camera.profiles.begin(), camera.profiles.end(), [&](const std::string& id) {
        const auto* profile = findProfile(now.context.shoot->kit, id);
        return profile && profile->gamut == now.context.profile->gamut;
    });
}

} // namespace

static void regionSwitch(const Case& now, Findings& out) {
    const auto& shoot = *now.context.shoot;
    const auto& camera = *now.context.camera;
    const auto* before = earlierOnCamera(shoot, *now.context.setup);
    const auto* mode = before ? findMode(camera, before->mode) : nullptr;
    if (!mode)
        return;
    const FrameRate base = shoot.brief.rate;
    const auto was = regionsFor(camera, *mode, before->rate, base);
    const auto is = regionsFor(camera, *now.context.mode, now.context.setup->rate, base);
    const bool stays = std::any_of(is.begin(), is.end(), [&](const auto& id) {
        return std::find(was.begin(), was.end(), id) != was.end();
    });
    if (was.empty() || is.empty() || stays)
        return;
    auto finding = about(*before, FindingId::RegionSwitch, Severity::Caution,
                         {{"before", "Setup " + before->number},
                          {"was", joined(was)},
                          {"now", joined(is)},
                          {"cost", camera.regionSwitch}});
    out.push_back(std::move(finding));
}

static void camerasMatch(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    for (const auto* other : otherCamerasOnScene(*now.context.shoot, setup)) {
        const auto there = resolve(*now.context.shoot, *other);
        if (!there)
            continue;
        const bool could =
            canRecord(now, *there->camera, [](const RecordingMode&) { return true; });
        if (isNearMiss(other->rate, setup.rate))
            out.push_back(about(*other, FindingId::CamerasBase, Severity::Caution,
                                {{"mine", setup.rate},
                                 {"theirs", other->rate},
                                 {"drift", Duration{driftAnHour(other->rate, setup.rate)}}}));
        else if (other->rate != setup.rate)
            out.push_back(about(
                *other, could ? FindingId::CamerasRate : FindingId::CamerasRateNever,
                Severity::Caution,
                {{"mine", setup.rate}, {"theirs", other->rate}, {"camera", there->camera->name}}));
        if (there->codec->depth != now.context.codec->depth)
            out.push_back(about(*other,
                                couldMatchDepth(now, *there->camera) ? FindingId::CamerasDepth
                                                                     : FindingId::CamerasDepthNever,
                                Severity::Caution,
                                {{"mine", now.context.codec->depth.bits},
                                 {"theirs", there->codec->depth.bits},
                                 {"camera", there->camera->name}}));
        if (!(there->profile->gamut == now.context.profile->gamut))
            out.push_back(about(*other,
                                couldMatchGamut(now, *there->camera) ? FindingId::CamerasGamut
                                                                     : FindingId::CamerasGamutNever,
                                Severity::Note,
                                {{"mine", now.context.profile->gamutName},
                                 {"theirs", there->profile->gamutName},
                                 {"camera", there->camera->name}}));
    }
}

std::span<const Rule> pairsRules() {
    static constexpr Rule kRules[] = {regionSwitch, camerasMatch};
    return kRules;
}

} // namespace bslate::rules
