#include "core/facts/precision.h"

#include "core/facts/evaluate.h"

#include "core/signal/rating_lut.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

constexpr double kNormalGain = 1.25; // chroma gain that a normal matrix stays under

Signal signalOfCode(double code, CodeRange range, BitDepth depth) {
    return signalAt(levelOfCode(code, depth), range, depth);
}

// 8-bit display code of a recorded code, the rating undone.
double displayCode(const Profile& profile, double code, BitDepth depth, Stops viewed) {
    const auto light = decode(profile.curve, signalOfCode(code, profile.curve.range, depth));
    const SceneLinear shown(light.value() * ratio(viewed));
    return 255.0 * shownSignal(profile.curve, profile.ready, shown).value();
}

PrecisionAt rowAt(const SetupContext& context, const Evaluation& at, BitDepth depth, Stops stops,
                  double contrast) {
    const auto& curve = context.profile->curve;
    PrecisionAt row;
    row.recorded = stops;
    row.codes = codesInStop(curve, stops, depth);
    const double code = codeOf(encode(curve, linearAt(stops)), curve.range, depth);
    row.displayStep =
        contrast * (displayCode(*context.profile, code + 0.5, depth, at.ratingOffset) -
                    displayCode(*context.profile, code - 0.5, depth, at.ratingOffset));
    // Recorded gain lifts picture and noise together: the photosites saw that much less light.
    const Stops seen = at.iso == IsoBehaviour::Recorded ? stops - at.gain : stops;
    row.noise = row.codes / (snrAt(context.base->sensor, seen) * std::numbers::ln2);
    row.bands = row.displayStep > kVisibleStep && row.noise < kHidingNoise;
    return row;
}

Precision precisionAt(const SetupContext& context, BitDepth depth, double contrast) {
    const auto at = evaluate(context);
    Precision result;
    result.depth = depth;
    const auto matrix = convert(context.profile->gamut, gamutBt709());
    for (std::size_t row = 0; row < 3; ++row)
        result.chromaGain[row] = std::hypot(matrix[row][0], matrix[row][1], matrix[row][2]);
    result.chromaSamples = context.codec->chroma == Chroma::C420   ? 0.25
                           : context.codec->chroma == Chroma::C422 ? 0.5
                                                                   : 1.0;
    const double low = std::ceil(at.noiseFloor.value()), high = std::floor(at.clip.value() - 0.5);
    std::vector<double> all;
    for (double stops = low; stops <= high; stops += 1)
        all.push_back(stops);
    // Noise is least where the recording ends, which is where smooth skies are.
    const double last = at.clip.value() - 0.5;
    if (!all.empty() && last > all.back() + 0.25)
        all.push_back(last);
    for (const double stops : all) {
        const auto row = rowAt(context, at, depth, Stops(stops), contrast);
        if (row.bands) {
            result.firstBand = result.bands ? result.firstBand : row.recorded;
            result.lastBand = row.recorded;
            result.bands = true;
        }
        result.stops.push_back(row);
    }
    return result;
}

} // namespace

Precision precisionOf(const SetupContext& context) {
    return precisionOf(context, context.codec->depth);
}

Precision precisionOf(const SetupContext& context, BitDepth depth) {
    return precisionAt(context, depth, 1.0);
}

namespace {

EightBitAnswer answerFor(const Precision& precision, const Evaluation& at) {
    if (!precision.bands)
        return *std::max_element(precision.chromaGain.begin(), precision.chromaGain.end()) >
                       kNormalGain
                   ? EightBitAnswer::NormalGamut
                   : EightBitAnswer::Enough;
    const auto* top = brightest(at);
    const auto* bottom = darkest(at);
    const bool inScene =
        !top || !bottom ||
        std::any_of(precision.stops.begin(), precision.stops.end(), [&](const PrecisionAt& row) {
            return row.bands && row.recorded >= bottom->recorded - Stops(0.5) &&
                   row.recorded <= top->recorded + Stops(0.5);
        });
    return inScene ? EightBitAnswer::Never : EightBitAnswer::OnlyIfNailed;
}

} // namespace

EightBits eightBits(const SetupContext& context, GradeWeight weight) {
    EightBits result;
    result.graded = precisionAt(context, BitDepth{8}, contrastOf(weight));
    result.answer = answerFor(result.graded, evaluate(context));
    return result;
}

} // namespace bslate
