// bslate-clips facts|listen|picture|region FILE MEMORY SECONDS [QUESTION]: tells what a clip is,
// with `listen` how loud it is, with `picture` shows its middle, with `region` the means of a place
// (in billionths of the picture) in each picture; writes no file, and ends when it takes too much.
#include "helper/clips/clip_container.h"
#include "helper/clips/picture_reader.h"
#include "helper/clips/region_reader.h"
#include "helper/clips/sound_levels.h"
#include "io/json/clip_json.h"
#include "io/json/still_messages.h"
#include "io/system/helper_process.h"

#include <algorithm>
#include <cstdlib>
#include <iostream>
#include <sstream>

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

std::string regionFrom(const std::string& path, const std::string& asked) {
    const auto question = io::readQuestion(asked);
    if (!question)
        return io::clipText(Error{ErrorCode::WrongFormat, {}, {}, asked, "places of a picture"});
    auto opened = helper::openedClip(path);
    if (!opened)
        return io::clipText(opened.error());
    const auto clip = *std::move(opened);
    const auto codes = helper::regionsOf(*clip, *question);
    return codes ? io::regionText(*codes) : io::clipText(codes.error());
}

std::string pictureFrom(const std::string& path) {
    auto opened = helper::openedClip(path);
    if (!opened)
        return io::stillText(opened.error());
    const auto clip = *std::move(opened);
    const auto picture = helper::middlePicture(*clip);
    return picture ? io::stillText(*picture) : io::stillText(picture.error());
}

std::string answerTo(int argc, char** argv) {
    if (argc == 6)
        return regionFrom(argv[2], argv[5]);
    if (std::string_view(argv[1]) == "picture")
        return pictureFrom(argv[2]);
    const auto facts = factsFrom(argv[1], argv[2]);
    return facts ? io::clipText(*facts) : io::clipText(facts.error());
}

} // namespace

int main(int argc, char** argv) {
    if (argc != 5 && argc != 6) {
        std::cerr << "bslate-clips: started by Bright Slate alone\n";
        return 2;
    }
    const auto memory = std::strtoull(argv[3], nullptr, 10);
    io::limitThisProcess(memory, static_cast<unsigned>(std::strtoul(argv[4], nullptr, 10)));
    av_log_set_level(AV_LOG_QUIET);
    int ended = 0;
    try {
        std::cout << answerTo(argc, argv) << std::flush;
        ended = std::cout ? 0 : 3;
    } catch (const std::exception&) {
        ended = 3;
    }
    // What the media library leaves to the end of the process may hang there; all is said.
    std::_Exit(ended);
}
