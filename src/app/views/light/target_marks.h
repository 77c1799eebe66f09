#pragma once

#include "app/style/style.h"
#include "core/facts/targets.h"

#include <QPainter>

#include <functional>

namespace bslate::app {

/// What the exposure tools should read, on the level axis of the recording: zebra as dashed lines,
/// the cards and skin as brackets at the left edge, stops from grey as numbered bands at the right
/// edge. `ghost` draws in the colour of comparison.
void drawTargets(QPainter& painter, const QRectF& area, const SchoolTargets& targets,
                 const std::function<double(Level)>& y, const Tokens& tokens, bool ghost);

/// The tools in words, for the tooltip and for those who do not see the picture.
[[nodiscard]] QString targetWords(const SchoolTargets& targets);

} // namespace bslate::app
