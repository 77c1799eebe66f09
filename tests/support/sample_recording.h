#pragma once

#include "core/facts/lattice.h"
#include "core/words/wording.h"
#include "support/sample_shoot.h"

#include <string>

/// The sample shoot with more ways of recording, for everything that judges modes.
namespace bslate::sample {

inline FrameRate fps(int n) {
    return {Rational(n, 1)};
}

/// The sample's first camera with a crop area, a long codec, slots and cards.
struct Bench {
    Shoot shoot = sample::shoot();
    Camera& camera = shoot.kit.cameras[0];

    Bench() {
        camera.areas[0].fastest = fps(60);
        camera.areas.push_back(
            {"crop", "Centre", Millimetres(24), Millimetres(13.5), Seconds(0.006), fps(120), {}});
        Codec light;
        light.id = "long";
        light.name = "Long 8-bit";
        light.container = "MP4";
        light.depth = BitDepth{8};
        light.rates = {fps(24), fps(60), fps(120)};
        light.peak = 1.3;
        camera.codecs.push_back(light);
        RecordingMode fast = camera.modes[0];
        fast.id = fast.name = "fast";
        fast.area = "crop";
        fast.rates = {{fps(120), DataRate(1200e6)}};
        fast.sound = false;
        RecordingMode lean = camera.modes[0];
        lean.id = lean.name = "lean";
        lean.codec = "long";
        lean.rates = {{fps(24), DataRate(100e6)}, {fps(60), DataRate(150e6)}};
        camera.modes.push_back(fast);
        camera.modes.push_back(lean);
        camera.cardSlots = {{"sd", "SD slot", CardForm::Sd, "UHS-II", {}, {}}};
        shoot.kit.cards = {
            {"v60", "V60", CardForm::Sd, DataSize(128e9), "V60", "UHS-II", 1, {}, 1, {}},
            {"v30", "V30", CardForm::Sd, DataSize(256e9), "V30", "UHS-I", 1, {}, 1, {}}};
    }

    [[nodiscard]] LatticeCase question() const {
        return {&shoot.kit, &camera, &shoot.setups[0], &shoot.scenes[0], &shoot.brief};
    }
    [[nodiscard]] ModeCell cell(const char* mode, int rate) const {
        return cellOf(question(), *findMode(camera, mode), fps(rate));
    }
    [[nodiscard]] std::string why(const char* mode, int rate) const {
        const auto judged = cell(mode, rate);
        return judged.reasons.empty() ? "" : reasonOf(judged.reasons.front());
    }
};

} // namespace bslate::sample
