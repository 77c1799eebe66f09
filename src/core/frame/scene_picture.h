#pragma once

#include "core/frame/surface.h"

#include <cstdint>
#include <span>

namespace bslate {

/// The surfaces painted: scene light in cd/m2 of BT.2020 primaries, so that 0.2627 R + 0.6780 G +
/// 0.0593 B is the luminance. The same for the same surfaces and size on every machine.
[[nodiscard]] Image paintScene(std::span<const Surface> surfaces, PictureSize size);

} // namespace bslate
