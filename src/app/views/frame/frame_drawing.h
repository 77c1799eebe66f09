#pragma once

#include "app/views/frame/frame_images.h"
#include "core/base/keep_going.h"
#include "core/frame/variants.h"

#include <memory>

/// Frames of a shoot for the window: each function is for a background job.
namespace bslate::app {

/// Which picture of a shoot.
struct FrameSource {
    std::shared_ptr<const Shoot> shoot;
    std::string setup;                   ///< id
    std::optional<FrameVariant> variant; ///< the setup in another way
    bool noise = true;
    friend bool operator==(const FrameSource&, const FrameSource&) = default;
};

/// A picture with what it was made of, so that it can be shown in another way without being drawn
/// again.
struct DrawnFrame {
    std::shared_ptr<const FrameMade> made;
    std::shared_ptr<const FrameImages> images;
    std::optional<Error> codec = {}; ///< why the encoder was left out
};

/// Without its codec. Fails as resolve() and varied() do.
[[nodiscard]] Result<DrawnFrame> drawnFrame(const FrameSource& source, const FrameShown& how);

/// Through its codec; as it was where the recording has none. An encoder that cannot be had is a
/// finding, not a failure. Fails with Stopped.
[[nodiscard]] Result<DrawnFrame> codedFrame(const FrameSource& source, const FrameShown& how,
                                            const DrawnFrame& drawn, const KeepGoing& keepGoing);

/// The same frame under another theme or push.
[[nodiscard]] Result<DrawnFrame> shownAnew(const FrameSource& source, const FrameShown& how,
                                           const DrawnFrame& drawn);

/// "guard", "8 bits", the name of a profile or of a recipe.
[[nodiscard]] QString nameOf(const FrameVariant& variant, const Kit& kit);

} // namespace bslate::app
