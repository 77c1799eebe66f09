#pragma once

#include <QIcon>

namespace bslate::app {

/// A slate with a bar of light across it, drawn for every size from 16 to 256 pixels.
[[nodiscard]] QIcon windowIcon();
/// One of them, square.
[[nodiscard]] QPixmap windowPicture(int size);

} // namespace bslate::app
