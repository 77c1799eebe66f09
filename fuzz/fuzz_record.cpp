// The record of a camera on arbitrary bytes, CSV or JSON: an error, or a record that survives being
// written as both.
#include "io/json/record_json.h"
#include "io/text/record_csv.h"

#include <cstdint>
#include <cstdlib>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace bslate;
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    const auto record = io::readAnyRecord(text, "record");
    if (!record)
        return 0;
    const auto again = io::readRecord(io::writeRecord(*record), "record");
    if (!again || !(*again == *record))
        std::abort();
    return 0;
}
