#include "core/verdict/neighbours.h"
#include "core/verdict/rules/rules.h"

#include <algorithm>

namespace bslate::rules {
namespace {

Finding about(const Setup& other, std::string_view id, Severity severity, Facts facts) {
    Finding finding;
    finding.id = id;
    finding.severity = severity;
    finding.subject = other.number;
    finding.source = kCommonPractice;
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

} // namespace

void regionSwitch(const Case& now, Findings& out) {
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
    auto finding = about(*before, "region-switch", Severity::Caution,
                         {{"before", "Setup " + before->number},
                          {"was", joined(was)},
                          {"now", joined(is)},
                          {"cost", camera.regionSwitch}});
    finding.source = "the camera's kit entry";
    out.push_back(std::move(finding));
}

void camerasMatch(const Case& now, Findings& out) {
    const auto& setup = *now.context.setup;
    for (const auto* other : otherCamerasOnScene(*now.context.shoot, setup)) {
        const auto there = resolve(*now.context.shoot, *other);
        if (!there)
            continue;
        const FrameRate base = now.context.shoot->brief.rate;
        const auto records = [&](const RecordingMode& mode) {
            return bitRateAt(mode, setup.rate, base).has_value();
        };
        const auto& theirModes = there->camera->modes;
        const bool could = std::any_of(theirModes.begin(), theirModes.end(), records);
        if (other->rate != setup.rate)
            out.push_back(about(
                *other, could ? "cameras-rate" : "cameras-rate-never", Severity::Caution,
                {{"mine", setup.rate}, {"theirs", other->rate}, {"camera", there->camera->name}}));
        if (there->codec->depth != now.context.codec->depth)
            out.push_back(about(
                *other, "cameras-depth", Severity::Caution,
                {{"mine", now.context.codec->depth.bits}, {"theirs", there->codec->depth.bits}}));
        if (!(there->profile->gamut == now.context.profile->gamut))
            out.push_back(about(
                *other, "cameras-gamut", Severity::Note,
                {{"mine", now.context.profile->gamutName}, {"theirs", there->profile->gamutName}}));
    }
}

} // namespace bslate::rules
