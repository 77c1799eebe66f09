#include "core/judgement/finding_table.h"
#include "core/words/judgement_pages.h"
#include "core/words/remedy_words.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <set>

namespace bslate {
namespace {

TEST(FindingTable, TheTableFollowsTheIds) {
    std::size_t index = 0;
    std::set<std::string_view> keys;
    for (const auto part : findingKinds())
        for (const auto& kind : part) {
            EXPECT_EQ(static_cast<std::size_t>(kind.id), index++) << kind.key;
            EXPECT_EQ(&kindOf(kind.id), &kind);
            EXPECT_EQ(findFinding(kind.key), kind.id);
            EXPECT_FALSE(kind.source.empty()) << kind.key;
            EXPECT_TRUE(keys.insert(kind.key).second) << kind.key << " stands twice";
        }
    EXPECT_EQ(kindOf(FindingId::DayLostGap).key, "day-lost-gap") << "the last one";
    EXPECT_EQ(findFinding("patch"), std::nullopt);
}

TEST(FindingTable, WhatIsWrittenOfThemIsTheTable) {
    EXPECT_EQ(judgementPages(),
              sample::slurp(std::filesystem::path(BSLATE_ROOT) / "docs/judgements.md"))
        << "tools/schemas writes it";
}

} // namespace
} // namespace bslate
