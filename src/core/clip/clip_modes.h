#pragma once

#include "core/clip/clip_facts.h"
#include "core/kit/kit.h"
#include "core/kit/mode_line.h"

#include <span>

/// The recording modes a camera's own clips show.
namespace bslate {

/// A mode with what it rests on.
struct SeenMode {
    ModeLine line; ///< each rate with the highest average bit rate that was seen at it, to the
                   ///< next tenth of a megabit
    double peakFactor = 1;           ///< the highest peak over its clip's average
    std::vector<std::string> files;  ///< by name
    std::optional<DataSize> segment; ///< two files or more are within a hundredth of the largest
    std::string modeId;              ///< of the camera's own mode it refines; empty: none
    friend bool operator==(const SeenMode&, const SeenMode&) = default;
};

/// Of one size, depth, chroma, group of pictures and standard; one that is not told may be any.
[[nodiscard]] bool areOfOneFormat(const ModeLine& a, const ModeLine& b);

/// A clip of which no mode can be made: it has no pictures, a rate that varies, a depth nobody can
/// tell since its codec cannot be read or otherwise, or was cut off.
enum class ClipUnfit { NoPicture, VariableRate, UnknownDepth, CutOff, Interlaced, Unreadable };
[[nodiscard]] std::optional<ClipUnfit> unfitForModes(const ClipFacts& clip);

/// Clips of one size, depth, chroma, group of pictures and standard are of one mode, which has
/// sound where one of them has. Those that are unfit are left out.
[[nodiscard]] std::vector<SeenMode> modesFromClips(std::span<const ClipFacts> clips);

/// Modes a camera has, refined by what its clips show: a higher bit rate, another rate, files.
/// Modes it does not have stand behind. Clips do not tell crops: they are of the first of their
/// format that has their rate, or of the first.
[[nodiscard]] std::vector<SeenMode> withSeen(std::vector<SeenMode> modes,
                                             std::span<const SeenMode> seen);

/// Modes that were read besides, as out of a table: rates that no clip showed join the mode of
/// their format, others stand behind.
[[nodiscard]] std::vector<SeenMode> joined(std::vector<SeenMode> seen,
                                           std::span<const ModeLine> lines);

/// The camera with these modes in place of its own, and the codecs and areas they need.
[[nodiscard]] Camera withModes(Camera camera, std::span<const SeenMode> modes);

/// What the clips' own notes call the camera, as they are; empty where they do not or differ.
[[nodiscard]] std::string cameraNameIn(std::span<const ClipFacts> clips);

} // namespace bslate
