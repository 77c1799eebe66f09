#pragma once

#include "core/kit/white_dial.h"

namespace bslate {

/// A body's white dial as one line: `100` (the step in kelvin), its range `2500-10000`, and for a
/// body with tint `tint 0.0013 to 9 M/G`: Duv of one unit, the most either way (`by 0.5` for finer
/// steps), and its marks, `M/G`, `+M` or `+G`. Fails naming the word.
[[nodiscard]] Result<WhiteDial> parseWhiteDial(std::string_view text);

/// The line that gives the dial back.
[[nodiscard]] std::string spell(const WhiteDial& dial);

} // namespace bslate
