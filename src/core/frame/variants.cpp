#include "core/frame/variants.h"

#include "core/base/find_by_id.h"
#include "core/facts/evaluate.h"
#include "core/facts/schools.h"
#include "core/shoot/setup_fields.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr int kDepths[] = {8, 10, 12};

Error notThere(const FrameVariant& variant) {
    return {ErrorCode::UnknownId, {}, {}, variant.id, "something this setup can be compared with"};
}

constexpr NamedValue<VariantKind> kKinds[] = {{"school", VariantKind::School},
                                              {"depth", VariantKind::Depth},
                                              {"profile", VariantKind::Profile},
                                              {"recipe", VariantKind::Recipe}};

Result<Shoot> withSchool(const SetupContext& context, const FrameVariant& variant) {
    const auto* school = valueIn<School>(kSchoolNames, variant.id);
    if (!school)
        return notThere(variant);
    const auto target = targetOf(*school, context, evaluate(context));
    if (!target)
        return Error{
            ErrorCode::OutOfRange, {}, {}, {}, "a grey card, skin or a highlight to go by"};
    Shoot shoot = *context.shoot;
    auto& setup = *findSetup(shoot, context.setup->id);
    setup.school = *school;
    setup.iris = TStop(setup.iris.value() * std::exp2(-target->shift.value() / 2));
    return shoot;
}

Result<Shoot> withDepth(const SetupContext& context, const FrameVariant& variant) {
    const auto* bits = std::find_if(std::begin(kDepths), std::end(kDepths),
                                    [&](int one) { return std::to_string(one) == variant.id; });
    if (bits == std::end(kDepths))
        return notThere(variant);
    Shoot shoot = *context.shoot;
    for (auto& camera : shoot.kit.cameras)
        if (camera.id == context.camera->id)
            for (auto& codec : camera.codecs)
                if (codec.id == context.codec->id)
                    codec.depth = BitDepth{*bits};
    return shoot;
}

Result<Shoot> withProfileOf(const SetupContext& context, const FrameVariant& variant) {
    Shoot shoot = *context.shoot;
    if (!findProfile(shoot.kit, variant.id))
        return notThere(variant);
    findSetup(shoot, context.setup->id)->profile = variant.id;
    return shoot;
}

Result<Shoot> withRecipe(const SetupContext& context, const FrameVariant& variant) {
    Shoot shoot = *context.shoot;
    const auto* recipe = findRecipe(shoot.kit, variant.id);
    if (!recipe && !variant.id.empty())
        return notThere(variant);
    Recipe none;
    none.look = neutralLook();
    for (auto& profile : shoot.kit.profiles)
        if (profile.id == context.profile->id)
            profile = applied(profile, recipe ? *recipe : none);
    return shoot;
}

} // namespace

std::optional<FrameVariant> variantNamed(std::string_view text) {
    const auto colon = text.find(':');
    const auto* kind = valueIn<VariantKind>(kKinds, text.substr(0, colon));
    if (!kind || colon == std::string_view::npos)
        return std::nullopt;
    return FrameVariant{*kind, std::string(text.substr(colon + 1))};
}

std::string spell(const FrameVariant& variant) {
    return std::string(nameIn<VariantKind>(kKinds, variant.kind)) + ":" + variant.id;
}

std::vector<FrameVariant> variantsOf(const SetupContext& context) {
    std::vector<FrameVariant> variants;
    const auto at = evaluate(context);
    for (const auto school : kSchools)
        if (school != context.setup->school && targetOf(school, context, at))
            variants.push_back(
                {VariantKind::School, std::string(nameIn<School>(kSchoolNames, school))});
    for (const int bits : kDepths)
        if (bits != at.depth.bits)
            variants.push_back({VariantKind::Depth, std::to_string(bits)});
    for (const auto& id : context.camera->profiles)
        if (id != context.profile->id)
            variants.push_back({VariantKind::Profile, id});
    if (!context.profile->ready)
        return variants;
    if (!bakedParts(*context.profile).empty())
        variants.push_back({VariantKind::Recipe, ""});
    for (const auto& recipe : context.shoot->kit.recipes)
        if (!(applied(*context.profile, recipe) == *context.profile))
            variants.push_back({VariantKind::Recipe, recipe.id});
    return variants;
}

Result<Shoot> varied(const SetupContext& context, const FrameVariant& variant) {
    switch (variant.kind) {
    case VariantKind::School:
        return withSchool(context, variant);
    case VariantKind::Depth:
        return withDepth(context, variant);
    case VariantKind::Profile:
        return withProfileOf(context, variant);
    case VariantKind::Recipe:
        break;
    }
    return withRecipe(context, variant);
}

} // namespace bslate
