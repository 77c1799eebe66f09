#include "io/text/mode_text.h"

#include "io/system/files.h"

namespace bslate::io {

std::optional<std::string> modeTextIn(const std::filesystem::path& path) {
    constexpr std::size_t kLongest = 1'000'000;
    const auto text = readFile(path, kLongest);
    if (!text || text->empty() || text->find('\0') != std::string::npos)
        return std::nullopt;
    return *text;
}

} // namespace bslate::io
