#include "core/shoot/lamps.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

TEST(LampLine, SaysWhatALampDoes) {
    const auto tubes = parseLampLine("old tubes 100Hz depth70% share70%");
    ASSERT_TRUE(tubes.ok()) << message(tubes.error());
    EXPECT_EQ(tubes->name, "old");
    EXPECT_EQ(tubes->kind, LampKind::Ballast);
    EXPECT_EQ(tubes->pulses, Hertz(100));
    EXPECT_EQ(tubes->depth, Fraction(0.7));
    EXPECT_EQ(parseLampLine("strips 400Hz duty25%")->kind, LampKind::DimmedLed);
    EXPECT_EQ(parseLampLine("window steady share30%")->kind, LampKind::Steady);
    const auto measured = parseLampLine("h1:40% h2:8.5% 99.7Hz");
    EXPECT_EQ(measured->kind, LampKind::Measured);
    EXPECT_EQ(measured->harmonics[1], (Harmonic{2, Fraction(0.085)}));
    for (const char* line : {"old tubes 100Hz depth70% share70%", "dimmed 1234.5Hz duty12.5%",
                             "sky steady", "x measured h1:40% h64:0.25%"})
        EXPECT_EQ(lineOf(*parseLampLine(line)), line);
}

TEST(LampLine, TellsColourSideAndGels) {
    const auto tubes = *parseLampLine("old tubes 4100K duv+0.012 >3200K key gel:rose behind30%");
    EXPECT_EQ(tubes.name, "old");
    EXPECT_EQ(tubes.colour, (LightColour{Kelvin(4100), Duv(0.012)}));
    EXPECT_EQ(tubes.colourEnd, (LightColour{Kelvin(3200), {}}));
    EXPECT_EQ(tubes.side, LightSide::Key);
    EXPECT_EQ(tubes.gels, std::vector<std::string>{"rose"});
    EXPECT_EQ(tubes.behind, Fraction(0.3));
    EXPECT_NEAR(parseLampLine("strip panels x0.3721 y0.3751")->colour->cct.value(), 4224, 1.5);
    EXPECT_EQ(parseLampLine("bounce steady 250mired")->colour->cct, Kelvin(4000));
    EXPECT_EQ(parseLampLine("\"key panel\" panels")->side, LightSide::Unsaid) << "a name";
    for (const char* line : {"old tubes key 4100K duv+0.012 >3200K gel:a gel:b share70% behind30%",
                             "\"key\" steady back 6500K", "\"4300K\" steady"})
        EXPECT_EQ(lineOf(*parseLampLine(line)), line);
}

TEST(LampLine, SharesOfASceneMakeNoMoreThanAll) {
    Scene scene;
    scene.lamps = {*parseLampLine("a tubes share70%"), *parseLampLine("b steady share30%")};
    scene.patches.emplace_back();
    scene.patches[0].lamp = "b";
    EXPECT_FALSE(withLamp(scene, std::nullopt, *parseLampLine("c steady share1%")).ok());
    EXPECT_TRUE(withLamp(scene, std::nullopt, *parseLampLine("c steady")).ok());
    const auto renamed = withLamp(scene, 1, *parseLampLine("sky steady share30% behind100%"));
    ASSERT_TRUE(renamed.ok());
    EXPECT_EQ(renamed->patches[0].lamp, "sky");
    const auto over = withLamp(*renamed, 0, *parseLampLine("a tubes share70% behind5%"));
    ASSERT_FALSE(over.ok());
    EXPECT_NE(message(over.error()).find("background"), std::string::npos);
    scene.lamps.resize(kMostLamps);
    EXPECT_FALSE(withLamp(scene, std::nullopt, *parseLampLine("c steady")).ok());
}

// Any name with a colour is a lamp; what is called a bulb, tube or panel is one.
TEST(LampLine, ANameAndAColourAreEnough) {
    const struct {
        const char* line;
        const char* name;
        LampKind kind;
    } typed[] = {{"bulb 2800K", "bulb", LampKind::Filament},
                 {"LED panel 3200K share30% key", "LED panel", LampKind::Electronic},
                 {"backlight 5600K share50%", "backlight", LampKind::Steady},
                 {"old tube 100Hz", "old tube", LampKind::Ballast},
                 {"Panel x0.38 y0.377", "Panel", LampKind::Electronic},
                 {"panel tubes 4100K", "panel", LampKind::Ballast}};
    for (const auto& one : typed) {
        const auto lamp = parseLampLine(one.line);
        ASSERT_TRUE(lamp.ok()) << one.line;
        EXPECT_EQ(lamp->name, one.name);
        EXPECT_EQ(lamp->kind, one.kind) << one.line;
        const auto again = parseLampLine(lineOf(*lamp));
        ASSERT_TRUE(again.ok()) << lineOf(*lamp);
        EXPECT_EQ(*again, *lamp) << lineOf(*lamp);
    }
    EXPECT_FALSE(parseLampLine("2800K").ok()) << "which lamp?";
}

TEST(LampLine, WrongPiecesAreNamed) {
    const struct {
        const char* line;
        const char* got;
    } wrong[] = {{"tubes 0Hz", "0Hz"},
                 {"tubes depth120%", "depth120%"},
                 {"dimmed duty0%", "duty0%"},
                 {"measured 100Hz", "measured 100Hz"},
                 {"measured h65:1%", "h65:1%"},
                 {"measured h1.5:1%", "h1.5:1%"},
                 {"tubes 70%", "70%"},
                 {"tubes 500K", "500K"},
                 {"tubes 90000K", "90000K"},
                 {"tubes duv+0.01", "duv+0.01"},
                 {"tubes 4100K duv+0.2", "duv+0.2"},
                 {"tubes x0.3", "x0.3"},
                 {"tubes x0.9 y0.9", "y0.9"},
                 {"somewhere", "somewhere"},
                 {"", ""}};
    for (const auto& entry : wrong) {
        const auto lamp = parseLampLine(entry.line);
        ASSERT_FALSE(lamp.ok()) << entry.line;
        EXPECT_EQ(lamp.error().got, entry.got) << entry.line;
        EXPECT_FALSE(lamp.error().expected.empty());
    }
}

TEST(Lamps, TakeTheUsualNumbersAndDivideWhatIsLeft) {
    Scene scene;
    scene.lamps = {*parseLampLine("tubes share70%"), *parseLampLine("bulbs"),
                   *parseLampLine("strips 400Hz")};
    const auto lights = lightsOf(scene, Hertz(50));
    ASSERT_EQ(lights.size(), 3u);
    EXPECT_EQ(lights[0].frequency, Hertz(100));
    EXPECT_TRUE(lights[0].fromMains);
    EXPECT_EQ(lights[0].depth, Fraction(0.8));
    EXPECT_EQ(lights[1].depth, Fraction(0.1));
    EXPECT_NEAR(lights[1].share.value(), 0.15, 1e-12);
    EXPECT_EQ(lights[2].waveform, Waveform::Pwm);
    EXPECT_FALSE(lights[2].fromMains);
    EXPECT_EQ(lightsOf(scene, Hertz(60))[0].frequency, Hertz(120));
}

TEST(LampLine, ComesBackWhateverItIsCalled) {
    for (const char* name : {"old tubes", "Workshop under old tubes", "tubes", "400Hz", "share",
                             "share5", "h1:2", "a \"b\"", "80%", "two  spaces", "dimmed lamp"})
        for (const auto kind : {LampKind::Ballast, LampKind::DimmedLed, LampKind::Steady}) {
            Lamp lamp;
            lamp.name = name;
            lamp.kind = kind;
            lamp.pulses = Hertz(1000.0 / 3);
            lamp.depth = Fraction(2.0 / 3);
            lamp.share = Fraction(0.7);
            const auto line = lineOf(lamp);
            const auto read = parseLampLine(line);
            ASSERT_TRUE(read.ok()) << line << ": " << message(read.error());
            EXPECT_EQ(*read, lamp) << line;
        }
}

} // namespace
} // namespace bslate
