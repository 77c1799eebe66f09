#include "core/words/table_text.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

TEST(TableText, WhatASpreadsheetWouldWorkOutIsText) {
    for (const char* formula :
         {"=1+1", "=HYPERLINK(\"x\")", "@SUM(A1)", "+1+cmd|' /C calc'!A0", "-2+3", "-cmd", "\t=1"})
        EXPECT_EQ(tableRow({formula}, TableKind::Tabs)[0], '\'') << formula;
    for (const char* text : {"-0.3", "+4.1 stop", "-7.5 %", "A001.mov", "", "4100 K", "'80s"})
        EXPECT_EQ(tableRow({text}, TableKind::Tabs), std::string(text) + "\n");
}

TEST(TableText, AFieldComesBackAsItWas) {
    for (const char* text : {"=1+1", "'=1+1", "''=x", "'80s", "-0.3", "+x", "plain", "", "'"}) {
        auto row = tableRow({text}, TableKind::Csv);
        row.pop_back();
        EXPECT_EQ(fromTable(row), text);
    }
}

// RFC 4180 section 2, rules 5 to 7.
TEST(TableText, CsvQuotesWhatNeedsIt) {
    EXPECT_EQ(tableRow({"a", "b,c", "say \"d\"", "two\nlines"}, TableKind::Csv),
              "a,\"b,c\",\"say \"\"d\"\"\",\"two\nlines\"\n");
    EXPECT_EQ(tableRow({"a\tb", "c\nd"}, TableKind::Tabs), "a b\tc d\n");
}

} // namespace
} // namespace bslate
