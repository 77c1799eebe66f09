#include "io/codec/clip_make.h"

#include "core/frame/scene_picture.h"
#include "io/codec/coding_run.h"
#include "io/codec/frame_bytes.h"
#include "io/wire/ask_helper.h"
#include "io/wire/made_clip_messages.h"

namespace bslate::io {

Result<std::string> makeClip(const SetupContext& context, const Evaluation& at,
                             const MadeClipWish& wish, const KeepGoing& keepGoing) {
    const auto task = madeClipTask(context, at, wish);
    if (!task)
        return task.error();
    if (wish.size.width > kLongestCoded || wish.size.height > kLongestCoded)
        return tooLargeToCode(wish.size);
    HelperQuestion question{"bslate-codec", {"clip"}, {}, {}};
    question.limits.time = std::chrono::minutes(30);
    question.limits.answer = std::size_t(1) << 30;
    const auto surfaces = surfacesOf(context);
    const auto weights = lumaOf(context.profile->gamut);
    int next = -1;
    const auto parts = [&]() -> std::string {
        const int frame = next++;
        if (frame < 0)
            return madeClipText(*task);
        if (frame >= task->coding.frames)
            return {};
        const auto recorded = madeFrameAt(context, at, wish, *task, surfaces, frame);
        return bytesOf(ycbcrOf(recorded.frame, task->coding.chroma, weights));
    };
    const KeepGoing told = [&](double) {
        return !keepGoing ||
               keepGoing(std::max(0, next) / static_cast<double>(task->coding.frames + 1));
    };
    auto answer = askHelper(question, parts, told);
    return answer ? readMadeClip(*std::move(answer)) : answer;
}

} // namespace bslate::io
