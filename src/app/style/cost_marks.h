#pragma once

#include "app/style/tokens.h"
#include "core/facts/lattice.h"

#include <QPainter>
#include <QRectF>

namespace bslate::app {

/// The mark of what a way of recording costs. Each is a shape of its own: a frame inside a frame
/// for a crop, a struck wave for no sound, a broken ring for no autofocus, a bar with an end for a
/// clip limit, rising strokes for heat, two prongs for power, a cut-corner card, a turning arrow
/// for the rate region, chevrons for off-speed.
void drawCost(QPainter& painter, const QRectF& box, CostKind kind, const Tokens& tokens);

/// The name that goes with the mark in a legend.
[[nodiscard]] const char* costName(CostKind kind);

} // namespace bslate::app
