#pragma once

#include "core/base/result.h"
#include "core/frame/image.h"
#include "core/signal/code_values.h"

#include <array>
#include <optional>
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
    /// Means of luma of equal strips from the top down, each by its columns from the left; or none.
    std::vector<double> strips;
    friend bool operator==(const RegionCode&, const RegionCode&) = default;
};
struct RegionCodes {
    BitDepth depth;
    bool full = false; ///< range as it is tagged
    bool wide = false; ///< matrix of ITU-R BT.2020; else BT.709
    bool whole = true; ///< no pictures are left out at the end
    std::vector<RegionCode> frames;
    /// Red, green and blue of pixels of some of the frames, by 1024 steps of the depth's codes.
    std::array<std::vector<int>, 3> counts;
    friend bool operator==(const RegionCodes&, const RegionCodes&) = default;
};

/// What is asked of a clip: places, how many frames, and whether strips are wanted.
struct RegionQuestion {
    std::vector<PictureArea> areas; ///< 1 to kMostRegions
    std::size_t frames = kMostRegionFrames;
    bool strips = false;
    friend bool operator==(const RegionQuestion&, const RegionQuestion&) = default;
};
inline constexpr std::size_t kMostRegions = 16;
inline constexpr std::size_t kRegionStrips = 24, kRegionColumns = 8;
inline constexpr std::size_t kCountSteps = 1024;

/// As an argument of the helper.
[[nodiscard]] std::string questionText(const RegionQuestion& question);
/// Nothing for a text that is none of ours.
[[nodiscard]] std::optional<RegionQuestion> readQuestion(const std::string& text);

/// One for each place, in their order.
[[nodiscard]] std::string regionText(const std::vector<RegionCodes>& regions);
/// Fails with the error that was sent, or with WrongFormat when it is none of ours.
[[nodiscard]] Result<std::vector<RegionCodes>> readRegionText(const std::string& text);

} // namespace bslate::io
