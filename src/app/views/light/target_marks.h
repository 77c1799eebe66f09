#pragma once

#include "app/style/style.h"
#include "core/facts/targets.h"

#include <QPainter>

#include <functional>

namespace bslate::app {

/// Where the tools are drawn: over the recording only their lines, beside it what they read.
struct TargetPlaces {
    QRectF recording, labels, bands;
};

/// What the exposure tools should read, on the level axis of the recording: zebra as dashed lines
/// across it, the cards and skin as brackets at its edge, their readings in a column of their own
/// and the stops from grey as numbered bands in another. `ghost` draws in the colour of comparison.
void drawTargets(QPainter& painter, const TargetPlaces& places, const SchoolTargets& targets,
                 const std::function<double(Level)>& y, const Tokens& tokens, bool ghost);

/// The tools in words, for the tooltip and for those who do not see the picture.
[[nodiscard]] QString targetWords(const SchoolTargets& targets);

} // namespace bslate::app
