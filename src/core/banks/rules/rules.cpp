#include "core/banks/rules/rules.h"

namespace bslate::banks {

std::string Case::setupsOf(std::size_t bank) const {
    std::string numbers;
    for (std::size_t k = 0; k < threads.size(); ++k)
        if (threads[k] == static_cast<int>(bank))
            numbers += (numbers.empty() ? "" : ", ") + setups()[k].number;
    return numbers;
}

Case caseOf(const Shoot& shoot, const Camera& camera, const CameraPlan& plan, Threads threads,
            const CardFormats& formats) {
    auto now = planWith(plan.problem, threads);
    return {shoot,  camera, plan, std::move(threads), std::move(now), findRecord(shoot, camera.id),
            formats};
}

Findings findingsOf(const Case& now) {
    Findings findings;
    for (const auto& rules : {memoryRules(), controlRules()})
        for (const auto rule : rules)
            rule(now, findings);
    return findings;
}

} // namespace bslate::banks
