#include "io/colour/lut_file.h"

#include "core/facts/evaluate.h"
#include "core/quantity/print.h"
#include "io/colour/clf_file.h"
#include "io/text/cube_file.h"

#include <array>

namespace bslate::io {
namespace {

constexpr std::size_t kNeutralSize = 4096;

struct Named {
    LutFormat format;
    std::string_view suffix;
};
constexpr std::array kFormats = {
    Named{LutFormat::Cube17, ".cube"},       Named{LutFormat::Cube33, ".cube"},
    Named{LutFormat::Cube65, ".cube"},       Named{LutFormat::Cube1d, ".cube"},
    Named{LutFormat::Clf, ".clf"},           Named{LutFormat::Cdl, ".cc"},
    Named{LutFormat::CdlCollection, ".ccc"}, Named{LutFormat::CdlDecisionList, ".cdl"}};

LutNote noteFor(const Shoot& shoot, const SetupContext& context, const Evaluation& at,
                const Recipe* recipe) {
    const auto& profile = *context.profile;
    LutNote note;
    note.title = shoot.title + " " + context.setup->number + " " + profile.name + " EI " +
                 print(context.setup->rating) + " to " + (recipe ? recipe->name : "BT.709");
    note.comments = {
        std::string(recipe ? "Look LUT: " : "Rating LUT: ") + profile.name + " / " +
            profile.gamutName + " to BT.709 display",
        "Input: recorded signal 0..1, " +
            std::string(profile.curve.range == CodeRange::Full ? "full" : "legal") + " range" +
            (profile.measured ? ", curve measured on one body" : ""),
        "Rating undone: " + print(at.ratingOffset) + " stops (EI " + print(context.setup->rating) +
            " on base " + print(at.base) + ")",
        recipe ? "Output: the look \"" + recipe->name + "\" on BT.709, 0..1"
        : profile.ready
            ? "Output: the ready look itself with the rating undone, 0..1"
            : "Output: BT.709 OETF to 60 % scene light, then a roll-off that approaches 1.0",
    };
    return note;
}

} // namespace

std::string_view suffixOf(LutFormat format) {
    for (const auto& named : kFormats)
        if (named.format == format)
            return named.suffix;
    return {};
}

std::optional<LutFormat> cubeOfSize(int size) {
    switch (size) {
    case 17:
        return LutFormat::Cube17;
    case 33:
        return LutFormat::Cube33;
    case 65:
        return LutFormat::Cube65;
    default:
        return std::nullopt;
    }
}

std::optional<LutFormat> formatOfSuffix(std::string_view suffix) {
    if (suffix == ".cube")
        return LutFormat::Cube33;
    for (const auto& named : kFormats)
        if (named.suffix == suffix)
            return named.format;
    return std::nullopt;
}

namespace {

struct Parts {
    SetupContext context;
    Evaluation at;
    const Recipe* recipe = nullptr;
    RatingLut lut;
};

Result<Parts> partsOf(const Shoot& shoot, const Setup& setup, const std::string& recipe) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return context.error();
    Parts parts{*context, evaluate(*context), nullptr, {}};
    if (!recipe.empty() && !(parts.recipe = findRecipe(shoot.kit, recipe))) {
        std::string names;
        for (const auto& known : shoot.kit.recipes)
            names += (names.empty() ? "one of " : ", ") + known.id;
        return Error{ErrorCode::UnknownId,
                     {},
                     "look",
                     recipe,
                     names.empty() ? "a recipe in the kit" : names};
    }
    parts.lut = {context->profile->curve,
                 context->profile->gamut,
                 parts.at.ratingOffset,
                 {},
                 context->profile->ready};
    if (parts.recipe)
        parts.lut.look = parts.recipe->look;
    return parts;
}

} // namespace

Result<RatingLut> lutOf(const Shoot& shoot, const Setup& setup, const std::string& recipe) {
    const auto parts = partsOf(shoot, setup, recipe);
    if (!parts)
        return parts.error();
    return parts->lut;
}

Result<std::string> lutText(const Shoot& shoot, const Setup& setup, LutFormat format,
                            const std::string& recipe) {
    const auto parts = partsOf(shoot, setup, recipe);
    if (!parts)
        return parts.error();
    const auto note = noteFor(shoot, parts->context, parts->at, parts->recipe);
    switch (format) {
    case LutFormat::Cube17:
        return cube3d(parts->lut, 17, note);
    case LutFormat::Cube33:
        return cube3d(parts->lut, 33, note);
    case LutFormat::Cube65:
        return cube3d(parts->lut, 65, note);
    case LutFormat::Cube1d:
        return cube1d(parts->lut, kNeutralSize, note);
    case LutFormat::Clf:
        return clfText(parts->lut, note);
    case LutFormat::Cdl:
        return cdlText(parts->lut, CdlForm::Correction, note);
    case LutFormat::CdlCollection:
        return cdlText(parts->lut, CdlForm::Collection, note);
    case LutFormat::CdlDecisionList:
        return cdlText(parts->lut, CdlForm::DecisionList, note);
    }
    return cube3d(parts->lut, 33, note);
}

} // namespace bslate::io
