#pragma once

#include "core/base/keep_going.h"
#include "core/base/result.h"
#include "core/clip/made_clip.h"

#include <string>

namespace bslate::io {

/// The bytes of a MOV file with the setup's scene as its camera would record it, encoded and put
/// together by a helper process of ours. Fails as madeClipTask() and runCoding() do.
[[nodiscard]] Result<std::string> makeClip(const SetupContext& context, const Evaluation& at,
                                           const MadeClipWish& wish,
                                           const KeepGoing& keepGoing = {});

} // namespace bslate::io
