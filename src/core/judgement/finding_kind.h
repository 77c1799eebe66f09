#pragma once

#include "core/judgement/finding_id.h"

#include <string_view>

namespace bslate {

/// Whom a judgement is for.
enum class Topic {
    Camera,  ///< whoever sets it up
    Grading, ///< what post has to undo
    Safety   ///< everybody
};

/// The page of docs/judgements.md that explains it.
enum class HelpPage {
    Scene,
    Rating,
    Shutter,
    Lamps,
    Curve,
    Recording,
    Cameras,
    Takes,
    Safety,
    Day,
    Hands,
    Banks,
    White,
    Frame,
    Clips
};

/// Everything that is always the same of a judgement.
struct FindingKind {
    FindingId id;
    std::string_view key; ///< as acceptances in files and scripts name it: `patch-clipped`
    HelpPage page;
    Topic topic;
    std::string_view source; ///< published source, or "common practice, no source"
    const char* title;       ///< English with `{fact}` places, see words/wording.h
    const char* text;        ///< the reason with its numbers
};

} // namespace bslate
