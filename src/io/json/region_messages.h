#pragma once

#include "core/base/result.h"
#include "core/signal/code_values.h"

#include <array>
#include <string>
#include <vector>

/// What the helper sends of a place in a clip's pictures. Private to io and its helper.
namespace bslate::io {

inline constexpr std::size_t kMostRegionFrames = 5000;

/// One picture: when, the means of luma and both colour differences, and how much a pixel of luma
/// differs from the picture before, as a standard deviation of one; below 0 for the first.
struct RegionCode {
    double seconds = 0;
    std::array<double, 3> means{};
    double noise = -1;
    friend bool operator==(const RegionCode&, const RegionCode&) = default;
};
struct RegionCodes {
    BitDepth depth;
    bool full = false; ///< range as it is tagged
    bool wide = false; ///< matrix of ITU-R BT.2020; else BT.709
    bool whole = true; ///< no pictures are left out at the end
    std::vector<RegionCode> frames;
    friend bool operator==(const RegionCodes&, const RegionCodes&) = default;
};

[[nodiscard]] std::string regionText(const RegionCodes& codes);
/// Fails with the error that was sent, or with WrongFormat when it is none of ours.
[[nodiscard]] Result<RegionCodes> readRegionText(const std::string& text);

} // namespace bslate::io
