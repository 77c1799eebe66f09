// bslate-stills read|encode FILE MEMORY SECONDS: opens stills of others for the programs, and puts
// pictures together whose numbers come on standard input; writes no file, and ends when it takes
// too much.
#include "helper/stills/still_codec.h"
#include "io/json/still_messages.h"
#include "io/system/helper_process.h"

#include <cstdlib>
#include <iostream>
#include <iterator>

namespace {

using namespace bslate;

std::string answerTo(const std::string& what, const std::string& path) {
    if (what == "read") {
        const auto still = helper::decodedStill(path);
        return still ? io::stillText(*still) : io::stillText(still.error());
    }
    const std::string request((std::istreambuf_iterator<char>(std::cin)), {});
    const auto picture = io::readStillText(request);
    if (!picture)
        return io::stillText(picture.error());
    const auto bytes = helper::encodedStill(*picture, path);
    return bytes ? "B" + *bytes : io::stillText(bytes.error());
}

} // namespace

int main(int argc, char** argv) {
    if (argc != 5) {
        std::cerr << "bslate-stills: started by Bright Slate alone\n";
        return 2;
    }
    const auto memory = std::strtoull(argv[3], nullptr, 10);
    io::limitThisProcess(memory, static_cast<unsigned>(std::strtoul(argv[4], nullptr, 10)));
    int ended = 0;
    try {
        std::cout << answerTo(argv[1], argv[2]) << std::flush;
        ended = std::cout ? 0 : 3;
    } catch (const std::exception&) {
        ended = 3;
    }
    // What the image library leaves to the end of the process may hang or crash there; all is said.
    std::_Exit(ended);
}
