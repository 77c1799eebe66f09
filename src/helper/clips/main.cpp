// bslate-clips MEMORY SECONDS facts|listen|picture|region FILE [QUESTION]: tells what a clip is,
// with `listen` how loud it is, with `picture` shows its middle, with `region` the means of a place
// (in billionths of the picture) in each picture; writes no file, and ends when it takes too much.
#include "helper/clips/clip_container.h"
#include "helper/clips/picture_reader.h"
#include "helper/clips/region_reader.h"
#include "helper/clips/sound_levels.h"
#include "helper/process/helper_main.h"
#include "io/json/clip_json.h"
#include "io/wire/error_message.h"
#include "io/wire/still_messages.h"

#include <algorithm>
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

std::string regionFrom(const std::string& path, const std::string& asked) {
    const auto question = io::readQuestion(asked);
    if (!question)
        return io::errorText(Error{ErrorCode::WrongFormat, {}, {}, asked, "places of a picture"});
    auto opened = helper::openedClip(path);
    if (!opened)
        return io::errorText(opened.error());
    const auto clip = *std::move(opened);
    const auto codes = helper::regionsOf(*clip, *question);
    return codes ? io::regionText(*codes) : io::errorText(codes.error());
}

std::string pictureFrom(const std::string& path) {
    auto opened = helper::openedClip(path);
    if (!opened)
        return io::errorText(opened.error());
    const auto clip = *std::move(opened);
    const auto picture = helper::middlePicture(*clip);
    return picture ? io::stillText(*picture) : io::errorText(picture.error());
}

std::string answerTo(const std::vector<std::string>& words) {
    if (words.size() == 3)
        return regionFrom(words[1], words[2]);
    if (words[0] == "picture")
        return pictureFrom(words[1]);
    const auto facts = factsFrom(words[0], words[1]);
    return facts ? io::clipText(*facts) : io::errorText(facts.error());
}

} // namespace

int main(int argc, char** argv) {
    av_log_set_level(AV_LOG_QUIET);
    bslate::helper::runHelper(argc, argv, 2, 3,
                              [](std::ostream& out, const auto& words) { out << answerTo(words); });
}
