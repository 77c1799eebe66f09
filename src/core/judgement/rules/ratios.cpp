#include "core/advice/offer.h"
#include "core/facts/light_ratios.h"
#include "core/judgement/rules/rules.h"

#include <algorithm>
#include <cmath>

namespace bslate::rules {

static void ratios(const Case& now, Findings& out) {
    constexpr Stops kClose{1.0 / 3}; // common practice, no source
    constexpr ByEnum<RatioKind, std::string_view> kIds{"ratio-key-fill", "ratio-key-kicker",
                                                       "ratio-subject-background"};
    const auto& scene = *now.context.scene;
    const auto& meter = now.context.shoot->meter;
    for (const auto& ratio : lightRatiosOf(scene, meter)) {
        if (!ratio.wanted)
            continue;
        const bool met = std::abs(ratio.move.value()) <= kClose.value() + 1e-9;
        Finding finding{met ? FindingId::RatioMet : FindingId::RatioOff,
                        met ? Severity::Good : Severity::Caution,
                        {{"which", ReasonList{{{kIds[ratio.kind], {}}}}},
                         {"measured", printRatio(ratio.measured)},
                         {"wanted", printRatio(*ratio.wanted)},
                         {"stops", ratio.measured},
                         {"off", Stops(std::abs(ratio.move.value()))}}};
        finding.subject = kIds[ratio.kind];
        if (!met && now.remedies) {
            Edit edit;
            edit.scene = relit(scene, ratio.moves, ratio.move);
            const auto after = lightRatiosOf(*edit.scene, meter);
            const bool cured = std::any_of(after.begin(), after.end(), [&](const LightRatio& one) {
                return one.kind == ratio.kind && std::abs(one.move.value()) < 0.01;
            });
            const auto lamp = ratio.lamp.empty() ? Reason{"the-side", {}} : named(ratio.lamp);
            Remedy remedy{RemedyId::MoveLight,
                          {{"lamp", ReasonList{{lamp}}}, {"by", ratio.move}},
                          std::move(edit)};
            offer(now, finding.remedies, std::move(remedy),
                  [&](const Evaluation&) { return cured; });
        }
        out.push_back(std::move(finding));
    }
}

std::span<const Rule> ratiosRules() {
    static constexpr Rule kRules[] = {ratios};
    return kRules;
}

} // namespace bslate::rules
