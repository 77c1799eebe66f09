#pragma once

#include "core/base/result.h"
#include "helper/codec/media_library.h"
#include "io/wire/still.h"

namespace bslate::helper {

/// A decoded picture as red, green and blue of whole codes, or as light where it has numbers. Grey
/// becomes three equal channels, alpha is left out. `told`: the bits of each sample that the file
/// means, where its picture has room for more; 0 when it does not say. Luma and colour differences
/// become RGB by ITU-T T.871 (JFIF), colour read between its samples, which stand in the middle of
/// the pixels they are of. Fails with WrongFormat for other colours and numbers that are none.
[[nodiscard]] Result<io::Still> stillOf(const AVFrame& frame, int told);

} // namespace bslate::helper
