#pragma once

#include "core/advice/levers.h"
#include "core/facts/evaluate.h"
#include "support/sample_shoot.h"

#include <random>

/// Random shoots for what must hold of all of them.
namespace bslate::sample {

// A random day: light, rating, filters, school and payer are anybody's.
inline Shoot anyShoot(unsigned seed) {
    std::mt19937 random(seed);
    std::uniform_real_distribution<double> unit(0, 1);
    Shoot shoot = sample::shoot();
    Setup& setup = shoot.setups[0];
    setup.iris = TStop(std::exp2(1 + unit(random) * 3.4));
    setup.rating = nearestRating(ExposureIndex(200 * std::exp2(unit(random) * 5)));
    setup.profile = seed % 3 == 0 ? "recorded" : "index";
    setup.payer = static_cast<Payer>(seed % 5);
    setup.school = static_cast<School>(seed / 5 % 5);
    if (seed % 2)
        setup.filters = {"nd6", "nd9"};
    auto& kit = shoot.kit;
    for (std::size_t i = 0; i < kit.filters.size(); ++i)
        kit.filters[i].name = "filter " + std::to_string(i);
    for (auto& item : shoot.scenes[0].patches)
        item.reading.value *= std::exp2((unit(random) - 0.5) * 4);
    return shoot;
}

// What a shoot can have besides: light on its way up or down, lamps that pulse, a wish of depth, a
// shutter that somebody left there, two setups in the scene.
inline Shoot anyWorkingDay(unsigned seed) {
    Shoot shoot = anyShoot(seed);
    std::mt19937 random(seed * 7919u + 1u);
    const auto one = [&](double from, double to) {
        return from + (to - from) * (static_cast<double>(random()) / 4294967296.0);
    };
    auto& scene = shoot.scenes[0];
    auto& setup = shoot.setups[0];
    shoot.brief.mains = Hertz(seed % 2 ? 50 : 60);
    if (seed % 3 != 0)
        scene.change = LightChange{shifted(greyCard(scene)->reading, Stops(one(-4, 4))),
                                   Seconds(one(600, 7200))};
    if (seed % 4 != 0) {
        Lamp lamp;
        lamp.name = "tubes";
        lamp.kind = LampKind::Ballast;
        lamp.share = Fraction(one(0.2, 1));
        lamp.colour = LightColour{Kelvin(one(2600, 7000)), Duv(one(-0.01, 0.015))};
        scene.lamps.push_back(lamp);
    }
    if (seed % 5 != 0) {
        const double widest = one(1, 5);
        scene.depth = DepthWish{TStop(std::exp2(widest / 2)), TStop(std::exp2((widest + 2) / 2))};
    }
    const double angles[] = {172.8, 180, 144, 90, 216, 300, 86.4};
    setup.shutter = ShutterAngle(angles[random() % 7]);
    setup.shutterSchool = static_cast<ShutterSchool>(random() % 4);
    if (seed % 2)
        setup.camera = "times";
    if (seed % 7 == 0)
        setup.base = ExposureIndex(5000);
    setup.white = Kelvin(std::round(one(25, 90)) * 100);
    if (seed % 6 == 0)
        setup.wantedWhite = Kelvin(4300);
    Setup second = setup;
    second.id = "t";
    second.number = "2B";
    second.iris = TStop(std::exp2(one(2, 8) / 2));
    shoot.setups.push_back(second);
    return shoot;
}

} // namespace bslate::sample
