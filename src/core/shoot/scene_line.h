#pragma once

#include "core/base/result.h"
#include "core/shoot/scene.h"

#include <string>
#include <string_view>
#include <vector>

/// A scene typed as one line, the way people jot a day down:
/// `2A doorway int 26cd/m2 talk 12min`. Words in any order; what is not understood is the name.
/// What stands in quotes is name as well, and `#` in front makes a number of the first word.
namespace bslate {

/// What one piece of the line was taken for, for the preview.
enum class LinePart {
    Number,     ///< `2A`, first on the line
    Day,        ///< `day2`, `d2`
    Start,      ///< `05:40`
    Place,      ///< `int`, `ext`
    Reading,    ///< `26cd/m2`, `108 lx`, `EV 10.6`
    Described,  ///< `sun`, `hazy`, `overcast`, `shade`, `dusk`, `night`, `office`, `home`, `candle`
    Change,     ///< `to EV14.6 in 40min`, or `>EV14.6/40min`
    Colour,     ///< `4300K`, `4300K duv+0.004`: of the lamp before it, else of all the light
    Lamp,       ///< `bulbs`, `tubes`, `panels`, `dimmed`, `400Hz`
    Depth,      ///< `T2.8-T5.6`, `T4`
    Speed,      ///< `0.5w/s`: frame widths a second
    Pan,        ///< `pan8deg/s`
    SlowMotion, ///< `x4`, `4x`
    Sound,      ///< `talk`, `sound`, `mute`, `mos`, `onboard`, `wired`, `radio`
    Support,    ///< `tripod`, `gimbal`, `shoulder`, `handheld`
    Focus,      ///< `handfocus`, `autofocus`, `facefocus`
    LongestTake, ///< the first length of time: `12min`
    Footage,     ///< a length of time after `all`, or the second one: `all 40min`
    View,        ///< `54deg`
    Ambient,     ///< `9C`
    Hazard,      ///< `water`, `heights`, `mains`, `sunshot`
    Name
};

struct LinePiece {
    LinePart part = LinePart::Name;
    std::string text; ///< as typed
    friend bool operator==(const LinePiece&, const LinePiece&) = default;
};

struct SceneLine {
    Scene scene;                   ///< id empty; a grey card patch with the reading or the estimate
    std::vector<LinePiece> pieces; ///< in the order typed
};

/// Reads a line of at most 400 bytes. Fails with EmptyText when nothing names the scene, or
/// OutOfRange when a piece looks like a quantity but cannot be one (the piece is in `got`).
[[nodiscard]] Result<SceneLine> parseSceneLine(std::string_view text);

} // namespace bslate
