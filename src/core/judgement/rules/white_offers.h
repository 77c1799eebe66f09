#pragma once

#include "core/facts/case.h"
#include "core/judgement/finding.h"
#include "core/kit/white_dial.h"

/// How far lights and whites are apart, and what brings them together.
namespace bslate::rules {

/// Common practice, no source: differences that pass unseen, the smallest gel, and Duv that looks
/// green or magenta on skin.
inline constexpr Mired kUnseen{10}, kSmallestGel{20};
inline constexpr Duv kTinges{0.005};

[[nodiscard]] Mired apart(ColourPoint a, ColourPoint b);
[[nodiscard]] Duv offLocus(ColourPoint a, ColourPoint b);
/// Within the smallest gel and what tinges.
[[nodiscard]] bool looksAlike(ColourPoint a, ColourPoint b);
/// Off what is usual of its temperature; of a light as it is on the scene.
[[nodiscard]] bool isTinged(ColourPoint light);
/// What a light makes of skin when white is set for another one.
[[nodiscard]] ReasonList tingeOf(ColourPoint light, ColourPoint white);
[[nodiscard]] std::string lightName(const Case& now, const SceneLight& light);
[[nodiscard]] Edit withWhite(const Setup& setup, const WhiteSetting& white);

/// A white of the camera's own dial, and the light it shall come nearer to.
struct WhiteOffer {
    RemedyId id = RemedyId::SetWhite;
    WhiteSetting white;
    ColourPoint wanted;
    ColourPoint against; ///< what it is told against
    Facts facts = {};
};

void offerWhite(const Case& now, Finding& finding, WhiteOffer wish);

/// A lamp to gel, and the light it shall come to.
struct GelWish {
    const SceneLight& light;
    ColourPoint wanted;
    const SceneLight* with = nullptr; ///< it shall come together with; none: with `wanted` itself
};

/// Gels of the kit that do so, on it; where lights shall come together, none of the others may go
/// farther away from the key than the farthest was.
void offerGels(const Case& now, Finding& finding, const GelWish& wish);

} // namespace bslate::rules
