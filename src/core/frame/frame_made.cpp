#include "core/frame/frame_made.h"

#include "core/frame/camera_luma.h"

#include "core/frame/looked_scene.h"
#include "core/frame/scene_picture.h"
#include "core/kit/camera_colour.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr ByEnum<FrameStage, std::string_view> kStages{"light", "sensor", "curve", "codec",
                                                       "grade"};

std::array<Fraction, 3> shares(const std::vector<std::uint8_t>& fates) {
    std::array<std::size_t, 3> counts{};
    for (const auto fate : fates)
        for (std::size_t c = 0; c < 3; ++c)
            counts[c] += (fate >> c) & 1;
    std::array<Fraction, 3> result;
    for (std::size_t c = 0; c < 3; ++c)
        result[c] = Fraction(static_cast<double>(counts[c]) /
                             static_cast<double>(std::max<std::size_t>(1, fates.size())));
    return result;
}

std::vector<Probe> probesIn(const std::vector<Surface>& surfaces) {
    std::vector<Probe> probes;
    for (const auto& surface : surfaces)
        if (!surface.patch.empty())
            probes.push_back({surface.patch, surface.probe});
    return probes;
}

std::array<MeterReading, kMeterKinds> metersOf(const SetupContext& context, const Evaluation& at,
                                               const Image& light) {
    // What the setup shows as mid-grey.
    const Stops one = exposureStops(CandelaPerM2(1), at.base, at.exposureTime, context.setup->iris,
                                    at.ndLoss, context.shoot->meter);
    const CandelaPerM2 middle(1 / ratio(one + at.gain));
    CandelaPerM2 most = middle;
    for (const auto& patch : at.patches)
        if (patch.role != PatchRole::Spare)
            most = std::max(most, patch.luminance);
    return meterReadings(light, middle, most, CameraLuma(context).weights(at.white.point));
}

// Linear light of the profile, as the grade shows it.
Image shownSensor(const SetupContext& context, const Evaluation& at, const Image& linear) {
    const auto toWide = convert(context.profile->gamut, gamutBt2020());
    Image light(linear.size);
    overRows(linear.size.height, [&](int first, int behind) {
        for (auto i = linear.at(0, first); i < linear.at(0, behind); ++i)
            for (std::size_t c = 0; c < 3; ++c)
                light.plane[c][i] = static_cast<float>(toWide[c][0] * linear.plane[0][i] +
                                                       toWide[c][1] * linear.plane[1][i] +
                                                       toWide[c][2] * linear.plane[2][i]);
    });
    return shownLight(light, {ratio(at.ratingOffset), {1, 1, 1}});
}

} // namespace

std::string_view keyOf(FrameStage stage) {
    return kStages[stage];
}

std::optional<FrameStage> frameStageNamed(std::string_view key) {
    const auto* at = std::find(std::begin(kStages), std::end(kStages), key);
    if (at == std::end(kStages))
        return std::nullopt;
    return static_cast<FrameStage>(at - std::begin(kStages));
}

std::vector<FoundPatch> foundPatches(const SetupContext& context, const Evaluation& at,
                                     const CodeFrame& frame, std::span<const Probe> probes) {
    const auto readings =
        probed(frame, context.profile->curve, lumaOf(context.profile->gamut), probes);
    std::vector<FoundPatch> found;
    for (const auto& placed : at.patches)
        for (std::size_t i = 0; i < probes.size(); ++i)
            if (probes[i].name == placed.id)
                found.push_back({placed.id, placed.name, placed.level, readings[i].level,
                                 std::min(placed.recorded, at.clip), readings[i].stops,
                                 probes[i].area});
    return found;
}

std::vector<Probe> probesOf(const SetupContext& context) {
    return probesIn(surfacesOf(context));
}

const CodeFrame& recordingOf(const FrameMade& frame) {
    return frame.coded ? frame.coded->frame : frame.recorded.frame;
}

namespace {

void measureRecording(const SetupContext& context, const Evaluation& at,
                      const std::vector<Probe>& probes, FrameWish wish, FrameMade& frame) {
    wish.instruments.weights = frame.weights;
    frame.instruments = measure(recordingOf(frame), wish.instruments);
    frame.patches = foundPatches(context, at, recordingOf(frame), probes);
}

} // namespace

FrameMade makeFrame(const SetupContext& context, const Evaluation& at, const FrameWish& wish) {
    FrameMade frame;
    const auto surfaces = surfacesOf(context);
    frame.light = paintScene(surfaces, wish.size);
    frame.recorded = recordScene(context, at, frame.light, wish.camera);
    frame.weights = lumaOf(context.profile->gamut);
    measureRecording(context, at, probesIn(surfaces), wish, frame);
    frame.meters = metersOf(context, at, frame.light);
    frame.clipped = shares(frame.recorded.fates.clipped);
    frame.drowned = shares(frame.recorded.fates.drowned);
    return frame;
}

FrameMade withCoded(const SetupContext& context, const Evaluation& at, FrameMade frame,
                    const FrameWish& wish, const Coded& coded) {
    const auto task = codingTask(context, at, wish.size);
    if (!task)
        return frame;
    CodecResult result{rgbOf(coded.shown, frame.weights), coded.standard, task->standard,
                       codedRate(*task, coded) *
                           (at.recording.bitRate->value() / task->bitRate.value()),
                       std::nullopt};
    CameraPathWish still = wish.camera;
    still.noise = false;
    const auto clean = recordScene(context, at, frame.light, still);
    result.noiseKept = noiseKept(clean.frame, frame.recorded.frame, result.frame, frame.weights);
    frame.coded = std::move(result);
    measureRecording(context, at, probesOf(context), wish, frame);
    return frame;
}

Image shownStage(const SetupContext& context, const Evaluation& at, const FrameMade& frame,
                 FrameStage stage, const Push& push) {
    switch (stage) {
    case FrameStage::Light:
        return shownLight(frame.light, lightShownOf(context, at), changerOf(push));
    case FrameStage::Sensor:
        return shownSensor(context, at, frame.recorded.linear);
    case FrameStage::Curve:
        return flatPicture(frame.recorded.frame);
    case FrameStage::Codec:
        return flatPicture(recordingOf(frame));
    case FrameStage::Grade:
        break;
    }
    const auto& profile = *context.profile;
    const RatingLut way{profile.curve, profile.gamut, at.ratingOffset, std::nullopt, profile.ready};
    const auto change = changerOf(push);
    return change ? graded(recordingOf(frame), way, change) : graded(recordingOf(frame), way);
}

} // namespace bslate
