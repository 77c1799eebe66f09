#pragma once

#include "core/day/day_verdict.h"
#include "core/shoot/take_line.h"
#include "core/words/wording.h"
#include "support/sample_day.h"

#include <string>

/// A day planned and judged, for tests that look at what is said.
namespace bslate::sample {

struct JudgedDay {
    ShootDay day;
    DayPlan plan;
    std::vector<Finding> findings;

    [[nodiscard]] const Finding* find(FindingId id) const {
        for (const auto& finding : findings)
            if (finding.id == id)
                return &finding;
        return nullptr;
    }
    [[nodiscard]] std::string told() const {
        std::string text;
        for (const auto& finding : findings)
            text += titleOf(finding) + "\n";
        return text;
    }
    [[nodiscard]] int faults() const { return countOf(findings, Severity::Fault); }
};

inline JudgedDay judged(const Shoot& shoot, DayRemedies remedies = DayRemedies::None) {
    JudgedDay result;
    result.day = dayOf(shoot, 1);
    result.plan = planDay(shoot, result.day);
    result.findings = judgeDay(shoot, result.day, result.plan, {remedies});
    return result;
}

} // namespace bslate::sample
