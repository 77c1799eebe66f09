// Workers and jobs, against every way to pair them.
#include "core/schedule/assignment.h"
#include "support/random_below.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <set>

namespace bslate {
namespace {

using Gains = std::vector<std::vector<double>>;

double mostOf(const Gains& gains, std::size_t worker, std::set<std::size_t>& taken) {
    if (worker == gains.size())
        return 0;
    double most = mostOf(gains, worker + 1, taken);
    for (std::size_t job = 0; job < gains[worker].size(); ++job)
        if (gains[worker][job] > 0 && taken.insert(job).second) {
            most = std::max(most, gains[worker][job] + mostOf(gains, worker + 1, taken));
            taken.erase(job);
        }
    return most;
}

TEST(Assignment, GainsAsMuchAsTheBestOfAllPairings) {
    Random random(3);
    for (int round = 0; round < 300; ++round) {
        Gains gains(1 + below(random, 5));
        const std::size_t jobs = below(random, 6);
        for (auto& row : gains)
            for (std::size_t j = 0; j < jobs; ++j)
                row.push_back(static_cast<double>(below(random, 20)) - 6);
        const auto jobOf = bestAssignment(gains);
        ASSERT_EQ(jobOf.size(), gains.size());
        double sum = 0;
        std::set<int> taken;
        for (std::size_t w = 0; w < gains.size(); ++w)
            if (jobOf[w] >= 0) {
                EXPECT_TRUE(taken.insert(jobOf[w]).second) << "twice the same job";
                EXPECT_GT(gains[w][static_cast<std::size_t>(jobOf[w])], 0);
                sum += gains[w][static_cast<std::size_t>(jobOf[w])];
            }
        std::set<std::size_t> none;
        EXPECT_DOUBLE_EQ(sum, mostOf(gains, 0, none)) << "round " << round;
    }
    EXPECT_TRUE(bestAssignment({}).empty());
}

} // namespace
} // namespace bslate
