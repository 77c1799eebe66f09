#pragma once

#include "app/style/tokens.h"
#include "core/judgement/finding.h"

#include <QIcon>
#include <QPainter>
#include <QRectF>
#include <QString>

/// The drawn vocabulary: every element of the style is drawn here and nowhere else.
namespace bslate::app {

/// A filled square with a cross for a fault, a triangle for a caution, a ringed tick for good,
/// a dot for a note; hollow when the finding was accepted.
void drawSeverity(QPainter& painter, const QRectF& box, Severity severity, bool accepted,
                  const Tokens& tokens);

/// The same as an icon of a list.
[[nodiscard]] QIcon severityIcon(Severity severity, const Tokens& tokens);

/// Lost: hatched at 45 degrees.
void drawHatch(QPainter& painter, const QRectF& area, const QColor& colour, double spacing = 9.0);

/// Drowned in noise: dotted.
void drawDots(QPainter& painter, const QRectF& area, const QColor& colour, double spacing = 6.0);

/// A patch: a diamond.
void drawDiamond(QPainter& painter, QPointF centre, double radius, const QColor& fill,
                 const QColor& edge);

/// A rounded surface with an optional marigold edge for selected or focused things.
void drawBlock(QPainter& painter, const QRectF& box, const QColor& fill, const QColor& edge,
               double width);

/// Text cut with an ellipsis to a width.
[[nodiscard]] QString elided(const QString& text, const QFont& font, double width);

} // namespace bslate::app
