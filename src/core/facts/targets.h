#pragma once

#include "core/facts/schools.h"
#include "core/facts/zebra.h"

#include <vector>

/// What each exposure tool should read on this curve, for every school: the scene's grey put where
/// the school wants it, and the levels that follow from it, in the camera's own steps.
namespace bslate {

enum class TargetTool {
    ZebraLimit,     ///< stripes from here up: the skin's own level
    ZebraBand,      ///< a level and a range that hold the skin
    ZebraClip,      ///< the last step that warns before the clip
    GreyCard,       ///< 18 % card
    SkinRange,      ///< quarter of a stop either side of the skin's tone
    WhiteCard,      ///< 90 % card
    HighlightLimit, ///< brightest level to allow on a waveform
    HistogramGap,   ///< share of the histogram's width to keep free at its right end
    BlackLine       ///< where noise takes over, on a waveform
};

/// Levels in percent of legal range, as a waveform shows them; for HistogramGap, percent of the
/// histogram's width.
struct ToolTarget {
    TargetTool tool = TargetTool::GreyCard;
    Level low{0};
    Level high{0};  ///< equal to low for a single line
    Level set{0};   ///< zebra: on the camera's dial; others: low
    Level range{0}; ///< ZebraBand: plus and minus this, on the dial; others: 0
    Stops at{0};    ///< recorded stops of the middle
    ZebraTap tap = ZebraTap::Recorded;
    bool reachable = true; ///< false when the dial, or the recording, does not go there
    bool inUse = true;     ///< false for a tap or kind of zebra this camera does not have
    friend bool operator==(const ToolTarget&, const ToolTarget&) = default;
};

/// A stop of exposure as a band of levels.
struct StopBand {
    Stops fromGrey; ///< its middle, whole stops from the school's grey
    Level low{0};
    Level high{0};
    bool clipped = false; ///< any of it lies beyond the clip
    bool noisy = false;   ///< any of it lies under the noise floor
    friend bool operator==(const StopBand&, const StopBand&) = default;
};

struct SchoolTargets {
    School school = School::Nominal;
    Stops shift{0}; ///< exposure to add to be there
    Stops grey{0};  ///< recorded stops of the scene's grey there
    std::vector<ToolTarget> tools;
    std::vector<StopBand> bands; ///< from the noise floor to the clip
};

/// Half the range in which skin of one face lies, stops: common practice, no source.
inline constexpr Stops kSkinSpread{0.25};
inline constexpr Reflectance kWhiteCard{0.9};

/// The schools that have a reference in this scene, in the order of kSchools. Skin is the scene's
/// own (its first skin patch), else light skin.
[[nodiscard]] std::vector<SchoolTargets> targetsOf(const SetupContext& context,
                                                   const Evaluation& at);

/// Of the setup's own school; its curve's nominal placement when the scene gives no reference.
[[nodiscard]] SchoolTargets targetsInUse(const SetupContext& context, const Evaluation& at);

/// `zebra_limit`, ... as scripts read it.
[[nodiscard]] std::string_view nameOf(TargetTool tool);

} // namespace bslate
