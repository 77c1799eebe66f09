#include "core/advice/levers.h"
#include "core/facts/evaluate.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

Turned turned(const Shoot& shoot, const Turn& change) {
    auto result = turn(shoot, shoot.setups[0], change);
    EXPECT_TRUE(result.ok()) << (result ? "" : message(result.error()));
    return result.ok() ? *std::move(result) : Turned{};
}

double greyViewed(const Shoot& shoot) {
    const auto at = evaluate(shoot, shoot.setups[0]);
    for (const auto& patch : at->patches)
        if (patch.id == "grey")
            return patch.viewed.value();
    return NAN;
}

// Whoever pays, the picture changes by exactly what is reported as unpaid.
TEST(Levers, UnpaidIsWhatTheEvaluationSees) {
    const Turn changes[] = {TurnIris{TStop(8)},
                            TurnIris{TStop(2)},
                            TurnRating{ExposureIndex(200)},
                            TurnRating{ExposureIndex(3200)},
                            TurnShutter{ShutterAngle(90)},
                            TurnRate{FrameRate{Rational(60, 1)}},
                            TurnFilters{{"nd9"}},
                            TurnBase{ExposureIndex(5000)},
                            TurnLight{Stops(-1.5)}};
    for (const auto payer : {Payer::Nd, Payer::Iris, Payer::Light, Payer::Rating, Payer::Nobody}) {
        for (const auto& change : changes) {
            Shoot shoot = sample::shoot();
            shoot.setups[0].payer = payer;
            const double before = greyViewed(shoot);
            const auto result = turned(shoot, change);
            const double after = greyViewed(applied(shoot, result.edit));
            EXPECT_NEAR(after - before, result.unpaid.value(), 1e-9)
                << "payer " << static_cast<int>(payer) << ", change " << change.index();
            if (payer == Payer::Light && result.payer == Payer::Light)
                EXPECT_NEAR(result.unpaid.value(), 0, 1e-9) << "light pays exactly";
            if (result.payer == Payer::Rating || result.payer == Payer::Iris)
                EXPECT_LT(std::abs(result.unpaid.value()), 4.1) << change.index();
        }
    }
}

TEST(Levers, NdPaysWithTheUsersOwnFilters) {
    Shoot shoot = sample::shoot();
    const auto result = turned(shoot, TurnIris{TStop(2)}); // T4 to T2 gives two stops
    EXPECT_EQ(result.payer, Payer::Nd);
    EXPECT_NEAR(result.gained.value(), 2, 1e-12);
    EXPECT_EQ(result.edit.setup->filters, (std::vector<std::string>{"nd6"}));
    EXPECT_NEAR(result.unpaid.value(), 2 - 0.6 / std::log10(2.0), 1e-9);
}

TEST(Levers, TheTurnedControlNeverPaysForItself) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].payer = Payer::Iris;
    const auto result = turned(shoot, TurnIris{TStop(8)});
    EXPECT_EQ(result.payer, Payer::Nobody);
    EXPECT_NEAR(result.unpaid.value(), -2, 1e-12);
}

TEST(Levers, RatingPaidByIrisGivesTheSensorTheStop) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].payer = Payer::Iris;
    const auto result = turned(shoot, TurnRating{ExposureIndex(400)});
    EXPECT_NEAR(result.edit.setup->iris.value(), std::exp2(1.5), 1e-9); // T4 to T2.8
    EXPECT_NEAR(result.unpaid.value(), 0, 1e-9);
}

TEST(Levers, BaseKeepsTheRatingsDistance) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].rating = ExposureIndex(400);
    shoot.setups[0].payer = Payer::Nobody;
    const auto result = turned(shoot, TurnBase{ExposureIndex(5000)});
    EXPECT_EQ(result.edit.setup->base, ExposureIndex(5000));
    EXPECT_EQ(result.edit.setup->rating, ExposureIndex(2500));
}

// 200 on base 5000 is nearly five stops under it; on base 800 as far under is 32.
TEST(Levers, ABaseLeavesTheRatingOnTheDial) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].base = ExposureIndex(5000);
    shoot.setups[0].rating = ExposureIndex(200);
    shoot.setups[0].payer = Payer::Nobody;
    EXPECT_EQ(turned(shoot, TurnBase{ExposureIndex(800)}).edit.setup->rating, ExposureIndex(200));
}

TEST(Levers, RefusalsSayWhatIsPossible) {
    const auto refusal = [](const Turn& change) {
        const auto shoot = sample::shoot();
        const auto result = turn(shoot, shoot.setups[0], change);
        return result ? std::string("accepted") : message(result.error());
    };
    EXPECT_NE(refusal(TurnIris{TStop(1.2)}).find("from T2 to T22 on lens"), std::string::npos);
    EXPECT_NE(refusal(TurnRating{ExposureIndex(50)}).find("from 200 to 12800"), std::string::npos);
    EXPECT_NE(refusal(TurnShutter{Seconds(0.5)}).find("no longer than the frame"),
              std::string::npos);
    EXPECT_NE(refusal(TurnRate{FrameRate{Rational(48, 1)}}).find("24, 60"), std::string::npos);
    EXPECT_NE(refusal(TurnBase{ExposureIndex(640)}).find("800, 5000"), std::string::npos);
    EXPECT_NE(refusal(TurnFilters{{"gone"}}).find("filters"), std::string::npos);
}

TEST(Levers, StepsFollowTheEngravedScales) {
    EXPECT_NEAR(stepIris(TStop(4), 1).value(), std::exp2(11.0 / 6), 1e-12); // T3.5
    EXPECT_NEAR(stepIris(TStop(4), -3).value(), std::exp2(2.5), 1e-12);     // T5.6
    EXPECT_NEAR(stepIris(TStop(4.2), 1).value(), 4, 1e-9) << "off-scale snaps to the next mark";
    EXPECT_NEAR(stepIris(TStop(4.2), -1).value(), std::exp2(13.0 / 6), 1e-9);
    EXPECT_EQ(stepRating(ExposureIndex(800), 1), ExposureIndex(1000));
    EXPECT_EQ(stepRating(ExposureIndex(800), -3), ExposureIndex(400));
    EXPECT_EQ(stepRating(ExposureIndex(25), -5), ExposureIndex(25));
    EXPECT_EQ(nearestRating(ExposureIndex(790)), ExposureIndex(800));
}

TEST(Levers, NextStackWalksThroughAllLosses) {
    Shoot shoot = sample::shoot();
    double last = 0;
    int steps = 0;
    for (; steps < 60; ++steps) {
        const auto context = resolve(shoot, shoot.setups[0]);
        const auto next = nextStack(*context, 1);
        if (next == shoot.setups[0].filters)
            break;
        shoot.setups[0].filters = next;
        const double loss = resolve(shoot, shoot.setups[0])->ndLoss.value();
        EXPECT_GT(loss, last);
        last = loss;
    }
    EXPECT_GE(steps, 8);
    EXPECT_NEAR(last, 3.0 / std::log10(2.0), 1e-9) << "ends at 1.2 + 1.8";
}

TEST(Levers, TheIrisThatPaysStaysOnItsLens) {
    EXPECT_EQ(irisWithin(TStop(2.9), TStop(22), TStop(1)), TStop(2.9)) << "T2.8 is off the lens";
    EXPECT_EQ(irisWithin(TStop(2.9), TStop(15), TStop(64)), TStop(15));
    EXPECT_EQ(irisWithin(TStop(2), TStop(22), TStop(4.01)), TStop(4));
    Shoot shoot = sample::shoot();
    shoot.kit.lenses[0].widest = TStop(2.9);
    auto& setup = shoot.setups[0];
    setup.payer = Payer::Iris;
    setup.iris = TStop(std::exp2(1.5 + 1.0 / 6));
    const auto turned = turn(shoot, setup, TurnRating{ExposureIndex(200)});
    ASSERT_TRUE(turned.ok());
    EXPECT_EQ(turned->edit.setup->iris, TStop(2.9));
}

} // namespace
} // namespace bslate
