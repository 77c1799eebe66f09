// bslate-codec MEMORY SECONDS [clip]: encodes the frames that come on standard input and gives one
// of them back as it is decoded, or with `clip` all of them as a file; writes no file itself, and
// ends when it takes too much.
#include "helper/codec/clip_writer.h"
#include "helper/codec/scene_coder.h"
#include "io/doors/shut_doors.h"
#include "io/json/coding_messages.h"
#include "io/json/made_clip_messages.h"
#include "io/system/helper_process.h"

#include <cstdlib>
#include <iostream>

namespace {

using namespace bslate;

bool readFrame(std::istream& in, YcbcrFrame& frame) {
    for (std::size_t p = 0; p < 3; ++p) {
        auto& plane = frame.plane[p];
        plane.resize(p == 0 ? frame.size.pixels() : chromaSize(frame.size, frame.chroma).pixels());
        if (!in.read(reinterpret_cast<char*>(plane.data()),
                     static_cast<std::streamsize>(plane.size() * sizeof(std::uint16_t))))
            return false;
    }
    return true;
}

// Hands a task's frames on as they come.
template<class Coder>
Outcome takeFrames(std::istream& in, const CodingTask& task, Coder& coder) {
    YcbcrFrame frame{task.size, task.depth, task.range, task.chroma, {}};
    for (int i = 0; i < task.frames; ++i) {
        if (!readFrame(in, frame))
            return Error{ErrorCode::WrongFormat, {}, {}, {}, "as many frames as were announced"};
        if (auto added = coder.add(frame); !added)
            return added;
    }
    return Done{};
}

Result<std::string> clipFrom(std::istream& in) {
    std::string coding, besides;
    std::getline(in, coding);
    std::getline(in, besides);
    const auto task = io::readMadeClipText(coding, besides);
    if (!task)
        return task.error();
    auto opened = helper::ClipWriter::open(*task);
    if (!opened)
        return opened.error();
    auto writer = *std::move(opened);
    if (const auto taken = takeFrames(in, task->coding, writer); !taken)
        return taken.error();
    return writer.finish();
}

Result<Coded> codedFrom(std::istream& in) {
    std::string line;
    std::getline(in, line);
    const auto task = io::readCodingText(line);
    if (!task)
        return task.error();
    auto opened = helper::SceneCoder::open(*task);
    if (!opened)
        return opened.error();
    auto coder = *std::move(opened);
    if (const auto taken = takeFrames(in, *task, coder); !taken)
        return taken.error();
    return coder.finish();
}

} // namespace

int main(int argc, char** argv) {
    const bool clip = argc == 4 && std::string_view(argv[3]) == "clip";
    if (argc != 3 && !clip) {
        std::cerr << "bslate-codec: started by Bright Slate alone\n";
        return 2;
    }
    const auto memory = std::strtoull(argv[1], nullptr, 10);
    io::limitThisProcess(memory, static_cast<unsigned>(std::strtoul(argv[2], nullptr, 10)));
    io::shutDoors();
    av_log_set_level(AV_LOG_QUIET);
    int ended = 0;
    try {
        std::ios::sync_with_stdio(false);
        if (clip) {
            const auto file = clipFrom(std::cin);
            std::cout << (file ? "F" + *file : io::codedText(file.error())) << std::flush;
        } else {
            const auto coded = codedFrom(std::cin);
            std::cout << (coded ? io::codedText(*coded) : io::codedText(coded.error()))
                      << std::flush;
        }
        ended = std::cout ? 0 : 3;
    } catch (const std::exception&) {
        ended = 3;
    }
    // What the media library leaves to the end of the process may hang there; all is said.
    std::_Exit(ended);
}
