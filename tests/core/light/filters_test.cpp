#include "core/light/filters.h"

#include <gtest/gtest.h>

#include <random>

namespace bslate {
namespace {

// Optical density, 10^-D passes (ISO 5-1): D / log10(2) stops.
TEST(Filters, DensitiesInStops) {
    const struct {
        double density, stops;
    } table[] = {{0.3, 0.997}, {0.6, 1.993}, {0.9, 2.990},
                 {1.2, 3.986}, {1.8, 5.979}, {3.0, 9.966}};
    for (const auto& row : table)
        EXPECT_NEAR(lossOf({NdTradition::Density, row.density}).value(), row.stops, 5e-4);
    EXPECT_EQ(lossOf({NdTradition::Factor, 8}).value(), 3);
    EXPECT_EQ(lossOf({NdTradition::Stops, 2.5}).value(), 2.5);
    EXPECT_NEAR(densityOf(Stops(3)).value(), 0.9031, 5e-5);
}

std::vector<Filter> ownSet() {
    std::vector<Filter> filters;
    for (const double density : {0.3, 0.6, 0.9, 1.2, 1.8})
        filters.push_back({"nd" + std::to_string(static_cast<int>(density * 10)),
                           "",
                           {NdTradition::Density, density},
                           false,
                           false,
                           {},
                           {}});
    return filters;
}

TEST(Filters, NearestStackOfTheUsersOwn) {
    const auto filters = ownSet();
    const auto wanted = nearestStack(filters, Stops(5), 2);
    EXPECT_NEAR(wanted.loss.value(), 4.983, 1e-3); // 0.3 + 1.2 or 0.6 + 0.9
    EXPECT_EQ(wanted.picks.size(), 2u);
    EXPECT_EQ(nearestStack(filters, Stops(3), 2).picks, (std::vector<std::size_t>{2}));
    EXPECT_TRUE(nearestStack(filters, Stops(0), 2).picks.empty());
    EXPECT_TRUE(nearestStack(filters, Stops(-2), 2).picks.empty());
    EXPECT_TRUE(nearestStack({}, Stops(3), 2).picks.empty());
    EXPECT_TRUE(nearestStack(filters, Stops(3), 0).picks.empty());
    EXPECT_NEAR(largestLoss(filters, 2).value(), 9.966, 1e-3);
}

TEST(Filters, BuiltInOnesNeedNoHolder) {
    auto filters = ownSet();
    filters.push_back({"built-in", "", {NdTradition::Stops, 2}, false, true, {}, {}});
    EXPECT_EQ(nearestStack(filters, Stops(2), 0).picks, (std::vector<std::size_t>{5}));
    EXPECT_NEAR(largestLoss(filters, 1).value(), 2 + 5.979, 1e-3);
}

// Every subset tried: the search may skip none that is nearer.
TEST(Filters, SearchAgreesWithTryingEverything) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> loss(0.3, 6);
    for (int round = 0; round < 200; ++round) {
        std::vector<Filter> filters;
        for (int i = 0; i < 7; ++i)
            filters.push_back(
                {std::to_string(i), "", {NdTradition::Stops, loss(random)}, false, i == 3, {}, {}});
        const Stops wanted(loss(random) * 2);
        double best = wanted.value();
        for (unsigned mask = 0; mask < 128; ++mask) {
            double total = 0;
            int external = 0;
            for (unsigned i = 0; i < 7; ++i)
                if (mask >> i & 1) {
                    total += filters[i].label.value;
                    external += filters[i].builtIn ? 0 : 1;
                }
            if (external <= 2)
                best = std::min(best, std::abs(total - wanted.value()));
        }
        const auto found = nearestStack(filters, wanted, 2);
        EXPECT_NEAR(std::abs((found.loss - wanted).value()), best, 1e-9);
    }
}

} // namespace
} // namespace bslate
