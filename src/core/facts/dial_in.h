#pragma once

#include "core/facts/reason.h"
#include "core/facts/setting_table.h"

#include <string>
#include <vector>

/// Exactly what to set on the camera, in the camera's own increments, in the order hands go over
/// it.
namespace bslate {

struct DialInRow {
    DialInField field = DialInField::Camera;
    Reason value;         ///< worded by reasonOf()
    bool changed = false; ///< differs from the last setup on the same camera

    friend bool operator==(const DialInRow&, const DialInRow&) = default;
};

struct DialInCard {
    std::string number;
    std::string name;
    std::vector<DialInRow> rows;
    std::string after; ///< number of the setup that `changed` compares with; empty for the first
    [[nodiscard]] int changes() const;

    friend bool operator==(const DialInCard&, const DialInCard&) = default;
};

/// The card of a setup; "changed" compares with the nearest earlier setup in the shoot's order
/// that uses the same camera. A setup that cannot be evaluated gives only the rows that can.
[[nodiscard]] DialInCard dialIn(const Shoot& shoot, const Setup& setup);

} // namespace bslate
