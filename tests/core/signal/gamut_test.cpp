#include "core/signal/gamut.h"
#include "core/signal/rating_lut.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

// ITU-R BT.709-6 item 3.2 luma weights, 0.2126 0.7152 0.0722, are the Y row of RGB to XYZ.
TEST(Gamut, Bt709LumaRowIsThePublishedOne) {
    const auto m = rgbToXyz(gamutBt709());
    EXPECT_NEAR(m[1][0], 0.2126, 5e-5);
    EXPECT_NEAR(m[1][1], 0.7152, 5e-5);
    EXPECT_NEAR(m[1][2], 0.0722, 5e-5);
}

// ITU-R BT.2020-2 table 4: 0.2627 0.6780 0.0593.
TEST(Gamut, Bt2020LumaRowIsThePublishedOne) {
    const auto m = rgbToXyz(gamutBt2020());
    EXPECT_NEAR(m[1][0], 0.2627, 5e-5);
    EXPECT_NEAR(m[1][1], 0.6780, 5e-5);
    EXPECT_NEAR(m[1][2], 0.0593, 5e-5);
}

// ITU-R BT.2087-0 section 4, linear BT.709 to BT.2020.
TEST(Gamut, Bt709ToBt2020IsThePublishedMatrix) {
    const Matrix3 published = {
        {{0.6274, 0.3293, 0.0433}, {0.0691, 0.9195, 0.0114}, {0.0164, 0.0880, 0.8956}}};
    const auto m = convert(gamutBt709(), gamutBt2020());
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            EXPECT_NEAR(m[row][column], published[row][column], 6e-5) << row << column;
}

TEST(Gamut, GreyStaysGrey) {
    for (const auto& row : convert(gamutBt2020(), gamutBt709()))
        EXPECT_NEAR(row[0] + row[1] + row[2], 1.0, 1e-12);
}

TEST(Gamut, DegeneratePrimariesAreRefused) {
    Gamut flat = gamutBt709();
    flat.blue = {(flat.red.x + flat.green.x) / 2, (flat.red.y + flat.green.y) / 2};
    EXPECT_FALSE(isValid(flat));
    Gamut noY = gamutBt709();
    noY.red.y = 0;
    EXPECT_FALSE(isValid(noY));
    EXPECT_TRUE(isValid(gamutBt2020()));
}

// A ready look is a picture already: unrated it passes as it is, rated it keeps its own curve.
TEST(RatingLut, AReadyLookIsShownThroughItsOwnCurve) {
    RatingLut lut{bt709(), gamutBt709(), Stops(0), {}, true};
    for (const double signal : {0.0, 0.05, 0.409, 0.75, 0.94911, 1.0}) {
        const auto shown = apply(lut, {signal, signal, signal});
        EXPECT_NEAR(shown[0], signal, 1e-9) << "no roll-off is put on top";
    }
    EXPECT_NEAR(sampleCube(lut, 17)[16][0], 1.0, 1e-6) << "pure red stays red";
    lut.gain = Stops(-1);
    const double half = encode(bt709(), SceneLinear(0.09)).value();
    EXPECT_NEAR(apply(lut, {0.40901, 0.40901, 0.40901})[1], half, 1e-5);
    EXPECT_NEAR(shownLevel(bt709(), true, Stops(2.474)).value(), 100, 0.05);
    EXPECT_LT(shownLevel(bt709(), false, Stops(2.474)).value(), 95) << "log is rolled off";
}

TEST(RatingLut, DisplayIsBt709ThenRollsOffSmoothly) {
    for (double x = 0.0; x <= 0.6; x += 0.01)
        EXPECT_NEAR(displaySignal(SceneLinear(x)).value(), encode(bt709(), SceneLinear(x)).value(),
                    1e-12);
    EXPECT_EQ(displaySignal(SceneLinear(-0.1)).value(), 0);
    double last = 0.5, lastSlope = 1e9;
    for (double stops = -1; stops < 8; stops += 0.02) {
        const double y = displaySignal(SceneLinear(0.6 * std::exp2(stops))).value();
        EXPECT_GT(y, last);
        EXPECT_LT(y, 1.0);
        if (stops > 0.02) {
            EXPECT_LE(y - last, lastSlope + 1e-12) << "slope must fall above the roll-off start";
            lastSlope = y - last;
        }
        last = y;
    }
    // By hand, one stop above 0.6: k = 1.099 * 0.6^0.45 - 0.099 = 0.77430; slope per stop
    // m = 0.45 * (k + 0.099) * ln 2 = 0.27240; 1 - 0.22570 * exp(-0.27240 / 0.22570) = 0.93249.
    EXPECT_NEAR(displaySignal(SceneLinear(1.2)).value(), 0.93249, 5e-5);
}

TEST(RatingLut, UndoesTheRating) {
    const Curve curve{CameraLog{2, 0.0735, 0.4, 6, 0.05, 0.01, std::nullopt}, CodeRange::Full, {}};
    const RatingLut over{curve, gamutBt709(), Stops(-1)};
    // Mid-grey recorded a stop over must come out where plain mid-grey does.
    const double recorded = encode(curve, linearAt(Stops(1))).value();
    const auto out = apply(over, {recorded, recorded, recorded});
    for (const double channel : out)
        EXPECT_NEAR(channel, 0.40901, 1e-5);
}

TEST(RatingLut, SamplesAgreeWithTheExactTransform) {
    const Curve curve{CameraLog{2, 0.0735, 0.4, 6, 0.05, 0.01, std::nullopt}, CodeRange::Full, {}};
    const RatingLut lut{curve, gamutBt2020(), Stops(-1)};
    const auto cube = sampleCube(lut, 17);
    ASSERT_EQ(cube.size(), 17u * 17 * 17);
    double worst = 0;
    for (std::size_t i = 0; i < cube.size(); ++i) {
        const double r = static_cast<double>(i % 17) / 16,
                     g = static_cast<double>(i / 17 % 17) / 16,
                     b = static_cast<double>(i / 289) / 16;
        const auto exact = apply(lut, {r, g, b});
        for (std::size_t c = 0; c < 3; ++c)
            worst = std::max(worst, std::abs(exact[c] - static_cast<double>(cube[i][c])));
    }
    EXPECT_LT(worst, 1e-5);
    EXPECT_EQ(sampleNeutral(lut, 1024).size(), 1024u);
}

} // namespace
} // namespace bslate
