#include "core/kit/check.h"
#include "core/kit/edit.h"
#include "core/kit/profile_edit.h"
#include "core/kit/series_plan.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

bool names(const std::vector<std::string>& ids, const std::string& id) {
    return std::find(ids.begin(), ids.end(), id) != ids.end();
}

Measurement test(double shift) {
    Measurement measured;
    measured.camera = "angles";
    measured.nominal = "index";
    measured.base = ExposureIndex(800);
    measured.shift = Stops(shift);
    return measured;
}

Kit bench() {
    Kit kit = sample::shoot().kit;
    auto& camera = kit.cameras[0];
    camera.profiles = {"index"};
    camera.modes[0].profiles = {"index"};
    camera.isoRules = {
        {"index", "intra", IsoBehaviour::Note, ExposureIndex(400), {}, {}},
        {"recorded", "", IsoBehaviour::Recorded, {}, {}, {}},
    };
    Constraint constraint;
    constraint.id = "only-log";
    constraint.when = {{SettingKey::Profile, {std::string("index")}, {}, {}}};
    constraint.then = {{SettingKey::Sound, {std::string("off")}, {}, {}}};
    camera.constraints = {constraint};
    return kit;
}

TEST(MeasuredProfile, StandsWhereverTheNominalOneStands) {
    const auto kit = withMeasured(bench(), test(0.1), acescct());
    ASSERT_TRUE(kit.ok()) << message(kit.error());
    ASSERT_TRUE(checkKit(*kit).ok());
    const auto& profile = kit->profiles.back();
    ASSERT_TRUE(profile.measured);
    EXPECT_EQ(profile.curve, acescct());
    const auto& camera = kit->cameras[0];
    EXPECT_TRUE(names(camera.profiles, profile.id));
    EXPECT_TRUE(allows(camera.modes[0], profile.id));
    EXPECT_EQ(isoDial(camera, profile, "intra").behaviour, IsoBehaviour::Note)
        << "the rule of the nominal profile holds";
    EXPECT_EQ(camera.constraints[0].when[0].oneOf.size(), 2u);
    EXPECT_FALSE(names(kit->cameras[1].profiles, profile.id)) << "it is this body's, not the other";
    EXPECT_EQ(bench().cameras[1], kit->cameras[1]);
}

TEST(MeasuredProfile, ASecondTestReplacesTheFirst) {
    const auto once = withMeasured(bench(), test(0.1), acescct());
    const auto twice = withMeasured(*once, test(0.3), bt709());
    ASSERT_TRUE(twice.ok());
    EXPECT_EQ(twice->profiles.size(), once->profiles.size());
    EXPECT_EQ(twice->profiles.back().id, once->profiles.back().id);
    EXPECT_EQ(twice->profiles.back().measured->shift, Stops(0.3));
    EXPECT_EQ(twice->cameras, once->cameras) << "rules are not added twice";
}

TEST(MeasuredProfile, RefusesWhatIsNotThere) {
    auto elsewhere = test(0);
    elsewhere.camera = "gone";
    EXPECT_EQ(withMeasured(bench(), elsewhere, bt709()).error().got, "gone");
    auto noBase = test(0);
    noBase.base = ExposureIndex(640);
    EXPECT_EQ(withMeasured(bench(), noBase, bt709()).error().place, "base");
    auto ofMeasured = withMeasured(bench(), test(0), bt709());
    auto again = test(0);
    again.nominal = ofMeasured->profiles.back().id;
    EXPECT_FALSE(withMeasured(*ofMeasured, again, bt709()).ok())
        << "a measurement is made in a nominal profile";
    Kit orphan = *ofMeasured;
    orphan.profiles.back().measured->nominal = "gone";
    EXPECT_EQ(checkKit(orphan).error().place, "/profiles/3/measured/nominal");
}

TEST(MeasuredProfile, TravelsWithItsCamera) {
    const auto kit = *withMeasured(bench(), test(0.1), acescct());
    const auto one = extracted(kit, "angles");
    ASSERT_TRUE(one.ok());
    EXPECT_TRUE(checkKit(*one).ok());
    EXPECT_TRUE(one->profiles.back().measured);
    EXPECT_FALSE(std::any_of(extracted(kit, "times")->profiles.begin(),
                             extracted(kit, "times")->profiles.end(),
                             [](const Profile& p) { return p.measured.has_value(); }));
    // Merged into a kit with another body of that id: body and test are renamed together.
    Kit other = bench();
    other.cameras[0].name = "somebody else's";
    const auto both = merged(other, *one);
    ASSERT_TRUE(checkKit(both).ok()) << message(checkKit(both).error());
    const auto& measured = *both.profiles.back().measured;
    EXPECT_NE(measured.camera, "angles");
    EXPECT_TRUE(findCamera(both, measured.camera));
}

TEST(Recipes, ALogProfileTakesNothingAReadyOneWhatItsCurveHas) {
    const Recipe recipe{"r", "Dusk", {{0.75, 0.3, 0.1, 0.02}, {0.9, {0, 0, 0, 0, 0.4, 0}, -3}}, {}};
    Profile log = sample::logProfile("log", IsoBehaviour::Index);
    EXPECT_EQ(lockedParts(log).size(), kLookParts);
    EXPECT_EQ(applied(log, recipe), log);
    EXPECT_TRUE(bakedParts(log).empty());
    Profile plain = log;
    plain.ready = true;
    plain.curve = bt709();
    const auto tinted = applied(plain, recipe);
    EXPECT_EQ(tinted.curve, bt709()) << "its curve has no knee";
    EXPECT_EQ(tinted.colour, recipe.look.colour);
    EXPECT_EQ(tinted.recipe, "Dusk");
    Profile soft = plain;
    soft.curve.family = SoftHighlight{};
    const auto dusk = applied(soft, recipe);
    EXPECT_EQ(lookOf(dusk), recipe.look) << "and can be kept from there again";
    EXPECT_EQ(bakedParts(dusk).size(), kLookParts);
    EXPECT_EQ(differing(lookOf(soft), lookOf(dusk)).size(), kLookParts);
    EXPECT_TRUE(differing(recipe.look, recipe.look).empty());
}

// Every frame's `given` against the exposure its dials really make, worked out by the metering
// formula from the card's luminance (ISO 2720): the reference lands on 0.
TEST(SeriesPlan, ItsDialsGiveWhatItSays) {
    const auto shoot = sample::shoot();
    for (const auto& camera : shoot.kit.cameras) {
        const auto& base = camera.bases[0];
        const auto plan = planSeries(shoot.kit, camera, shoot.kit.profiles[0], base);
        ASSERT_GT(plan.steps.size(), 20u);
        for (const auto& step : plan.steps) {
            Stops loss;
            for (const auto& id : step.filters)
                for (const auto& filter : shoot.kit.filters)
                    if (filter.id == id)
                        loss += lossOf(filter.label);
            const auto exposed =
                exposureStops(plan.card, base.iso, exposureTime(step.shutter, plan.rate), step.iris,
                              loss, MeterCalibration{});
            EXPECT_NEAR(exposed.value(), step.given.value(), 1e-9) << step.wanted.value();
            EXPECT_NEAR(step.given.value(), step.wanted.value(), 0.26) << camera.id;
            EXPECT_TRUE(fitsFrame(step.shutter, plan.rate));
        }
        EXPECT_TRUE(plan.steps.front().reference && plan.steps.back().reference);
        EXPECT_EQ(std::count_if(plan.steps.begin(), plan.steps.end(),
                                [](const SeriesStep& step) { return step.reference; }),
                  3);
        const auto [low, high] = std::minmax_element(
            plan.steps.begin(), plan.steps.end(),
            [](const SeriesStep& a, const SeriesStep& b) { return a.given < b.given; });
        EXPECT_LT(low->given, noiseFloor(base.sensor, 2)) << "into the noise";
        EXPECT_GT(high->given, base.sensor.clip + Stops(0.6)) << "and beyond the clip";
    }
}

} // namespace
} // namespace bslate
