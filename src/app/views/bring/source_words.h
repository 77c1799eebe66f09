#pragma once

#include "core/clip/own_camera.h"

#include <QString>

/// What is told of the sources of a camera that is brought in.
namespace bslate::app {

/// The clip and what it shows.
[[nodiscard]] QString wordsOf(const ClipFacts& clip);
/// What was understood of a line, what was not, and what was assumed; empty for a plain heading.
[[nodiscard]] QString wordsOf(const TableRow& row);
/// Peaks and splits of a mode, and the clips it rests on.
[[nodiscard]] QString wordsOf(const SeenMode& mode);
[[nodiscard]] QString whyUnfit(ClipUnfit why);

} // namespace bslate::app
