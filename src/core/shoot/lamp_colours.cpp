#include "core/shoot/lamp_colours.h"

#include <algorithm>

namespace bslate {
namespace {

UsualColour usual(double cct, double duv, double warmest, double coolest) {
    const Duv off = duv == 0 ? usualDuv(Kelvin(cct)) : Duv(duv);
    return {{Kelvin(cct), off}, Kelvin(warmest), Kelvin(coolest)};
}

// Each lamp's share where those that tell none divide the rest.
void divide(const std::vector<Lamp>& lamps, std::optional<Fraction> Lamp::*told,
            Fraction SceneLight::*share, std::vector<SceneLight>& lights) {
    double sum = 0;
    int silent = 0;
    for (const auto& lamp : lamps)
        if (lamp.*told)
            sum += (lamp.*told)->value();
        else
            ++silent;
    for (std::size_t i = 0; i < lamps.size(); ++i)
        lights[i].*share = (lamps[i].*told)
                               ? *(lamps[i].*told)
                               : Fraction(std::max(0.0, 1 - sum) / std::max(1, silent));
}

void divideBehind(const std::vector<Lamp>& lamps, std::vector<SceneLight>& lights) {
    const auto tells = [](const Lamp& lamp) { return lamp.behind.has_value(); };
    const auto stands = [](const Lamp& lamp) { return lamp.side == LightSide::Background; };
    if (std::any_of(lamps.begin(), lamps.end(), tells))
        return divide(lamps, &Lamp::behind, &SceneLight::behind, lights);
    const auto count = std::count_if(lamps.begin(), lamps.end(), stands);
    for (std::size_t i = 0; i < lamps.size(); ++i)
        lights[i].behind =
            count == 0 ? lights[i].share : Fraction(stands(lamps[i]) ? 1.0 / double(count) : 0.0);
}

void dress(const Lamp& lamp, const Kit& kit, SceneLight& light) {
    for (const auto& id : lamp.gels)
        if (const auto* gel = findGel(kit, id)) {
            light.colour = gelled(light.colour, *gel);
            if (light.end)
                light.end = gelled(*light.end, *gel);
            light.loss += lossOf(*gel);
        }
    const double passed = 1 / ratio(light.loss);
    light.share = Fraction(light.share.value() * passed);
    light.behind = Fraction(light.behind.value() * passed);
}

SceneLight lightWith(const UsualColour& guess, const std::optional<LightColour>& told) {
    SceneLight light;
    light.usual = !told;
    light.bare = told ? pointOf(*told) : guess.colour;
    light.colour = light.bare;
    light.warmest = told ? told->cct : guess.warmest;
    light.coolest = told ? told->cct : guess.coolest;
    light.share = light.behind = Fraction(1);
    return light;
}

} // namespace

UsualColour usualColour(LampKind kind, const Scene& scene) {
    switch (kind) {
    case LampKind::Filament:
        return usual(2850, 0, 2600, 3200);
    case LampKind::Ballast:
        return usual(4100, 0.008, 3500, 4500);
    case LampKind::Electronic:
    case LampKind::DimmedLed:
    case LampKind::Rectified:
    case LampKind::Measured:
        return usual(5000, 0, 3000, 6500);
    case LampKind::Steady:
        break;
    }
    return scene.described ? usualColour(*scene.described) : usual(5600, 0, 5000, 6500);
}

std::vector<SceneLight> colouredLights(const Scene& scene, const Kit& kit) {
    std::vector<SceneLight> lights;
    if (scene.lamps.empty()) {
        if (scene.light || scene.described)
            lights.push_back(lightWith(usualColour(LampKind::Steady, scene), scene.light));
        return lights;
    }
    lights.reserve(scene.lamps.size());
    for (const auto& lamp : scene.lamps) {
        lights.push_back(lightWith(usualColour(lamp.kind, scene), lamp.colour));
        auto& light = lights.back();
        light.lamp = lights.size() - 1;
        if (lamp.colourEnd)
            light.end = pointOf(*lamp.colourEnd);
    }
    divide(scene.lamps, &Lamp::share, &SceneLight::share, lights);
    divideBehind(scene.lamps, lights);
    for (std::size_t i = 0; i < lights.size(); ++i)
        dress(scene.lamps[i], kit, lights[i]);
    return lights;
}

std::optional<ColourPoint> mixtureOf(std::span<const SceneLight> lights,
                                     Fraction SceneLight::*share) {
    LightMixture mixture;
    for (const auto& light : lights)
        mixture.add(light.colour, light.*share);
    return mixture.colour();
}

} // namespace bslate
