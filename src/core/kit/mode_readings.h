#pragma once

#include "core/kit/mode_line.h"
#include "core/kit/mode_words.h"

#include <vector>

/// What a printed line can mean. Private to mode_table.
namespace bslate {

/// The format with rates and bit rates: the plain reading first, then one for each place in which
/// the line can be read otherwise. None where rates and bit rates do not pair.
[[nodiscard]] std::vector<ModeLine> readingsOf(const ModeWords& words, const ModeLine& mode);

} // namespace bslate
