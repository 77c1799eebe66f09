// What program and clip reader say to each other: what is not one of ours is refused, whoever wrote
// it.
#include "io/wire/region_messages.h"

#include "io/wire/error_message.h"

#include <gtest/gtest.h>

namespace bslate::io {
namespace {

RegionCodes sampleCodes() {
    RegionCodes codes;
    codes.depth = BitDepth{10};
    codes.full = true;
    codes.whole = false;
    codes.frames = {{0, {400, 512, 513}, -1, {}},
                    {0.04, {401.5, 512, 513}, 1.25, std::vector<double>(kRegionColumns * 2, 400)}};
    codes.counts[1].assign(kCountSteps, 3);
    return codes;
}

TEST(RegionMessages, ComeBackAsTheyWere) {
    const std::vector<RegionCodes> sent = {sampleCodes(), {}};
    auto both = sent;
    both[1].depth = BitDepth{8};
    const auto back = readRegionText(regionText(both));
    ASSERT_TRUE(back) << message(back.error());
    EXPECT_EQ(*back, both);
    const RegionQuestion question{{{0.1, 0.2, 0.3, 0.4}, {0, 0, 1, 1}}, 240, true};
    EXPECT_EQ(readQuestion(questionText(question)), question);
}

TEST(RegionMessages, WhatIsNoneOfOursIsRefused) {
    const auto good = regionText({sampleCodes()});
    const auto with = [&](const std::string& from, const std::string& to) {
        auto text = good;
        const auto at = text.find(from);
        EXPECT_NE(at, std::string::npos) << from;
        return readRegionText(text.replace(at, from.size(), to));
    };
    EXPECT_FALSE(readRegionText(""));
    EXPECT_FALSE(readRegionText("[]"));
    EXPECT_FALSE(readRegionText("{\"regions\":[]}"));
    EXPECT_FALSE(with("\"bits\":10", "\"bits\":40"));
    EXPECT_FALSE(with("\"full\":true", "\"full\":1"));
    EXPECT_FALSE(with("401.5", "\"401\""));
    EXPECT_FALSE(with("1.25,[", "1.25,[400.0,")) << "a column too many";
    EXPECT_FALSE(with("[3,", "[-3,"));
    EXPECT_FALSE(with("[3,", "[3,3,")) << "a step too many";
    for (const char* wrong :
         {"", "240", "240,1,0,0,1", "240,1,0,0,1,x", "240,1,0,0,1,-5", "240,1,0,0,1,1234567890123"})
        EXPECT_FALSE(readQuestion(wrong)) << wrong;
    std::string many = "10,0";
    for (std::size_t i = 0; i < 4 * (kMostRegions + 1); ++i)
        many += ",1";
    EXPECT_FALSE(readQuestion(many));
}

// An error keeps its code and place, and one that is forged is no more than a message of ours.
TEST(ErrorMessages, ComeBackAsTheyWereOrAsNoneOfOurs) {
    const Error sent{ErrorCode::OutOfRange, "a.mov", "line 3", "\xff 12", "a rate"};
    const auto back = errorIn(errorText(sent));
    ASSERT_TRUE(back);
    EXPECT_EQ(back->code, sent.code);
    EXPECT_EQ(back->file + back->place + back->expected, "a.movline 3a rate");
    EXPECT_FALSE(errorIn("")) << "no error";
    EXPECT_FALSE(errorIn("{\"width\":1}\n{\"error\":{}}")) << "an answer";
    for (const char* forged : {"{\"error\":", "{\"error\":[]}", "{\"error\":{\"code\":999999}}",
                               "{\"error\":{\"code\":-1,\"expected\":7}}"}) {
        const auto read = errorIn(forged);
        ASSERT_TRUE(read) << forged;
        EXPECT_EQ(read->code, ErrorCode::WrongFormat) << forged;
        EXPECT_FALSE(read->expected.empty()) << forged;
    }
}

} // namespace
} // namespace bslate::io
