#include "io/rating_lut_file.h"

#include "core/quantity/print.h"
#include "core/verdict/evaluation.h"
#include "io/cube_file.h"

namespace bslate::io {
namespace {

constexpr std::size_t kNeutralSize = 4096;

CubeNote noteFor(const Shoot& shoot, const SetupContext& context, const Evaluation& at) {
    const auto& profile = *context.profile;
    CubeNote note;
    note.title = shoot.title + " " + context.setup->number + " " + profile.name + " EI " +
                 print(context.setup->rating) + " to BT.709";
    note.comments = {
        "Rating LUT: " + profile.name + " / " + profile.gamutName + " to BT.709 display",
        "Input: recorded signal 0..1, " +
            std::string(profile.curve.range == CodeRange::Full ? "full" : "legal") + " range",
        "Rating undone: " + print(at.ratingOffset) + " stops (EI " + print(context.setup->rating) +
            " on base " + print(at.base) + ")",
        "Output: BT.709 OETF to 60 % scene light, then a roll-off that approaches 1.0",
    };
    return note;
}

} // namespace

Result<std::string> ratingLutText(const Shoot& shoot, const Setup& setup, LutShape shape) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    const auto at = evaluate(*context);
    const RatingLut lut{context->profile->curve, context->profile->gamut, at.ratingOffset};
    const auto note = noteFor(shoot, *context, at);
    switch (shape) {
    case LutShape::Cube33:
        return cube3d(lut, 33, note);
    case LutShape::Cube65:
        return cube3d(lut, 65, note);
    case LutShape::Neutral1d:
        return cube1d(lut, kNeutralSize, note);
    }
    return cube3d(lut, 33, note);
}

} // namespace bslate::io
