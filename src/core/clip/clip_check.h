#pragma once

#include "core/clip/clip_parts.h"
#include "core/facts/setup_context.h"
#include "core/judgement/finding.h"

#include <span>

/// A recorded clip beside the setup it was meant to be.
namespace bslate {

/// What the recording of a setup is to run at: its rate, or the delivery's where the camera
/// conforms it.
[[nodiscard]] FrameRate fileRate(const SetupContext& context);

/// What differs from the setup, worst first, each with what it does to the footage and what to do
/// now; ClipAsPlanned where nothing does. Thresholds of levels and bit rates are common practice,
/// no source.
[[nodiscard]] std::vector<Finding> checkClip(const SetupContext& context, const ClipFacts& clip);
/// As a part of its take, whose length counts, and is told of the first part.
[[nodiscard]] std::vector<Finding> checkClip(const SetupContext& context, const ClipFacts& clip,
                                             const TakePart& part);

/// That a clip is taken for one of several setups which fit as well.
[[nodiscard]] Finding guessedSetup(const ClipFacts& clip, const Setup& taken,
                                   std::span<const Setup* const> others);

} // namespace bslate
