#pragma once

#include "core/base/result.h"
#include "core/light/colour_chart.h"

#include <string>
#include <string_view>

/// The colours of a chart as its maker or a spectrophotometer tells them: CGATS.17 text.
namespace bslate::io {

/// More patches than this are refused.
inline constexpr std::size_t kMostPatches = 400;

/// Each set needs SAMPLE_ID or SAMPLE_NAME, and XYZ_X, XYZ_Y, XYZ_Z (of 100 or of 1) or LAB_L,
/// LAB_A, LAB_B, under D50 as ISO 13655 has it. Names of letters and a number - A1 to D6 - tell
/// rows and columns; of others the columns are the number that makes the chart widest against
/// its height of those up to 3:2, and the caller may know better. Fails with WrongFormat for text
/// that is no such table, for a table that names another file, for colours that are none and for
/// more patches than kMostPatches; `got` is what the reader said.
[[nodiscard]] Result<ColourChart> readChart(std::string_view text, const std::string& file);

} // namespace bslate::io
