#pragma once

#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"
#include "core/frame/instruments.h"

namespace bslate {

/// One byte a pixel, row by row: not 0 where it is meant.
using PixelMask = std::vector<std::uint8_t>;

/// The stripes of a zebra: luma of the recording, or of a shown picture (BT.709, 0 to 1), in a
/// band.
[[nodiscard]] PixelMask zebraOn(const CodeFrame& frame, const LumaWeights& weights,
                                const ZebraBand& band);
[[nodiscard]] PixelMask zebraOn(const Image& shown, const ZebraBand& band);

/// What the camera's zebra is set to for a use: from its level on, or, for skin on a dial that has
/// bands, half of its step or 2 %, whichever is more, about it. None where it does not reach.
[[nodiscard]] std::optional<ZebraBand> zebraBandOf(const SetupContext& context,
                                                   const Evaluation& at, ZebraUse use);

/// Stops from mid-grey of every pixel by luminance of the recorded light, rounded down; below -20
/// and from 20 on held there.
[[nodiscard]] std::vector<std::int8_t> stopsOfPixels(const Image& linear,
                                                     const LumaWeights& weights);

/// The same of recorded codes, through their curve.
[[nodiscard]] std::vector<std::int8_t> stopsOfPixels(const CodeFrame& frame, const Curve& curve,
                                                     const LumaWeights& weights);

/// Channels at the curve's end or at the highest code, a bit each as in PixelFates.
[[nodiscard]] PixelMask endedChannels(const CodeFrame& frame, const Curve& curve);

/// Share of the pixels that are meant.
[[nodiscard]] Fraction shareOf(const PixelMask& mask);

} // namespace bslate
