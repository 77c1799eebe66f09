#include "core/advice/starting.h"

#include "core/base/fresh_id.h"
#include "core/facts/evaluate.h"

#include <algorithm>

namespace bslate {
namespace {

// What the shoot plays at when the mode has it.
FrameRate startingRate(const RecordingMode& mode, FrameRate wanted) {
    if (mode.rates.empty() || bitRateAt(mode, wanted, wanted))
        return wanted;
    return mode.rates.front().rate;
}

// A setup on the camera, recording, profile and lens of another, at the rate the shoot plays at.
Setup setupLike(const Shoot& shoot, const SetupContext& like) {
    Setup setup;
    const auto& other = *like.setup;
    setup.camera = other.camera;
    setup.mode = other.mode;
    setup.profile = other.profile;
    setup.lens = other.lens;
    setup.focal = other.focal;
    setup.iris = other.iris;
    setup.base = other.base;
    setup.rating = std::clamp(like.base->iso, like.iso.minimum, like.iso.maximum);
    setup.rate = startingRate(*like.mode, shoot.brief.rate);
    setup.shutter = nearestOnDial(like.camera->shutter, ShutterAngle(180.0), setup.rate);
    setup.payer = other.payer;
    setup.school = shoot.brief.schools.empty() ? other.school : shoot.brief.schools.front();
    return setup;
}

} // namespace

std::string freshNumber(const Shoot& shoot, const std::string& after) {
    const auto taken = [&](const std::string& number) {
        return std::any_of(shoot.setups.begin(), shoot.setups.end(),
                           [&](const Setup& setup) { return setup.number == number; });
    };
    if (!after.empty() && after.back() >= 'A' && after.back() < 'Z')
        for (char letter = static_cast<char>(after.back() + 1); letter <= 'Z'; ++letter) {
            std::string number = after;
            number.back() = letter;
            if (!taken(number))
                return number;
        }
    for (std::size_t n = shoot.setups.size() + 1;; ++n)
        if (!taken(std::to_string(n) + "A"))
            return std::to_string(n) + "A";
}

Scene startingScene(const std::string& id) {
    Scene scene;
    scene.id = id;
    Patch grey;
    grey.id = "grey";
    grey.role = PatchRole::Grey;
    scene.patches.push_back(grey);
    return scene;
}

Setup startingSetup(const Shoot& shoot, const Setup* atHand) {
    if (atHand)
        if (const auto like = resolve(shoot, *atHand))
            return setupLike(shoot, *like);
    Setup setup;
    if (shoot.kit.cameras.empty())
        return setup;
    const auto& camera = shoot.kit.cameras.front();
    setup.camera = camera.id;
    setup.mode = camera.modes.front().id;
    setup.profile = camera.profiles.empty() ? std::string() : camera.profiles.front();
    setup.rate = startingRate(camera.modes.front(), shoot.brief.rate);
    setup.base = camera.bases.front().iso;
    if (const auto* profile = findProfile(shoot.kit, setup.profile))
        setup.base = nearestBase(camera, *profile, setup.base).iso;
    setup.rating = setup.base;
    setup.shutter = nearestOnDial(camera.shutter, ShutterAngle(180.0), setup.rate);
    if (!shoot.brief.schools.empty())
        setup.school = shoot.brief.schools.front();
    setup.lens = camera.fixedLens;
    if (setup.lens.empty() && !shoot.kit.lenses.empty())
        setup.lens = shoot.kit.lenses.front().id;
    if (const auto* lens = findLens(shoot.kit, setup.lens))
        setup.iris = std::clamp(setup.iris, lens->widest, lens->narrowest);
    return setup;
}

Camera startingCamera(const Kit& kit) {
    Camera camera;
    camera.areas = {
        {"full", "Full sensor", Millimetres(36), Millimetres(20.25), Seconds(0), {}, {}}};
    camera.bases = {BaseIso{}};
    Codec codec;
    codec.id = "long";
    codec.name = "Long 10-bit 4:2:2";
    codec.chroma = Chroma::C422;
    codec.peak = 1.3;
    camera.codecs = {codec};
    RecordingMode mode;
    mode.id = "uhd";
    mode.name = "UHD";
    mode.area = "full";
    mode.codec = "long";
    mode.rates = {{FrameRate{Rational(24, 1)}, DataRate(100e6)},
                  {FrameRate{Rational(25, 1)}, DataRate(100e6)}};
    camera.modes = {mode};
    const auto times = thirdStopTimes();
    camera.shutter.times = {times.begin(), times.end()};
    camera.cardSlots = {{"slot-1", "slot 1", CardForm::Sd, "UHS-II", {}, {}}};
    camera.id = freshId(kit.cameras, "camera");
    for (const auto& profile : kit.profiles)
        if (profile.ready)
            camera.profiles.push_back(profile.id);
    return camera;
}

} // namespace bslate
