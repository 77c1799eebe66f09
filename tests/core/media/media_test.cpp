#include "core/media/card.h"
#include "core/media/recording.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

// By hand: 100e6 / (3840*2160*24) = 0.502; 200 at 60 = 0.402; 280 at 120 = 0.281.
TEST(BitsPerPixel, AsWorkedByHand) {
    const FrameSize uhd{3840, 2160};
    const auto bits = [&](double mega, int rate) {
        return bitsPerPixel(DataRate(mega * 1e6), uhd, FrameRate{Rational(rate, 1)}).value();
    };
    EXPECT_NEAR(bits(100, 24), 0.50, 0.005);
    EXPECT_NEAR(bits(200, 60), 0.40, 0.005);
    EXPECT_NEAR(bits(280, 120), 0.28, 0.005);
}

// Recording times as cards are tabulated: common practice, no source.
TEST(RecordTime, MatchesTheUsualTables) {
    const struct {
        double gigabytes, megabits, minutes;
    } rows[] = {{32, 28.8, 148}, {64, 46, 185},   {64, 60, 142},  {128, 90, 189},
                {128, 120, 142}, {256, 500, 68},  {512, 800, 85}, {512, 500, 136},
                {256, 800, 42},  {64, 410, 20},   {512, 810, 84}, {1024, 810, 168},
                {512, 2140, 31}, {1024, 2140, 63}};
    for (const auto& row : rows) {
        const auto time =
            recordTime(DataSize(row.gigabytes * 1e9), 1.0, DataRate(row.megabits * 1e6));
        EXPECT_NEAR(time.value() / 60, row.minutes, 1.0) << row.gigabytes << " " << row.megabits;
    }
}

// SD Association, physical layer specification: Speed, UHS Speed and Video Speed Class, MB/s.
// CompactFlash Association: VPG profiles.
TEST(SpeedClass, GuaranteesWhatTheAssociationsPublish) {
    const struct {
        const char* name;
        double megabytes;
    } rows[] = {{"C2", 2},   {"C4", 4},     {"C6", 6},     {"C10", 10},     {"U1", 10},
                {"U3", 30},  {"V6", 6},     {"V10", 10},   {"V30", 30},     {"V60", 60},
                {"V90", 90}, {"VPG20", 20}, {"VPG65", 65}, {"VPG130", 130}, {"VPG400", 400}};
    for (const auto& row : rows) {
        const auto speed = findSpeedClass(row.name);
        ASSERT_TRUE(speed) << row.name;
        EXPECT_DOUBLE_EQ(speed->guaranteed.value(), row.megabytes * 8e6) << row.name;
    }
    EXPECT_FALSE(findSpeedClass("V99"));
}

TEST(GuaranteedIn, TheSlowestOfClassCardAndSlotCounts) {
    MemoryCard card;
    card.speedClass = "V90";
    card.bus = "UHS-II";
    Slot slot;
    slot.bus = "UHS-II";
    EXPECT_DOUBLE_EQ(guaranteedIn(card, slot).value(), 90 * 8e6);
    Slot fast{"cf", "CF", CardForm::CfExpressB, "CFexpress B", {}, {}};
    EXPECT_EQ(guaranteedIn(card, fast).value(), 0) << "it does not fit";
    MemoryCard quick{
        "q", "q", CardForm::CfExpressA, DataSize(1e11), "VPG1600", "CFexpress A", 1.0, {}, 1, {}};
    Slot narrow{"a", "A", CardForm::CfExpressA, "CFexpress A", {}, {}};
    EXPECT_DOUBLE_EQ(guaranteedIn(quick, narrow).value(), 1000 * 8e6) << "the bus is the ceiling";
}

// 4 GiB segments of FAT32 at 100 Mb/s: 5 min 44 s, common practice; 2^32 * 8 / 1e8 = 343.6 s.
TEST(RecordTime, OfAFourGibibyteSegment) {
    EXPECT_NEAR(recordTime(DataSize(4294967296.0), 1.0, DataRate(100e6)).value(), 343.6, 0.05);
}

TEST(SensorRateWriting, MultipliesByTheRates) {
    const auto written =
        sensorRateWriting(DataRate(240e6), FrameRate{Rational(100, 1)}, FrameRate{Rational(24, 1)});
    EXPECT_NEAR(written.value(), 1000e6, 1);
}

TEST(SpeedClass, IsFoundAsTheStandardsSpellIt) {
    for (const auto& [typed, name] :
         {std::pair("v60", "V60"), std::pair("Class 10", "C10"), std::pair("class4", "C4"),
          std::pair("u3", "U3"), std::pair("UHS Speed Class 3", "U3"),
          std::pair("Video Speed Class 90", "V90"), std::pair("vpg-400", "VPG400")}) {
        const auto found = findSpeedClass(typed);
        ASSERT_TRUE(found) << typed;
        EXPECT_EQ(found->name, name);
    }
    EXPECT_FALSE(findSpeedClass("class"));
    EXPECT_FALSE(findSpeedClass("V61"));
}

// SD Association: V60 and V90 are defined for UHS-II and faster buses (from memory).
TEST(GuaranteedIn, AClassSaysNothingOfASlowerBusThanItsOwn) {
    MemoryCard card;
    card.bus = "UHS-II";
    Slot fast{"1", "slot 1", CardForm::Sd, "UHS-II", {}, {}};
    Slot slow{"2", "slot 2", CardForm::Sd, "UHS-I", {}, {}};
    for (const char* name : {"V60", "V90"}) {
        card.speedClass = name;
        EXPECT_EQ(guaranteedIn(card, fast), findSpeedClass(name)->guaranteed);
        EXPECT_EQ(guaranteedIn(card, slow), kAssumedBelowClass) << name;
        EXPECT_TRUE(isClassUnknownIn(card, slow));
        EXPECT_FALSE(isClassUnknownIn(card, fast));
    }
    card.speedClass = "V30";
    EXPECT_EQ(guaranteedIn(card, slow), findSpeedClass("V30")->guaranteed);
    EXPECT_FALSE(isClassUnknownIn(card, slow));
}

} // namespace
} // namespace bslate
