#pragma once

#include "core/clip/clip_facts.h"
#include "core/judgement/finding.h"

#include <span>
#include <string>
#include <vector>

/// Takes that a camera split into several files.
namespace bslate {

/// A clip as a part of a take that was split: parts follow each other by timecode within a second,
/// in one format, and do not overlap by half of either.
struct TakePart {
    std::size_t parts = 1;
    Seconds whole{0};    ///< of all of them
    bool first = true;   ///< of the take
    bool goesOn = false; ///< another part follows
};
/// One for each clip. Clips without pictures or timecode are takes of their own. `cameras` names
/// the camera of each where that is known, empty where not: what two of them recorded at one time
/// does not join.
[[nodiscard]] std::vector<TakePart> takePartsOf(std::span<const ClipFacts> clips,
                                                std::span<const std::string> cameras = {});

/// Clips that follow each other by timecode, as the parts of one take do, and do not join within a
/// frame. Clips without pictures or timecode are left out.
[[nodiscard]] std::vector<Finding> checkParts(std::span<const ClipFacts> clips,
                                              std::span<const std::string> cameras = {});

} // namespace bslate
