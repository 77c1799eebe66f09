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

// A place for a fact: `{name}`; each is closed, and none is empty.
int placesIn(std::string_view text) {
    int places = 0;
    for (std::size_t at = 0; at < text.size(); ++at) {
        if (text[at] == '}')
            return -1;
        if (text[at] != '{')
            continue;
        const auto end = text.find_first_of("{}", at + 1);
        if (end == std::string_view::npos || text[end] != '}' || end == at + 1)
            return -1;
        ++places;
        at = end;
    }
    return places;
}

// As scripts read it.
bool isKey(std::string_view key) {
    return !key.empty() && key.front() != '-' && key.back() != '-' &&
           key.find("--") == std::string_view::npos &&
           key.find_first_not_of("abcdefghijklmnopqrstuvwxyz0123456789-") == std::string_view::npos;
}

TEST(RemedyWords, EveryOneHasAKeyOfItsOwnAndAWholeTitle) {
    std::set<std::string_view> keys;
    const auto last = static_cast<int>(RemedyId::DayLetStop);
    for (int i = 0; i <= last; ++i) {
        const auto id = static_cast<RemedyId>(i);
        EXPECT_TRUE(isKey(keyOf(id))) << keyOf(id);
        EXPECT_TRUE(keys.insert(keyOf(id)).second) << keyOf(id) << " stands twice";
        const std::string_view title = titleOf(id);
        EXPECT_FALSE(title.empty()) << keyOf(id);
        EXPECT_GE(placesIn(title), 0) << title;
    }
    EXPECT_GT(keys.size(), 30u);
}

TEST(FindingTable, KeysAndSentencesAreWhole) {
    for (const auto part : findingKinds())
        for (const auto& kind : part) {
            EXPECT_TRUE(isKey(kind.key)) << kind.key;
            EXPECT_FALSE(std::string_view(kind.title).empty()) << kind.key;
            EXPECT_GE(placesIn(kind.title), 0) << kind.title;
            EXPECT_GE(placesIn(kind.text), 0) << kind.text;
        }
}

} // namespace
} // namespace bslate
