// What must hold for any setup: trading stops between controls changes nothing that is recorded.
#include "core/facts/evaluate.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <functional>

namespace bslate {
namespace {

using Change = std::function<void(bslate::Setup&, Scene&)>;

Evaluation after(const Change& change, const char* profile) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].profile = profile;
    change(shoot.setups[0], shoot.scenes[0]);
    return evaluate(shoot, shoot.setups[0]).valueOr({});
}

struct Trade {
    const char* name;
    Change one, other;
};

const Trade kTrades[] = {
    {"iris against shutter", [](auto& s, auto&) { s.iris = TStop(4 * std::sqrt(2.0)); },
     [](auto& s, auto&) { s.shutter = ShutterAngle(86.4); }},
    {"iris against light", [](auto& s, auto&) { s.iris = TStop(8); },
     [](auto&, auto& scene) {
         for (auto& patch : scene.patches)
             patch.reading.value /= 4;
     }},
    {"shutter against rate", [](auto& s, auto&) { s.shutter = Seconds(1.0 / 125); },
     [](auto& s, auto&) {
         s.rate = FrameRate{Rational(60, 1)};
         s.shutter = ShutterAngle(172.8);
     }},
    {"angle against its time", [](auto& s, auto&) { s.shutter = ShutterAngle(172.8); },
     [](auto& s, auto&) { s.shutter = Seconds(0.02); }},
};

TEST(Reciprocity, TradedStopsRecordTheSame) {
    for (const char* profile : {"index", "recorded", "note"}) {
        for (const auto& trade : kTrades) {
            const auto one = after(trade.one, profile), other = after(trade.other, profile);
            ASSERT_EQ(one.patches.size(), other.patches.size());
            for (std::size_t i = 0; i < one.patches.size(); ++i) {
                EXPECT_NEAR((one.patches[i].recorded - other.patches[i].recorded).value(), 0, 1e-9)
                    << trade.name << ", " << profile;
                EXPECT_EQ(one.patches[i].state, other.patches[i].state);
            }
        }
    }
}

// The rating of an index camera never touches the recording; of a recorded-ISO camera it does,
// stop for stop.
TEST(Reciprocity, WhatTheRatingTouches) {
    const auto at = [](double ei, const char* profile) {
        return after([&](auto& s, auto&) { s.rating = ExposureIndex(ei); }, profile);
    };
    for (const double ei : {200.0, 400.0, 1600.0, 6400.0}) {
        const double stops = std::log2(ei / 800);
        for (std::size_t i = 0; i < 6; ++i) {
            const auto moved = [&](const char* profile, auto member) {
                return ((at(ei, profile).patches[i].*member) -
                        (at(800, profile).patches[i].*member))
                    .value();
            };
            EXPECT_NEAR(moved("index", &PatchPlacement::recorded), 0, 1e-12);
            EXPECT_NEAR(moved("index", &PatchPlacement::viewed), stops, 1e-12);
            EXPECT_NEAR(moved("recorded", &PatchPlacement::recorded), stops, 1e-12);
            EXPECT_NEAR(moved("recorded", &PatchPlacement::sensor), 0, 1e-12);
        }
        // The window: constant for an index and below base, where clip and floor move together;
        // above base gain lifts the floor under a clip that stays.
        EXPECT_NEAR((at(ei, "index").clip - at(ei, "index").noiseFloor).value(), 12.640, 1e-3);
        const auto recorded = at(ei, "recorded");
        EXPECT_NEAR((recorded.clip - recorded.noiseFloor).value(), 12.640 - std::max(0.0, stops),
                    1e-3);
    }
}

// A brighter patch never reads lower, whatever the curve and the rating.
TEST(Reciprocity, OrderOfPatchesIsKept) {
    for (const char* profile : {"index", "recorded"})
        for (double iris = 1; iris < 30; iris *= 1.3) {
            const auto at = after(
                [&](auto& s, auto&) {
                    s.iris = TStop(iris);
                    s.lens.clear();
                },
                profile);
            for (std::size_t i = 1; i < at.patches.size(); ++i) {
                EXPECT_LT(at.patches[i - 1].recorded, at.patches[i].recorded);
                EXPECT_LE(at.patches[i - 1].level, at.patches[i].level);
                EXPECT_LE(at.patches[i - 1].code, at.patches[i].code);
                EXPECT_LE(at.patches[i - 1].viewedLevel, at.patches[i].viewedLevel);
            }
        }
}

} // namespace
} // namespace bslate
