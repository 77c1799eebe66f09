#pragma once

#include "core/frame/banding.h"
#include "core/frame/frame_made.h"
#include "core/judgement/finding.h"

namespace bslate {

/// What is said of a frame, worst first: shares that end or drown by channel, skin in its zebra,
/// noise that the codec took, banding and what more bits do about it, a look that ends what the
/// sensor kept, and patches that are found beyond a third of a stop from where they were planned
/// (common practice, no source). `codec` says why the encoder was left out, where it was.
[[nodiscard]] std::vector<Finding> judgeFrame(const SetupContext& context, const Evaluation& at,
                                              const FrameMade& frame, const FrameWish& wish,
                                              const std::optional<Error>& codec = {});

/// Of a still: planned against found alone.
[[nodiscard]] std::vector<Finding> judgeFound(const SetupContext& context, const Evaluation& at,
                                              const std::vector<FoundPatch>& patches);

} // namespace bslate
