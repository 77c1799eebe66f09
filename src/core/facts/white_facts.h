#pragma once

#include "core/facts/setup_context.h"
#include "core/light/white_gains.h"
#include "core/shoot/lamp_colours.h"

#include <array>
#include <optional>
#include <span>
#include <vector>

/// White of one setup: the colours of its lights as they come through the filters, what the camera
/// is set to, and where each channel ends. Channels are red, green, blue. Luminance is taken as
/// green's exposure.
namespace bslate {

/// A channel of the recording. `gain` is what the white applies to it (green 0). Of the light that
/// this white makes neutral, on one scale: its noise stands at `floor` = floor + gain, the
/// photosite is full at `well` = the sensor's clip + gain, and it ends at `end`, the lower of that
/// and the recording's end (in raw, where the gain comes later, that moved by the gain). Of another
/// light, one that gives all photosites alike, it ends at `clip` = clip - gain, in raw at clip.
struct ChannelFacts {
    Stops gain, clip, floor, well, end;
    friend bool operator==(const ChannelFacts&, const ChannelFacts&) = default;
};

enum class ColourKept {
    All,   ///< no channel ends
    Loses, ///< one or two channels do: the colour is gone
    Lost   ///< all of them
};

/// A patch by its channels under its own light.
struct PatchWhite {
    ColourPoint light;
    PerChannel room;  ///< to the end of the channel; negative is what is lost
    PerChannel above; ///< over its noise; negative is what drowns
    std::size_t clipsFirst = 1, drownsFirst = 1;
    ColourKept kept = ColourKept::All;
    friend bool operator==(const PatchWhite&, const PatchWhite&) = default;
};

struct WhiteFacts {
    WhiteSetting set;    ///< on the camera's dial
    ColourPoint point;   ///< the light it makes neutral
    bool baked = true;   ///< else a note
    ColourShift filters; ///< of what comes through them
    bool generic = true; ///< nothing is known of the body's response
    std::array<ChannelFacts, 3> channels;
    std::vector<SceneLight> lights;
    std::optional<std::size_t> keyLight; ///< the lamp of the key, else the strongest
    std::optional<ColourPoint> key;      ///< its colour
    std::optional<ColourPoint> subject;  ///< all light on the subject together
    std::optional<ColourPoint> background;
    std::vector<PatchWhite> patches; ///< in the scene's order
    /// Where the first channel of grey under the key ends and the first one drowns, recorded stops.
    Stops firstClip, firstFloor;
    std::size_t clipsFirst = 1, drownsFirst = 1;
    friend bool operator==(const WhiteFacts&, const WhiteFacts&) = default;
};

/// Where a recording ends, in recorded stops.
struct RecordedEnds {
    Stops clip;   ///< of the recording
    Stops sensor; ///< of the sensor, no less than clip
    Stops floor;
};

/// Of patches in the scene's order at their recorded stops.
[[nodiscard]] WhiteFacts whiteFacts(const SetupContext& context, const RecordedEnds& recording,
                                    std::span<const Stops> patches);

/// Settings of the dial that answer the scene; none where its light is not told.
struct WhiteChoices {
    std::optional<WhiteSetting> key, between, background;
};
/// Between is halfway in mired and Duv from the key to the light that is farthest from it.
[[nodiscard]] WhiteChoices whiteChoices(const SetupContext& context, const WhiteFacts& white);

/// It gives at least 2 % to the subject or the background: less is not seen (common practice, no
/// source).
[[nodiscard]] bool counts(const SceneLight& light);

/// The light farthest from the key by contrastOf(), of those that count; none when there is no
/// other.
[[nodiscard]] const SceneLight* farthestFromKey(const WhiteFacts& white);

/// The light on the scene that comes through the filters as this.
[[nodiscard]] ColourPoint onScene(const WhiteFacts& white, ColourPoint seen);

/// A lamp that gels are to bring to another light's colour.
struct GelAim {
    std::size_t light = 0; ///< place in WhiteFacts::lights
    ColourPoint wanted;    ///< as it comes through the filters
};
/// A light chosen beside the key to the key; the key itself to the light farthest from it; nothing
/// chosen, that light to the key. None where there is no such lamp.
[[nodiscard]] std::optional<GelAim> gelAim(const WhiteFacts& white,
                                           std::optional<std::size_t> chosen);

/// What people call a light of the scene.
[[nodiscard]] std::string nameOf(const Scene& scene, const SceneLight& light);

} // namespace bslate
