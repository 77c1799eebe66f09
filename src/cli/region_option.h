#pragma once

#include "core/base/result.h"
#include "core/frame/image.h"

#include <string>

namespace bslate::cli {

/// A place of a picture, `x,y,w,h` as shares of it; `option` is named where it is refused.
[[nodiscard]] Result<PictureArea> regionFrom(const char* option, const std::string& text);

} // namespace bslate::cli
