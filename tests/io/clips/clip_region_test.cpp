// A card in clips of known exposures and known lamps, read back from the encoded pictures.
#include "core/clip/footage_light.h"
#include "core/facts/evaluate.h"
#include "core/shoot/lamps.h"
#include "core/signal/exposure_series.h"
#include "io/clips/clip_file.h"
#include "io/clips/clip_region.h"
#include "io/codec/clip_make.h"
#include "support/media_tool.h"
#include "support/sample_shoot.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate::io {
namespace {

// A grey card that fills the middle of the picture, before a camera that stands still.
class CardInClips : public ::testing::Test {
public:
    CardInClips() {
        shoot.scenes[0].patches = {sample::patch("grey", PatchRole::Grey, 26)};
        shoot.scenes[0].patches[0].place = FramePlace{0.1, 0.1, 0.8, 0.8};
        shoot.setups[0].support = Support::Tripod;
        shoot.setups[0].rate = FrameRate{Rational(24, 1)};
        wish.size = {320, 180};
        wish.pulsing = false;
    }
    std::vector<RegionFrame> read() {
        const auto context = resolve(shoot, shoot.setups[0]);
        const auto file = makeClip(*context, evaluate(*context), wish);
        EXPECT_TRUE(file) << message(file.error());
        sample::spit(folder / "card.mov", *file);
        const auto region = readRegion(folder / "card.mov", {0.4, 0.4, 0.2, 0.2});
        EXPECT_TRUE(region) << message(region.error());
        return region ? region->frames : std::vector<RegionFrame>();
    }
    SeenPictures seen(const std::vector<PatchArea>& patches) {
        const auto context = resolve(shoot, shoot.setups[0]);
        const auto file = makeClip(*context, evaluate(*context), wish);
        EXPECT_TRUE(file) << message(file.error());
        sample::spit(folder / "seen.mov", *file);
        const auto clip = readClip(folder / "seen.mov", ClipDepth::Facts);
        EXPECT_TRUE(clip) << message(clip.error());
        const auto pictures =
            readPictures(folder / "seen.mov", pictureWish(*context, clip->picture->rate, patches));
        EXPECT_TRUE(pictures) << message(pictures.error());
        return pictures ? *pictures : SeenPictures{};
    }
    [[nodiscard]] Evaluation at() { return evaluate(*resolve(shoot, shoot.setups[0])); }
    Shoot shoot = sample::shoot();
    MadeClipWish wish;
    sample::TemporaryFolder folder;
};

TEST_F(CardInClips, ASteppedClipGivesTheCurveAndTheClipItWasMadeWith) {
    const double grey = at().patches[0].recorded.value();
    std::vector<Stops> stops;
    for (double light = -5; light < 5; light += 1)
        stops.emplace_back(light);
    for (double light = 5; light < 7.4; light += 1.0 / 3)
        stops.emplace_back(light);
    for (const auto step : stops)
        wish.steps.push_back(step - Stops(grey));
    wish.length = Seconds(static_cast<double>(stops.size()) / 3); // eight frames each
    const auto plateaus = plateausOf(read());
    const auto readings = readingsOf(plateaus, stops);
    ASSERT_TRUE(readings) << message(readings.error());
    EXPECT_EQ(gapsBetween(plateaus), 0u);
    auto missed = plateaus;
    missed.erase(missed.begin() + 4);
    EXPECT_EQ(gapsBetween(missed), 1u);
    missed[2].behind += 3;
    EXPECT_EQ(longestOf(missed), missed[2]);
    EXPECT_FALSE(longestOf({}));
    const auto& curve = shoot.kit.profiles[0].curve;
    for (std::size_t i = 0; i < 10; ++i)
        EXPECT_NEAR((*readings)[i].rgb[1].value(), encode(curve, linearAt(stops[i])).value(),
                    1.0 / 1023)
            << stops[i].value() << " stops, to a 10-bit code";
    const auto fit = fitSeries(*readings, curve.range, curve);
    ASSERT_TRUE(fit) << message(fit.error());
    ASSERT_TRUE(fit->clip[1]);
    EXPECT_NEAR(fit->clip[1]->value(), at().sensorClip.value(), 0.05);
    EXPECT_LT(fit->rms.value(), 1.0 / 1023);
    EXPECT_FALSE(readingsOf(plateaus, std::span(stops).first(3)))
        << "three stops for as many exposures as there are";
}

// 24 frames at 1/48 under 100 Hz, depth 1: 0.114 stop peak to peak, alias 4 Hz (worked by hand).
TEST_F(CardInClips, PulsingNamesItsLamp) {
    shoot.scenes[0].lamps = {*parseLampLine("measured 100Hz h1:100% share100%")};
    shoot.setups[0].shutter = ShutterAngle(180);
    shoot.kit.cameras[0].areas[0].readout = Seconds(0);
    wish.pulsing = true;
    wish.length = Seconds(3);
    const auto frames = read();
    const auto pulse = pulseOf(frames, shoot.kit.profiles[0].curve, shoot.setups[0].rate);
    ASSERT_TRUE(pulse);
    EXPECT_NEAR(pulse->alias.value(), 4, 0.05);
    EXPECT_NEAR(pulse->peakToPeak.value(), 0.114, 0.01);
    EXPECT_TRUE(std::any_of(pulse->lamps.begin(), pulse->lamps.end(),
                            [](Hertz lamp) { return std::abs(lamp.value() - 100) < 0.1; }));
    wish.pulsing = false;
    EXPECT_FALSE(pulseOf(read(), shoot.kit.profiles[0].curve, shoot.setups[0].rate));
}

// Rows are read over 12 ms: 100 Hz makes 1.2 bands over the height, 76 Hz, which aliases so too,
// 0.9 (frequency times readout, by hand). The whole picture's mean hides most of it.
TEST_F(CardInClips, PulsingOfAPictureIsFoundByItsStripsAndItsLampByTheBands) {
    shoot.scenes[0].lamps = {*parseLampLine("measured 100Hz h1:100% share100%")};
    shoot.setups[0].shutter = ShutterAngle(180);
    wish.pulsing = true;
    wish.length = Seconds(4);
    const auto made = seen({});
    const auto& pulse = made.pulse;
    ASSERT_TRUE(pulse);
    EXPECT_NEAR(pulse->alias.value(), 4, 0.05);
    EXPECT_NEAR(pulse->peakToPeak.value(), 0.114, 0.012);
    ASSERT_TRUE(pulse->bands);
    EXPECT_NEAR(*pulse->bands, 1.2, 0.1);
    EXPECT_GT(pulse->share, Fraction(0.9));
    const auto lamps = agreeingLamps(*pulse, made.rate, Seconds(0.012));
    ASSERT_FALSE(lamps.empty()) << "the nearest first: the readout may be off";
    EXPECT_NEAR(lamps[0].value(), 100, 0.1);
    EXPECT_GT(agreeingLamps(*pulse, made.rate, Seconds(0)).size(), 1u) << "the bands tell nothing";
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto findings = checkPictures(context, evaluate(context), made);
    ASSERT_EQ(findings.size(), 1u);
    EXPECT_EQ(findings[0].id, FindingId::ClipPulses);
    wish.pulsing = false;
    EXPECT_TRUE(checkPictures(context, evaluate(context), seen({})).empty());
}

TEST_F(CardInClips, APatchOffThePlanIsToldFromAThirdOfAStop) {
    const auto found = [&](double light) {
        wish.steps = {Stops(light)};
        const auto made = seen({{"grey", {0.4, 0.4, 0.2, 0.2}}});
        const auto context = *resolve(shoot, shoot.setups[0]);
        EXPECT_NEAR(offPlan(context, evaluate(context), made.patches.at(0))->value(), light, 0.02);
        return checkPictures(context, evaluate(context), made);
    };
    wish.length = Seconds(0.5);
    EXPECT_TRUE(found(0.25).empty());
    const auto over = found(0.5);
    ASSERT_EQ(over.size(), 1u);
    EXPECT_EQ(over[0].id, FindingId::ClipExposure);
    EXPECT_EQ(over[0].severity, Severity::Caution);
    EXPECT_EQ(found(-1.5)[0].severity, Severity::Fault);
}

TEST_F(CardInClips, AChannelThatEndsOnAPatchThatHadToBeKeptIsTold) {
    shoot.scenes[0].patches[0].role = PatchRole::Highlight;
    wish.length = Seconds(0.5);
    const auto ended = [&](double light) {
        wish.steps = {Stops(light)};
        const auto made = seen({{"grey", {0.4, 0.4, 0.2, 0.2}}});
        const auto context = *resolve(shoot, shoot.setups[0]);
        const auto findings = checkPictures(context, evaluate(context), made);
        return std::any_of(findings.begin(), findings.end(),
                           [](const Finding& one) { return one.id == FindingId::ClipChannelEnds; });
    };
    const double room = at().patches[0].headroom.value();
    EXPECT_FALSE(ended(room - 0.5));
    EXPECT_TRUE(ended(room + 0.5));
    shoot.scenes[0].patches[0].role = PatchRole::Spare;
    EXPECT_FALSE(ended(room + 0.5)) << "it may be lost";
}

// A clip under one lamp gives the lamp back: 100 Hz, swinging by what it was made with.
TEST_F(CardInClips, ALampIsMeasuredWithTheCamera) {
    shoot.scenes[0].lamps = {*parseLampLine("measured 110Hz h1:60% share100%")};
    shoot.setups[0].shutter = ShutterAngle(90);
    wish.pulsing = true;
    wish.length = Seconds(4);
    const auto made = seen({{"grey", {0.3, 0.2, 0.3, 0.5}}});
    const auto& card = made.patches.at(0);
    const auto pulse = pulseOf(card.frames, shoot.kit.profiles[0].curve, made.rate);
    ASSERT_TRUE(pulse);
    const auto lamps = agreeingLamps(*pulse, made.rate, Seconds(0.012 * 0.5));
    const auto near = std::find_if(lamps.begin(), lamps.end(),
                                   [](Hertz lamp) { return std::abs(lamp.value() - 110) < 0.2; });
    ASSERT_NE(near, lamps.end());
    const auto lamp = lampFrom(*pulse, *near, Seconds(1.0 / 96), Hertz(50), "strip");
    ASSERT_TRUE(lamp) << message(lamp.error());
    EXPECT_EQ(lamp->kind, LampKind::Measured);
    EXPECT_NEAR(lamp->pulses->value(), 110, 0.2);
    EXPECT_NEAR(lamp->harmonics.at(0).depth.value(), 0.6, 0.03);
    EXPECT_FALSE(lampFrom(*pulse, *near, Seconds(2.0 / 110), Hertz(50), "strip"))
        << "two whole pulses hide it";
    const auto mains = lampFrom(*pulse, *near, Seconds(1.0 / 96), Hertz(55), "tubes");
    EXPECT_FALSE(mains->pulses) << "twice the mains is told by none";
}

// Light of another colour than the white that was set, found again by the card.
TEST_F(CardInClips, WhiteIsMeasuredByTheCard) {
    wish.length = Seconds(0.5);
    for (const auto& light : {LightColour{Kelvin(3400), Duv(0.004)}, LightColour{Kelvin(5000), {}},
                              LightColour{Kelvin(6800), Duv(-0.003)}}) {
        shoot.scenes[0].light = light;
        const auto made = seen({{"grey", {0.4, 0.4, 0.2, 0.2}}});
        const auto context = *resolve(shoot, shoot.setups[0]);
        const auto plateau = longestOf(plateausOf(made.patches.at(0).frames));
        ASSERT_TRUE(plateau);
        const auto white = whiteFromCard(context, evaluate(context), plateau->channels);
        ASSERT_TRUE(white) << message(white.error());
        const auto truth = pointOf(light);
        EXPECT_NEAR(miredOf(white->light.cct).value(), miredOf(truth.cct).value(), 2)
            << white->light.cct.value();
        EXPECT_NEAR(white->light.duv.value(), truth.duv.value(), 0.001);
    }
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto end = encode(context.profile->curve, linearAt(at().clip));
    EXPECT_FALSE(whiteFromCard(context, at(), {end, end, end})) << "a card that is burnt out";
    EXPECT_FALSE(whiteFromCard(context, at(), {Signal(0), Signal(0), Signal(0)}));
}

// 20 pictures a second brought to 24 by showing some of them twice: four a second, by hand.
TEST_F(CardInClips, PicturesThatAreRepeatedAreCounted) {
    sample::mediaTool("-v error -f lavfi -i testsrc2=s=320x180:r=20:d=2 -vf noise=alls=12:allf=t,"
                      "fps=24 -c:v libx264 -qp 0 -pix_fmt yuv420p " +
                      (folder / "filled.mov").string());
    const auto clip = readClip(folder / "filled.mov", ClipDepth::Facts);
    ASSERT_TRUE(clip) << message(clip.error());
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto pictures =
        readPictures(folder / "filled.mov", pictureWish(context, clip->picture->rate, {}));
    ASSERT_TRUE(pictures) << message(pictures.error());
    const auto findings = checkPictures(context, evaluate(context), *pictures);
    ASSERT_FALSE(findings.empty());
    EXPECT_EQ(findings[0].id, FindingId::ClipFramesRepeat);
    EXPECT_EQ(std::get<int>(findings[0].facts[1].value), 8);
}

// The same once more through an encoder that throws away, over a scene that moves; and a scene
// that moves alone, or stands, is none.
TEST_F(CardInClips, RepeatsAreFoundAfterEncodingAgain) {
    const auto repeats = [&](const std::string& source, const std::string& filter) {
        sample::mediaTool("-v error -f lavfi -i " + source + " -vf " + filter +
                          " -c:v libx264 -crf 23 -pix_fmt yuv420p " +
                          (folder / "again.mov").string());
        const auto clip = readClip(folder / "again.mov", ClipDepth::Facts);
        EXPECT_TRUE(clip);
        const auto context = *resolve(shoot, shoot.setups[0]);
        const auto pictures =
            readPictures(folder / "again.mov", pictureWish(context, clip->picture->rate, {}));
        EXPECT_TRUE(pictures);
        return pictures ? pictures->repeated : -1;
    };
    const std::string pan = "crop=320:180:x=t*90:y=60,noise=alls=4:allf=t";
    EXPECT_NEAR(repeats("testsrc2=s=640x360:r=20:d=3", pan + ",fps=24"), 12, 3);
    EXPECT_EQ(repeats("testsrc2=s=640x360:r=24:d=3", pan), 0);
    EXPECT_EQ(repeats("smptebars=s=320x180:r=24:d=3", "noise=alls=4:allf=t"), 0);
}

// 120 Hz at 24: five pulses a frame, the same in each; over a readout of 12.5 ms one and a half
// bands stand in the picture.
TEST_F(CardInClips, BandsThatStandAreTold) {
    shoot.brief.mains = Hertz(60);
    shoot.scenes[0].patches[0].place = FramePlace{0, 0, 1, 1};
    shoot.scenes[0].lamps = {*parseLampLine("tubes depth90% share100%")};
    shoot.kit.cameras[0].areas[0].readout = Seconds(0.0125);
    shoot.setups[0].shutter = ShutterAngle(180);
    const auto told = [&](const SeenPictures& made) {
        const auto findings = checkPictures(*resolve(shoot, shoot.setups[0]), at(), made);
        return std::any_of(findings.begin(), findings.end(),
                           [](const Finding& one) { return one.id == FindingId::ClipBandsStand; });
    };
    wish.pulsing = true;
    EXPECT_TRUE(told(seen({})));
    wish.pulsing = false;
    EXPECT_FALSE(told(seen({}))) << "the lamps do not pulse in this one";
}

TEST_F(CardInClips, NoiseIsThatOfThePixelsAndWhatIsNoClipIsRefused) {
    wish.length = Seconds(0.5);
    const auto frames = read();
    ASSERT_EQ(frames.size(), 12u);
    EXPECT_FALSE(frames[0].noise) << "nothing was before it";
    ASSERT_TRUE(frames[5].noise);
    EXPECT_GT(frames[5].noise->value(), 0.0005);
    EXPECT_LT(frames[5].noise->value(), 0.02);
    sample::spit(folder / "text.mov", "no clip");
    EXPECT_FALSE(readRegion(folder / "text.mov", {0, 0, 1, 1}));
    EXPECT_FALSE(readRegion(folder / "gone.mov", {0, 0, 1, 1}));
}

} // namespace
} // namespace bslate::io
