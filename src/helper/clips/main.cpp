// bslate-clips facts|listen FILE MEMORY SECONDS: tells what a clip is, and with `listen` how loud
// it is; writes no file, and ends when it takes too much.
#include "helper/clips/clip_container.h"
#include "helper/clips/sound_levels.h"
#include "io/json/clip_json.h"
#include "io/system/helper_process.h"

#include <cstdlib>
#include <iostream>

namespace {

using namespace bslate;

Result<ClipFacts> factsFrom(const std::string& what, const std::string& path) {
    auto opened = helper::openedClip(path);
    if (!opened)
        return opened.error();
    const auto clip = *std::move(opened);
    auto found = helper::factsOf(*clip);
    if (!found || what != "listen")
        return found;
    auto facts = *std::move(found);
    const auto streams = helper::soundStreams(*clip);
    for (std::size_t i = 0; i < streams.size() && i < facts.sound.size(); ++i)
        facts.sound[i].level = helper::levelOf(*clip, *streams[i], facts.sampled);
    return facts;
}

} // namespace

int main(int argc, char** argv) {
    if (argc != 5) {
        std::cerr << "bslate-clips: started by Bright Slate alone\n";
        return 2;
    }
    const auto memory = std::strtoull(argv[3], nullptr, 10);
    io::limitThisProcess(memory, static_cast<unsigned>(std::strtoul(argv[4], nullptr, 10)));
    av_log_set_level(AV_LOG_QUIET);
    int ended = 0;
    try {
        const auto facts = factsFrom(argv[1], argv[2]);
        std::cout << (facts ? io::clipText(*facts) : io::clipText(facts.error())) << std::flush;
        ended = std::cout ? 0 : 3;
    } catch (const std::exception&) {
        ended = 3;
    }
    // What the media library leaves to the end of the process may hang there; all is said.
    std::_Exit(ended);
}
