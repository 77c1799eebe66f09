#pragma once

#include "core/shoot/shoot.h"

#include <cmath>

/// A small shoot built in code for the core's tests: one index camera, one recorded-ISO camera,
/// one scene of six patches.
namespace bslate::sample {

inline Profile logProfile(std::string id, IsoBehaviour iso) {
    Profile profile;
    profile.id = std::move(id);
    profile.name = profile.id;
    profile.curve = {CameraLog{2.0, 0.0735, 0.400, 6.0, 0.05, 0.01, std::nullopt}, CodeRange::Full,
                     std::nullopt};
    profile.iso = iso;
    profile.minimum = ExposureIndex(200);
    profile.maximum = ExposureIndex(12800);
    return profile;
}

inline Camera camera(std::string id, ShutterDial shutter) {
    Camera camera;
    camera.id = std::move(id);
    camera.name = camera.id;
    camera.bases = {{ExposureIndex(800), {Electrons(58000), Electrons(3.4), 0, Stops(6.1)}, {}},
                    {ExposureIndex(5000), {Electrons(9280), Electrons(1.6), 0, Stops(6.1)}, {}}};
    camera.areas = {{"full", "Whole", Millimetres(36), Millimetres(20), Seconds(0.012), {}, {}}};
    Codec codec;
    codec.id = "intra";
    codec.name = "Intra 10-bit 4:2:2";
    codec.gop = Gop::Intra;
    codec.chroma = Chroma::C422;
    camera.codecs = {codec};
    RecordingMode mode;
    mode.id = "main";
    mode.name = "main";
    mode.area = "full";
    mode.codec = "intra";
    mode.rates = {{FrameRate{Rational(24, 1)}, DataRate(240e6)},
                  {FrameRate{Rational(60, 1)}, DataRate(600e6)}};
    camera.modes = {mode};
    camera.shutter = std::move(shutter);
    camera.zebra = {1.0, Level(0), Level(109), ZebraTap::Recorded, {ZebraKind::Limit}};
    return camera;
}

inline Patch patch(std::string id, PatchRole role, double candela) {
    Patch patch;
    patch.id = std::move(id);
    patch.name = patch.id;
    patch.role = role;
    patch.reading = {candela, LightUnit::CandelaPerM2};
    return patch;
}

inline Shoot shoot() {
    Shoot shoot;
    shoot.title = "sample";
    shoot.kit.profiles = {logProfile("index", IsoBehaviour::Index),
                          logProfile("recorded", IsoBehaviour::Recorded),
                          logProfile("note", IsoBehaviour::Note)};
    const auto thirds = thirdStopTimes();
    shoot.kit.cameras = {camera("angles", {0.1, {}}),
                         camera("times", {0, {thirds.begin(), thirds.end()}})};
    Lens lens;
    lens.id = lens.name = "lens";
    lens.widest = TStop(2);
    lens.narrowest = TStop(std::exp2(4.5));
    shoot.kit.lenses = {lens};
    for (const double density : {0.3, 0.6, 0.9, 1.2, 1.8})
        shoot.kit.filters.push_back({"nd" + std::to_string(std::lround(density * 10)),
                                     "ND",
                                     {NdTradition::Density, density},
                                     false,
                                     false,
                                     {},
                                     {}});
    Scene scene;
    scene.id = "scene";
    scene.name = "Doorway";
    scene.patches = {
        patch("hopper", PatchRole::Shadow, 0.33),     patch("beam", PatchRole::Shadow, 5.7),
        patch("grey", PatchRole::Grey, 26),           patch("skin", PatchRole::SkinLight, 52),
        patch("limewash", PatchRole::Highlight, 128), patch("sky", PatchRole::Highlight, 1260)};
    shoot.scenes = {scene};
    Setup setup;
    setup.id = "s";
    setup.number = "2A";
    setup.scene = "scene";
    setup.camera = "angles";
    setup.mode = "main";
    setup.profile = "index";
    setup.lens = "lens";
    setup.shutter = ShutterAngle(172.8);
    setup.iris = TStop(4);
    shoot.setups = {setup};
    return shoot;
}

/// A test of a body in one of its profiles, standing beside the nominal one.
inline Profile measuredProfile(const Profile& nominal, std::string id, std::string camera) {
    Profile profile = nominal;
    profile.id = std::move(id);
    profile.measured = Measurement{};
    profile.measured->camera = std::move(camera);
    profile.measured->nominal = nominal.id;
    return profile;
}

/// "This profile wants that setting."
inline Constraint ruleOn(const char* profile, ConstraintKind kind, SettingKey key,
                         const char* value) {
    return {"rule",
            {{SettingKey::Profile, {SettingValue(std::string(profile))}, {}, {}}},
            kind,
            {{key, {SettingValue(std::string(value))}, {}, {}}},
            "as its maker says",
            {}};
}

} // namespace bslate::sample
