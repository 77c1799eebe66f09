#pragma once

#include "core/base/result.h"
#include "io/system/descriptor.h"

#include <memory>
#include <string>

/// The one file of others that a helper is given. It is opened before the doors are shut; nothing
/// that stands in it is opened after it.
namespace bslate::helper {

struct InputFile {
    std::unique_ptr<io::Descriptor> file;
    std::size_t size = 0; ///< bytes, when it was opened
};

/// Never waits for a pipe or a device. Fails with FileUnreadable for what is no regular file, or
/// may not be read.
[[nodiscard]] Result<InputFile> openedInput(const std::string& path);

/// All of it, with `spare` zeros behind. Fails with OutOfRange over `most` bytes and with
/// FileUnreadable where the disk does.
[[nodiscard]] Result<std::string> contentOf(const InputFile& input, std::size_t most,
                                            std::size_t spare);

/// At most `count` bytes from `from` on; fewer where the file ends or the disk fails.
std::size_t readAt(const InputFile& input, std::size_t from, void* into, std::size_t count);

} // namespace bslate::helper
