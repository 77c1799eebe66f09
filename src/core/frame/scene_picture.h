#pragma once

#include "core/frame/motion.h"
#include "core/frame/surface.h"

#include <cstdint>
#include <span>

namespace bslate {

/// The surfaces painted: scene light in cd/m2 of BT.2020 primaries, so that 0.2627 R + 0.6780 G +
/// 0.0593 B is the luminance. At another moment things have moved, water has flowed and wheels have
/// turned; what comes in at the edges goes on as the edge was. The same for the same surfaces, size
/// and moment on every machine.
[[nodiscard]] Image paintScene(std::span<const Surface> surfaces, PictureSize size,
                               const SceneMoment& moment = {});

} // namespace bslate
