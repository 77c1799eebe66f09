#include "core/light/iso.h"
#include "core/light/sensor.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>

namespace bslate {
namespace {

const SensorModel kDemo{Electrons(58000), Electrons(3.4), 0, Stops(6.1)};

// By hand, SNR 2: n^2 = 4 (n + 11.56) gives n = 2 + sqrt(4 + 46.24) = 9.088;
// log2(58000 / 9.088) = 12.640; 6.1 - 12.640 = -6.540. SNR 1: n = 0.5 + sqrt(0.25 + 11.56)
// = 3.937; floor 6.1 - 13.847 = -7.747.
TEST(Sensor, NoiseFloorByHand) {
    EXPECT_NEAR(floorSignal(kDemo, 2).value(), 9.088, 5e-4);
    EXPECT_NEAR(noiseFloor(kDemo, 2).value(), -6.540, 5e-4);
    EXPECT_NEAR(floorSignal(kDemo, 1).value(), 3.937, 5e-4);
    EXPECT_NEAR(noiseFloor(kDemo, 1).value(), -7.747, 5e-4);
    EXPECT_NEAR(dynamicRange(kDemo, 2).value(), 12.640, 5e-4);
}

TEST(Sensor, TheFloorHasTheAskedForSnr) {
    std::mt19937 random(3);
    std::uniform_real_distribution<double> unit(0, 1);
    for (int i = 0; i < 500; ++i) {
        const SensorModel sensor{Electrons(2000 + unit(random) * 1e5), Electrons(unit(random) * 20),
                                 unit(random) * 0.01, Stops(3 + unit(random) * 5)};
        const double snr = 0.5 + unit(random) * 4;
        EXPECT_NEAR(snrAt(sensor, noiseFloor(sensor, snr)), snr, 1e-6);
    }
}

TEST(Sensor, SaturatesAndNeverReachesAnImpossibleSnr) {
    EXPECT_EQ(signalAt(kDemo, Stops(9)), Electrons(58000));
    const SensorModel uneven{Electrons(58000), Electrons(3.4), 0.05, Stops(6.1)};
    EXPECT_EQ(floorSignal(uneven, 30), uneven.fullWell);
}

// Photon statistics: a stop more light gains sqrt(2) in SNR where shot noise rules, 2 where read
// noise does.
TEST(Sensor, OneStopMoreLight) {
    EXPECT_NEAR(snrAt(kDemo, Stops(4)) / snrAt(kDemo, Stops(3)), std::sqrt(2.0), 0.01);
    const SensorModel noisy{Electrons(58000), Electrons(500), 0, Stops(6.1)};
    EXPECT_NEAR(snrAt(noisy, Stops(-4)) / snrAt(noisy, Stops(-5)), 2.0, 0.01);
}

// "6 over / 8 under at base 800; EI 400 gives 5 / 9, EI 200 gives 4 / 10": common practice, no
// source. As viewed, the window slides with the rating and keeps its size.
TEST(Iso, IndexSlidesTheWindow) {
    for (const double ei : {800.0, 400.0, 200.0}) {
        const Stops gain = gainOf(ExposureIndex(ei), ExposureIndex(800));
        const Stops clip = recordedClip(Stops(6), gain, IsoBehaviour::Index) + gain;
        const Stops floor = recordedFloor(Stops(-8), gain, IsoBehaviour::Index) + gain;
        EXPECT_NEAR(clip.value(), 6 + std::log2(ei / 800), 1e-12);
        EXPECT_NEAR(floor.value(), -8 + std::log2(ei / 800), 1e-12);
    }
}

TEST(Iso, RecordedGainCostsOneEndOnly) {
    const auto up = Stops(2), down = Stops(-1);
    EXPECT_EQ(recordedClip(Stops(6), up, IsoBehaviour::Recorded), Stops(6));
    EXPECT_EQ(recordedFloor(Stops(-8), up, IsoBehaviour::Recorded), Stops(-6));
    EXPECT_EQ(recordedClip(Stops(6), down, IsoBehaviour::Recorded), Stops(5));
    EXPECT_NEAR(place(Stops(1.0566), down, IsoBehaviour::Recorded).recorded.value(), 0.0566, 1e-12);
    EXPECT_EQ(place(Stops(1.0566), down, IsoBehaviour::Note).recorded, Stops(1.0566));
    EXPECT_EQ(place(Stops(1.0566), down, IsoBehaviour::Index).viewed, Stops(1.0566) + down);
}

} // namespace
} // namespace bslate
