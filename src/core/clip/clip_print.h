#pragma once

#include "core/clip/clip_facts.h"

#include <string>

/// Facts of a clip in a line, as people say them.
namespace bslate {

/// `3840x2160, 24 p, h264 intra 10-bit 4:2:2 legal`, with what is unusual: `variable rate`, `2
/// gaps`, `turned 90`.
[[nodiscard]] std::string print(const ClipPicture& picture);
/// `2 channels, 48 kHz, peak -20.0 dBFS, -23.0 LUFS`; levels where they were measured.
[[nodiscard]] std::string print(const ClipSound& sound);
/// `10-bit 4:2:2`, `unknown depth`.
[[nodiscard]] std::string printFormat(std::optional<BitDepth> depth, std::optional<Chroma> chroma);
/// Pictures, `240 Mb/s, peak 262 Mb/s`, how long, timecode, and whether it was cut off or sampled.
[[nodiscard]] std::string print(const ClipFacts& clip);

/// `-20.0 dBFS`, `silence`.
[[nodiscard]] std::string printDbfs(Decibels level);

} // namespace bslate
