// The readings table on arbitrary bytes: an error, or readings that fit or say why not, and that
// survive being written.
#include "io/text/readings_csv.h"

#include <cstdint>
#include <cstdlib>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace bslate;
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    const auto readings = io::readReadings(text);
    if (!readings)
        return 0;
    if (readings->size() <= 100)
        (void)fitSeries(*readings, CodeRange::Full, acescct()).ok();
    if (!io::readReadings(io::writeReadings(*readings, CodeRange::Full)))
        std::abort();
    return 0;
}
