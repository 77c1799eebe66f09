#include "core/kit/series_plan.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

constexpr Stops kNearEnough{0.1}, kFarOff{0.25};
constexpr double kWidest = 1.4, kNarrowest = 22; // T-stops a test lens is taken to have

class Planner {
public:
    Planner(const Kit& kit, const Camera& camera, const SeriesWish& wish, Stops brightest)
        : m_filters(filtersFor(kit, camera))
        , m_slots(kit.filterStages)
        , m_dial(camera.shutter)
        , m_wish(wish) {
        m_shutter = nearestOnDial(m_dial, ShutterAngle(180), wish.rate);
        // Filters to take away on the way up; the shutter gives at most one stop more itself.
        const auto stack = nearestStack(m_filters, brightest - Stops(1), m_slots);
        m_reference = stack;
    }

    // The shutter alone, then with other filters, and only then the iris.
    [[nodiscard]] SeriesStep step(Stops wanted) const {
        const auto plain = with(m_reference, wanted, false);
        if (isNear(plain))
            return plain;
        const auto other =
            with(nearestStack(m_filters, std::max(m_reference.loss - wanted, Stops(0)), m_slots),
                 wanted, false);
        const auto& better = distance(other) < distance(plain) ? other : plain;
        return distance(better) < kFarOff.value() ? better : with(m_reference, wanted, true);
    }

    [[nodiscard]] Stops referenceLoss() const { return m_reference.loss; }
    [[nodiscard]] Seconds referenceTime() const { return exposureTime(m_shutter, m_wish.rate); }

private:
    static double distance(const SeriesStep& step) {
        return std::abs((step.given - step.wanted).value());
    }
    static bool isNear(const SeriesStep& step) { return distance(step) < kNearEnough.value(); }

    // These filters, the shutter for the rest, the iris in whole stops for what is left if it may.
    [[nodiscard]] SeriesStep with(const FilterStack& stack, Stops wanted, bool turnIris) const {
        SeriesStep step;
        step.wanted = wanted;
        step.iris = m_wish.iris;
        for (const auto pick : stack.picks)
            step.filters.push_back(m_filters[pick].id);
        const Stops byFilters = m_reference.loss - stack.loss;
        set(step, wanted - byFilters);
        step.given = byFilters + byShutter(step);
        const double missing = std::round((wanted - step.given).value());
        if (missing == 0 || !turnIris)
            return step;
        const double number = step.iris.value() * std::exp2(-missing / 2);
        step.iris = TStop(std::clamp(number, kWidest, kNarrowest));
        const Stops byIris(2 * std::log2(m_wish.iris.value() / step.iris.value()));
        set(step, wanted - byFilters - byIris);
        step.given = byFilters + byIris + byShutter(step);
        return step;
    }

    void set(SeriesStep& step, Stops change) const {
        const Seconds time = referenceTime() * ratio(change);
        const Seconds longest(1.0 / m_wish.rate.toDouble());
        step.shutter = nearestOnDial(m_dial, std::min(time, longest), m_wish.rate);
    }
    [[nodiscard]] Stops byShutter(const SeriesStep& step) const {
        return stopsBetween(exposureTime(step.shutter, m_wish.rate), referenceTime());
    }

    std::vector<Filter> m_filters;
    int m_slots;
    const ShutterDial& m_dial;
    const SeriesWish& m_wish;
    Shutter m_shutter;
    FilterStack m_reference;
};

} // namespace

SeriesPlan planSeries(const Kit& kit, const Camera& camera, const Profile& profile,
                      const BaseIso& base, const SeriesWish& wish) {
    const Stops clip = std::min(base.sensor.clip, endStops(profile.curve, BitDepth{10}));
    const double bright = std::ceil(clip.value()) + 1;
    const double dark = std::floor(noiseFloor(base.sensor, wish.snr).value()) - 2;
    const Planner planner(kit, camera, wish, Stops(bright));
    SeriesPlan plan;
    plan.base = base.iso;
    plan.rate = wish.rate;
    const auto reference = [&] {
        auto step = planner.step(Stops(0));
        step.reference = true;
        plan.steps.push_back(step);
    };
    reference();
    const double fine = std::floor(clip.value()) - 2;
    for (double stop = 1; stop < fine; stop += 1)
        plan.steps.push_back(planner.step(Stops(stop)));
    for (double third = 3 * fine; third <= 3 * bright; third += 1)
        if (third > 0)
            plan.steps.push_back(planner.step(Stops(third / 3)));
    reference();
    for (double stop = -1; stop >= dark; stop -= 1)
        plan.steps.push_back(planner.step(Stops(stop)));
    reference();
    const double time = planner.referenceTime().value();
    plan.card = CandelaPerM2(wish.meter.k * wish.iris.value() * wish.iris.value() /
                             (base.iso.value() * time) * ratio(planner.referenceLoss()));
    plan.light = illuminance(plan.card, Reflectance(kMidGrey.value()));
    return plan;
}

} // namespace bslate
