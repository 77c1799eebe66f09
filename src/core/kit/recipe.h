#pragma once

#include "core/base/enumerated.h"
#include "core/kit/profile.h"

#include <string>
#include <vector>

namespace bslate {

/// A named look worth keeping: parameters for a camera's ready profile, or for a look LUT.
struct Recipe {
    std::string id;
    std::string name;
    Look look;
    ExtraKeys extra;
    friend bool operator==(const Recipe&, const Recipe&) = default;
};

/// The controls a recipe sets.
enum class LookPart { BlackLevel, BlackGamma, Knee, Saturation, Depth, Detail };
inline constexpr std::size_t kLookParts = countOf<LookPart>();

/// Parts a profile slot cannot take: all of them for a log profile, whose image controls the
/// camera switches off; the tone parts for a display curve of another form.
[[nodiscard]] std::vector<LookPart> lockedParts(const Profile& profile);

/// Parts in which the slot differs from neutral (no lift, gamma or depth, no knee below 100 %,
/// saturation 1): they are in the recording for good.
[[nodiscard]] std::vector<LookPart> bakedParts(const Profile& profile);

/// The look of a slot, to be kept as a recipe or put into another slot. Neutral for a log profile.
[[nodiscard]] Look lookOf(const Profile& profile);

/// The parts in which two looks differ.
[[nodiscard]] std::vector<LookPart> differing(const Look& a, const Look& b);

/// The slot with what it takes of a recipe; the locked parts stay as they are.
[[nodiscard]] Profile applied(Profile profile, const Recipe& recipe);

} // namespace bslate
