#pragma once

#include "core/signal/exposure_series.h"

#include <string>
#include <string_view>
#include <vector>

/// Readings of an exposure series as people have them: a table from a waveform, a spreadsheet or a
/// scope, as a file or pasted.
namespace bslate::io {

enum class ReadingUnit { Auto, Percent, Code };

struct ReadingsFormat {
    ReadingUnit unit =
        ReadingUnit::Auto;             ///< when no heading says; Auto: codes when any is over 110
    BitDepth depth{10};                ///< of codes
    CodeRange range = CodeRange::Full; ///< of the curve, for percent
};

/// A heading names the columns in any order: `stop`; `percent` or `code`, or one for each channel
/// (`red_percent` ... `blue_code`); `noise_percent` or `noise_code`. Without one they are stop,
/// value, noise - or stop, red, green, blue, noise. Separated by commas, semicolons or tabs, with
/// semicolons or tabs also decimal commas; lines beginning with # are left out.
/// Fails with "line 7" and what was expected: a field that is not a number, a missing or unknown
/// column, a stop beyond 40, a value no recording has, noise below 0, columns that look swapped,
/// no reading at all, more than kMostReadings.
[[nodiscard]] Result<std::vector<SeriesReading>> readReadings(std::string_view text,
                                                              const ReadingsFormat& format = {});

/// The readings as such a table, with a heading, in percent; relative ones say so above it.
[[nodiscard]] std::string writeReadings(const std::vector<SeriesReading>& readings, CodeRange range,
                                        bool relative = false);

/// A line `# relative` says that of the exposures nothing but their distances is known.
[[nodiscard]] bool areRelative(std::string_view text);

} // namespace bslate::io
