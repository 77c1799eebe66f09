#pragma once

#include "core/base/error.h"

#include <cstddef>
#include <optional>
#include <string>

/// How large a still may be, and how much of a large one is kept.
namespace bslate::helper {

/// "6000 x 4000".
[[nodiscard]] std::string sizeText(int width, int height);

/// Why a picture of so many pixels is not read: none, or more than io/wire/still.h allows.
[[nodiscard]] std::optional<Error> problemWithSize(int width, int height);

/// How many pixels of the file stand behind one that is kept, across and down.
[[nodiscard]] int stepFor(int width, int height);

/// How many bytes of memory a decoded picture of a file of so many bytes may take: a small file
/// does not open into gigabytes. A flat picture is packed a thousand times by what packs without
/// loss, photographs three to fifty times.
[[nodiscard]] std::size_t mostBytesFor(std::size_t fileBytes);

/// What is said of one that would take more.
[[nodiscard]] Error moreThanItsFile(int width, int height);

} // namespace bslate::helper
