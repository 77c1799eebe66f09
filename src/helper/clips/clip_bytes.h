#pragma once

#include "helper/input/input_file.h"

extern "C" {
#include <libavformat/avio.h>
}

/// A clip's file as the media library reads it: by a descriptor that is open already, so that the
/// library opens nothing by name.
namespace bslate::helper {

/// Null when there is no memory. Ended by endBytes().
[[nodiscard]] AVIOContext* openedBytes(InputFile input);
void endBytes(AVIOContext* bytes);

} // namespace bslate::helper
