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
