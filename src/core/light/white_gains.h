#pragma once

#include "core/light/colour_temperature.h"
#include "core/signal/code_values.h"
#include "core/signal/curve.h"
#include "core/signal/gamut.h"

#include <array>
#include <optional>
#include <string_view>

/// What setting white does to red, green and blue, and what moving it later costs.
namespace bslate {

/// Red, green, blue.
using PerChannel = std::array<Stops, 3>;

/// Gains in stops that make a light of this colour neutral: `log2(G / C)` of its own R, G, B, green
/// 0. A light outside of the primaries is held at a 64th of green: 6 stops at most.
[[nodiscard]] PerChannel whiteGains(const Matrix3& xyzToCamera, Chromaticity light);

/// Primaries of a camera nobody measured: those of BT.2020 balanced at D65 (ITU-R BT.2020-2 table
/// 3), a stated generic.
[[nodiscard]] Gamut genericPrimaries();

/// What re-whiting a recording from one white to another does to a channel.
struct LaterChannel {
    Stops gain;    ///< against green
    Stops noise;   ///< by how much grain of the darks grows: the gain where it is positive
    int codes = 0; ///< left in the stop around mid-grey of a recording that has white baked in
};

struct LaterWhite {
    Mired shift;
    Duv duv;
    std::array<LaterChannel, 3> channels;
    /// What highlights of a baked recording lose: the channel that is pulled down most ends so far
    /// under green, and above it colour is wrong.
    Stops staysClipped;
};

/// What a recording with white baked in was coded in.
struct RecordedIn {
    Curve curve;
    BitDepth depth;
};
/// Codes in the stop around mid-grey.
[[nodiscard]] int codesInMiddle(const RecordedIn& recorded);

/// From the gains of the shot's white and those of the wanted one (CameraColour, whiteGains()). The
/// codes of a channel that is at mid-grey afterwards are those it was recorded in, as far under it
/// as it is lifted; they are counted there. Without `recorded` there are none.
[[nodiscard]] LaterWhite laterWhite(ColourPoint shot, const PerChannel& shotGains,
                                    ColourPoint wanted, const PerChannel& wantedGains,
                                    const std::optional<RecordedIn>& recorded);

} // namespace bslate
