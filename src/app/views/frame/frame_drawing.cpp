#include "app/views/frame/frame_drawing.h"

#include "app/document/text.h"
#include "core/facts/evaluate.h"
#include "core/shoot/setup_fields.h"
#include "core/words/wording.h"
#include "io/codec/coding_run.h"

#include <QCoreApplication>

namespace bslate::app {
namespace {

constexpr PictureSize kFrameSize{960, 540};

FrameWish wishOf(const FrameSource& source) {
    FrameWish wish;
    wish.size = kFrameSize;
    wish.camera.noise = source.noise;
    return wish;
}

// The setup of a source, in its other way where it has one. The shoot is kept, since the context
// points into it.
struct Resolved {
    std::shared_ptr<const Shoot> shoot;
    SetupContext context;
    Evaluation at;
};

Result<Resolved> resolved(const FrameSource& source) {
    Resolved result;
    result.shoot = source.shoot;
    const auto setup = [&] { return findSetup(*result.shoot, source.setup); };
    if (!setup())
        return Error{ErrorCode::UnknownId, {}, {}, source.setup, "a setup of this shoot"};
    auto context = resolve(*result.shoot, *setup());
    if (!context)
        return context.error();
    if (source.variant) {
        auto other = varied(*context, *source.variant);
        if (!other)
            return other.error();
        result.shoot = std::make_shared<const Shoot>(*std::move(other));
        context = resolve(*result.shoot, *setup());
        if (!context)
            return context.error();
    }
    result.context = *context;
    result.at = evaluate(result.context);
    return result;
}

DrawnFrame shownOf(const Resolved& of, const FrameSource& source, const FrameShown& how,
                   std::shared_ptr<const FrameMade> made) {
    auto images =
        std::make_shared<FrameImages>(frameImages(of.context, of.at, *made, wishOf(source), how));
    if (source.variant)
        images->number += QStringLiteral(" ") + nameOf(*source.variant, source.shoot->kit);
    return {std::move(made), std::move(images)};
}

} // namespace

Result<DrawnFrame> drawnFrame(const FrameSource& source, const FrameShown& how) {
    const auto of = resolved(source);
    if (!of)
        return of.error();
    return shownOf(
        *of, source, how,
        std::make_shared<const FrameMade>(makeFrame(of->context, of->at, wishOf(source))));
}

Result<DrawnFrame> codedFrame(const FrameSource& source, const FrameShown& how,
                              const DrawnFrame& drawn, const KeepGoing& keepGoing) {
    const auto of = resolved(source);
    if (!of)
        return of.error();
    const auto wish = wishOf(source);
    const auto coded = io::codeScene(of->context, of->at, wish, keepGoing);
    if (!coded && coded.error().code == ErrorCode::Stopped)
        return coded.error();
    if (!coded) {
        FrameShown without = how;
        without.codec = coded.error();
        auto bare = shownOf(*of, source, without, drawn.made);
        bare.codec = coded.error();
        return bare;
    }
    if (!*coded)
        return drawn;
    return shownOf(*of, source, how,
                   std::make_shared<const FrameMade>(
                       withCoded(of->context, of->at, *drawn.made, wish, **coded)));
}

Result<DrawnFrame> shownAnew(const FrameSource& source, const FrameShown& how,
                             const DrawnFrame& drawn) {
    const auto of = resolved(source);
    if (!of)
        return of.error();
    FrameShown same = how;
    same.codec = drawn.codec;
    auto anew = shownOf(*of, source, same, drawn.made);
    anew.codec = drawn.codec;
    return anew;
}

QString nameOf(const FrameVariant& variant, const Kit& kit) {
    switch (variant.kind) {
    case VariantKind::School:
        if (const auto* school = valueIn<School>(kSchoolNames, variant.id))
            return toQt(nameOf(*school, translator()));
        break;
    case VariantKind::Depth:
        return QCoreApplication::translate("Frame", "%1 bits").arg(toQt(variant.id));
    case VariantKind::Profile:
        if (const auto* profile = findProfile(kit, variant.id))
            return toQt(profile->name);
        break;
    case VariantKind::Recipe:
        if (variant.id.empty())
            return QCoreApplication::translate("Frame", "no recipe");
        if (const auto* recipe = findRecipe(kit, variant.id))
            return toQt(recipe->name);
        break;
    }
    return toQt(variant.id);
}

} // namespace bslate::app
