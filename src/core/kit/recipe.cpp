#include "core/kit/recipe.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr Look kNeutral{SoftHighlight{1.0, 1.0, 0.0, 0.0}, ColourLook{}};

} // namespace

std::vector<LookPart> lockedParts(const Profile& profile) {
    using enum LookPart;
    if (!profile.ready)
        return {BlackLevel, BlackGamma, Knee, Saturation, Depth, Detail};
    if (!std::holds_alternative<SoftHighlight>(profile.curve.family))
        return {BlackLevel, BlackGamma, Knee};
    return {};
}

std::vector<LookPart> bakedParts(const Profile& profile) {
    return profile.ready ? differing(lookOf(profile), kNeutral) : std::vector<LookPart>();
}

Look lookOf(const Profile& profile) {
    if (!profile.ready)
        return kNeutral;
    const auto* tone = std::get_if<SoftHighlight>(&profile.curve.family);
    return {tone ? *tone : kNeutral.tone, profile.colour};
}

std::vector<LookPart> differing(const Look& a, const Look& b) {
    std::vector<LookPart> parts;
    const auto note = [&](bool differs, LookPart part) {
        if (differs)
            parts.push_back(part);
    };
    note(a.tone.blackLevel != b.tone.blackLevel, LookPart::BlackLevel);
    note(a.tone.blackGamma != b.tone.blackGamma, LookPart::BlackGamma);
    // A knee of slope 1 bends nothing, wherever it is.
    const bool bends = a.tone.kneeSlope != 1 || b.tone.kneeSlope != 1;
    note(bends && (a.tone.kneePoint != b.tone.kneePoint || a.tone.kneeSlope != b.tone.kneeSlope),
         LookPart::Knee);
    note(a.colour.saturation != b.colour.saturation, LookPart::Saturation);
    note(a.colour.depth != b.colour.depth, LookPart::Depth);
    note(a.colour.detail != b.colour.detail, LookPart::Detail);
    return parts;
}

Profile applied(Profile profile, const Recipe& recipe) {
    const auto locked = lockedParts(profile);
    const auto takes = [&](LookPart part) {
        return std::find(locked.begin(), locked.end(), part) == locked.end();
    };
    if (!takes(LookPart::Saturation))
        return profile;
    if (takes(LookPart::Knee))
        profile.curve.family = recipe.look.tone;
    profile.colour = recipe.look.colour;
    profile.recipe = recipe.name;
    return profile;
}

} // namespace bslate
