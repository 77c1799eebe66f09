#pragma once

#include "core/base/result.h"
#include "core/signal/rating_lut.h"
#include "io/text/cube_file.h"

#include <string>

/// LUT files that OpenColorIO writes for us: CLF and the forms of the ASC CDL.
namespace bslate::io {

/// Academy/ASC Common LUT Format (S-2014-006): a camera-log curve as its parameters, any other as a
/// 1D table of 4096; gamut and rating as one matrix; the display or the look's tone as a 1D table
/// of 4096 behind a logarithmic shaper; a look's colour as a cube of 33. Within 1e-3 of apply()
/// for a plain look, 1e-2 for one with colour (its hue edges fall between the points).
[[nodiscard]] Result<std::string> clfText(const RatingLut& lut, const LutNote& note);

enum class CdlForm { Correction, Collection, DecisionList };

/// ASC CDL 1.2 can hold gain, offset, power and saturation, so it carries the rating and a look's
/// saturation, never a curve. Each correction says which signal it is for: the recorded log signal
/// comes first when the curve is camera-log (an offset, exact far above its straight part), then
/// scene-linear light (a slope). Correction holds the first alone; the other two forms hold all,
/// with the look's saturation for the display signal.
[[nodiscard]] Result<std::string> cdlText(const RatingLut& lut, CdlForm form, const LutNote& note);

} // namespace bslate::io
