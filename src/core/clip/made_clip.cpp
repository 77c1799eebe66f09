#include "core/clip/made_clip.h"

#include "core/cadence/pulse.h"
#include "core/clip/clip_check.h"
#include "core/facts/cadence_facts.h"
#include "core/frame/motion.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// What the camera films at, whatever its file plays at.
FrameRate capturedRate(const SetupContext& context, const MadeClipWish& wish) {
    return wish.rate.value_or(context.setup->rate);
}

// The light of every row of a frame.
class RowLight {
public:
    RowLight(const SetupContext& context, const MadeClipWish& wish, const MadeClipTask& task)
        : m_wish(wish)
        , m_task(task) {
        const auto recording = recordingFacts(context);
        m_readout = recording.readout;
        m_rate = capturedRate(context, wish);
        m_exposure = exposureTime(context.setup->shutter, m_rate);
        if (wish.pulsing)
            m_lights = cadenceFacts(context, recording).lights;
    }
    [[nodiscard]] double operator()(int frame, int row) const {
        double light = 1;
        if (!m_lights.empty()) {
            const double start =
                frame / m_rate.toDouble() + m_readout.value() * row / m_task.coding.size.height;
            light = gathered(m_lights, Seconds(start), m_exposure);
        }
        if (!m_wish.steps.empty()) {
            const auto at = static_cast<std::size_t>(frame) * m_wish.steps.size() /
                            static_cast<std::size_t>(m_task.coding.frames);
            light *= std::exp2(m_wish.steps[at].value());
        }
        return light;
    }

private:
    const MadeClipWish& m_wish;
    const MadeClipTask& m_task;
    std::vector<PulsedLight> m_lights;
    FrameRate m_rate;
    Seconds m_readout, m_exposure;
};

} // namespace

Result<MadeClipTask> madeClipTask(const SetupContext& context, const Evaluation& at,
                                  const MadeClipWish& wish) {
    const auto own = codingTask(context, at, wish.size);
    if (!own)
        return Error{ErrorCode::OutOfRange,
                     {},
                     {},
                     context.mode->name,
                     "a recording mode that is not raw and has the setup's rate"};
    MadeClipTask task{*own, wish.tone, wish.timecode, {}};
    auto& coding = task.coding;
    coding.rate = wish.rate.value_or(fileRate(context));
    const double frames = std::round(wish.length.value() * coding.rate.toDouble());
    if (!(frames >= 1 && frames <= kMostMadeFrames))
        return Error{ErrorCode::OutOfRange,
                     {},
                     {},
                     std::to_string(static_cast<long long>(std::clamp(frames, 0.0, 1e15))) +
                         " frames",
                     "1 to " + std::to_string(kMostMadeFrames) + " frames"};
    coding.frames = static_cast<int>(frames);
    coding.shown = 0;
    task.notes = {{"model", context.camera->name}, {"title", context.setup->number}};
    return task;
}

Fraction lightOnRow(const SetupContext& context, const MadeClipWish& wish, const MadeClipTask& task,
                    int frame, int row) {
    return Fraction(RowLight(context, wish, task)(frame, row));
}

Recorded madeFrameAt(const SetupContext& context, const Evaluation& at, const MadeClipWish& wish,
                     const MadeClipTask& task, std::span<const Surface> surfaces, int frame) {
    const Seconds time(frame / capturedRate(context, wish).toDouble());
    auto light = paintScene(surfaces, task.coding.size, momentOf(context, at, time));
    const RowLight of(context, wish, task);
    overRows(light.size.height, [&](int first, int behind) {
        for (int y = first; y < behind; ++y) {
            const auto gain = static_cast<float>(of(frame, y));
            for (auto& plane : light.plane)
                for (int x = 0; x < light.size.width; ++x)
                    plane[light.at(x, y)] *= gain;
        }
    });
    return recordScene(context, at, light,
                       {wish.seed + 0x51ED2700u * static_cast<std::uint64_t>(frame), true});
}

} // namespace bslate
