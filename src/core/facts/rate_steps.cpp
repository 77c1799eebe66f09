#include "core/facts/rate_steps.h"

#include "core/facts/cadence_facts.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

FrameRate nearestOf(const std::vector<FrameRate>& rates, double wanted) {
    const auto miss = [&](FrameRate rate) { return std::abs(rate.toDouble() / wanted - 1); };
    return *std::min_element(rates.begin(), rates.end(),
                             [&](FrameRate a, FrameRate b) { return miss(a) < miss(b); });
}

} // namespace

FrameRate stepRate(const RecordingMode& mode, FrameRate rate, int places) {
    const auto rates = ratesOf(mode);
    if (rates.empty())
        return rate;
    // The first one not slower than the present, so that an unlisted rate steps onto the list.
    const auto here = std::lower_bound(rates.begin(), rates.end(), rate) - rates.begin();
    const auto last = static_cast<std::ptrdiff_t>(rates.size()) - 1;
    const bool listed = here <= last && rates[static_cast<std::size_t>(here)] == rate;
    const auto wanted = here + places - (!listed && places > 0 ? 1 : 0);
    return rates[static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(wanted, 0, last))];
}

FrameRate rateNear(const SetupContext& context, Hertz wished) {
    const auto listed = ratesOf(*context.mode);
    if (listed.empty())
        return context.setup->rate;
    auto all = listed;
    if (const auto& off = context.mode->offSpeed)
        for (int rate = 1; rate <= 1000; ++rate)
            if (const FrameRate whole{Rational(rate, 1)};
                whole >= off->slowest && whole <= off->fastest)
                all.push_back(whole);
    const double asked = context.shoot->brief.rate.toDouble() * context.scene->slowMotion.value();
    for (const FrameRate drawing : {nearestOf(all, asked), nearestOf(listed, wished.value())})
        if (std::abs(drawing.toDouble() / wished.value() - 1) < kNearRate)
            return drawing;
    return nearestOf(all, wished.value());
}

} // namespace bslate
