#pragma once

#include <QMargins>
#include <QRect>

class QWidget;

/// Where a window stands on its screen.
namespace bslate::app {

/// Smaller than this the window scrolls.
inline constexpr QSize kWholeWindow{1200, 660};

/// The place of a window's inside, with its `frame` about it, moved and made smaller as far as
/// `available` needs it; never under a third of kWholeWindow.
[[nodiscard]] QRect placedWithin(const QRect& available, const QRect& wanted,
                                 const QMargins& frame);

/// All of a window's inside, in an area that scrolls where the window is smaller than kWholeWindow.
[[nodiscard]] QWidget* scrolledWhole(QWidget* inside);

/// Moves and shrinks a window that is shown until it is on its screen with its frame; one that
/// nobody placed yet goes to the middle. Looks again for two seconds, until the frame is known.
void keepOnScreen(QWidget& window, bool placed);

} // namespace bslate::app
