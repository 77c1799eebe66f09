#pragma once

#include "core/kit/series_plan.h"
#include "core/words/card_text.h"

namespace bslate::app {

/// The printed card of an exposure series: how the chart is lit, the frames in their order, and how
/// to read them.
[[nodiscard]] Card seriesCard(const SeriesPlan& plan, const Kit& kit, const Camera& camera,
                              const Profile& profile);

} // namespace bslate::app
