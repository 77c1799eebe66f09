#include "core/facts/focus_limits.h"

#include "core/shoot/handling_of.h"

namespace bslate {

std::vector<FocusLimit> focusLimitsOf(const SetupContext& context, const Evaluation& at) {
    const auto focus = handlingOf(*context.scene, *context.setup).focus;
    if (focus != FocusBy::Continuous && focus != FocusBy::Faces)
        return {};
    if (at.cell.hasCost(CostKind::Focus))
        return {FocusLimit::Rate};
    std::vector<FocusLimit> limits;
    if (at.grey && *at.grey >= kBrightForFocus)
        limits.push_back(FocusLimit::Bright);
    if (context.ndLoss >= kDarkForFocus)
        limits.push_back(FocusLimit::Nd);
    if (context.setup->wireless)
        limits.push_back(FocusLimit::Wireless);
    return limits;
}

} // namespace bslate
