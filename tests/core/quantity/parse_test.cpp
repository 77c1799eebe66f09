#include "core/quantity/aperture_marks.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>

namespace bslate {
namespace {

template<class Q>
struct Spelling {
    const char* text;
    double value;
};

template<class Q>
void expectAll(Result<Q> (*parse)(std::string_view), std::initializer_list<Spelling<Q>> table) {
    for (const auto& entry : table) {
        const auto read = parse(entry.text);
        ASSERT_TRUE(read.ok()) << entry.text << ": " << message(read.error());
        EXPECT_NEAR(read->value(), entry.value, std::abs(entry.value) * 1e-12) << entry.text;
    }
}

template<class Parse>
void expectRefused(Parse parse, std::initializer_list<std::pair<const char*, ErrorCode>> table) {
    for (const auto& [text, code] : table) {
        const auto read = parse(text);
        ASSERT_FALSE(read.ok()) << text;
        EXPECT_EQ(read.error().code, code) << text << ": " << message(read.error());
        EXPECT_FALSE(read.error().expected.empty()) << text;
    }
}

TEST(ParseStops, ReadsEverySpelling) {
    expectAll<Stops>(parseStops, {{"1", 1},
                                  {"+1", 1},
                                  {"-1/3", -1.0 / 3},
                                  {"1 1/3 stops", 4.0 / 3},
                                  {"0.7 st", 0.7},
                                  {"-2.5 stops", -2.5},
                                  {"\u22120.5", -0.5},
                                  {"1\u00bd", 1.5}});
}

TEST(ParseStops, RefusesOtherUnitsAndNonsense) {
    expectRefused(parseStops, {{"", ErrorCode::EmptyText},
                               {"   ", ErrorCode::EmptyText},
                               {"nan", ErrorCode::NotANumber},
                               {"inf", ErrorCode::NotANumber},
                               {"1/0", ErrorCode::NotANumber},
                               {"1,5", ErrorCode::NotANumber},
                               {"3 K", ErrorCode::UnknownUnit},
                               {"f/2", ErrorCode::UnknownUnit},
                               {"41", ErrorCode::OutOfRange}});
}

TEST(ParseTStop, MarksMeanTheirExactPowersOfTwo) {
    // Full, half and third stops: N = 2^(stops/2). The names are the engraved ones.
    expectAll<TStop>(parseTStop, {{"T2.8", std::exp2(1.5)},
                                  {"2.8", std::exp2(1.5)},
                                  {"T 5.6", std::exp2(2.5)},
                                  {"T3.2", std::exp2(5.0 / 3)},
                                  {"T22", std::exp2(4.5)},
                                  {"2.4", std::exp2(1.25)},
                                  // A mark and a fraction: so many stops past the mark.
                                  {"T8 2/3", std::exp2(3 + 1.0 / 3)},
                                  {"T5.6 1/2", std::exp2(2.75)},
                                  {"T4\u2153", std::exp2(2 + 1.0 / 6)},
                                  {"T2.9 1/2", 2.9 * std::exp2(0.25)},
                                  {"T2.9", 2.9}});
    expectRefused(parseTStop, {{"0", ErrorCode::OutOfRange},
                               {"-4", ErrorCode::OutOfRange},
                               {"200", ErrorCode::OutOfRange},
                               {"T2/3", ErrorCode::UnknownUnit},
                               {"f/2.8", ErrorCode::UnknownUnit}, // brighter than it says
                               {"T2 3/2", ErrorCode::NotANumber},
                               {"ND8", ErrorCode::UnknownUnit},
                               {"2.8 K", ErrorCode::UnknownUnit}});
}

TEST(ParseFNumber, IsNoTStopAndTheOtherWayRound) {
    expectAll<FNumber>(parseFNumber, {{"f/2.8", std::exp2(1.5)},
                                      {"f2.8", std::exp2(1.5)},
                                      {"f/3.2", std::exp2(5.0 / 3)},
                                      {"f/4\u2153", std::exp2(2 + 1.0 / 6)}});
    expectRefused(parseFNumber, {{"T2.8", ErrorCode::UnknownUnit}});
}

TEST(ApertureMarks, AscendAndAreNamedBack) {
    double last = 0;
    for (const auto& mark : apertureMarks()) {
        EXPECT_GT(mark.exact, last) << mark.label;
        EXPECT_EQ(markOf(mark.exact), mark.label);
        last = mark.exact;
    }
    EXPECT_EQ(markOf(2.9), "");
}

TEST(ParseShutter, TellsAnglesFromTimes) {
    const auto angle = [](const char* text) { return std::get<ShutterAngle>(*parseShutter(text)); };
    const auto time = [](const char* text) { return std::get<Seconds>(*parseShutter(text)); };
    EXPECT_EQ(angle("172.8").value(), 172.8);
    EXPECT_EQ(angle("172.8\u00b0").value(), 172.8);
    EXPECT_EQ(angle("90 deg").value(), 90);
    EXPECT_EQ(angle("172 1/2").value(), 172.5) << "a whole and a fraction are no time";
    EXPECT_FALSE(parseShutterAngle("1/50").ok());
    EXPECT_EQ(time("1/50").value(), 1.0 / 50);
    EXPECT_EQ(time("1/50 s").value(), 1.0 / 50);
    EXPECT_DOUBLE_EQ(time("20 ms").value(), 0.02);
    expectRefused(parseShutter, {{"0", ErrorCode::OutOfRange},
                                 {"361", ErrorCode::OutOfRange},
                                 {"-90", ErrorCode::OutOfRange},
                                 {"0/50", ErrorCode::OutOfRange},
                                 {"1/50 K", ErrorCode::UnknownUnit},
                                 {"1/50 deg", ErrorCode::UnknownUnit},
                                 {"half", ErrorCode::NotANumber}});
}

// ITU-R BT.2020-2 table 2 and SMPTE ST 2036-1: the frame frequencies, as people type them.
TEST(ParseFrameRate, KnowsEveryRateOfTheStandards) {
    const struct {
        const char* typed;
        int over, under;
    } rates[] = {{"120", 120, 1}, {"119.88", 120000, 1001}, {"100", 100, 1},
                 {"60", 60, 1},   {"59.94", 60000, 1001},   {"50", 50, 1},
                 {"30", 30, 1},   {"29.97", 30000, 1001},   {"25", 25, 1},
                 {"24", 24, 1},   {"23.976", 24000, 1001},  {"23.98", 24000, 1001}};
    for (const auto& rate : rates) {
        const auto parsed = parseFrameRate(rate.typed);
        ASSERT_TRUE(parsed.ok()) << rate.typed;
        EXPECT_EQ(parsed->perSecond, Rational(rate.over, rate.under)) << rate.typed;
    }
}

TEST(ParseFrameRate, KeepsRatesExact) {
    const struct {
        const char* text;
        std::int64_t numerator, denominator;
    } table[] = {{"24", 24, 1},
                 {"23.976", 24000, 1001},
                 {"23.98", 24000, 1001},
                 {"24000/1001", 24000, 1001},
                 {"29.97 fps", 30000, 1001},
                 {"47.952", 48000, 1001},
                 {"59.94p", 60000, 1001},
                 {"119.88", 120000, 1001},
                 {"25", 25, 1},
                 {"12.5", 25, 2},
                 {"100", 100, 1},
                 {"18/1", 18, 1}};
    for (const auto& entry : table) {
        const auto rate = parseFrameRate(entry.text);
        ASSERT_TRUE(rate.ok()) << entry.text;
        EXPECT_EQ(rate->perSecond, Rational(entry.numerator, entry.denominator)) << entry.text;
    }
    expectRefused(parseFrameRate, {{"0", ErrorCode::OutOfRange},
                                   {"-24", ErrorCode::OutOfRange},
                                   {"24 K", ErrorCode::UnknownUnit},
                                   {"1e5", ErrorCode::UnknownUnit},
                                   {"999999", ErrorCode::OutOfRange}});
}

TEST(ParseLightReading, WantsItsUnit) {
    const struct {
        const char* text;
        double value;
        LightUnit unit;
    } table[] = {
        {"26 cd/m2", 26, LightUnit::CandelaPerM2}, {"26cd/m\u00b2", 26, LightUnit::CandelaPerM2},
        {"26 nits", 26, LightUnit::CandelaPerM2},  {"10 fc", 10, LightUnit::FootCandle},
        {"108 lx", 108, LightUnit::Lux},           {"108 LUX", 108, LightUnit::Lux},
        {"7.6 fL", 7.6, LightUnit::FootLambert},   {"EV 7.7", 7.7, LightUnit::EvReflected},
        {"-2 EV", -2, LightUnit::EvReflected}};
    for (const auto& entry : table) {
        const auto read = parseLightReading(entry.text);
        ASSERT_TRUE(read.ok()) << entry.text << ": " << message(read.error());
        EXPECT_EQ(*read, (LightReading{entry.value, entry.unit})) << entry.text;
    }
    expectRefused(parseLightReading, {{"26", ErrorCode::UnknownUnit},
                                      {"26 K", ErrorCode::UnknownUnit},
                                      {"-5 lx", ErrorCode::OutOfRange},
                                      {"0 cd/m2", ErrorCode::OutOfRange},
                                      {"NaN lx", ErrorCode::NotANumber},
                                      {"lx", ErrorCode::NotANumber},
                                      {"EV 99", ErrorCode::OutOfRange}});
}

TEST(ParseNdLabel, KnowsTheThreeTraditions) {
    const struct {
        const char* text;
        NdTradition tradition;
        double value;
    } table[] = {{"ND0.9", NdTradition::Density, 0.9},
                 {"0.3", NdTradition::Density, 0.3},
                 {"nd 1.8", NdTradition::Density, 1.8},
                 {"ND1.0", NdTradition::Density, 1.0},
                 {"ND8", NdTradition::Factor, 8},
                 {"8x", NdTradition::Factor, 8},
                 {"1/8", NdTradition::Factor, 8},
                 {"ND1000", NdTradition::Factor, 1000},
                 {"3 stops", NdTradition::Stops, 3},
                 {"1.5 st", NdTradition::Stops, 1.5},
                 {"1/3 stop", NdTradition::Stops, 1.0 / 3},
                 {"2/3 stops", NdTradition::Stops, 2.0 / 3},
                 {"1 1/3 stops", NdTradition::Stops, 1 + 1.0 / 3},
                 {"2\u00bd stops", NdTradition::Stops, 2.5},
                 {"1/3x", NdTradition::Factor, 3}};
    for (const auto& entry : table) {
        const auto read = parseNdLabel(entry.text);
        ASSERT_TRUE(read.ok()) << entry.text << ": " << message(read.error());
        EXPECT_EQ(*read, (NdLabel{entry.tradition, entry.value})) << entry.text;
    }
    expectRefused(parseNdLabel, {{"ND1", ErrorCode::Ambiguous},
                                 {"1/3", ErrorCode::Ambiguous},
                                 {"1/2", ErrorCode::Ambiguous},
                                 {"1 1/3", ErrorCode::Ambiguous},
                                 {"-1 stops", ErrorCode::OutOfRange},
                                 {"ND0", ErrorCode::OutOfRange},
                                 {"21 stops", ErrorCode::OutOfRange},
                                 {"3 K", ErrorCode::UnknownUnit}});
}

TEST(ParseData, BitsAndBytesDiffer) {
    expectAll<DataRate>(
        parseDataRate,
        {{"180Mb/s", 180e6}, {"22.5MB/s", 180e6}, {"180 Mbps", 180e6}, {"2.14 Gb/s", 2.14e9}});
    expectAll<DataSize>(parseDataSize, {{"64GB", 64e9}, {"1 TB", 1e12}, {"4 GiB", 4294967296.0}});
    expectRefused(parseDataRate,
                  {{"180", ErrorCode::UnknownUnit}, {"0 Mb/s", ErrorCode::OutOfRange}});
}

TEST(ParseOthers, RatingsWhiteAndReflectance) {
    expectAll<ExposureIndex>(parseExposureIndex,
                             {{"EI 400", 400}, {"ISO800", 800}, {"1250", 1250}});
    expectAll<Kelvin>(parseKelvin, {{"5600K", 5600}, {"3200", 3200}, {"200 mired", 5000}});
    expectAll<Reflectance>(parseReflectance,
                           {{"18 %", 0.18}, {"18", 0.18}, {"0.18", 0.18}, {"1.0", 1}});
    expectRefused(parseExposureIndex,
                  {{"0", ErrorCode::OutOfRange}, {"T4", ErrorCode::UnknownUnit}});
    expectRefused(parseKelvin,
                  {{"900", ErrorCode::OutOfRange}, {"5600 lx", ErrorCode::UnknownUnit}});
    expectRefused(parseReflectance,
                  {{"0", ErrorCode::OutOfRange}, {"120 %", ErrorCode::OutOfRange}});
}

TEST(Print, SaysWhatPeopleRead) {
    EXPECT_EQ(print(Stops(0.04)), "0.0");
    EXPECT_EQ(print(Stops(-0.04)), "0.0");
    EXPECT_EQ(print(Stops(1.26)), "+1.3");
    EXPECT_EQ(print(Stops(-HUGE_VAL)), "\u2013");
    EXPECT_EQ(print(TStop(std::exp2(1.5))), "T2.8");
    EXPECT_EQ(print(Seconds(0.02)), "1/50 s");
    EXPECT_EQ(print(Seconds(172.8 / 360 / 24)), "1/50 s");
    EXPECT_EQ(print(FrameRate{Rational(24000, 1001)}), "23.976");
    EXPECT_EQ(print(FrameRate{Rational(60000, 1001)}), "59.94");
    EXPECT_EQ(print(LightReading{0.33, LightUnit::CandelaPerM2}), "0.33 cd/m\u00b2");
    EXPECT_EQ(print(DataRate(1.65e9)), "1650 Mb/s");
    EXPECT_EQ(print(NdLabel{NdTradition::Density, 0.9}), "ND0.9");
    EXPECT_EQ(print(NdLabel{NdTradition::Density, 0.45}), "ND0.45");
    EXPECT_EQ(print(NdLabel{NdTradition::Density, 0.15}), "ND0.15");
    EXPECT_EQ(print(NdLabel{NdTradition::Density, 3}), "ND3.0");
    EXPECT_EQ(print(NdLabel{NdTradition::Factor, 1.5}), "1.5x");
}

// Whatever is spelled reads back to the last bit: files depend on it.
TEST(Spell, RoundTripsExactly) {
    std::mt19937_64 random(20);
    std::uniform_real_distribution<double> unit(0.0, 1.0);
    for (int i = 0; i < 3000; ++i) {
        const double u = unit(random);
        const Stops stops((u - 0.5) * 60);
        EXPECT_EQ(parseStops(spell(stops)).valueOr({}), stops);
        const TStop iris(0.5 + u * 60);
        EXPECT_EQ(parseTStop(spell(iris)).valueOr({}), TStop(apertureMeant(iris.value())));
        const Shutter angle = ShutterAngle(u * 359 + 0.5);
        EXPECT_EQ(parseShutter(spell(angle)).valueOr(Shutter()), angle);
        const Shutter time = Seconds(u * 0.2 + 1e-5);
        EXPECT_EQ(parseShutter(spell(time)).valueOr(Shutter()), time) << spell(time);
        const LightReading light{std::exp2(u * 40 - 20), LightUnit::Lux};
        EXPECT_EQ(parseLightReading(spell(light)).valueOr({}), light);
        const NdLabel nd{NdTradition::Density, u * 4};
        EXPECT_EQ(parseNdLabel(spell(nd)).valueOr({}), nd) << spell(nd);
        const Reflectance share(u * 0.99 + 0.005);
        EXPECT_EQ(parseReflectance(spell(share)).valueOr({}), share) << spell(share);
        const DataRate rate(std::round(u * 4e9) + 1);
        EXPECT_EQ(parseDataRate(spell(rate)).valueOr({}), rate) << spell(rate);
    }
    for (const auto& mark : apertureMarks())
        EXPECT_EQ(parseTStop(spell(TStop(mark.exact))).valueOr({}).value(), mark.exact);
    for (int n = 2; n < 9000; ++n)
        EXPECT_EQ(parseShutter(spell(Shutter(Seconds(1.0 / n)))).valueOr(Shutter()),
                  Shutter(Seconds(1.0 / n)));
}

TEST(ErrorMessage, NamesFilePlaceAndExpectation) {
    const Error error{ErrorCode::OutOfRange, "a.bslate", "/setups/0/iris", "T0", "an iris"};
    EXPECT_EQ(message(error),
              "a.bslate: /setups/0/iris: outside the valid range \"T0\"; expected an iris");
    for (int code = 0; code <= static_cast<int>(ErrorCode::Usage); ++code)
        EXPECT_NE(summary(static_cast<ErrorCode>(code)), "unknown failure") << code;
}

TEST(ParseGear, EverySpellingOfTheKit) {
    EXPECT_EQ(parseMillimetres("35 mm").valueOr({}), Millimetres(35));
    EXPECT_EQ(parseMetres("180cm").valueOr({}), Metres(1.8));
    EXPECT_NEAR(parseMetres("6 ft")->value(), 1.8288, 1e-9);
    EXPECT_EQ(parseCelsius("-5 \u00b0C").valueOr(Celsius(0)), Celsius(-5));
    EXPECT_EQ(parseWattHours("98Wh").valueOr({}), WattHours(98));
    EXPECT_EQ(parseHertz("1.2 kHz").valueOr({}), Hertz(1200));
    EXPECT_EQ(parseFrameSize("UHD").valueOr({}), (FrameSize{3840, 2160}));
    EXPECT_EQ(parseFrameSize("6016 x 3168").valueOr({}), (FrameSize{6016, 3168}));
    EXPECT_EQ(parseTimeOfDay("5:40").valueOr({}), Seconds(20400));
    EXPECT_EQ(parseTimeOfDay("05:40:30").valueOr({}), Seconds(20430));
    EXPECT_FALSE(parseTimeOfDay("05:40:60").ok());
    for (const double seconds : {0.0, 20430.0, 20400.0, 86399.9, 1e4 / 3})
        EXPECT_EQ(*parseTimeOfDay(spellTimeOfDay(Seconds(seconds))), Seconds(seconds)) << seconds;
    EXPECT_FALSE(parseDuration("24:99").ok()) << "no minute has 99 seconds";
    for (const char* text : {"70 min", "70", "1h10", "1 h 10 min", "4200 s", "70:00"})
        EXPECT_EQ(parseDuration(text).valueOr({}), Seconds(4200)) << text;
    EXPECT_EQ(parseDuration("29:59").valueOr({}), Seconds(1799));
}

TEST(ParseCadence, SharesSpeedsAndPans) {
    EXPECT_EQ(*parseFraction("70 %"), Fraction(0.7));
    EXPECT_EQ(*parseFraction("70"), Fraction(0.7));
    EXPECT_EQ(*parseFraction("0.7"), Fraction(0.7));
    EXPECT_EQ(*parseFraction("1/5"), Fraction(0.2));
    EXPECT_EQ(*parseFraction("1"), Fraction(0.01)) << "percent without a decimal point";
    EXPECT_EQ(*parseFraction("1.0"), Fraction(1));
    EXPECT_EQ(*parseFraction("0 %"), Fraction(0));
    EXPECT_EQ(*parseWidthsPerSecond("0.25 w/s"), WidthsPerSecond(0.25));
    EXPECT_EQ(*parseDegreesPerSecond("8\u00b0/s"), DegreesPerSecond(8));
    EXPECT_EQ(*parseDegreesPerSecond("8 deg/s"), DegreesPerSecond(8));
    for (const char* text : {"", "101 %", "-1", "0.7 Hz", "nan", "half"})
        EXPECT_FALSE(parseFraction(text).ok()) << text;
    for (const char* text : {"0 deg/s", "fast", "9 rpm", "3601"})
        EXPECT_FALSE(parseDegreesPerSecond(text).ok()) << text;
    EXPECT_FALSE(parseWidthsPerSecond("-1 w/s").ok());
    for (const double value : {0.0, 1.0 / 3, 0.125, 1.0}) {
        EXPECT_EQ(*parseFraction(spell(Fraction(value))), Fraction(value));
        EXPECT_EQ(*parseWidthsPerSecond(spell(WidthsPerSecond(value))), WidthsPerSecond(value));
    }
    EXPECT_EQ(print(Fraction(0.03951)), "3.95 %");
    EXPECT_EQ(print(Fraction(0.4)), "40 %");
    EXPECT_EQ(print(DegreesPerSecond(7.714)), "7.7\u00b0/s");
}

TEST(ParseGear, WrongEntriesSayWhatIsAccepted) {
    EXPECT_FALSE(parseMillimetres("35 in").ok());
    EXPECT_FALSE(parseDuration("-5 min").ok());
    EXPECT_FALSE(parseDuration("soon").ok());
    EXPECT_FALSE(parseDuration("1001 h").ok());
    EXPECT_FALSE(parseFrameSize("3840").ok());
    EXPECT_FALSE(parseFrameSize("8x8").ok());
    EXPECT_FALSE(parseTimeOfDay("24:00").ok());
    EXPECT_NE(parseMetres("far").error().expected.find("180 cm"), std::string::npos);
}

TEST(PrintGear, LengthsOfTimeAreNeverLongerThanTheyAre) {
    EXPECT_EQ(printDuration(Seconds(8.33)), "8.3 s");
    EXPECT_EQ(printDuration(Seconds(344)), "5 min 44 s");
    EXPECT_EQ(printDuration(Seconds(4096)), "68 min");
    EXPECT_EQ(printDuration(Seconds(148 * 60 + 59)), "2 h 28 min");
    for (const double seconds : {1.5, 1799.0, 4200.0, 100000.25})
        EXPECT_EQ(parseDuration(spellDuration(Seconds(seconds))).valueOr({}), Seconds(seconds));
}

} // namespace
} // namespace bslate
