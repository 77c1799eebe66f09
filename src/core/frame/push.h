#pragma once

#include "core/frame/graded.h"

#include <array>
#include <string>
#include <string_view>

namespace bslate {

/// What a hard grade asks of a recording, to see where it breaks.
struct Push {
    Stops lift{0};   ///< of shadows, 0 to 6
    Stops pull{0};   ///< of highlights down, 0 to 6
    Mired warmer{0}; ///< re-whitened, -200 to 200; positive is warmer
    friend bool operator==(const Push&, const Push&) = default;
};

/// A push as the stops it moves light that stands `stops` from mid-grey: all of `lift` from four
/// stops under it, all of `pull` from four over, eased in from one stop on each side.
[[nodiscard]] Stops pushedBy(const Push& push, Stops stops);

/// The gains of red, green and blue, BT.709 primaries, that show what was neutral as light of that
/// many mired more: ratios of white gains (light/white_gains.h) about 6504 K; green stays.
[[nodiscard]] std::array<double, 3> rewhitened(Mired warmer);

/// A push on the way back, for graded() and shownLight(): light of the display's primaries is
/// re-whitened, then moved by its luminance. Empty for none.
[[nodiscard]] LightChanger changerOf(const Push& push);

/// `lift 3 pull 1 warm 60`, in any order, each at most once; `cool 60` is the other way. Fails with
/// OutOfRange or NotANumber.
[[nodiscard]] Result<Push> parsePush(std::string_view text);
[[nodiscard]] std::string print(const Push& push); ///< as it is parsed; empty for none

} // namespace bslate
