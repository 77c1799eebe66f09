#include "core/kit/camera_colour.h"
#include "core/kit/white_dial.h"
#include "core/kit/white_dial_line.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

WhiteDial letters() {
    return {50, Kelvin(2500), Kelvin(10000), TintDial{Duv(0.0013), 1, 9, TintMarks::Letters}};
}

TEST(WhiteDial, TakesWhatHandsTypeInTheMarksOfTheBody) {
    const struct {
        TintMarks marks;
        const char* text;
        double kelvin, tint;
        WhiteBy by;
    } table[] = {{TintMarks::Letters, "4100K", 4100, 0, WhiteBy::Preset},
                 {TintMarks::Letters, "4100 K M9", 4100, 9, WhiteBy::Preset},
                 {TintMarks::Letters, "4100K g2", 4100, -2, WhiteBy::Preset},
                 {TintMarks::Letters, "250 mired tint3", 4000, 3, WhiteBy::Preset},
                 {TintMarks::PlusMagenta, "4100K +4", 4100, 4, WhiteBy::Preset},
                 {TintMarks::PlusGreen, "4100K +4", 4100, -4, WhiteBy::Preset},
                 {TintMarks::PlusGreen, "5600 M1 card", 5600, 1, WhiteBy::Card}};
    for (const auto& row : table) {
        auto dial = letters();
        dial.tint->marks = row.marks;
        const auto typed = parseWhite(dial, row.text);
        ASSERT_TRUE(typed.ok()) << row.text << ": " << message(typed.error());
        EXPECT_EQ(typed->setting.kelvin, Kelvin(row.kelvin)) << row.text;
        EXPECT_EQ(typed->setting.tint, Tint(row.tint)) << row.text;
        EXPECT_EQ(typed->by, row.by) << row.text;
        EXPECT_EQ(parseWhite(dial, print(dial, typed->setting))->setting, typed->setting);
    }
}

TEST(WhiteDial, RefusesWhatItDoesNotHave) {
    for (const char* text : {"500K", "90000K", "4100K M12", "warm", "", "4100K Mx", "M3"})
        EXPECT_FALSE(parseWhite(letters(), text).ok()) << text;
    const auto none = parseWhite(WhiteDial{}, "4100K M3");
    ASSERT_FALSE(none.ok());
    EXPECT_NE(message(none.error()).find("no tint"), std::string::npos) << message(none.error());
}

// Every step of the dial, tried.
TEST(WhiteDial, ComesAsNearToALightAsItsStepsGo) {
    const auto dial = letters();
    for (const ColourPoint light :
         {ColourPoint{Kelvin(4130), Duv(0.012)}, ColourPoint{Kelvin(5630), Duv(-0.004)},
          ColourPoint{Kelvin(3200), Duv(0.0005)}}) {
        const auto chosen = whiteFor(dial, light);
        for (double kelvin = 2500; kelvin <= 10000; kelvin += 50)
            EXPECT_LE(std::abs(chosen.kelvin.value() - light.cct.value()),
                      std::abs(kelvin - light.cct.value()) + 1e-9);
        const double left = std::abs((whitePoint(dial, chosen).duv - light.duv).value());
        for (int tint = -9; tint <= 9; ++tint)
            EXPECT_LE(
                left,
                std::abs((whitePoint(dial, {chosen.kelvin, Tint(tint)}).duv - light.duv).value()) +
                    1e-12);
    }
    EXPECT_EQ(whiteFor(dial, {Kelvin(4100), Duv(0.04)}).tint, Tint(9)) << "no farther than it goes";
    EXPECT_EQ(whiteOnDial(dial, Kelvin(1900)), Kelvin(2500));
    EXPECT_EQ(stepped(dial, {Kelvin(4120), Tint(8)}, -1, 3), (WhiteSetting{Kelvin(4050), Tint(9)}));
}

TEST(WhiteDialLine, ReadsAndGivesBackWhatABodyHas) {
    for (const char* line : {"100", "50 2500-10000", "50 2500-10000 tint 0.0013 to 9 M/G",
                             "1 tint 0.002 by 0.5 to 15 +G", "20 tint 0.0018 to 9 +M"})
        EXPECT_EQ(spell(*parseWhiteDial(line)), line);
    EXPECT_EQ(*parseWhiteDial("50 2500-10000 tint 0.0013 to 9 M/G"), letters());
    for (const char* line :
         {"", "0", "2000", "100 9000-2500", "100 warm", "100 tint", "100 tint 1",
          "100 tint 0.001 to", "100 tint 0.001 to 9 X", "100 tint 0.001 by 9 to 3"})
        EXPECT_FALSE(parseWhiteDial(line).ok()) << line;
}

TEST(CameraColour, FoundGainsSetItsPrimariesRight) {
    Camera camera;
    const CameraColour generic(camera);
    EXPECT_TRUE(generic.isGeneric());
    camera.whiteGains = {{Kelvin(5600), Stops(0.05), Stops(0.3)},
                         {Kelvin(3200), Stops(-0.4), Stops(1.4)}};
    const CameraColour found(camera);
    EXPECT_FALSE(found.isGeneric());
    const ColourPoint low{Kelvin(3200), usualDuv(Kelvin(3200))};
    EXPECT_NEAR(found.gains(low)[0].value(), -0.4, 1e-12);
    EXPECT_NEAR(found.gains(low)[2].value(), 1.4, 1e-12);
    // Halfway in mired the corrections are the mean of both ends, and beyond an end that end's.
    const auto off = [&](ColourPoint light) {
        return found.gains(light)[2] - generic.gains(light)[2];
    };
    const Mired middle = (miredOf(Kelvin(3200)) + miredOf(Kelvin(5600))) * 0.5;
    const Stops at32 = off(low), at56 = off({Kelvin(5600), usualDuv(Kelvin(5600))});
    EXPECT_NEAR(off({kelvinOf(middle), Duv(0)}).value(), (at32 + at56).value() / 2, 1e-9);
    EXPECT_NEAR(off({Kelvin(2000), Duv(0)}).value(), at32.value(), 1e-9);
    EXPECT_NEAR(off({Kelvin(9000), Duv(0)}).value(), at56.value(), 1e-9);
}

} // namespace
} // namespace bslate
