#pragma once

#include "core/kit/camera.h"

#include <string>
#include <string_view>

/// A recording mode typed as one line, as it is read off a camera's menu or table:
/// `"Slow" UHD long 10-bit 4:2:2 24/25@100 50/59.94@150 crop1.5 mute clip29:59 heat20min@35C`.
namespace bslate {

struct ModeLine {
    std::string name; ///< in quotes, or the words that are nothing else; may be empty
    FrameSize frame{3840, 2160};
    CodecStandard standard = CodecStandard::Untold;
    Gop gop = Gop::Long;
    BitDepth depth;
    Chroma chroma = Chroma::C420;
    std::vector<RateOption> rates; ///< bit rates in Mb/s behind `@`
    Magnification crop{1};
    bool sound = true;
    bool autofocus = true;
    bool externalPower = false;
    std::optional<Seconds> clipLimit;
    std::vector<HeatLimit> heat;
    std::optional<OffSpeed> offSpeed; ///< `off1-120`, with `sensorrate` written at that rate
    friend bool operator==(const ModeLine&, const ModeLine&) = default;
};

/// Words in any order: a name in quotes; a frame size; `H.265` or another codecStandard();
/// `raw`, `intra` or `long`; `8-bit` to `16-bit`; `4:2:0`, `4:2:2`, `4:4:4`; rates `24/25@100` (all
/// at 100 Mb/s, fractions as `2997:125@100`); `crop1.5`; `mute`; `mf`; `external`; `clip29:59`;
/// `heat20min@35C`; `off1-120`; `sensorrate`. A size and one rate with its bit rate are needed. The
/// piece that cannot be read is in `got`.
[[nodiscard]] Result<ModeLine> parseModeLine(std::string_view text);

/// Adds the mode with the sensor area and codec it needs, using those the camera already has.
/// The camera must have its whole sensor as first area.
void addMode(Camera& camera, const ModeLine& line);

/// A mode as its line has it, named where its name is its own.
[[nodiscard]] ModeLine modeLineOf(const Camera& camera, const RecordingMode& mode);

/// An id made of a name's letters and digits; `fallback` where it has none.
[[nodiscard]] std::string idFrom(const std::string& name, const std::string& fallback);

/// The line that gives a mode back: what parseModeLine understands of it.
[[nodiscard]] std::string lineOf(const Camera& camera, const RecordingMode& mode);

/// Of a line itself.
[[nodiscard]] std::string lineOf(const ModeLine& line);

} // namespace bslate
