#pragma once

#include "app/style/tokens.h"
#include "core/base/result.h"
#include "core/words/card_text.h"

#include <QPainter>
#include <QSizeF>
#include <QString>

namespace bslate::app {

/// Card size in layout units (1/72 inch at A5 portrait: 420 x 595).
inline constexpr QSizeF kCardSize{420, 595};

/// Draws the card into kCardSize at the painter's origin, always in ink on paper: it is meant
/// for print and reads the same on screen.
void paintCard(QPainter& painter, const Card& card);

/// Writes the card as an A5 PDF page. Fails with FileUnwritable.
[[nodiscard]] Outcome writeCardPdf(const Card& card, const QString& path);

} // namespace bslate::app
