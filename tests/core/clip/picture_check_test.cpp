// Pictures that repeat, against a movement of known positions: what was held twice is counted, what
// turns back on the beat of the frames is not.
#include "core/clip/picture_check.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace bslate {
namespace {

// Stripes at a position, in pictures whose noise is taken off; what differs is the way they moved.
int repeatedOf(const std::vector<double>& positions) {
    std::vector<RegionFrame> frames;
    for (std::size_t i = 0; i < positions.size(); ++i) {
        RegionFrame frame{Seconds(static_cast<double>(i) / 25), Signal(0.4), {}, {}, {}};
        frame.strips.resize(12);
        for (std::size_t s = 0; s < frame.strips.size(); ++s)
            for (std::size_t c = 0; c < kStripColumns; ++c)
                frame.strips[s][c] =
                    Signal(0.4 + 0.1 * std::sin(static_cast<double>(s) +
                                                2.0 * static_cast<double>(c) + positions[i]));
        if (i > 0) {
            const double way = std::abs(positions[i] - positions[i - 1]);
            frame.noise = Signal(std::min(0.1, way / 5));
        }
        frames.push_back(std::move(frame));
    }
    return seenIn(frames, bt709(), FrameRate{Rational(25, 1)}).repeated;
}

TEST(PictureCheck, CountsPicturesThatWereHeldTwice) {
    std::vector<double> positions, plain;
    for (int i = 0; i < 75; ++i) {
        positions.push_back(0.3 * (i - i / 5)); // each fifth again
        plain.push_back(0.3 * i);
    }
    EXPECT_GE(repeatedOf(positions), 12);
    EXPECT_EQ(repeatedOf(plain), 0);
}

TEST(PictureCheck, WhatTurnsBackOnTheBeatOfTheFramesRepeatsNothing) {
    std::vector<double> positions; // two and two alike, about each end of the way
    for (int i = 0; i < 75; ++i)
        positions.push_back(std::sin(std::numbers::pi / 2 * (i + 0.5)));
    EXPECT_EQ(repeatedOf(positions), 0);
}

} // namespace
} // namespace bslate
