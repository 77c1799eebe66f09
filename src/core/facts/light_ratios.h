#pragma once

#include "core/shoot/shoot.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// How the lights of a scene stand to each other, from what was metered.
namespace bslate {

enum class RatioKind { KeyOverFill, KeyOverKicker, SubjectOverBackground };

struct LightRatio {
    RatioKind kind = RatioKind::KeyOverFill;
    Stops measured;
    std::optional<Stops> wanted;
    LightSide moves = LightSide::Fill; ///< the side that is moved to get what is wanted
    std::string lamp;                  ///< its lamp, empty where none is told
    Stops move;                        ///< by how much its light has to change; 0 without a wish
    friend bool operator==(const LightRatio&, const LightRatio&) = default;
};

/// Of the first patches of each side; the key is the first skin where no patch is of that side.
/// Light on a card is compared where both readings are lx or fc, else luminance.
[[nodiscard]] std::vector<LightRatio> lightRatiosOf(const Scene& scene,
                                                    const MeterCalibration& meter);

/// The scene with everything that a side lights moved by some stops.
[[nodiscard]] Scene relit(const Scene& scene, LightSide side, Stops by);

/// `2 stops`, `4:1`, or a share of the key such as `2/3` (0.6 stop), -15 to 15 stops; empty text
/// is no wish.
[[nodiscard]] Result<std::optional<Stops>> parseRatio(std::string_view text);
/// `4:1`, `1:2`.
[[nodiscard]] std::string printRatio(Stops over);

} // namespace bslate
