#include "core/facts/tested_zebra.h"

#include "core/facts/evaluate.h"
#include "core/kit/profile_edit.h"

namespace bslate {

std::optional<ZebraValue> clipZebraAfterTest(const Kit& kit, const Camera& camera,
                                             const Profile& nominal, ExposureIndex base,
                                             const SeriesFit& fit) {
    if (!fit.firstClip())
        return std::nullopt;
    Measurement measured = measurementOf(fit, {}, 2.0);
    measured.camera = camera.id;
    measured.nominal = nominal.id;
    measured.base = base;
    auto tested = withMeasured(kit, measured, fit.curve);
    if (!tested)
        return std::nullopt;
    Shoot shoot;
    shoot.kit = *std::move(tested);
    shoot.scenes.emplace_back();
    Setup setup;
    setup.camera = camera.id;
    for (const auto& profile : shoot.kit.profiles)
        if (profile.measured && profile.measured->camera == camera.id &&
            profile.measured->nominal == nominal.id && profile.measured->base == base)
            setup.profile = profile.id;
    setup.base = setup.rating = base;
    for (const auto& mode : findCamera(shoot.kit, camera.id)->modes) {
        if (!allows(mode, setup.profile) || mode.rates.empty())
            continue;
        setup.mode = mode.id;
        setup.rate = mode.rates.front().rate;
        const auto at = evaluate(shoot, setup);
        if (!at)
            return std::nullopt;
        for (const auto& zebra : at->zebra)
            if (zebra.use == ZebraUse::Clip && zebra.reachable)
                return zebra;
        return std::nullopt;
    }
    return std::nullopt;
}

} // namespace bslate
