// The look at a table file on arbitrary bytes: it answers, and answers the same twice.
#include "io/text/lut_text.h"

#include <cstdint>
#include <cstdlib>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace bslate::io;
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    for (const auto kind : {LutTextKind::Cube, LutTextKind::Spi1d, LutTextKind::Spi3d})
        if (checkLutText(text, kind).ok() != checkLutText(text, kind).ok())
            std::abort();
    if (const auto cube = readCubeText(text); cube) {
        const auto side = static_cast<std::size_t>(cube->side);
        if (!checkLutText(text, LutTextKind::Cube).ok() ||
            cube->values.size() != 3 * side * side * side)
            std::abort();
    }
    return 0;
}
