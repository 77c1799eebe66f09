#include "core/facts/evaluate.h"

#include "core/facts/lattice.h"
#include "core/facts/schools.h"
#include "core/facts/zebra.h"
#include "core/signal/rating_lut.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

Error missing(const Setup& setup, std::string_view field, const std::string& id,
              std::string_view expected) {
    return {ErrorCode::UnknownId,
            {},
            "setup " + setup.number + ", " + std::string(field),
            id,
            std::string(expected)};
}

Error impossible(const Setup& setup, std::string_view field, std::string_view expected) {
    return {ErrorCode::OutOfRange,
            {},
            "setup " + setup.number + ", " + std::string(field),
            {},
            std::string(expected)};
}

const Filter* findFilter(const SetupContext& context, std::string_view id) {
    for (const auto* list : {&context.camera->builtInNd, &context.shoot->kit.filters})
        for (const auto& filter : *list)
            if (filter.id == id)
                return &filter;
    return nullptr;
}

bool isPositive(double value) {
    return std::isfinite(value) && value > 0;
}

PatchState stateOf(Stops headroom, Stops aboveNoise) {
    if (headroom <= -kTold)
        return PatchState::Clipped;
    if (aboveNoise <= -kTold)
        return PatchState::Noise;
    return headroom < kNearClip ? PatchState::NearClip : PatchState::Good;
}

PatchPlacement placePatch(const SetupContext& context, const Patch& patch, const Evaluation& at) {
    const auto& setup = *context.setup;
    const auto& meter = context.shoot->meter;
    PatchPlacement result;
    result.id = patch.id;
    result.name = patch.name;
    result.role = patch.role;
    result.luminance = luminanceOf(patch.reading, patch.reflectance, meter);
    result.sensor =
        exposureStops(result.luminance, at.base, at.exposureTime, setup.iris, at.ndLoss, meter);
    const auto placed = place(result.sensor, at.gain, at.iso);
    result.recorded = placed.recorded;
    result.viewed = placed.viewed;
    const Stops held = std::min(placed.recorded, at.clip);
    const auto& curve = context.profile->curve;
    result.level = levelAt(curve, held, at.depth);
    result.code = codeAt(curve, held, at.depth);
    result.viewedLevel = shownLevel(curve, context.profile->ready, held + at.ratingOffset);
    result.headroom = at.clip - placed.recorded;
    result.aboveNoise = placed.recorded - at.noiseFloor;
    result.state = stateOf(result.headroom, result.aboveNoise);
    return result;
}

std::optional<Stops> greyPlace(const Evaluation& evaluation) {
    for (const auto& patch : evaluation.patches)
        if (patch.role == PatchRole::Grey)
            return patch.recorded;
    if (const auto* face = skin(evaluation))
        return face->recorded - skinTone(face->role);
    return std::nullopt;
}

void fillZebra(const SetupContext& context, Evaluation& at) {
    if (const auto* face = skin(at))
        if (const auto wanted = skinPlace(context, at, *face))
            at.zebra.push_back(zebraAt(context, at, ZebraUse::Skin, *wanted));
    at.zebra.push_back(zebraAt(context, at, ZebraUse::Clip, at.clip - kNearClip));
}

} // namespace

namespace {

// The parts of the kit that the setup names; nothing when one is missing.
std::optional<Error> findParts(const Shoot& shoot, const Setup& setup, SetupContext& context) {
    context.scene = findScene(shoot, setup.scene);
    if (!context.scene)
        return missing(setup, "scene", setup.scene, "the id of a scene in this shoot");
    context.camera = findCamera(shoot.kit, setup.camera);
    if (!context.camera || context.camera->bases.empty())
        return missing(setup, "camera", setup.camera, "the id of a camera in the kit");
    context.profile = findProfile(shoot.kit, setup.profile);
    if (!context.profile)
        return missing(setup, "profile", setup.profile, "the id of a profile in the kit");
    context.mode = findMode(*context.camera, setup.mode);
    if (!context.mode)
        return missing(setup, "mode", setup.mode, "the id of a recording mode of this camera");
    context.codec = findCodec(*context.camera, context.mode->codec);
    context.area = findArea(*context.camera, context.mode->area);
    if (!context.codec || !context.area)
        return missing(setup, "mode", context.codec ? context.mode->area : context.mode->codec,
                       "a mode whose codec and sensor area the camera has");
    context.iso = isoDial(*context.camera, *context.profile, context.mode->codec);
    context.lens = setup.lens.empty() ? nullptr : findLens(shoot.kit, setup.lens);
    if (!setup.lens.empty() && !context.lens)
        return missing(setup, "lens", setup.lens, "the id of a lens in the kit");
    return std::nullopt;
}

} // namespace

Result<SetupContext> resolve(const Shoot& shoot, const Setup& setup) {
    SetupContext context;
    context.shoot = &shoot;
    context.setup = &setup;
    if (auto error = findParts(shoot, setup, context))
        return *std::move(error);
    for (const auto& id : setup.filters) {
        const auto* filter = findFilter(context, id);
        if (!filter)
            return missing(setup, "filters", id, "the id of a filter in the kit or camera");
        context.ndLoss += lossOf(filter->label);
        context.filterShift = context.filterShift + filter->shift;
    }
    if (!isPositive(exposureTime(setup.shutter, setup.rate).value()))
        return impossible(setup, "shutter", "an exposure longer than zero");
    if (!isPositive(setup.iris.value()) || !isPositive(setup.rating.value()))
        return impossible(setup, "iris and rating", "values above zero");
    context.base = &nearestBase(*context.camera, *context.profile, setup.base);
    const auto& measured = context.profile->measured;
    if (measured && measured->camera == context.camera->id && measured->base == context.base->iso)
        context.measured = &*measured;
    return context;
}

namespace {

// What the body itself was found to do counts before what its sensor should do.
void fillSensor(const SetupContext& context, Evaluation& at) {
    at.sensorClip = context.base->sensor.clip;
    at.sensorFloor = noiseFloor(context.base->sensor, context.shoot->snrFloor);
    at.curveSource =
        context.profile->measured ? CurveSource::MeasuredElsewhere : CurveSource::Nominal;
    const auto* measured = context.measured;
    if (!measured)
        return;
    at.curveSource = CurveSource::Measured;
    std::optional<Stops> clip;
    for (const auto& channel : measured->clip)
        if (channel && (!clip || *channel < *clip))
            clip = channel;
    at.sensorClip = clip.value_or(at.sensorClip);
    if (measured->noiseFloor && measured->snr == context.shoot->snrFloor)
        at.sensorFloor = *measured->noiseFloor;
}

} // namespace

Evaluation evaluate(const SetupContext& context) {
    const auto& setup = *context.setup;
    Evaluation at;
    at.exposureTime = exposureTime(setup.shutter, setup.rate);
    at.angle = shutterAngle(setup.shutter, setup.rate);
    at.ndLoss = context.ndLoss;
    at.base = context.base->iso;
    at.iso = context.iso.behaviour;
    at.depth = context.codec->depth;
    at.gain = gainOf(setup.rating, at.base);
    at.ratingOffset = at.iso == IsoBehaviour::Recorded ? Stops(0.0) : at.gain;

    fillSensor(context, at);
    const Stops sensorEnd = recordedClip(at.sensorClip, at.gain, at.iso);
    const Stops curveEnd = endStops(context.profile->curve, at.depth);
    at.curveEndsFirst = curveEnd < sensorEnd;
    at.clip = std::min(sensorEnd, curveEnd);
    at.noiseFloor = recordedFloor(at.sensorFloor, at.gain, at.iso);
    at.clipLevel = levelAt(context.profile->curve, at.clip, at.depth);
    at.midGreyLevel = levelAt(context.profile->curve, Stops(0.0), at.depth);

    at.patches.reserve(context.scene->patches.size());
    for (const auto& patch : context.scene->patches)
        at.patches.push_back(placePatch(context, patch, at));
    std::vector<Stops> recorded;
    recorded.reserve(at.patches.size());
    for (const auto& patch : at.patches)
        recorded.push_back(patch.recorded);
    at.white = whiteFacts(context, {at.clip, sensorEnd, at.noiseFloor}, recorded);
    at.grey = greyPlace(at);
    fillZebra(context, at);
    at.recording = recordingFacts(context);
    at.cell = cellOf(latticeCase(context), *context.mode, setup.rate);
    at.cadence = cadenceFacts(context, at.recording);
    return at;
}

Result<Evaluation> evaluate(const Shoot& shoot, const Setup& setup) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    return evaluate(*context);
}

} // namespace bslate
