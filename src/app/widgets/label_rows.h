#pragma once

#include <QFont>
#include <QRectF>
#include <QString>

#include <vector>

namespace bslate::app {

/// One label that wants to sit centred over an x; the layout gives it a row and a place.
struct AxisLabel {
    QString text;
    double x = 0;
    QRectF box;    ///< out: where it is drawn; never meets another label's box
    QString shown; ///< out: the text, elided when it had to be
};

/// Staggers labels over an axis in at most `rows` rows, the first row nearest to `baseline` and
/// each further one `rowHeight` higher, all inside [left, right]. Labels that find no free place
/// are elided to what is left, and dropped (an empty box) when not even that fits.
void staggerLabels(std::vector<AxisLabel>& labels, const QFont& font, double left, double right,
                   double baseline, double rowHeight, int rows);

/// Moves each box straight up or down to the nearest place where it meets none of the earlier
/// ones, inside `area`. Boxes keep their x.
void spreadBoxes(std::vector<QRectF>& boxes, const QRectF& area);

} // namespace bslate::app
