#pragma once

#include "core/banks/best_banks.h"
#include "support/random_below.h"
#include "support/sample_shoot.h"

#include <string>
#include <vector>

/// Small shoots with banks for the tests.
namespace bslate::sample {

inline Bank bank(std::string label, std::vector<BodySetting> without = {},
                 BankPlace place = BankPlace::Inside) {
    Bank bank;
    bank.label = std::move(label);
    bank.place = place;
    for (const auto setting : without)
        std::erase(bank.holds, setting);
    return bank;
}

/// A setup of the sample's scene that differs in a few things people turn.
inline Setup& addSetup(Shoot& shoot, const std::string& number, double kelvin, int iso = 800,
                       int rate = 24, double stop = 4) {
    Setup setup = shoot.setups.front();
    setup.id = "s" + number;
    setup.number = number;
    setup.white = Kelvin(kelvin);
    setup.rating = ExposureIndex(iso);
    setup.rate = FrameRate{Rational(rate, 1)};
    setup.shutter = ShutterAngle(180.0);
    setup.iris = TStop(stop);
    shoot.setups.push_back(setup);
    return shoot.setups.back();
}

/// The sample without its own setup, its camera with these banks.
inline Shoot bankShoot(std::vector<Bank> banks) {
    Shoot shoot = sample::shoot();
    shoot.kit.cameras[0].body.banks = std::move(banks);
    countBanks(shoot.kit.cameras[0]);
    shoot.scenes[0].patches.clear(); // no skin, so the zebra is the same everywhere
    return shoot;
}

inline CameraPlan planned(const Shoot& shoot) {
    return planCamera(shoot, shoot.kit.cameras[0]);
}

/// Setups of a few values each, on one or two days, in a body that forgets some of them.
inline Shoot randomBankShoot(Random& random, std::size_t setups) {
    constexpr BodySetting kForgotten[] = {BodySetting::Shutter, BodySetting::White,
                                          BodySetting::Rating, BodySetting::Rate};
    std::vector<Bank> banks;
    const std::size_t count = 1 + below(random, 3);
    for (std::size_t b = 0; b < count; ++b) {
        banks.push_back(bank(std::to_string(b + 1)));
        if (below(random, 2) == 0)
            std::erase(banks.back().holds, kForgotten[below(random, 4)]);
        banks.back().locked = below(random, 6) == 0;
    }
    Shoot shoot = bankShoot(std::move(banks));
    if (below(random, 2) == 0)
        shoot.kit.cameras[0].body.slips = {{BodySetting::White, SlipCause::PowerOn, "5600 K", {}}};
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[1].id = "second";
    shoot.scenes[1].day = 2;
    const Setup first = shoot.setups.front();
    for (std::size_t k = 0; k < setups; ++k) {
        auto& setup = addSetup(
            shoot, std::to_string(k + 1), 3200 + 1200.0 * static_cast<double>(below(random, 3)),
            below(random, 2) ? 400 : 800, below(random, 3) ? 24 : 60, below(random, 2) ? 2.8 : 4);
        if (below(random, 3) == 0)
            setup.scene = "second";
    }
    shoot.setups.erase(shoot.setups.begin());
    return shoot;
}

} // namespace bslate::sample
