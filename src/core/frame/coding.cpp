#include "core/frame/coding.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace bslate {

std::optional<CodingTask> codingTask(const SetupContext& context, const Evaluation& at,
                                     PictureSize size) {
    const auto& codec = *context.codec;
    if (codec.gop == Gop::Raw || !at.recording.bitRate)
        return std::nullopt;
    const auto& mode = context.mode->frame;
    const double share = static_cast<double>(size.pixels()) /
                         (static_cast<double>(mode.width) * static_cast<double>(mode.height));
    CodingTask task;
    task.size = size;
    task.rate = context.setup->rate;
    task.depth = at.depth;
    task.range = context.profile->curve.range;
    task.chroma = codec.chroma == Chroma::Raw ? Chroma::C444 : codec.chroma;
    task.gop = codec.gop;
    task.standard = codec.standard;
    task.bitRate = *at.recording.bitRate * share;
    task.peak = codec.peak;
    if (codec.gop == Gop::Long) {
        task.frames = 2 * kLongGroup;
        task.shown = kLongGroup + kLongGroup / 2;
    }
    return task;
}

Recorded recordedAt(const SetupContext& context, const Evaluation& at, const CodingTask& task,
                    std::span<const Surface> surfaces, const CameraPathWish& wish, int index) {
    const Seconds time((index - task.shown) / task.rate.toDouble());
    CameraPathWish own = wish;
    own.seed += 0x51ED2700u * static_cast<std::uint64_t>(std::abs(index - task.shown));
    const auto light = paintScene(surfaces, task.size, momentOf(context, at, time));
    return recordScene(context, at, light, own);
}

DataRate codedRate(const CodingTask& task, const Coded& coded) {
    const bool pairs =
        task.gop == Gop::Long && static_cast<int>(coded.sizes.size()) == 2 * kLongGroup;
    const auto first = coded.sizes.begin() + (pairs ? kLongGroup : 0);
    const auto bytes = std::accumulate(first, coded.sizes.end(), DataSize(0));
    const auto frames = static_cast<double>(coded.sizes.end() - first);
    return DataRate(frames > 0 ? bytes.value() * 8 * task.rate.toDouble() / frames : 0);
}

std::optional<Fraction> noiseKept(const CodeFrame& clean, const CodeFrame& before,
                                  const CodeFrame& after, const LumaWeights& weights) {
    const LumaCoder coder(weights);
    const int top = (1 << clean.depth.bits) - 1;
    const auto luma = [&](const CodeFrame& frame, std::size_t i) {
        const auto& plane = frame.codes.plane;
        return coder(plane[0][i], plane[1][i], plane[2][i]);
    };
    double both = 0, own = 0;
    for (std::size_t i = 0; i < clean.codes.size.pixels(); ++i) {
        const int still = luma(clean, i), noisy = luma(before, i);
        if (still <= 0 || still >= top || noisy <= 0 || noisy >= top)
            continue;
        const double noise = noisy - still;
        both += noise * (luma(after, i) - still);
        own += noise * noise;
    }
    if (own <= 0)
        return std::nullopt;
    return Fraction(std::clamp(both / own, 0.0, 1.0));
}

} // namespace bslate
