#pragma once

#include "core/day/plan_day.h"

/// What has to be in the bags, and what is written on the cards.
namespace bslate {

enum class PackKind { Camera, Lens, Filter, Card, Battery, Reader, Drive, Charger };

struct PackRow {
    PackKind kind = PackKind::Card;
    std::string name;
    int needed = 0; ///< on the busiest day
    int owned = 0;
    friend bool operator==(const PackRow&, const PackRow&) = default;
};

/// What is stuck on one card.
struct CardLabel {
    std::string label;              ///< "C1"
    std::string name;               ///< "CFexpress B 512 GB 1"
    std::vector<std::string> where; ///< by day and camera: "day 2 Tarn 6: 3A, 4A+4B"
    friend bool operator==(const CardLabel&, const CardLabel&) = default;
};

struct PackList {
    std::vector<PackRow> rows; ///< by kind; things nobody needs are left out
    std::vector<CardLabel> labels;
    std::vector<std::string> overAirLimit; ///< batteries of more than kAskTheAirline
    int days = 0;                          ///< that are planned
};

/// Of all days that have takes.
[[nodiscard]] PackList packListOf(const Shoot& shoot, const PlanEffort& effort = {});

} // namespace bslate
