#include "core/facts/evaluate.h"
#include "core/facts/schools.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

Evaluation evaluated(const Shoot& shoot) {
    const auto at = evaluate(shoot, shoot.setups.front());
    EXPECT_TRUE(at.ok()) << (at ? "" : message(at.error()));
    return at.valueOr({});
}

const PatchPlacement& named(const Evaluation& at, const std::string& id) {
    for (const auto& patch : at.patches)
        if (patch.id == id)
            return patch;
    ADD_FAILURE() << id;
    return at.patches.front();
}

// 26 cd/m2, base 800, T4, 1/50 s, K 12.5: log2(26*800/(12.5*16*50)) = 1.0566. EI 400 as an index
// views it at +0.0566 and records it unchanged; as recorded ISO it is recorded at +0.0566.
TEST(Evaluate, WorkedPlacementInAllThreeBehaviours) {
    const struct {
        const char* profile;
        double recorded, viewed, clip;
    } table[] = {{"index", 1.0566, 0.0566, 6.1},
                 {"note", 1.0566, 0.0566, 6.1},
                 {"recorded", 0.0566, 0.0566, 5.1}};
    for (const auto& row : table) {
        Shoot shoot = sample::shoot();
        shoot.setups[0].profile = row.profile;
        shoot.setups[0].rating = ExposureIndex(400);
        const auto at = evaluated(shoot);
        const auto& grey = named(at, "grey");
        EXPECT_NEAR(grey.sensor.value(), 1.0566, 5e-5) << row.profile;
        EXPECT_NEAR(grey.recorded.value(), row.recorded, 5e-5) << row.profile;
        EXPECT_NEAR(grey.viewed.value(), row.viewed, 5e-5) << row.profile;
        EXPECT_NEAR(at.clip.value(), row.clip, 1e-9) << row.profile;
        EXPECT_NEAR(at.gain.value(), -1, 1e-12);
    }
}

// Sky by hand: log2(1260/26) = 5.5988, + 1.0566 = 6.655; the sensor clips at 6.1: lost 0.555.
// Hopper: log2(0.33/26) = -6.2999, + 1.0566 = -5.243; floor -6.540: 1.297 above it.
TEST(Evaluate, EndsOfTheDoorwaySceneByHand) {
    const auto at = evaluated(sample::shoot());
    EXPECT_NEAR(named(at, "sky").headroom.value(), -0.555, 1e-3);
    EXPECT_EQ(named(at, "sky").state, PatchState::Clipped);
    EXPECT_NEAR(named(at, "hopper").aboveNoise.value(), 1.297, 1e-3);
    EXPECT_EQ(named(at, "hopper").state, PatchState::Good);
    EXPECT_NEAR(at.noiseFloor.value(), -6.540, 1e-3);
    EXPECT_EQ(brightest(at)->id, "sky");
    EXPECT_EQ(darkest(at)->id, "hopper");
}

// Skin at +1 over a grey at +1.0566: signal by hand 0.0735 * log2(6*0.18*2^2.0566 + 0.05) + 0.4
// = 0.0735 * log2(4.5424) + 0.4 = 0.56053; 573.4 of 1023; (573.4-64)/876 = 58.15 %.
TEST(Evaluate, LevelAndCodeByHand) {
    const auto at = evaluated(sample::shoot());
    EXPECT_NEAR(named(at, "skin").level.value(), 58.15, 0.02);
    EXPECT_EQ(named(at, "skin").code, 573);
    EXPECT_NEAR(at.midGreyLevel.value(), 40.92, 0.01);
    EXPECT_EQ(named(at, "sky").level, at.clipLevel);
}

TEST(Evaluate, TheCurveCanEndBeforeTheSensor) {
    Shoot shoot = sample::shoot();
    shoot.kit.profiles[0].curve.end = signalAt(Level(84), CodeRange::Full, BitDepth{10});
    const auto at = evaluated(shoot);
    EXPECT_TRUE(at.curveEndsFirst);
    EXPECT_NEAR(at.clipLevel.value(), 84, 1e-9);
    EXPECT_LT(at.clip, Stops(6.1));
}

TEST(Evaluate, FiltersAndIrisMoveEverythingAlike) {
    Shoot shoot = sample::shoot();
    const auto before = evaluated(shoot);
    shoot.setups[0].filters = {"nd9"};
    shoot.setups[0].iris = TStop(8);
    const auto after = evaluated(shoot);
    for (std::size_t i = 0; i < before.patches.size(); ++i)
        EXPECT_NEAR((before.patches[i].recorded - after.patches[i].recorded).value(),
                    0.9 / std::log10(2.0) + 2, 1e-9);
}

TEST(Evaluate, ZebraInTheCamerasStepsWithItsMargin) {
    Shoot shoot = sample::shoot();
    const auto at = evaluated(shoot);
    ASSERT_EQ(at.zebra.size(), 2u);
    const auto& guard = at.zebra[1];
    EXPECT_EQ(guard.use, ZebraUse::Clip);
    EXPECT_LE(guard.set, guard.exact);
    EXPECT_GE(guard.margin, kNearClip);
    // The margin is what the curve says: encode(clip - margin) is the set level.
    const auto level = levelAt(shoot.kit.profiles[0].curve, at.clip - guard.margin, at.depth);
    EXPECT_NEAR(level.value(), guard.set.value(), 1e-6);
    shoot.kit.cameras[0].zebra = {5.0, Level(70), Level(80), ZebraTap::Recorded};
    const auto coarse = evaluated(shoot);
    EXPECT_EQ(std::fmod(coarse.zebra[1].set.value(), 5.0), 0);
    EXPECT_FALSE(coarse.zebra[1].reachable);
    shoot.kit.cameras[0].zebra = {5.0, Level(0), Level(100), ZebraTap::ViewingLut};
    const auto onLut = evaluated(shoot);
    EXPECT_GT(onLut.zebra[1].exact, at.zebra[1].exact) << "the viewing LUT is brighter up there";
}

TEST(Evaluate, SaysWhatIsMissing) {
    const auto broken = [](auto change) {
        Shoot shoot = sample::shoot();
        change(shoot.setups[0]);
        const auto at = evaluate(shoot, shoot.setups[0]);
        EXPECT_FALSE(at.ok());
        return at.ok() ? std::string() : message(at.error());
    };
    using S = bslate::Setup;
    EXPECT_NE(broken([](S& s) { s.camera = "gone"; }).find("camera"), std::string::npos);
    EXPECT_NE(broken([](S& s) { s.scene = "gone"; }).find("scene"), std::string::npos);
    EXPECT_NE(broken([](S& s) { s.profile = "gone"; }).find("profile"), std::string::npos);
    EXPECT_NE(broken([](S& s) { s.mode = "gone"; }).find("mode"), std::string::npos);
    EXPECT_NE(broken([](S& s) { s.lens = "gone"; }).find("lens"), std::string::npos);
    EXPECT_NE(broken([](S& s) { s.filters = {"gone"}; }).find("filters"), std::string::npos);
    EXPECT_NE(broken([](S& s) { s.shutter = Seconds(0); }).find("shutter"), std::string::npos);
    EXPECT_NE(broken([](S& s) { s.shutter = Seconds(NAN); }).find("shutter"), std::string::npos);
}

TEST(Evaluate, AnEmptySceneIsFine) {
    Shoot shoot = sample::shoot();
    shoot.scenes[0].patches.clear();
    const auto at = evaluated(shoot);
    EXPECT_TRUE(at.patches.empty());
    EXPECT_EQ(at.grey, std::nullopt);
    EXPECT_EQ(brightest(at), nullptr);
    EXPECT_EQ(skin(at), nullptr);
}

// ---- schools

std::optional<SchoolTarget> target(const Shoot& shoot, School school) {
    const auto context = resolve(shoot, shoot.setups[0]);
    return context ? targetOf(school, *context, evaluate(*context)) : std::nullopt;
}

TEST(Schools, EachWantsItsOwnPlaceInTheSameScene) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].rating = ExposureIndex(400);
    // Grey is recorded at +1.0566; the sky at 6.655 with the clip at 6.1.
    EXPECT_NEAR(target(shoot, School::Nominal)->shift.value(), -1.0566, 1e-4);
    EXPECT_NEAR(target(shoot, School::Rated)->shift.value(), -0.0566, 1e-4);
    EXPECT_NEAR(target(shoot, School::ToTheRight)->shift.value(), 6.1 - 0.3 - 6.6554, 1e-3);
    EXPECT_NEAR(target(shoot, School::Raw)->shift.value(), 6.1 - 0.3 - 6.6554, 1e-3);
    // Guard: at nominal the sky is 5.5988 over; 5.5988 + 0.3 - 6.1 < 0, nothing to guard.
    EXPECT_NEAR(target(shoot, School::Guard)->shift.value(), -1.0566, 1e-4);
    // Brighter sky by a stop: 6.5988 + 0.3 - 6.1 = 0.7988 under.
    shoot.scenes[0].patches[5].reading.value *= 2;
    EXPECT_NEAR(target(shoot, School::Guard)->shift.value(), -1.0566 - 0.7988, 1e-3);
    // And never more than a stop.
    shoot.scenes[0].patches[5].reading.value *= 8;
    EXPECT_NEAR(target(shoot, School::Guard)->shift.value(), -1.0566 - 1.0, 1e-3);
}

TEST(Schools, CostsAreTheEndsAfterTheShift) {
    const auto shoot = sample::shoot();
    const auto at = *evaluate(shoot, shoot.setups[0]);
    for (const auto school : kSchools) {
        const auto wish = target(shoot, school);
        ASSERT_TRUE(wish.has_value());
        EXPECT_NEAR((wish->highlights + wish->shift - brightest(at)->headroom).value(), 0, 1e-12);
        EXPECT_NEAR((wish->shadows - wish->shift - darkest(at)->aboveNoise).value(), 0, 1e-12);
    }
}

TEST(Schools, NeedAReference) {
    Shoot shoot = sample::shoot();
    shoot.scenes[0].patches = {sample::patch("sky", PatchRole::Highlight, 1260)};
    EXPECT_FALSE(target(shoot, School::Nominal).has_value());
    EXPECT_TRUE(target(shoot, School::ToTheRight).has_value());
    shoot.scenes[0].patches.push_back(sample::patch("skin", PatchRole::SkinLight, 52));
    EXPECT_TRUE(target(shoot, School::Nominal).has_value()) << "skin stands in for the card";
    shoot.scenes[0].patches.clear();
    EXPECT_FALSE(target(shoot, School::ToTheRight).has_value());
}

} // namespace
} // namespace bslate
