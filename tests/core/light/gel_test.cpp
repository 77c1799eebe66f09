#include "core/light/gel.h"
#include "support/random_below.h"

#include <gtest/gtest.h>

#include <cmath>
#include <tuple>

namespace bslate {
namespace {

Gel gel(double mired, double duv, double transmission) {
    return {"g", "Gel", Mired(mired), Duv(duv), Fraction(transmission), {}};
}

TEST(Gel, ShiftsAddAndItsLossIsInStops) {
    EXPECT_NEAR(lossOf(gel(137, 0, 0.5)).value(), 1.0, 1e-12);
    EXPECT_EQ(lossOf(gel(0, 0, 1)).value(), 0);
    // 1e6/5600 + 133.9 mired is 3200 K.
    EXPECT_NEAR(gelled({Kelvin(5600), Duv(0.003)}, gel(133.93, -0.002, 0.6)).cct.value(), 3200,
                0.5);
    EXPECT_NEAR(gelled({Kelvin(5600), Duv(0.003)}, gel(0, -0.002, 0.6)).duv.value(), 0.001, 1e-12);
    EXPECT_EQ(gelled({Kelvin(2000), Duv(0)}, gel(500, 0, 1)).cct, kWarmest);
}

// Every pair, told another way.
TEST(GelsToward, AreTheFewestThatDoOrTheNearest) {
    Random random(11);
    const auto below = [&](std::size_t most) {
        return static_cast<double>(bslate::below(random, most));
    };
    int found = 0, short_ = 0, many = 0;
    for (int round = 0; round < 400; ++round) {
        std::vector<Gel> shelf;
        for (auto i = bslate::below(random, 5) + 1; i > 0; --i)
            shelf.push_back(
                gel(below(300) - 150, (below(30) - 15) / 1000.0, 0.3 + below(70) / 100.0));
        const ColourPoint from{Kelvin(2500 + below(6000)), Duv((below(30) - 15) / 1000.0)};
        const ColourPoint to{Kelvin(2500 + below(6000)), Duv(0)};
        std::vector<std::tuple<std::size_t, double, double>> enough; // how many, loss, left
        double nearest = contrastOf(from, to);
        // Every stack of up to four, by counting in the base of the shelf with an empty place.
        const auto base = shelf.size() + 1;
        for (std::size_t code = 1; code < base * base * base * base; ++code) {
            std::vector<std::size_t> stack;
            for (std::size_t rest = code; rest > 0; rest /= base)
                if (rest % base > 0)
                    stack.push_back(rest % base - 1);
            if (stack.empty() || !std::is_sorted(stack.begin(), stack.end()))
                continue;
            ColourPoint light = from;
            double loss = 0;
            for (const auto pick : stack) {
                light = gelled(light, shelf[pick]);
                loss += lossOf(shelf[pick]).value();
            }
            const double left = contrastOf(light, to);
            nearest = std::min(nearest, left);
            if (left < 1)
                enough.emplace_back(stack.size(), loss, left);
        }
        const auto choice = gelsToward(shelf, from, to);
        if (contrastOf(from, to) < 1) {
            EXPECT_FALSE(choice);
        } else if (!enough.empty()) {
            const auto [count, loss, left] = *std::min_element(enough.begin(), enough.end());
            ASSERT_TRUE(choice) << round;
            EXPECT_EQ(choice->picks.size(), count) << round;
            EXPECT_NEAR(choice->loss.value(), loss, 2e-6) << round;
            ++found;
            many += count > 2;
        } else {
            EXPECT_EQ(choice.has_value(), nearest < contrastOf(from, to) / 2) << round;
            if (choice) {
                EXPECT_NEAR(contrastOf(choice->colour, to), nearest, 1e-12) << round;
                ++short_;
            }
        }
    }
    EXPECT_GT(many, 5) << "more than two, where two do not reach";
    EXPECT_GT(found, 20);
    EXPECT_GT(short_, 20);
    EXPECT_FALSE(gelsToward({}, {Kelvin(3200), Duv(0)}, {Kelvin(5600), Duv(0)}));
}

} // namespace
} // namespace bslate
