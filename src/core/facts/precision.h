#pragma once

#include "core/facts/evaluation.h"

#include <array>
#include <vector>

/// What a recording will bear in the grade: how many codes a stop has, how big a step one code is
/// on the display once the picture is normalised, and whether the sensor's own noise hides it.
namespace bslate {

struct PrecisionAt {
    Stops recorded;         ///< from mid-grey on the recording curve
    double codes = 0;       ///< in the stop around it, unrounded
    double displayStep = 0; ///< 8-bit display codes that one recorded code becomes
    double noise = 0;       ///< standard deviation in recorded codes
    bool bands = false;     ///< a step of more than kVisibleStep that no noise hides
    friend bool operator==(const PrecisionAt&, const PrecisionAt&) = default;
};

/// Steps above this many 8-bit display codes are seen in a smooth ramp, and noise of this many
/// recorded codes hides them: common practice, no source.
inline constexpr double kVisibleStep = 1.0;
inline constexpr double kHidingNoise = 0.5;

struct Precision {
    BitDepth depth;
    std::vector<PrecisionAt> stops; ///< each whole stop between the noise floor and the clip,
                                    ///< and half a stop under the clip
    /// How much the matrix to the BT.709 display multiplies chroma steps and noise, for red, green
    /// and blue: the norms of its rows. 1 for a recording in BT.709.
    std::array<double, 3> chromaGain{};
    double chromaSamples = 1; ///< colour samples for each pixel: 0.5 for 4:2:2, 0.25 for 4:2:0
    Stops firstBand{0};       ///< lowest and highest stop that bands; equal when only one does
    Stops lastBand{0};
    bool bands = false;
};

/// Of one resolved setup at the depth of its mode, or at another one to compare. The display is
/// BT.709 with the rating undone (signal/rating_lut.h); one code's step is
/// `255 * (D(code + 0.5) - D(code - 0.5))`, noise is `codes a stop * (sigma / n) / ln 2`. [D]
[[nodiscard]] Precision precisionOf(const SetupContext& context);
[[nodiscard]] Precision precisionOf(const SetupContext& context, BitDepth depth);

/// What each school of recording log in 8 bits would say of this scene and grade.
enum class EightBitAnswer {
    Enough,       ///< nothing bands in the scene's own range
    NormalGamut,  ///< no stop bands, but the gamut stretches chroma by more than a quarter
    OnlyIfNailed, ///< bands only outside the stops the scene uses: exposure must not miss
    Never         ///< bands where the scene is
};
/// How much a grade stretches contrast: half again for a full one, not at all for others (common
/// practice, no source).
[[nodiscard]] constexpr double contrastOf(GradeWeight weight) {
    return weight == GradeWeight::Full ? 1.5 : 1.0;
}

struct EightBits {
    EightBitAnswer answer = EightBitAnswer::Enough;
    Precision graded; ///< at 8 bits, after the grade has stretched it
};
/// Judged after contrastOf(weight).
[[nodiscard]] EightBits eightBits(const SetupContext& context, GradeWeight weight);

} // namespace bslate
