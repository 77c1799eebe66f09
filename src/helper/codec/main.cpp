// bslate-codec MEMORY SECONDS [clip]: encodes the frames that come on standard input and gives one
// of them back as it is decoded, or with `clip` all of them as a file; writes no file itself, and
// ends when it takes too much.
#include "helper/codec/clip_writer.h"
#include "helper/codec/scene_coder.h"
#include "helper/process/helper_main.h"
#include "io/doors/shut_doors.h"
#include "io/wire/coding_messages.h"
#include "io/wire/error_message.h"
#include "io/wire/made_clip_messages.h"

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
    av_log_set_level(AV_LOG_QUIET);
    bslate::helper::runHelper(argc, argv, 0, 1, [](std::ostream& out, const auto& words) {
        io::shutDoors();
        if (!words.empty() && words[0] == "clip") {
            const auto file = clipFrom(std::cin);
            out << (file ? "F" + *file : io::errorText(file.error()));
        } else {
            const auto coded = codedFrom(std::cin);
            out << (coded ? io::codedText(*coded) : io::errorText(coded.error()));
        }
    });
}
