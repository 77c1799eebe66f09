#include "core/media/card_device.h"
#include "core/media/write_simulation.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <cmath>
#include <fstream>
#include <iterator>

namespace bslate {
namespace {

// R 400 Mb/s, B 60 MB = 480 Mb, stalls of mean m 0.6 s thirty an hour, far apart: the buffer
// overruns in a stall longer than B/R = 1.2 s, exp(-1.2/0.6) of them: 30 * 0.1353 = 4.06 an hour.
TEST(WriteSimulation, AgreesWithTheClosedFormForSteadyRateAndRareStalls) {
    const WriteLoad load{DataRate(400e6), Fraction(0), Seconds(0.5), DataSize(60e6)};
    const CardBehaviour card{DataRate(4000e6), 30, Seconds(0.6), true};
    const double expected = 30 * std::exp(-480.0 / (400 * 0.6));
    const double hours = 2000;
    const auto outcome = simulateWriting(load, card, Seconds(hours * 3600), 7);
    // Four standard deviations of a Poisson count.
    EXPECT_NEAR(outcome.dropsPerHour, expected, 4 * std::sqrt(expected / hours));
    EXPECT_NEAR(outcome.dropChance.value(), 1 - std::exp(-outcome.dropsPerHour), 1e-12);
    EXPECT_EQ(outcome.worstFill, DataSize(60e6));
    // Once over, a stall goes on for its mean length, and all of that is lost.
    EXPECT_NEAR(outcome.lost.value() / outcome.drops, 0.6, 0.05);
}

// Stalls of exactly 1 s at 400 Mb/s need 50 MB.
TEST(WriteSimulation, ABufferThatHoldsTheStallLosesNothing) {
    const CardBehaviour card{DataRate(2000e6), 20, Seconds(1), false};
    const auto at = [&](double megabytes) {
        return simulateWriting(
            {DataRate(400e6), Fraction(0), Seconds(0.5), DataSize(megabytes * 1e6)}, card,
            Seconds(36000), 3);
    };
    EXPECT_NEAR(at(1000).worstFill.value(), 50e6, 12e6) << "two stalls seldom follow at once";
    EXPECT_EQ(at(1000).drops, 0);
    EXPECT_GT(at(49).drops, 150) << "nearly each of two hundred";
    // Without stalls a card faster than the peak of three deviations never fills the buffer.
    const auto calm = simulateWriting({DataRate(400e6), Fraction(0.2), Seconds(0.5), DataSize(1e6)},
                                      {DataRate(700e6), 0, Seconds(0), true}, Seconds(36000), 1);
    EXPECT_EQ(calm.drops, 0);
    EXPECT_EQ(calm.worstFill, DataSize(0));
    // One slower than the mean loses the difference: 400 in, 300 out.
    const auto slow = simulateWriting({DataRate(400e6), Fraction(0), Seconds(0.5), DataSize(0)},
                                      {DataRate(300e6), 0, Seconds(0), true}, Seconds(1000), 1);
    EXPECT_NEAR(slow.lost.value(), 250, 1e-6);
    EXPECT_EQ(slow.drops, 1);
}

TEST(WriteSimulation, IsTheSameForTheSameSeed) {
    const WriteLoad load{DataRate(400e6), Fraction(0.3), Seconds(0.5), DataSize(30e6)};
    const auto card = *parseCardBehaviour("V60:tired");
    EXPECT_EQ(simulateWriting(load, card, Seconds(7200), 5),
              simulateWriting(load, card, Seconds(7200), 5));
    EXPECT_NE(simulateWriting(load, card, Seconds(7200), 5),
              simulateWriting(load, card, Seconds(7200), 6));
    for (const char* wrong : {"", "V61", "V60:", "V60:brilliant", ":tired"})
        EXPECT_FALSE(parseCardBehaviour(wrong).ok()) << wrong;
}

// A real file through the simulated card: its clock says bytes over speed, its
// checksum that every byte came through.
TEST(SimulatedCard, TakesARealFileInTheTimeItsClockSays) {
    std::ifstream file(sample::root() / "data/demo/slack-water.bslate", std::ios::binary);
    const std::string text{std::istreambuf_iterator<char>(file), {}};
    ASSERT_GT(text.size(), 1000u);
    const auto bytes = std::as_bytes(std::span(text));
    SimulatedCard card({DataRate(8e6), 0, Seconds(0), true}, ByteCount{1000000}, 1);
    Seconds sum(0);
    for (std::size_t at = 0; at < bytes.size(); at += 512) {
        const auto took =
            card.write(bytes.subspan(at, std::min<std::size_t>(512, bytes.size() - at)));
        ASSERT_TRUE(took.ok());
        sum += *took;
    }
    EXPECT_NEAR(card.clock().value(), static_cast<double>(text.size()) / 1e6, 1e-12);
    EXPECT_DOUBLE_EQ(sum.value(), card.clock().value());
    EXPECT_EQ(card.written().value, static_cast<double>(text.size()));
    EXPECT_EQ(card.checksum(), checksumOf(bytes));
    EXPECT_NE(card.checksum(), checksumOf(bytes.first(bytes.size() - 1)));
    SimulatedCard small({DataRate(8e6), 0, Seconds(0), true}, ByteCount{600}, 1);
    EXPECT_TRUE(small.write(bytes.first(512)).ok());
    EXPECT_FALSE(small.write(bytes.first(512)).ok()) << "it is full";
    EXPECT_EQ(small.written().value, 512);
}

TEST(CardBench, FindsTheSpeedAndTheWorstBlock) {
    // Stalls of 1 s six times an hour of busy time: 4 GB at 60 MB/s are 67 s, about a tenth of one.
    SimulatedCard steady(*parseCardBehaviour("V60"), ByteCount{1000000000}, 1);
    const auto calm = benchCard(steady, ByteCount{200000000}, ByteCount{16000000});
    ASSERT_TRUE(calm.ok());
    EXPECT_NEAR(calm->sustained.value(), 60 * 8e6, 1);
    EXPECT_NEAR(calm->worst.value(), 60 * 8e6, 1);
    EXPECT_EQ(calm->blocks, 13);
    SimulatedCard failing({DataRate(480e6), 3600, Seconds(2), false}, ByteCount{1000000000}, 1);
    const auto bad = benchCard(failing, ByteCount{200000000}, ByteCount{16000000});
    ASSERT_TRUE(bad.ok());
    EXPECT_LT(bad->worst.value(), 16e6 * 8 / 2);
    EXPECT_LT(bad->sustained.value(), 480e6);
    SimulatedCard stopped(*parseCardBehaviour("V60"), ByteCount{1000000000}, 1);
    const auto part = benchCard(stopped, ByteCount{200000000}, ByteCount{16000000},
                                [](double done) { return done < 0.5; });
    EXPECT_EQ(part->blocks, 7) << "7 * 16 of 200 MB are past the half";
}

// 400 Mb/s are 50 MB/s onto a card of 30: 20 MB/s go into 500 MB, which are full after 25 s, and
// then two fifths of every second are lost. That one overrun never ends makes it no rare event.
TEST(WriteSimulation, AnOverrunThatNeverEndsIsCertain) {
    const WriteLoad load{DataRate(400e6), Fraction(0), Seconds(0.5), DataSize(500e6)};
    const auto outcome = simulateWriting(load, *parseCardBehaviour("V30"), Seconds(36000), 1);
    ASSERT_TRUE(outcome.firstDrop);
    EXPECT_NEAR(outcome.firstDrop->value(), 25, 1e-6);
    EXPECT_EQ(outcome.dropChance, Fraction(1));
    EXPECT_NEAR(outcome.lostShare.value(), 0.4 * (36000 - 25) / 36000, 1e-6);
    EXPECT_EQ(outcome.drops, 1);
    const WriteLoad none{DataRate(400e6), Fraction(0), Seconds(0.5), DataSize(0)};
    const auto atOnce = simulateWriting(none, *parseCardBehaviour("V30"), Seconds(60), 1);
    EXPECT_EQ(atOnce.firstDrop, Seconds(0));
    EXPECT_EQ(atOnce.dropChance, Fraction(1));
}

} // namespace
} // namespace bslate
