#include "core/quantity/print.h"
#include "core/shoot/scene_line_text.h"

#include <gtest/gtest.h>

#include <array>
#include <random>

namespace bslate {
namespace {

SceneLine understood(const char* text) {
    const auto line = parseSceneLine(text);
    EXPECT_TRUE(line.ok()) << text << (line ? "" : message(line.error()));
    return line.valueOr({});
}

TEST(SceneLine, TheJottedLineBecomesTheScene) {
    const auto line = understood("2A doorway int 26cd/m2 talk 12min");
    const auto& scene = line.scene;
    EXPECT_EQ(scene.number, "2A");
    EXPECT_EQ(scene.name, "doorway");
    EXPECT_EQ(scene.place, Place::Interior);
    EXPECT_TRUE(scene.sound);
    EXPECT_DOUBLE_EQ(scene.longestTake.value(), 720);
    ASSERT_EQ(scene.patches.size(), 1u);
    EXPECT_EQ(scene.patches[0].reading, (LightReading{26, LightUnit::CandelaPerM2}));
    EXPECT_FALSE(scene.patches[0].estimated);
    EXPECT_EQ(line.pieces.size(), 6u);
}

TEST(SceneLine, EveryPieceInAnyOrder) {
    const auto scene =
        understood("5A lantern walk mute dusk day2 20:50 ext dimmed 400Hz T2-T2.8 x4.17 10min "
                   "all 1h 54deg 9C 0.5w/s to 4 lx in 30min water")
            .scene;
    EXPECT_EQ(scene.name, "lantern walk");
    EXPECT_FALSE(scene.sound);
    EXPECT_EQ(scene.described, DescribedLight::Dusk);
    EXPECT_TRUE(scene.patches[0].estimated);
    EXPECT_EQ(scene.day, 2);
    EXPECT_DOUBLE_EQ(scene.start->value(), (20 * 60 + 50) * 60);
    ASSERT_EQ(scene.lamps.size(), 1u);
    EXPECT_EQ(scene.lamps[0].kind, LampKind::DimmedLed);
    EXPECT_EQ(scene.lamps[0].pulses, Hertz(400));
    EXPECT_EQ(scene.depth->widest, TStop(2));
    EXPECT_DOUBLE_EQ(scene.slowMotion.value(), 4.17);
    EXPECT_DOUBLE_EQ(scene.longestTake.value(), 600);
    EXPECT_DOUBLE_EQ(scene.footage.value(), 3600);
    EXPECT_EQ(scene.view, Degrees(54));
    EXPECT_EQ(scene.ambient, Celsius(9));
    EXPECT_EQ(scene.subjectSpeed, WidthsPerSecond(0.5));
    ASSERT_TRUE(scene.change);
    EXPECT_EQ(scene.change->to, (LightReading{4, LightUnit::Lux}));
    EXPECT_DOUBLE_EQ(scene.change->over.value(), 1800);
    EXPECT_TRUE(scene.hazards.water);
}

// What a line cannot tell of the lamps survives rewriting it, whatever else is typed.
TEST(SceneLine, LampsItCannotTellAreKept) {
    const auto line = understood("3 measured steady walk tubes pan8deg/s 26cd/m2");
    EXPECT_EQ(line.scene.name, "measured steady walk");
    EXPECT_EQ(line.scene.pan, DegreesPerSecond(8));
    ASSERT_EQ(line.scene.lamps.size(), 1u);
    Scene scene = line.scene;
    scene.lamps[0].depth = Fraction(0.7);
    Lamp window, meter;
    window.name = "window";
    window.kind = LampKind::Steady;
    meter.name = "meter";
    meter.kind = LampKind::Measured;
    meter.harmonics = {{1, Fraction(0.2)}};
    scene.lamps.insert(scene.lamps.begin(), window);
    scene.lamps.push_back(meter);
    EXPECT_EQ(rewritten(scene, understood(lineOf(scene).c_str())), scene);
    auto slower = scene;
    slower.lamps[1].pulses = Hertz(120);
    EXPECT_EQ(rewritten(scene, understood(lineOf(slower).c_str())), slower);
    const auto without = rewritten(scene, understood("3 measured steady walk 26cd/m2"));
    ASSERT_EQ(without.lamps.size(), 2u);
    EXPECT_EQ(without.lamps[1], meter);
    const auto more = rewritten(scene, understood("3 walk tubes bulbs 26cd/m2"));
    ASSERT_EQ(more.lamps.size(), 4u);
    EXPECT_EQ(more.lamps[3].kind, LampKind::Filament);
    EXPECT_FALSE(more.lamps[1].depth.has_value()) << "other lamps, so nothing is carried over";
}

TEST(SceneLine, ColourIsOfTheLampBeforeItOrOfAllTheLight) {
    const auto day = *parseSceneLine("quay ext 5600K overcast 12000lx");
    EXPECT_EQ(day.scene.light, (LightColour{Kelvin(5600), {}}));
    const auto shop = *parseSceneLine("shop int tubes 4100K duv+0.012 100Hz bulbs 2800K");
    EXPECT_FALSE(shop.scene.light);
    EXPECT_EQ(shop.scene.lamps[0].colour, (LightColour{Kelvin(4100), Duv(0.012)}));
    EXPECT_EQ(shop.scene.lamps[1].colour, (LightColour{Kelvin(2800), {}}));
    EXPECT_EQ(parseSceneLine(lineOf(shop.scene))->scene, shop.scene);
    EXPECT_EQ(parseSceneLine(lineOf(day.scene))->scene, day.scene);
    Scene before = shop.scene;
    before.lamps[0].gels = {"rose"};
    const auto after = rewritten(before, *parseSceneLine("shop int tubes 4300K bulbs"));
    EXPECT_EQ(after.lamps[0].colour->cct, Kelvin(4300));
    EXPECT_EQ(after.lamps[0].gels, before.lamps[0].gels) << "what the line does not say";
    EXPECT_FALSE(parseSceneLine("quay 90000K").ok());
}

TEST(SceneLine, ReadingsMayBeTwoWordsAndUnitsAreKept) {
    EXPECT_EQ(understood("1 causeway EV 10.6").scene.patches[0].reading,
              (LightReading{10.6, LightUnit::EvReflected}));
    EXPECT_EQ(understood("barn 10 fc").scene.patches[0].reading,
              (LightReading{10, LightUnit::FootCandle}));
    EXPECT_EQ(understood("barn 12 min").scene.longestTake, Seconds(720));
    const auto both = understood("barn 12min 40min").scene;
    EXPECT_EQ(both.footage, Seconds(2400)) << "the second length is the footage";
}

TEST(SceneLine, AMistypedQuantityIsNotSilentlyAName) {
    for (const char* text :
         {"2A doorway 26cdm", "2A doorway 12mn", "2A doorway 4,5lx", "", "   ", "2A int talk"}) {
        const auto line = parseSceneLine(text);
        ASSERT_FALSE(line.ok()) << text;
        EXPECT_FALSE(line.error().expected.empty());
    }
    EXPECT_EQ(parseSceneLine("2A doorway 26cdm").error().got, "26cdm");
    EXPECT_FALSE(parseSceneLine(std::string(500, 'a')).ok());
}

TEST(SceneLine, ALineGivesItsSceneBack) {
    for (const char* text :
         {"2A doorway int 26cd/m2 talk 12min", "6 ferry ride day2 17:00 ext overcast mute",
          "3 shop >EV14.6/40min tubes 100lx T2.8-T4 4x talk 70min all 90min 54\u00b0 -5C water "
          "mains",
          "1 wheel 0.5w/s home heights sunshot mute"}) {
        const auto scene = understood(text).scene;
        EXPECT_EQ(understood(lineOf(scene).c_str()).scene, scene) << lineOf(scene);
    }
}

TEST(SceneLine, RewritingKeepsWhatTheLineCannotSay) {
    Scene scene = understood("2A doorway int 26cd/m2 talk 12min").scene;
    scene.id = "hopper";
    scene.note = "keep the door open";
    scene.extra.json = R"({"x":1})";
    Patch sky;
    sky.id = "sky";
    sky.role = PatchRole::Highlight;
    scene.patches.push_back(sky);
    const auto after = rewritten(scene, understood("2A doorway day2 52cd/m2 mute"));
    EXPECT_EQ(after.id, "hopper");
    EXPECT_EQ(after.note, scene.note);
    EXPECT_EQ(after.extra, scene.extra);
    EXPECT_EQ(after.day, 2);
    EXPECT_EQ(after.longestTake, Seconds(0));
    ASSERT_EQ(after.patches.size(), 2u);
    EXPECT_EQ(after.patches[0].reading.value, 52);
    EXPECT_EQ(after.patches[1], sky);
    EXPECT_EQ(rewritten(scene, understood("2A doorway talk")).patches[0].reading.value, 26)
        << "a line without a reading leaves the metered one";
}

// A scene rewritten by its own line is the same scene, for any values and any names.
TEST(SceneLine, GivesTheSceneBackWhateverItHolds) {
    std::mt19937_64 random(13);
    std::uniform_real_distribution<double> unit(0, 1);
    const auto any = [&](auto... values) {
        const std::array list{values...};
        return list[static_cast<std::size_t>(unit(random) * list.size())];
    };
    for (int round = 0; round < 2000; ++round) {
        Scene scene;
        scene.id = "s";
        scene.number = any("", "2A", "14", "2 A", "Pick-up", "#3", "dusk", "12ABC");
        scene.name = any("Doorway", "Lantern walk at dusk", "Workshop under old tubes", "all 12min",
                         "2 cellos", "to EV14 in 40min", "say \"cheese\"", "int", "talk, talk",
                         "a  b", "x4", "26 lx", "05:40", "day2", "water", "400Hz", "Room 26", "EV",
                         "back\\slash", "-5C", "T2.8");
        scene.day = any(1, 2, 17);
        if (round % 2)
            scene.start = Seconds(any(20400.0, 20430.0, 86399.5));
        scene.place = any(Place::Unknown, Place::Interior, Place::Exterior);
        if (round % 3)
            scene.described = any(DescribedLight::Dusk, DescribedLight::Candle);
        if (round % 5 == 0)
            scene.change = LightChange{{14 + unit(random), LightUnit::EvReflected}, Seconds(2400)};
        if (round % 4 == 0)
            scene.depth = DepthWish{TStop(std::exp2(1.5)), TStop(2.9 + unit(random))};
        scene.subjectSpeed = WidthsPerSecond(any(0.0, unit(random)));
        if (round % 7 == 0)
            scene.pan = DegreesPerSecond(1 + unit(random));
        scene.slowMotion = Magnification(any(1.0, 4.17, 1 + unit(random)));
        scene.sound = round % 2 == 0;
        scene.longestTake = Seconds(any(0.0, 720.0, 1 + unit(random)));
        scene.footage = Seconds(any(0.0, 3600.0, 1 + unit(random)));
        if (round % 3 == 1)
            scene.view = Degrees(20 + unit(random));
        if (round % 3 == 2)
            scene.ambient = Celsius(-5 + unit(random));
        scene.hazards = {round % 2 == 0, round % 3 == 0, round % 5 == 0, round % 7 == 0};
        if (round % 2) {
            Patch grey;
            grey.id = "grey";
            grey.role = PatchRole::Grey;
            grey.reading = {1 + unit(random), any(LightUnit::Lux, LightUnit::FootCandle,
                                                  LightUnit::CandelaPerM2, LightUnit::EvReflected)};
            scene.patches = {grey};
        }
        const auto line = lineOf(scene);
        const auto read = parseSceneLine(line);
        ASSERT_TRUE(read.ok()) << line << ": " << message(read.error());
        EXPECT_EQ(read->scene.name, scene.name) << line;
        EXPECT_EQ(read->scene.number, scene.number) << line;
        EXPECT_EQ(rewritten(scene, *read), scene) << line;
    }
}

TEST(SceneLine, QuotesAreNames) {
    const auto line = understood("\"Lantern walk at dusk\" ext 4lx");
    EXPECT_EQ(line.scene.name, "Lantern walk at dusk");
    EXPECT_FALSE(line.scene.described);
    EXPECT_EQ(line.scene.place, Place::Exterior);
    EXPECT_EQ(understood("\"never closed").scene.name, "never closed");
    EXPECT_EQ(understood("#Pick-up quay").scene.number, "Pick-up");
}

} // namespace
} // namespace bslate
