#include "helper/input/input_file.h"

#include <cerrno>
#include <fcntl.h>
#include <sys/stat.h>

namespace bslate::helper {

Result<InputFile> openedInput(const std::string& path) {
    // A pipe is opened at once, and then known for what it is.
    InputFile input{std::make_unique<io::Descriptor>(
                        ::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK | O_NOCTTY)),
                    0};
    struct stat told = {};
    if (!input.file->open() || ::fstat(input.file->get(), &told) != 0 || !S_ISREG(told.st_mode))
        return Error{ErrorCode::FileUnreadable, {}, {}, {}, "a readable file"};
    input.size = static_cast<std::size_t>(told.st_size);
    return input;
}

std::size_t readAt(const InputFile& input, std::size_t from, void* into, std::size_t count) {
    std::size_t done = 0;
    while (done < count) {
        const auto got = ::pread(input.file->get(), static_cast<char*>(into) + done, count - done,
                                 static_cast<off_t>(from + done));
        if (got < 0 && errno == EINTR)
            continue;
        if (got <= 0)
            break;
        done += static_cast<std::size_t>(got);
    }
    return done;
}

Result<std::string> contentOf(const InputFile& input, std::size_t most, std::size_t spare) {
    if (input.size > most)
        return Error{ErrorCode::OutOfRange,
                     {},
                     {},
                     std::to_string(input.size) + " bytes",
                     "a file of at most " + std::to_string(most) + " bytes"};
    std::string content(input.size + spare, '\0');
    if (readAt(input, 0, content.data(), input.size) != input.size)
        return Error{ErrorCode::FileUnreadable, {}, {}, {}, "a file that can be read to its end"};
    return content;
}

} // namespace bslate::helper
