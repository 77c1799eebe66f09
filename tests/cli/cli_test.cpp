#include "cli/ran.h"

#include <gtest/gtest.h>

#include <cmath>
#include <filesystem>
#include <iterator>

namespace bslate::cli {
namespace {

// The command line of an example, beside the demo shoot.
std::vector<std::string> exampleWords(std::string_view example) {
    std::istringstream text{std::string(example)};
    std::vector<std::string> words(std::istream_iterator<std::string>(text), {});
    words.erase(words.begin());
    return words;
}

TEST(Cli, EveryVerbHasAnExampleThatWorksAndHelpThatShowsIt) {
    const TemporaryFolder folder;
    std::filesystem::copy(root() / "data/demo", folder.path(),
                          std::filesystem::copy_options::recursive);
    const auto before = std::filesystem::current_path();
    std::filesystem::current_path(folder.path());
    // A clip that examples speak of.
    EXPECT_EQ(ran({"make-clip", "slack-water.bslate", "--setup", "2A", "--size", "320x180",
                   "--seconds", "0.5", "-o", "A001.mov"})
                  .code,
              kGood);
    for (const auto* verb : verbs()) {
        const auto words = exampleWords(verb->example);
        ASSERT_FALSE(words.empty()) << verb->name;
        EXPECT_EQ(words.front(), verb->name);
        const auto told = ran(words);
        EXPECT_NE(told.code, kBadInput) << verb->example << ": " << told.err;
        EXPECT_FALSE(told.out.empty()) << verb->name;
        const auto help = ran({std::string(verb->name), "--help"});
        EXPECT_EQ(help.code, kGood);
        EXPECT_NE(help.out.find(verb->example), std::string::npos) << verb->name;
        EXPECT_NE(help.out.find("--json"), std::string::npos) << verb->name;
    }
    std::filesystem::current_path(before);
}

TEST(Cli, BadInputIsTwoWithAMessageThatNamesThePlace) {
    const TemporaryFolder folder;
    spit(folder / "cut.bslate", slurp(kShoot).substr(0, 500));
    const struct {
        std::vector<std::string> args;
        const char* says;
    } table[] = {
        {{}, "A subcommand"},
        {{"sing"}, "sing"},
        {{"check"}, "FILE"},
        {{"check", "missing.bslate"}, "missing.bslate"},
        {{"check", (folder / "cut.bslate").string()}, "line "},
        {{"check", kShoot, "--setup", "9Z"}, "--setup"},
        {{"check", kShoot, "--loud"}, "--loud"},
        {{"curve", "acescct", "--stops", "2:1:1"}, "FROM:TO:STEP"},
        {{"curve", "acescct", "--stops", "0:1:0"}, "FROM:TO:STEP"},
        {{"curve", "acescct", "--stops", "0:1:nan"}, "FROM:TO:STEP"},
        {{"curve", "acescct", "--stops", "0:1:1", "--bits", "9"}, "8, 10 or 12"},
        {{"curve", kKit, "--stops", "0:1:1"}, "tarn-log"},
        {{"curve", "nolog", "--stops", "0:1:1"}, "acescct, bt2020, bt709, hlg"},
        {expose({"--patch", "grey=26 K"}), "cd/m2"},
        {expose({"--patch", "grey=-3 lx"}), "above zero"},
        {expose({"--patch", "26 cd/m2"}), "NAME=READING"},
        {expose({"--patch", "a=1 lx", "--patch", "a=2 lx"}), "only once"},
        {expose({"--nd", "ND1"}), "ND1.0"},
        {expose({"--snr", "0"}), "--snr"},
        {expose({"--school", "hope"}), "to-the-right"},
        {expose({"--base", "x"}), "--base"},
        {expose({"--mode", "gone"}), "recording mode"},
    };
    for (const auto& row : table) {
        const auto result = ran(row.args);
        EXPECT_EQ(result.code, kBadInput) << result.err;
        EXPECT_TRUE(result.out.empty()) << result.out;
        EXPECT_NE(result.err.find(row.says), std::string::npos)
            << "wanted " << row.says << ", got " << result.err;
        EXPECT_EQ(result.err.find("bslate: "), 0u) << result.err;
    }
    auto zero = expose({});
    for (const auto& [index, text] : {std::pair<std::size_t, const char*>{14, "0"},
                                      {12, "0"},
                                      {10, "T0"},
                                      {8, "-1"},
                                      {4, "gone"},
                                      {6, "gone"},
                                      {2, "gone.json"}}) {
        auto args = zero;
        args[index] = text;
        EXPECT_EQ(ran(args).code, kBadInput) << text << " for " << args[index - 1];
    }
    EXPECT_EQ(ran({"--help"}).code, kGood);
}

} // namespace
} // namespace bslate::cli
