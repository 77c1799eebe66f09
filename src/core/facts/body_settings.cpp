#include "core/facts/body_settings.h"

#include "core/facts/dial_in.h"
#include "core/quantity/print.h"
#include "core/shoot/handling_of.h"

namespace bslate {
namespace {

std::optional<std::string> zebraText(const Evaluation& at) {
    std::string text;
    for (const auto& zebra : at.zebra)
        if (zebra.reachable)
            text += (text.empty() ? "" : ", ") +
                    std::string(zebra.use == ZebraUse::Skin ? "skin " : "clip ") + print(zebra.set);
    return text.empty() ? std::nullopt : std::optional(text);
}

std::optional<std::string> focusText(FocusBy focus) {
    switch (focus) {
    case FocusBy::Hand:
        return "by hand";
    case FocusBy::Continuous:
        return "continuous";
    case FocusBy::Faces:
        return "faces";
    case FocusBy::Unsaid:
        break;
    }
    return std::nullopt;
}

std::optional<std::string> soundText(SoundBy sound) {
    switch (sound) {
    case SoundBy::None:
        return "off";
    case SoundBy::Camera:
        return "camera microphone";
    case SoundBy::Wired:
        return "wired microphone";
    case SoundBy::Radio:
        return "radio microphone";
    case SoundBy::Unsaid:
        break;
    }
    return std::nullopt;
}

} // namespace

BodySettings bodySettingsOf(const SetupContext& context, const Evaluation& at) {
    BodySettings all;
    const auto set = [&](BodySetting setting, std::optional<std::string> text) {
        all.values[static_cast<std::size_t>(setting)] = std::move(text);
    };
    const auto& setup = *context.setup;
    const auto& camera = *context.camera;
    const auto regions = regionsFor(camera, *context.mode, setup.rate, context.shoot->brief.rate);
    if (!regions.empty())
        set(BodySetting::Region, regions.front());
    set(BodySetting::Mode, context.mode->name);
    set(BodySetting::Rate, print(setup.rate));
    set(BodySetting::Shutter, print(nearestOnDial(camera.shutter, setup.shutter, setup.rate)));
    set(BodySetting::Profile, context.profile->name);
    if (at.iso != IsoBehaviour::Recorded || camera.bases.size() > 1)
        set(BodySetting::Base, print(at.base));
    set(BodySetting::Rating, print(setup.rating));
    set(BodySetting::White, print(camera.white, at.white.set));
    set(BodySetting::Zebra, zebraText(at));
    const auto handling = handlingOf(*context.scene, setup);
    set(BodySetting::Focus, focusText(handling.focus));
    if (handling.stabiliser)
        set(BodySetting::Stabiliser, *handling.stabiliser ? "on" : "off");
    set(BodySetting::Sound, soundText(handling.sound));
    set(BodySetting::Nd, filterNames(context));
    set(BodySetting::Iris, print(setup.iris));
    return all;
}

} // namespace bslate
