// The look at a table file on arbitrary bytes: it answers, and answers the same twice.
#include "io/lut_text.h"

#include <cstdint>
#include <cstdlib>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace bslate::io;
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    for (const auto kind : {LutTextKind::Cube, LutTextKind::Spi1d, LutTextKind::Spi3d})
        if (checkLutText(text, kind).ok() != checkLutText(text, kind).ok())
            std::abort();
    return 0;
}
