// What to keep in few places, against every choice there is.
#include "core/schedule/medians.h"
#include "support/random_below.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <limits>

namespace bslate {
namespace {

double whole(Random& random, int most) {
    return static_cast<double>(below(random, static_cast<std::size_t>(most)));
}

MedianProblem someMedians(Random& random, std::size_t clients, std::size_t things,
                          std::vector<int> places) {
    MedianProblem problem;
    problem.grain = 1;
    for (std::size_t i = 0; i < clients; ++i)
        problem.without.push_back(5 + whole(random, 40));
    for (const int count : places) {
        MedianKind kind;
        kind.places = count;
        for (std::size_t thing = 0; thing < things; ++thing) {
            kind.costs.emplace_back();
            for (std::size_t i = 0; i < clients; ++i)
                kind.costs.back().push_back(thing == i ? 0 : whole(random, 30));
        }
        problem.kinds.push_back(std::move(kind));
    }
    return problem;
}

double costOf(const MedianProblem& problem, const std::vector<Kept>& kept) {
    double sum = 0;
    for (std::size_t i = 0; i < problem.without.size(); ++i) {
        double least = problem.without[i];
        for (const auto& one : kept)
            least = std::min(least, problem.kinds[one.kind].costs[one.thing][i]);
        sum += least;
    }
    return sum;
}

// Every set of things that fits the places.
double leastOf(const MedianProblem& problem) {
    std::vector<Kept> sites;
    for (std::size_t kind = 0; kind < problem.kinds.size(); ++kind)
        for (std::size_t thing = 0; thing < problem.kinds[kind].costs.size(); ++thing)
            sites.push_back({kind, thing});
    double least = std::numeric_limits<double>::infinity();
    for (unsigned set = 0; set < 1u << sites.size(); ++set) {
        std::vector<Kept> kept;
        std::vector<int> used(problem.kinds.size());
        for (std::size_t s = 0; s < sites.size(); ++s)
            if (set & 1u << s) {
                kept.push_back(sites[s]);
                ++used[sites[s].kind];
            }
        bool fits = true;
        for (std::size_t kind = 0; kind < used.size(); ++kind)
            fits = fits && used[kind] <= problem.kinds[kind].places;
        if (fits)
            least = std::min(least, costOf(problem, kept));
    }
    return least;
}

TEST(Medians, AreTheCheapestOfEveryChoiceThereIs) {
    Random random(7);
    for (int round = 0; round < 400; ++round) {
        const std::size_t clients = 2 + below(random, 5);
        const bool two = below(random, 2) == 0;
        const auto problem = someMedians(
            random, clients, clients,
            two ? std::vector<int>{1, 2} : std::vector<int>{static_cast<int>(below(random, 4))});
        const auto plan = planMedians(problem);
        EXPECT_DOUBLE_EQ(plan.cost, leastOf(problem)) << "round " << round;
        EXPECT_TRUE(plan.proven);
        EXPECT_DOUBLE_EQ(plan.atLeast, plan.cost);
        EXPECT_DOUBLE_EQ(plan.cost, costOf(problem, plan.kept)) << "as it says of itself";
        for (std::size_t i = 0; i < clients; ++i) {
            const int by = plan.served[i];
            const double paid = by < 0
                                    ? problem.without[i]
                                    : problem.kinds[plan.kept[static_cast<std::size_t>(by)].kind]
                                          .costs[plan.kept[static_cast<std::size_t>(by)].thing][i];
            EXPECT_LE(paid, problem.without[i]);
        }
    }
}

TEST(Medians, StopWithABoundThatHolds) {
    Random random(11);
    const auto problem = someMedians(random, 60, 60, {6});
    const auto whole = planMedians(problem);
    ASSERT_TRUE(whole.proven);
    for (const long looks : {1L, 20L, 200L}) {
        const auto some = planMedians(problem, looks);
        EXPECT_LE(some.looks, looks);
        EXPECT_LE(some.atLeast, whole.cost + 1e-6);
        EXPECT_GE(some.cost, whole.cost - 1e-6);
    }
}

TEST(Medians, NeedNoPlaceAndNobody) {
    EXPECT_DOUBLE_EQ(planMedians({}).cost, 0);
    MedianProblem none;
    none.without = {3, 4};
    const auto plan = planMedians(none);
    EXPECT_DOUBLE_EQ(plan.cost, 7);
    EXPECT_TRUE(plan.proven);
    EXPECT_EQ(plan.served, (std::vector<int>{-1, -1}));
}

} // namespace
} // namespace bslate
