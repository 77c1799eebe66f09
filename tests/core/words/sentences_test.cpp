// Every sentence that random shoots, days and banks bring, read for what no person would write.
#include "core/banks/banks_verdict.h"
#include "core/banks/preroll.h"
#include "core/banks/sample_banks.h"
#include "core/day/day_judged.h"
#include "core/judgement/judge.h"
#include "core/words/wording.h"
#include "support/any_shoot.h"

#include <gtest/gtest.h>

#include <regex>
#include <set>

namespace bslate {
namespace {

// What nobody says, with the reason.
struct Slip {
    const char* pattern;
    const char* why;
};
constexpr Slip kSlips[] = {
    {R"([{}|])", "a place that was not filled"},
    {R"((^|[^0-9.])1 (steps|bands|codes|files|takes|times|settings|banks|frames|drives)\b)",
     "one of many"},
    {R"((^|[^0-9.])0 bands\b)", "bands that are none"},
    {R"(-[0-9.]+ (steps|bands|codes|times)\b)", "a count under nothing"},
    {R"((^|[^0-9.])[0-9]{3,} steps of the dial)", "steps nobody counts"},
    {R"((lost|wider|wrong|missing) by 0\.0 stop)", "a fault of nothing"},
    {R"(is 0\.0 stop (into|wider|wider than))", "a fault of nothing"},
    {R"((^|[^0-9.])(0\.[0-9]+|1\.00?) stops\b)", "a stop and less is singular"},
    {R"((^|[^0-9.])(1\.[1-9]|1\.[0-9][1-9]|[2-9][0-9.]*) stop\b)", "more than one is plural"},
    {R"(stop are\b)", "it is"},
    {R"(little (Red|Green|Blue)|(and|or|,) (Red|Green|Blue)\b)", "a capital inside a sentence"},
    {R"(times slower, not 1 )", "what nobody asked for"},
    {R"(\boff off\b|^(white|ISO|exposure|power-off) off)", "which off?"},
    {R"(  |\.\.| ,| ;)", "signs in a row"}};

void read(const std::string& said, std::set<std::string>& all) {
    if (!all.insert(said).second)
        return;
    static const auto patterns = [] {
        std::vector<std::regex> made;
        for (const auto& slip : kSlips)
            made.emplace_back(slip.pattern);
        return made;
    }();
    for (std::size_t i = 0; i < patterns.size(); ++i)
        EXPECT_FALSE(std::regex_search(said, patterns[i])) << kSlips[i].why << ": " << said;
}

void read(const Finding& finding, std::set<std::string>& all) {
    read(titleOf(finding), all);
    read(reasonOf(finding), all);
    for (const auto& remedy : finding.remedies) {
        read(titleOf(remedy), all);
        read(effectOf(remedy), all);
    }
    for (const auto& other : finding.follows)
        read(other, all);
}

TEST(Sentences, AreThoseAPersonWouldWrite) {
    std::set<std::string> all;
    std::set<FindingId> kinds;
    for (unsigned seed = 0; seed < 110; ++seed) {
        const Shoot shoot = sample::anyWorkingDay(seed);
        for (const auto& setup : shoot.setups)
            for (const auto& finding : judge(shoot, setup).findings) {
                kinds.insert(finding.id);
                read(finding, all);
            }
    }
    Random random(3);
    for (int round = 0; round < 40; ++round) {
        const auto shoot = sample::randomBankShoot(random, 4);
        const auto plan = sample::planned(shoot);
        for (const auto& finding : judgeBanks(shoot, shoot.kit.cameras[0], plan))
            read(finding, all);
        const auto now = planWith(plan.problem, threadsOf(plan.problem, shoot));
        for (const auto& check : prerollOf(shoot, shoot.setups[0], plan, now, nullptr)) {
            read(reasonOf(check.text), all);
            read(reasonOf(check.reason), all);
        }
    }
    for (const auto& finding :
         sample::judged(sample::DayBench().shoot, DayRemedies::Verified).findings)
        read(finding, all);
    EXPECT_GT(all.size(), 1500u);
    EXPECT_GT(kinds.size(), 40u);
}

// A count and its noun stand together in every template, so that no number meets the wrong one.
TEST(Sentences, HaveNoCountBesideAFixedNoun) {
    const std::regex fixed(
        R"(\{[a-zA-Z]+\} (steps|bands|codes|files|takes|times between|settings|drives)\b)");
    for (const auto& group : findingKinds())
        for (const auto& kind : group)
            for (const char* text : {kind.title, kind.text})
                // A take is cut into two files at least.
                if (!std::string_view(kind.key).starts_with("day-files")) {
                    EXPECT_FALSE(std::regex_search(text, fixed)) << kind.key << ": " << text;
                }
}

TEST(Sentences, CountByOneFunction) {
    EXPECT_EQ(counted("1", "band", "bands"), "1 band");
    EXPECT_EQ(counted("0", "band", "bands"), "0 bands");
    EXPECT_EQ(counted("1.2", "band", "bands"), "1.2 bands");
    EXPECT_EQ(counted("0.5", "stop", "stops"), "0.5 stop");
    EXPECT_EQ(counted("-1.0", "stop", "stops"), "-1.0 stop");
    EXPECT_EQ(counted("1.05", "stop", "stops"), "1.05 stops");
    EXPECT_EQ(counted("10", "stop", "stops"), "10 stops");
}

} // namespace
} // namespace bslate
