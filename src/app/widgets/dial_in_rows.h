#pragma once

#include "app/style/tokens.h"
#include "core/facts/dial_in.h"

#include <QPainter>
#include <QRectF>

namespace bslate::app {

/// Draws the rows of a dial-in card, one per `rowHeight`, and returns the y below the last row.
/// Changed rows carry a bar and bold marigold, so that colour is not the only sign.
double drawDialInRows(QPainter& painter, const QRectF& area, const DialInCard& card,
                      double rowHeight, const Tokens& tokens);

} // namespace bslate::app
