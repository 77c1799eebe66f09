#pragma once

#include "core/advice/remedy.h"
#include "core/base/result.h"
#include "core/facts/setup_context.h"

#include <string>
#include <variant>
#include <vector>

/// Turning one control of a setup, with the chosen payer keeping the picture as bright as it
/// was. "As bright" means the viewed stops, which depend on log2(rating * t / T^2) - ND only.
namespace bslate {

struct TurnIris {
    TStop to;
};
struct TurnFilters {
    std::vector<std::string> to; ///< filter ids
};
struct TurnShutter {
    Shutter to; ///< put on the camera's dial first
};
struct TurnRate {
    FrameRate to; ///< an angle stays an angle; a time that no longer fits is shortened
};
struct TurnRating {
    ExposureIndex to;
};
struct TurnBase {
    ExposureIndex to; ///< must be one of the camera's; the rating keeps its distance from base
};
struct TurnLight {
    Stops by; ///< all patches of the scene
};
/// Another way of recording at a rate, with what it may need besides.
struct TurnMode {
    std::string mode; ///< id
    FrameRate rate;
    std::string profile;        ///< id; empty: the present one
    bool externalPower = false; ///< plug in; false leaves it as it is
};
using Turn = std::variant<TurnIris, TurnFilters, TurnShutter, TurnRate, TurnRating, TurnBase,
                          TurnLight, TurnMode>;

struct Turned {
    Edit edit;
    Stops gained;                ///< what the change alone gives (positive) or costs
    Stops unpaid;                ///< what the payer could not cover: the picture's change in stops
    Payer payer = Payer::Nobody; ///< who paid; Nobody when the turned control is the payer's own
};

/// Works the change out. Fails with OutOfRange when lens, profile, camera or frame cannot do it,
/// saying what they can. The payer covers what it can: ND by the nearest stack of the user's
/// filters, the iris and the rating in third stops within their ranges, light exactly.
///
/// `owed` is what earlier turns of the same control left unpaid: the payer covers it too, so that
/// three thirds of a stop become one filter. `unpaid` in the result includes it.
[[nodiscard]] Result<Turned> turn(const Shoot& shoot, const Setup& setup, const Turn& change,
                                  Stops owed = Stops(0.0));

/// Third-stop neighbours, `steps` > 0 being more light for the iris and a higher number for
/// ratings. An off-scale start snaps to the next mark in that direction.
[[nodiscard]] TStop stepIris(TStop from, int steps);
[[nodiscard]] ExposureIndex stepRating(ExposureIndex from, int steps);

/// The engraved third-stop iris and the standard ISO number nearest to a value, in stops.
[[nodiscard]] TStop nearestIris(TStop wanted);
[[nodiscard]] ExposureIndex nearestRating(ExposureIndex wanted);

/// The third-stop iris nearest to a value on a lens; the lens's own end where no mark is nearer.
[[nodiscard]] TStop irisWithin(TStop widest, TStop narrowest, TStop wanted);

/// The ids of the stack nearest to `wanted`, from the camera's and the user's filters.
[[nodiscard]] std::vector<std::string> stackFor(const SetupContext& context, Stops wanted);

/// The next stack of rising (direction > 0) or falling loss that the filters allow; the present
/// one at the end of the scale.
[[nodiscard]] std::vector<std::string> nextStack(const SetupContext& context, int direction);

} // namespace bslate
