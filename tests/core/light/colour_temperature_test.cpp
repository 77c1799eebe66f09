// Colour temperature against CIE 15 and against Planck's law integrated.
#include "core/light/light_colour.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

// The 1931 observer by the fit of Wyman, Sloan and Shirley (J. Computer Graphics Techniques 2, 1,
// 2013; coefficients from memory).
double lobe(double x, double mean, double below, double above) {
    const double t = (x - mean) * (x < mean ? below : above);
    return std::exp(-0.5 * t * t);
}

Chromaticity integrated(double kelvin) {
    double sums[3] = {};
    for (double nm = 360; nm <= 830; nm += 1) {
        const double power = std::pow(nm, -5) / (std::exp(1.438776877e7 / (nm * kelvin)) - 1);
        sums[0] += power * (1.056 * lobe(nm, 599.8, 1 / 37.9, 1 / 31.0) +
                            0.362 * lobe(nm, 442.0, 1 / 16.0, 1 / 26.7) -
                            0.065 * lobe(nm, 501.1, 1 / 20.4, 1 / 26.2));
        sums[1] += power * (0.821 * lobe(nm, 568.8, 1 / 46.9, 1 / 40.5) +
                            0.286 * lobe(nm, 530.9, 1 / 16.3, 1 / 31.1));
        sums[2] += power * (1.217 * lobe(nm, 437.0, 1 / 11.8, 1 / 36.0) +
                            0.681 * lobe(nm, 459.0, 1 / 26.0, 1 / 13.8));
    }
    const double all = sums[0] + sums[1] + sums[2];
    return {sums[0] / all, sums[1] / all};
}

TEST(BlackBody, IsPlancksLawIntegrated) {
    for (const double kelvin : {1800.0, 2856.0, 3200.0, 4000.0, 5600.0, 6500.0, 10000.0, 20000.0}) {
        const auto ours = blackBody(Kelvin(kelvin));
        const auto theirs = integrated(kelvin);
        EXPECT_NEAR(ours.x, theirs.x, 0.0035) << kelvin; // what the fit of the observer allows
        EXPECT_NEAR(ours.y, theirs.y, 0.0035) << kelvin;
    }
}

TEST(BlackBody, IsTheCubicOfTheLiterature) {
    // Kim et al., US patent 7024034 (2002), from memory; good to about 0.0005.
    const struct {
        double kelvin, x, y;
    } table[] = {{2856, 0.4471, 0.4075},
                 {3200, 0.4232, 0.3991},
                 {4000, 0.3805, 0.3767},
                 {5600, 0.3301, 0.3391},
                 {6500, 0.3135, 0.3237}};
    for (const auto& row : table) {
        const auto ours = blackBody(Kelvin(row.kelvin));
        EXPECT_NEAR(ours.x, row.x, 0.0008) << row.kelvin;
        EXPECT_NEAR(ours.y, row.y, 0.0008) << row.kelvin;
    }
}

TEST(ColourTemperature, OfTheIlluminantsOfCie15) {
    // CIE 15:2004 tables T.3 and T.8, chromaticities and rounded temperatures (from memory).
    const struct {
        const char* name;
        double x, y, kelvin, within;
    } table[] = {{"A", 0.44757, 0.40745, 2856, 2},   {"D50", 0.34567, 0.35851, 5003, 3},
                 {"D55", 0.33243, 0.34744, 5503, 3}, {"D65", 0.31271, 0.32902, 6504, 3},
                 {"D75", 0.29903, 0.31488, 7504, 6}, {"E", 0.33333, 0.33333, 5455, 6},
                 {"F1", 0.3131, 0.3371, 6430, 12},   {"F2", 0.3721, 0.3751, 4230, 12},
                 {"F3", 0.4091, 0.3941, 3450, 12},   {"F4", 0.4402, 0.4031, 2940, 12},
                 {"F5", 0.3138, 0.3452, 6350, 12},   {"F6", 0.3779, 0.3882, 4150, 12},
                 {"F7", 0.3129, 0.3292, 6500, 12},   {"F8", 0.3458, 0.3586, 5000, 12},
                 {"F9", 0.3741, 0.3727, 4150, 12},   {"F10", 0.3458, 0.3588, 5000, 12},
                 {"F11", 0.3805, 0.3769, 4000, 12},  {"F12", 0.4370, 0.4042, 3000, 12}};
    for (const auto& row : table) {
        const auto colour = colourOf({row.x, row.y});
        ASSERT_TRUE(colour.ok()) << row.name;
        EXPECT_NEAR(colour->cct.value(), row.kelvin, row.within) << row.name;
    }
    EXPECT_NEAR(colourOf({0.31271, 0.32902})->duv.value(), 0.0032, 0.00005) << "D65";
    EXPECT_NEAR(colourOf({0.34567, 0.35851})->duv.value(), 0.0032, 0.00005) << "D50";
    EXPECT_NEAR(colourOf({0.44757, 0.40745})->duv.value(), 0.0, 0.00005) << "A";
    EXPECT_NEAR(colourOf({0.3721, 0.3751})->duv.value(), 0.0018, 0.00006) << "a tube";
}

TEST(ColourTemperature, StaysNearMcCamysCubic) {
    // McCamy, Color Research and Application 17, 142 (1992).
    for (double kelvin = 3000; kelvin <= 9500; kelvin += 250)
        for (const double duv : {-0.005, 0.0, 0.005}) {
            const auto c = chromaticityOf({Kelvin(kelvin), Duv(duv)});
            const double n = (c.x - 0.3320) / (0.1858 - c.y);
            const double his = ((449 * n + 3525) * n + 6823.3) * n + 5520.33;
            EXPECT_NEAR(his, kelvin, kelvin * 0.012) << kelvin << " " << duv;
        }
}

// The foot of the perpendicular, by trying the whole locus.
TEST(ColourTemperature, IsTheNearestPointOfTheLocusAndComesBack) {
    const auto uv = [](Chromaticity c) {
        const double sum = -2 * c.x + 12 * c.y + 3;
        return std::pair(4 * c.x / sum, 6 * c.y / sum);
    };
    for (const double kelvin : {1700.0, 2000.0, 3200.0, 4400.0, 6500.0, 12000.0, 30000.0})
        for (const double duv : {-0.03, -0.01, 0.0, 0.012, 0.045}) {
            const auto c = chromaticityOf({Kelvin(kelvin), Duv(duv)});
            const auto found = colourOf(c);
            if (c.x + c.y > 1) { // no light is that green and that warm
                EXPECT_FALSE(found.ok());
                continue;
            }
            ASSERT_TRUE(found.ok()) << kelvin << " " << duv;
            EXPECT_NEAR(miredOf(found->cct).value(), 1e6 / kelvin, 0.05) << kelvin << " " << duv;
            EXPECT_NEAR(found->duv.value(), duv, 1e-6);
            const auto [u, v] = uv(c);
            double nearest = 1;
            for (double mired = 25; mired <= 600; mired += 0.05) {
                const auto [pu, pv] = uv(blackBody(Kelvin(1e6 / mired)));
                nearest = std::min(nearest, std::hypot(u - pu, v - pv));
            }
            EXPECT_NEAR(nearest, std::abs(duv), 2e-5) << kelvin << " " << duv;
        }
}

TEST(ColourTemperature, RefusesWhatHasNone) {
    const struct {
        Chromaticity c;
        const char* says;
    } wrong[] = {{{0.1, 0.8}, "no colour temperature, Duv 0."},
                 {{0.30, 0.15}, "no colour temperature, Duv -0."},
                 {{0.7, 0.6}, "together at most 1"},
                 {{-0.1, 0.3}, "x and y from 0"},
                 {{0.62, 0.36}, "1667 K"}};
    for (const auto& row : wrong) {
        const auto colour = colourOf(row.c);
        ASSERT_FALSE(colour.ok()) << row.c.x;
        EXPECT_NE(message(colour.error()).find(row.says), std::string::npos)
            << message(colour.error());
    }
}

TEST(Daylight, IsTheSeriesOfCie15) {
    EXPECT_NEAR(daylight(Kelvin(6504)).x, 0.31271, 0.00002);
    EXPECT_NEAR(daylight(Kelvin(6504)).y, 0.32912, 0.00002);
    EXPECT_NEAR(daylight(Kelvin(5003)).x, 0.34565, 0.00002);
    EXPECT_NEAR(daylight(Kelvin(5003)).y, 0.35860, 0.00002);
    EXPECT_EQ(usualDuv(Kelvin(3200)), Duv(0)) << "a lamp stands on the black body";
    EXPECT_NEAR(usualDuv(Kelvin(5600)).value(), 0.0033, 0.0002) << "a day does not";
    for (double kelvin = 3900; kelvin < 4500; kelvin += 10)
        EXPECT_LT(std::abs((usualDuv(Kelvin(kelvin + 10)) - usualDuv(Kelvin(kelvin))).value()),
                  0.0002)
            << "no step at " << kelvin;
}

TEST(LightMixture, LiesBetweenByLuminance) {
    LightMixture mixture;
    EXPECT_FALSE(mixture.colour());
    mixture.add({Kelvin(3200), Duv(0)}, Fraction(1));
    EXPECT_NEAR(mixture.colour()->cct.value(), 3200, 1);
    mixture.add({Kelvin(6500), Duv(0.003)}, Fraction(1));
    // By hand: u and v of both weighted with Y/y, as additive mixture asks (CIE 15 clause 7).
    const auto a = blackBody(Kelvin(3200));
    const auto b = chromaticityOf({Kelvin(6500), Duv(0.003)});
    const double wa = 1 / a.y, wb = 1 / b.y;
    const auto by =
        colourOf({(a.x * wa + b.x * wb) / (wa + wb), (a.y * wa + b.y * wb) / (wa + wb)});
    EXPECT_NEAR(mixture.colour()->cct.value(), by->cct.value(), 0.01);
    EXPECT_NEAR(mixture.colour()->duv.value(), by->duv.value(), 1e-6);
}

TEST(LightColour, IsTypedInEverySpelling) {
    EXPECT_EQ(*parseLightColour("4100K"), (LightColour{Kelvin(4100), {}}));
    EXPECT_EQ(*parseLightColour("250mired"), (LightColour{Kelvin(4000), {}}));
    EXPECT_EQ(*parseLightColour("4100k duv+0.012"), (LightColour{Kelvin(4100), Duv(0.012)}));
    EXPECT_EQ(*parseLightColour("4100K duv-0.004"), (LightColour{Kelvin(4100), Duv(-0.004)}));
    const auto tube = parseLightColour("x0.3721 y0.3751");
    EXPECT_NEAR(tube->cct.value(), 4224, 1.5);
    for (const char* line : {"4100K", "4100K duv+0.012", "3200.5K duv-0.00001"})
        EXPECT_EQ(spell(*parseLightColour(line)), line);
    for (const char* line : {"500K", "90000K", "4100", "4100K duv0.06", "x0.3", "x0.9 y0.9", "",
                             "4100K duv", "warm", "4100K 0.01", "nanK"})
        EXPECT_FALSE(parseLightColour(line).ok()) << line;
}

} // namespace
} // namespace bslate
