// What is read about clips on arbitrary bytes: tables of modes, and what the helpers send. An
// error, or a value that survives being written.
#include "core/kit/mode_table.h"
#include "io/json/clip_json.h"
#include "io/wire/made_clip_messages.h"
#include "io/wire/region_messages.h"

#include <cstdint>
#include <cstdlib>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace bslate;
    const std::string text(reinterpret_cast<const char*>(data), size);
    for (const auto& mode : modesIn(readModeTable(text.substr(0, 4000)))) {
        const auto again = parseModeLine(lineOf(mode));
        if (!again)
            std::abort();
    }
    if (const auto clip = io::readClipText(text)) {
        const auto again = io::readClipText(io::clipText(*clip));
        if (!again || !(*again == *clip))
            std::abort();
    }
    if (const auto regions = io::readRegionText(text))
        if (!io::readRegionText(io::regionText(*regions)))
            std::abort();
    if (const auto question = io::readQuestion(text))
        if (io::readQuestion(io::questionText(*question)) != question)
            std::abort();
    const auto line = text.find('\n');
    if (line != std::string::npos)
        (void)io::readMadeClipText(text.substr(0, line), text.substr(line + 1));
    return 0;
}
