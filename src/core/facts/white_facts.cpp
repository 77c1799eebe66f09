#include "core/facts/white_facts.h"

#include "core/kit/camera_colour.h"

#include <algorithm>

namespace bslate {
namespace {

std::size_t least(const PerChannel& values) {
    return static_cast<std::size_t>(
        std::distance(values.begin(), std::min_element(values.begin(), values.end())));
}

// What sorts a scene's lights by their use.
struct Lit {
    const Scene& scene;
    WhiteFacts& white;

    [[nodiscard]] std::vector<SceneLight> ofSide(LightSide side) const {
        std::vector<SceneLight> some;
        for (const auto& light : white.lights)
            if (light.lamp < scene.lamps.size() && scene.lamps[light.lamp].side == side)
                some.push_back(light);
        return some;
    }

    void fill() {
        if (white.lights.empty())
            return;
        white.subject = mixtureOf(white.lights, &SceneLight::share);
        white.background = mixtureOf(white.lights, &SceneLight::behind);
        std::size_t strongest = 0;
        bool told = false;
        for (std::size_t i = 0; i < white.lights.size(); ++i) {
            const auto& light = white.lights[i];
            const bool key =
                light.lamp < scene.lamps.size() && scene.lamps[light.lamp].side == LightSide::Key;
            if ((key && !told) || (key == told && light.share > white.lights[strongest].share))
                strongest = i;
            told = told || key;
        }
        white.keyLight = strongest;
        white.key = white.lights[strongest].colour;
    }

    [[nodiscard]] ColourPoint of(const Patch& patch) const {
        for (const auto& light : white.lights)
            if (light.lamp < scene.lamps.size() && scene.lamps[light.lamp].name == patch.lamp)
                return light.colour;
        if (patch.side == LightSide::Background && white.background)
            return *white.background;
        if (patch.side != LightSide::Unsaid)
            if (const auto some = ofSide(patch.side); !some.empty())
                if (const auto colour = mixtureOf(some, &SceneLight::share))
                    return *colour;
        return white.subject.value_or(white.point);
    }
};

// How much of a channel a light gives beside green, and where that channel ends.
struct Ends {
    PerChannel gain; // of the white
    RecordedEnds at;
    bool baked = true;

    [[nodiscard]] PerChannel room(Stops recorded, const PerChannel& needs) const {
        PerChannel result;
        for (std::size_t c = 0; c < result.size(); ++c) {
            const Stops raw = recorded - needs[c];
            result[c] = at.sensor - raw;
            if (baked)
                result[c] = std::min(result[c], at.clip - (raw + gain[c]));
        }
        return result;
    }
    [[nodiscard]] PerChannel above(Stops recorded, const PerChannel& needs) const {
        PerChannel result;
        for (std::size_t c = 0; c < result.size(); ++c)
            result[c] = recorded - needs[c] - at.floor;
        return result;
    }
};

ColourKept keptBy(const PatchWhite& patch) {
    int ended = 0;
    for (std::size_t c = 0; c < patch.room.size(); ++c)
        ended += patch.room[c] < Stops(0) || patch.above[c] < Stops(0);
    return ended == 0 ? ColourKept::All : ended < 3 ? ColourKept::Loses : ColourKept::Lost;
}

void fillPatches(const Lit& lit, const CameraColour& camera, const Ends& ends,
                 std::span<const Stops> recorded) {
    auto& white = lit.white;
    white.patches.reserve(recorded.size());
    std::optional<std::pair<ColourPoint, PerChannel>> last; // most patches share a light
    for (std::size_t i = 0; i < recorded.size(); ++i) {
        PatchWhite patch;
        patch.light = lit.of(lit.scene.patches[i]);
        if (!last || !(last->first == patch.light))
            last = {patch.light, camera.gains(patch.light)};
        patch.room = ends.room(recorded[i], last->second);
        patch.above = ends.above(recorded[i], last->second);
        patch.clipsFirst = least(patch.room);
        patch.drownsFirst = least(patch.above);
        patch.kept = keptBy(patch);
        white.patches.push_back(patch);
    }
}

} // namespace

WhiteFacts whiteFacts(const SetupContext& context, const RecordedEnds& recording,
                      std::span<const Stops> patches) {
    const auto& setup = *context.setup;
    WhiteFacts white;
    white.set = whiteOnDial(context.camera->white, WhiteSetting{setup.white, setup.tint});
    white.point = whitePoint(context.camera->white, white.set);
    white.baked = bakesWhite(*context.codec);
    const CameraColour camera(*context.camera);
    white.generic = camera.isGeneric();
    white.lights = colouredLights(*context.scene, context.shoot->kit);
    white.filters = context.filterShift;
    for (auto& light : white.lights) {
        light.colour = shifted(light.colour, white.filters);
        if (light.end)
            light.end = shifted(*light.end, white.filters);
    }
    const Lit lit{*context.scene, white};
    Lit{*context.scene, white}.fill();
    const Ends ends{camera.gains(white.point), recording, white.baked};
    for (std::size_t c = 0; c < white.channels.size(); ++c)
        white.channels[c] = {ends.gain[c],
                             white.baked ? recording.clip - ends.gain[c] : recording.clip,
                             recording.floor + ends.gain[c], recording.sensor + ends.gain[c],
                             std::min(white.baked ? recording.clip : recording.clip + ends.gain[c],
                                      recording.sensor + ends.gain[c])};
    const auto grey = white.key ? camera.gains(*white.key) : ends.gain;
    const auto room = ends.room(Stops(0), grey), above = ends.above(Stops(0), grey);
    white.clipsFirst = least(room);
    white.drownsFirst = least(above);
    white.firstClip = room[white.clipsFirst];
    white.firstFloor = -above[white.drownsFirst];
    fillPatches(lit, camera, ends, patches);
    return white;
}

bool counts(const SceneLight& light) {
    constexpr Fraction kCounts{0.02};
    return light.share >= kCounts || light.behind >= kCounts;
}

const SceneLight* farthestFromKey(const WhiteFacts& white) {
    const SceneLight* found = nullptr;
    for (std::size_t i = 0; i < white.lights.size(); ++i) {
        const auto& light = white.lights[i];
        if (i == white.keyLight || !counts(light))
            continue;
        if (!found || contrastOf(light.colour, *white.key) > contrastOf(found->colour, *white.key))
            found = &light;
    }
    return found;
}

WhiteChoices whiteChoices(const SetupContext& context, const WhiteFacts& white) {
    WhiteChoices choices;
    const auto& dial = context.camera->white;
    if (white.key)
        choices.key = whiteFor(dial, *white.key);
    if (white.background)
        choices.background = whiteFor(dial, *white.background);
    if (const auto* other = farthestFromKey(white)) {
        const Mired middle = (miredOf(white.key->cct) + miredOf(other->colour.cct)) * 0.5;
        choices.between =
            whiteFor(dial, {kelvinOf(middle), (white.key->duv + other->colour.duv) * 0.5});
    }
    return choices;
}

ColourPoint onScene(const WhiteFacts& white, ColourPoint seen) {
    return shifted(seen, -white.filters);
}

std::optional<GelAim> gelAim(const WhiteFacts& white, std::optional<std::size_t> chosen) {
    const auto* farthest = farthestFromKey(white);
    if (!farthest)
        return std::nullopt;
    const auto far = static_cast<std::size_t>(farthest - white.lights.data());
    const auto light = chosen && *chosen < white.lights.size() ? *chosen : far;
    if (white.lights[light].lamp == SceneLight::kNoLamp)
        return std::nullopt;
    return GelAim{light, light == white.keyLight ? farthest->colour : *white.key};
}

std::string nameOf(const Scene& scene, const SceneLight& light) {
    return light.lamp < scene.lamps.size() ? scene.lamps[light.lamp].name : std::string();
}

} // namespace bslate
