#include "io/codec/coding_run.h"

#include "core/frame/scene_picture.h"
#include "io/codec/frame_bytes.h"
#include "io/wire/ask_helper.h"
#include "io/wire/coding_messages.h"

namespace bslate::io {
namespace {

HelperLimits limitsOf(const CodingTask& task) {
    HelperLimits limits;
    limits.time = std::chrono::seconds(120);
    limits.answer = 3 * task.size.pixels() * sizeof(std::uint16_t) + 100'000;
    return limits;
}

} // namespace

Error tooLargeToCode(PictureSize size) {
    return {ErrorCode::OutOfRange,
            {},
            {},
            std::to_string(size.width) + "x" + std::to_string(size.height),
            "a picture of at most " + std::to_string(kLongestCoded) +
                " pixels on a side for the codec"};
}

Result<Coded> runCoding(const CodingTask& task, const std::function<YcbcrFrame(int)>& frameAt,
                        const KeepGoing& keepGoing) {
    if (task.size.width > kLongestCoded || task.size.height > kLongestCoded)
        return tooLargeToCode(task.size);
    int next = -1;
    const auto parts = [&]() -> std::string {
        const int index = next++;
        if (index < 0)
            return codingText(task);
        return index < task.frames ? bytesOf(frameAt(index)) : std::string();
    };
    const KeepGoing told = [&](double) {
        return !keepGoing || keepGoing(std::max(0, next) / static_cast<double>(task.frames + 1));
    };
    const auto answer = askHelper({"bslate-codec", {}, limitsOf(task), {}}, parts, told);
    return answer ? readCodedText(*answer, task) : Result<Coded>(answer.error());
}

Result<std::optional<Coded>> codeScene(const SetupContext& context, const Evaluation& at,
                                       const FrameWish& wish, const KeepGoing& keepGoing) {
    const auto task = codingTask(context, at, wish.size);
    if (!task)
        return std::optional<Coded>();
    const auto surfaces = surfacesOf(context);
    const auto weights = lumaOf(context.profile->gamut);
    auto coded = runCoding(
        *task,
        [&](int index) {
            const auto recorded = recordedAt(context, at, *task, surfaces, wish.camera, index);
            return ycbcrOf(recorded.frame, task->chroma, weights);
        },
        keepGoing);
    if (!coded)
        return coded.error();
    return std::optional<Coded>(*std::move(coded));
}

} // namespace bslate::io
