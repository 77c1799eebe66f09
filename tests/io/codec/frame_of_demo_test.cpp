// What is said of the demo's frames, its setups in another way, and patches with a place.
#include "core/facts/evaluate.h"
#include "core/frame/frame_verdict.h"
#include "core/frame/variants.h"
#include "io/json/shoot_json.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

struct Demo {
    Shoot shoot = *io::loadShoot(BSLATE_ROOT "/data/demo/slack-water.bslate");
    [[nodiscard]] SetupContext context(const char* number) const {
        for (const auto& setup : shoot.setups)
            if (setup.number == number)
                return *resolve(shoot, setup);
        return {};
    }
};

const Finding* findingOf(const std::vector<Finding>& findings, FindingId id) {
    for (const auto& finding : findings)
        if (finding.id == id)
            return &finding;
    return nullptr;
}

std::vector<Finding> judged(const SetupContext& context) {
    const auto at = evaluate(context);
    FrameWish wish;
    wish.size = {640, 360};
    return judgeFrame(context, at, makeFrame(context, at, wish), wish);
}

template<class Value>
Value factOf(const Finding& finding, std::string_view name) {
    for (const auto& fact : finding.facts)
        if (fact.name == name)
            return std::get<Value>(fact.value);
    ADD_FAILURE() << name;
    return Value{};
}

TEST(JudgeFrame, LossesBandingAndPlanOfTheDemo) {
    Demo demo;
    const auto doorway = judged(demo.context("2A"));
    const auto* clips = findingOf(doorway, FindingId::FrameClips);
    ASSERT_TRUE(clips);
    EXPECT_EQ(clips->severity, Severity::Caution) << "the sky is to be kept";
    EXPECT_NEAR(factOf<Fraction>(*clips, "share").value(), 0.096, 0.01);
    EXPECT_TRUE(findingOf(doorway, FindingId::FrameAsPlanned));
    EXPECT_TRUE(findingOf(doorway, FindingId::FrameSkinZebra));
    EXPECT_FALSE(findingOf(doorway, FindingId::FrameBands)) << "10 bits";
    const auto ferry = judged(demo.context("6A"));
    const auto* bands = findingOf(ferry, FindingId::FrameBands);
    ASSERT_TRUE(bands) << "8 bits";
    EXPECT_GT(factOf<Fraction>(*bands, "area").value(), 0.1);
    const auto instead = factOf<ReasonList>(*bands, "instead");
    ASSERT_FALSE(instead.all.empty());
    EXPECT_EQ(instead.all[0].id, "frame-deeper");
    EXPECT_EQ(std::get<Fraction>(instead.all[0].facts[1].value), Fraction(0)) << "at 10 bits";
    for (std::size_t i = 1; i < ferry.size(); ++i)
        EXPECT_LE(ferry[i - 1].severity, ferry[i].severity) << "worst first";
}

TEST(JudgeFrame, OffPlanIsToldAndCanBeAccepted) {
    Demo demo;
    auto context = demo.context("2A");
    const auto at = evaluate(context);
    FrameWish wish;
    wish.size = {320, 180};
    auto frame = makeFrame(context, at, wish);
    frame.patches[2].foundStops = frame.patches[2].plannedStops + Stops(0.5);
    auto findings = judgeFound(context, at, frame.patches);
    ASSERT_EQ(findings.size(), 1u);
    EXPECT_EQ(findings[0].id, FindingId::FrameOffPlan);
    EXPECT_EQ(factOf<Stops>(findings[0], "by"), Stops(0.5));
    for (auto& setup : demo.shoot.setups)
        if (setup.id == context.setup->id)
            setup.accepted.push_back({findings[0].key(), "a flag came in", {}});
    context = demo.context("2A");
    EXPECT_EQ(judgeFound(context, at, frame.patches)[0].accepted, "a flag came in");
    const Error none{ErrorCode::OutOfRange, {}, {}, "14 bits", "another depth"};
    EXPECT_TRUE(findingOf(judgeFrame(context, at, frame, wish, none), FindingId::FrameNotCoded));
}

TEST(Variants, SchoolsMoveTheIrisDepthsTheCodecRecipesTheProfile) {
    Demo demo;
    const auto context = demo.context("2A");
    const auto at = evaluate(context);
    const auto sky = [](const Shoot& shoot, const std::string& id) {
        return brightest(*evaluate(shoot, *findSetup(shoot, id)))->recorded;
    };
    const auto right = *varied(context, *variantNamed("school:to-the-right"));
    // The brightest patch that matters at clip - 0.3 (facts/schools.h).
    EXPECT_NEAR(sky(right, context.setup->id).value(), at.clip.value() - 0.3, 1e-6);
    const auto eight = *varied(context, *variantNamed("depth:8"));
    EXPECT_EQ(evaluate(eight, *findSetup(eight, context.setup->id))->depth, BitDepth{8});
    EXPECT_EQ(at.depth, BitDepth{10}) << "the shoot itself stays";
    const auto ferry = demo.context("6A");
    const auto bare = *varied(ferry, *variantNamed("recipe:"));
    EXPECT_TRUE(bakedParts(*findProfile(bare.kit, ferry.profile->id)).empty());
    for (const auto& variant : variantsOf(ferry)) {
        EXPECT_EQ(*variantNamed(spell(variant)), variant);
        EXPECT_TRUE(varied(ferry, variant)) << spell(variant);
    }
    for (const char* wrong : {"depth:9", "school:none", "profile:nowhere", "recipe:nowhere"})
        EXPECT_FALSE(varied(context, *variantNamed(wrong))) << wrong;
    EXPECT_FALSE(variantNamed("2B"));
    EXPECT_FALSE(variantNamed("depth"));
}

TEST(Places, APatchStandsAndIsFoundWhereTheShootSaysIt) {
    Demo demo;
    auto& scene = *findScene(demo.shoot, demo.context("2A").scene->id);
    const FramePlace corner{0.86, 0.12, 0.12, 0.2};
    for (auto& patch : scene.patches)
        if (patch.role == PatchRole::Grey)
            patch.place = corner;
    const auto context = demo.context("2A");
    const auto at = evaluate(context);
    FrameWish wish;
    wish.size = {480, 270};
    const auto frame = makeFrame(context, at, wish);
    EXPECT_EQ(frame.patches.size(), 6u);
    for (const auto& patch : frame.patches) {
        EXPECT_NEAR(patch.found.value(), patch.planned.value(), 2.0) << patch.name;
        if (patch.name == "Grey card") {
            EXPECT_GT(patch.area.x, corner.x);
            EXPECT_LT(patch.area.x + patch.area.width, corner.x + corner.width);
        }
    }
}

} // namespace
} // namespace bslate
