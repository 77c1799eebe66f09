// What a person reads and what a script reads are the same numbers.
#include "cli/ran.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <regex>
#include <vector>

namespace bslate::cli {
namespace {

// Whatever the locale.
double number(const std::string& text) {
    double value = 0;
    std::from_chars(text.data(), text.data() + text.size(), value);
    return value;
}

std::vector<double> numbersIn(const std::string& text) {
    static const std::regex written("-?[0-9]+(\\.[0-9]+)?");
    std::vector<double> found;
    for (std::sregex_iterator at(text.begin(), text.end(), written), end; at != end; ++at)
        found.push_back(number(at->str()));
    return found;
}

// A number of the text within half of its last printed digit.
::testing::AssertionResult tells(const std::string& text, double value, double half) {
    const auto numbers = numbersIn(text);
    if (std::any_of(numbers.begin(), numbers.end(),
                    [&](double number) { return std::abs(number - value) <= half; }))
        return ::testing::AssertionSuccess();
    return ::testing::AssertionFailure() << value << " is not in\n" << text;
}

std::string lineWith(const std::string& text, const std::string& part) {
    const auto at = text.find(part);
    if (at == std::string::npos)
        return {};
    const auto begin = text.rfind('\n', at) + 1; // npos + 1 is 0
    return text.substr(begin, text.find('\n', at) - begin);
}

struct Both {
    Ran text, json;
};
Both both(std::vector<std::string> args) {
    const auto text = ran(args);
    args.emplace_back("--json");
    return {text, ran(args)};
}

TEST(CliTexts, ShutterTellsEverythingItWorkedOut) {
    const std::vector<std::string> lights[] = {
        {"100:1:sine"}, {"120:1:pwm"}, {"400:0.3"}, {"100", "120"}, {"97:0.5:rectified"}};
    for (const auto& light : lights)
        for (const auto* angle : {"180", "172.8", "144", "90"}) {
            std::vector<std::string> args = {"shutter", "--rate",    "24",        "--angle", angle,
                                             "--steps", "angle:0.1", "--readout", "12"};
            for (const auto& one : light)
                args.insert(args.end(), {"--light", one});
            const auto [plain, script] = both(args);
            ASSERT_EQ(plain.code, script.code) << plain.err;
            const auto node = script.json();
            EXPECT_TRUE(tells(plain.out, node["angle_deg"], 0.05));
            if (node["ripple_percent"].get<double>() > 0.01) {
                const auto ripple = lineWith(plain.out, "ripple");
                EXPECT_TRUE(tells(ripple, node["ripple_percent"], 0.06)) << angle;
                EXPECT_TRUE(tells(ripple, node["peak_to_peak_stops"], 6e-4));
            }
            if (const auto pulses = lineWith(plain.out, "flickers at"); !pulses.empty()) {
                EXPECT_TRUE(tells(pulses, node["worst_moving_stops"], 6e-4));
                if (node["worst_moving_stops"].get<double>() > 0.05)
                    EXPECT_EQ(plain.code, kFaults) << "what anybody sees is a fault";
            }
            for (const auto& range : node["safe"]) {
                EXPECT_TRUE(tells(plain.out, range["best_deg"], 0.06));
                EXPECT_LE(range["from_deg"].get<double>(), range["best_deg"].get<double>());
                EXPECT_GE(range["to_deg"].get<double>(), range["best_deg"].get<double>());
            }
            for (const auto& other : node["safe_rates"])
                EXPECT_NE(plain.out.find("still at " + other["rate"].get<std::string>()),
                          std::string::npos);
        }
}

// Under 50 Hz at 120 no shutter helps, and 100 needs none (common practice, no source).
TEST(CliTexts, WhereNoShutterHelpsAnotherRateIsNamed) {
    const auto [plain, script] =
        both({"shutter", "--rate", "120", "--time", "1/250", "--light", "100"});
    EXPECT_TRUE(script.json()["safe"].empty());
    EXPECT_EQ(lineWith(plain.out, "safe "), "");
    EXPECT_NE(plain.out.find("still at 100\n"), std::string::npos) << plain.out;
    EXPECT_NE(plain.out.find("still at 24 with 172.8"), std::string::npos) << plain.out;
}

TEST(CliTexts, ShutterNamesTheOptionAndWhatWouldBeAccepted) {
    const struct {
        std::vector<std::string> more;
        const char *option, *expected;
    } wrong[] = {
        {{"--light", "x"}, "--light", "400 Hz"},
        {{"--light", "100:2"}, "--light", "0 to 1"},
        {{"--light", "100:1:square"}, "--light", "sine, rectified or pwm"},
        {{"--light", "100:1:sine:4"}, "--light", "HZ[:depth[:waveform]]"},
        {{"--steps", "quarter"}, "--steps", "third, half"},
        {{"--steps", "angle:x"}, "--steps", "an angle"},
        {{"--steps", "list:1/50,x"}, "--steps", "a time"},
        {{"--readout", "long"}, "--readout", "expected"},
    };
    for (const auto& entry : wrong) {
        std::vector<std::string> args = {"shutter", "--rate", "24", "--angle", "180"};
        args.insert(args.end(), entry.more.begin(), entry.more.end());
        const auto said = ran(args);
        EXPECT_EQ(said.code, kBadInput) << entry.more[1];
        EXPECT_TRUE(said.out.empty());
        EXPECT_NE(said.err.find(entry.option), std::string::npos) << said.err;
        EXPECT_NE(said.err.find(entry.expected), std::string::npos) << said.err;
    }
    EXPECT_EQ(ran({"shutter", "--rate", "24"}).code, kBadInput) << "no shutter at all";
    EXPECT_EQ(ran({"shutter", "--rate", "24", "--angle", "180", "--time", "1/50"}).code, kBadInput)
        << "two of them";
}

TEST(CliTexts, TargetsOfEverySchoolAreWhatAScriptReads) {
    const auto [plain, script] = both({"targets", kShoot, "--setup", "2A"});
    ASSERT_EQ(plain.code, kGood) << plain.err;
    const auto schools = script.json()["schools"];
    ASSERT_EQ(schools.size(), 5u);
    std::string rest = plain.out;
    for (const auto& school : schools) {
        const auto at = rest.find(school["school"].get<std::string>() + "  ");
        ASSERT_NE(at, std::string::npos) << school["school"];
        rest = rest.substr(at);
        EXPECT_TRUE(tells(rest.substr(0, rest.find('\n')), school["shift_stops"], 0.051));
        for (const auto& tool : school["tools"]) {
            if (!tool["in_use"].get<bool>())
                continue; // on the other signal, or of another kind than the camera is set to
            const auto line = lineWith(rest, tool["tool"].get<std::string>());
            ASSERT_FALSE(line.empty()) << tool["tool"];
            EXPECT_TRUE(tells(line, tool["low_percent"], 0.051));
            EXPECT_TRUE(tells(line, tool["high_percent"], 0.051));
            if (tool["reachable"].get<bool>())
                EXPECT_TRUE(tells(line, tool["set_percent"], 0.051));
        }
    }
    for (const char* school : {"nominal", "rated", "to-the-right", "guard", "raw"}) {
        const auto one = ran({"targets", kShoot, "--setup", "2A", "--school", school, "--json"});
        ASSERT_EQ(one.json()["schools"].size(), 1u);
        EXPECT_EQ(one.json()["schools"][0]["school"], school);
    }
    const auto none = ran({"targets", kShoot, "--setup", "2A", "--school", "half"});
    EXPECT_EQ(none.code, kBadInput);
    EXPECT_NE(none.err.find("guard or raw"), std::string::npos) << none.err;
    EXPECT_NE(ran({"targets", kShoot, "--setup", "9Z"}).err.find("s1a, s2a"), std::string::npos);
}

// ITU-R BT.709 and BT.2408, as tabulated: level and code of the same signal.
TEST(CliTexts, CurvesTabulateLevelAndCodeOfOneSignal) {
    for (const char* curve : {"bt709", "hlg", "pq", "acescct", "acescc", "srgb", "bt2020"})
        for (const int bits : {8, 10, 12}) {
            const auto [plain, script] =
                both({"curve", curve, "--stops=-4:2:0.5", "--bits", std::to_string(bits)});
            ASSERT_EQ(plain.code, kGood) << plain.err;
            const auto node = script.json();
            ASSERT_EQ(node["points"].size(), 13u) << curve;
            std::istringstream lines(plain.out);
            for (const auto& point : node["points"]) {
                std::string line;
                ASSERT_TRUE(std::getline(lines, line));
                EXPECT_TRUE(tells(line, point["stops"], 0.0051)) << curve;
                EXPECT_TRUE(tells(line, point["code"], 0.001)) << curve;
                EXPECT_LE(point["code"].get<int>(), (1 << bits) - 1);
            }
        }
    EXPECT_NE(ran({"curve", "bt709", "--stops=2:1:1"}).err.find("--stops"), std::string::npos);
    EXPECT_EQ(ran({"curve", "bt709", "--bits", "9"}).code, kBadInput);
    EXPECT_EQ(ran({"curve"}).code, kBadInput);
}

TEST(CliTexts, FitTellsTheFitAndRefusesHalfAKit) {
    const auto csv = (root() / "data/demo/sedge-2-series.csv").string();
    const auto [plain, script] =
        both({"fit", csv, "--kit", kKit, "--camera", "sedge-2", "--profile", "sedge-flat"});
    ASSERT_EQ(plain.code, kGood) << plain.err;
    const auto node = script.json();
    EXPECT_TRUE(tells(plain.out, node["shift_stops"], 0.006));
    EXPECT_TRUE(tells(plain.out, node["rms_codes_10bit"], 0.051));
    const auto half = ran({"fit", csv, "--kit", kKit, "--camera", "sedge-2"});
    EXPECT_EQ(half.code, kBadInput);
    EXPECT_NE(half.err.find("--profile"), std::string::npos) << half.err;
    const auto curve = ran({"fit", csv, "--nominal", "film"});
    EXPECT_NE(curve.err.find("acescct, bt709, hlg, pq or srgb"), std::string::npos) << curve.err;
    const auto base = ran({"fit", csv, "--kit", kKit, "--camera", "sedge-2", "--profile",
                           "sedge-flat", "--base", "fast"});
    EXPECT_EQ(base.code, kBadInput);
    EXPECT_EQ(ran({"fit", csv, "--nominal", "bt709", "--snr", "none"}).code, kBadInput);
    EXPECT_EQ(ran({"fit", (root() / "gone.csv").string(), "--nominal", "bt709"}).code, kBadInput);
}

// Escapes, bells, marks of direction and broken bytes in names are shown as JSON writes them.
TEST(PlainOutput, NamesGiveATerminalNoOrders) {
    const TemporaryFolder folder;
    auto shoot = nlohmann::json::parse(slurp(kShoot));
    shoot["kit"] = nlohmann::json::parse(slurp(kKit));
    shoot["title"] = "\x1b]0;owned\x07 \xe2\x80\xae txt";
    for (auto& setup : shoot["setups"])
        setup["name"] = "\x1b[31mred\x1b[0m\xc2\x9b";
    for (auto& scene : shoot["scenes"])
        scene["name"] = "bell\x07\x7f";
    const auto path = folder / "a\x1b[2J.bslate";
    const auto none = (folder / "none\x1b[1m\xff.bslate").string();
    spit(path, shoot.dump());
    for (const std::vector<std::string>& args : {std::vector<std::string>{"check", path.string()},
                                                 {"day", path.string(), "--day", "1"},
                                                 {"banks", path.string(), "--camera", "tarn-6"},
                                                 {"white", path.string(), "--setup", "2A"},
                                                 {"check", path.string(), "--json"},
                                                 {"preroll", path.string(), "--setup", "3A"},
                                                 {"check", none}}) {
        const auto told = ran(args);
        for (const auto& text : {told.out, told.err})
            for (const char* order : {"\x1b", "\x07", "\x7f", "\xe2\x80\xae", "\xc2\x9b", "\xff"})
                EXPECT_EQ(text.find(order), std::string::npos) << args[0];
    }
    EXPECT_NE(ran({"check", none}).err.find("none\\u001b[1m\\ufffd"), std::string::npos);
    // What is text stays as it is, and JSON means the same.
    const auto preroll = ran({"preroll", path.string(), "--setup", "3A"}).out;
    EXPECT_NE(preroll.find("\xc2\xb0"), std::string::npos) << "a degree sign";
    EXPECT_NE(preroll.find("\\u001b[31mred"), std::string::npos) << preroll;
    EXPECT_TRUE(ran({"check", path.string(), "--json"}).json().is_object());
}

} // namespace
} // namespace bslate::cli
