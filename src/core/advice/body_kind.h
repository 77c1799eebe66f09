#pragma once

#include "core/kit/kit.h"

namespace bslate {

/// A sort of body, with what is usual of it.
enum class BodyKind {
    Pocket,     ///< small sensor, lens built in, long recordings alone
    Hybrid,     ///< stills and video on a large sensor
    SmallCinema ///< angles, high bit rates, raw
};
inline constexpr BodyKind kBodyKinds[] = {BodyKind::Pocket, BodyKind::Hybrid,
                                          BodyKind::SmallCinema};

/// A camera of that sort with generic numbers, all of its facts guessed: common practice, no
/// source. The kit is asked for a free id and ready profiles.
[[nodiscard]] Camera cameraOfKind(BodyKind kind, const Kit& kit);

} // namespace bslate
