#include "core/media/card_fit.h"
#include "core/media/offload.h"
#include "core/media/power.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

// Common practice, no source: lithium cells give about 80 % at freezing and half at -20.
TEST(Power, TheColdTakesAFifthAtFreezing) {
    EXPECT_DOUBLE_EQ(coldFactor(Celsius(20)).value(), 1);
    EXPECT_DOUBLE_EQ(coldFactor(Celsius(38)).value(), 1);
    EXPECT_DOUBLE_EQ(coldFactor(Celsius(0)).value(), 0.8);
    EXPECT_DOUBLE_EQ(coldFactor(Celsius(-20)).value(), 0.5);
    EXPECT_DOUBLE_EQ(coldFactor(Celsius(-60)).value(), 0.5);
    EXPECT_NEAR(coldFactor(Celsius(-1e-9)).value(), 0.8, 1e-9) << "no step at freezing";
}

// 98 Wh at 90 % usable, a tenth lost to age, at 0 degrees: 98 * 0.9 * 0.9 * 0.8 = 63.504 Wh;
// 21 W run 181.44 min on it; 45 W at 85 % put it back in 99.6 min.
TEST(Power, MinutesAreWattHoursOverWatts) {
    Battery battery;
    battery.energy = WattHours(98);
    battery.usable = 0.9;
    battery.health = 0.9;
    const auto energy = energyAt(battery, Celsius(0));
    EXPECT_NEAR(energy.value(), 63.504, 1e-9);
    EXPECT_NEAR(runTime(energy, Watts(21)).value() / 60, 181.44, 1e-6);
    EXPECT_NEAR(chargeTime(energy, Watts(45)).value() / 60, 99.614, 1e-3);
    EXPECT_TRUE(std::isinf(runTime(energy, Watts(0)).value()));
    EXPECT_TRUE(std::isinf(chargeTime(energy, Watts(0)).value()));
}

// 128 GB from a card at 250 MB/s through a reader at 1250 to drives at 1000 and 400 MB/s: 512 s;
// reading back at 450 MB/s, the slower of the drives: 284.4 s.
TEST(Offload, TheSlowestOnTheWayCounts) {
    MemoryCard card;
    card.bus = "UHS-II";
    card.speedClass = "V60";
    card.read = DataRate(250 * 8e6);
    const CardReader reader{"r", "r", {CardForm::Sd}, DataRate(1250 * 8e6), 1, {}};
    const std::vector<Drive> drives = {
        {"a", "a", DataSize(2e12), DataRate(1000 * 8e6), DataRate(1500 * 8e6), 1, {}},
        {"b", "b", DataSize(4e12), DataRate(400 * 8e6), DataRate(450 * 8e6), 1, {}}};
    const auto speed = offloadSpeed(card, reader, drives);
    EXPECT_DOUBLE_EQ(speed.copy.value(), 250 * 8e6);
    EXPECT_DOUBLE_EQ(speed.verify.value(), 450 * 8e6);
    EXPECT_NEAR(offloadTime(DataSize(128e9), speed).value(), 512 + 128000.0 / 450, 1e-6);
    card.read.reset();
    EXPECT_DOUBLE_EQ(readRate(card).value(), 60 * 8e6) << "the class is certain";
    card.read = DataRate(400 * 8e6);
    EXPECT_DOUBLE_EQ(readRate(card).value(), 312 * 8e6) << "no faster than its bus";
    card.form = CardForm::CfExpressB;
    EXPECT_TRUE(std::isinf(offloadTime(DataSize(1), offloadSpeed(card, reader, drives)).value()));
    card.form = CardForm::Sd;
    EXPECT_TRUE(std::isinf(offloadTime(DataSize(1), offloadSpeed(card, reader, {})).value()));
}

// Common practice, no source: marginal from 80 % of what is guaranteed.
TEST(CardFit, IsMarginalInTheLastFifth) {
    const DataRate v60(60 * 8e6);
    EXPECT_EQ(cardFit(DataRate(384e6), v60), CardFit::Fits);
    EXPECT_EQ(cardFit(DataRate(385e6), v60), CardFit::Marginal);
    EXPECT_EQ(cardFit(DataRate(480e6), v60), CardFit::Marginal);
    EXPECT_EQ(cardFit(DataRate(481e6), v60), CardFit::Drops);
    EXPECT_EQ(cardFit(DataRate(1), DataRate(0)), CardFit::Drops);
}

// 29:59 clips: 70 min are three files; 4 GiB at 100 Mb/s is 343.6 s: 70 min are 13.
TEST(FilesOf, TheShorterOfSegmentAndClipLimitCounts) {
    EXPECT_EQ(filesOf(Seconds(4200), DataRate(100e6), DataSize(0), Seconds(1799)).files, 3);
    const auto split =
        filesOf(Seconds(4200), DataRate(100e6), DataSize(4294967296.0), Seconds(1799));
    EXPECT_EQ(split.files, 13);
    EXPECT_NEAR(split.each.value(), 343.6, 0.05);
    EXPECT_EQ(filesOf(Seconds(4200), DataRate(100e6), DataSize(0), Seconds(0)).files, 1);
}

} // namespace
} // namespace bslate
