#include "io/json/kit_json.h"
#include "io/json/schemas.h"
#include "io/json/shoot_json.h"
#include "support/sample_shoot.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <cmath>
#include <cstdlib>
#include <set>

namespace bslate::io {
namespace {

using Json = nlohmann::ordered_json;
using sample::root;
using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

Shoot readBack(const std::string& text) {
    auto shoot = readShoot(text, "text", {});
    EXPECT_TRUE(shoot.ok()) << (shoot ? "" : message(shoot.error()));
    return shoot ? *std::move(shoot) : Shoot{};
}

TEST(ShootJson, RoundTripsToTheLastBit) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].shutter = ShutterAngle(123.456789012345);
    shoot.setups[0].iris = TStop(3.9);
    shoot.setups[0].rate = FrameRate{Rational(24000, 1001)};
    shoot.setups[0].accepted = {{"patch-clipped:sky", "only \"sky\" \u2013 fine", {}}};
    shoot.scenes[0].hazards = {true, false, true, false};
    shoot.scenes[0].patches[1].reading = {1.0 / 3, LightUnit::FootCandle};
    shoot.scenes[0].patches[1].reflectance = Reflectance(0.377);
    shoot.kit.cameras[0].builtInNd = {{"in", "In", {NdTradition::Stops, 2}, false, true, {}, {}}};
    const auto text = writeShoot(shoot);
    EXPECT_EQ(readBack(text), shoot);
    EXPECT_EQ(writeShoot(readBack(text)), text) << "saving twice must not change a byte";
}

TEST(ShootJson, UnknownKeysOfEveryLevelSurviveASave) {
    auto json = Json::parse(writeShoot(sample::shoot()));
    const auto mark = [](Json& node) { node["x_future"] = {{"keep", {1, 2, 3}}}; };
    mark(json);
    mark(json["kit"]);
    mark(json["kit"]["filters"][0]);
    mark(json["kit"]["lenses"][0]);
    auto& camera = json["kit"]["cameras"][0];
    mark(camera);
    mark(camera["zebra"]);
    mark(camera["shutter"]);
    mark(camera["bases"][0]);
    mark(camera["modes"][0]);
    auto& profile = json["kit"]["profiles"][0];
    mark(profile);
    mark(profile["curve"]);
    mark(profile["gamut"]);
    mark(json["scenes"][0]);
    mark(json["scenes"][0]["patches"][0]);
    mark(json["setups"][0]);
    auto shoot = readBack(json.dump());
    shoot.setups[0].iris = TStop(8); // an edit must not lose them
    const auto text = writeShoot(shoot);
    std::size_t kept = 0;
    for (auto at = text.find("x_future"); at != std::string::npos;
         at = text.find("x_future", at + 1))
        ++kept;
    EXPECT_EQ(kept, 15u);
    EXPECT_EQ(readBack(text), shoot);
}

// Every object gets a key of its own. The conditions of a rule are what it means, so none of theirs
// may be unknown.
void markAll(Json& node, int& marks) {
    if (node.is_object()) {
        for (auto& [key, value] : node.items())
            if (key != "when" && key != "requires" && key != "excludes" && key != "limits")
                markAll(value, marks);
        node["x_mark"] = ++marks;
    } else if (node.is_array()) {
        for (auto& value : node)
            markAll(value, marks);
    }
}

void findAll(const Json& node, std::set<int>& found) {
    if (node.is_object() && node.contains("x_mark"))
        found.insert(node["x_mark"].get<int>());
    for (const auto& value : node)
        if (value.is_structured())
            findAll(value, found);
}

TEST(ShootJson, AMarkOnEveryObjectOfADocumentComesBack) {
    auto shoot = *loadShoot(root() / "data/demo/slack-water.bslate");
    shoot.kitFile.reset();
    Lamp lamp;
    lamp.name = "measured";
    lamp.kind = LampKind::Measured;
    lamp.harmonics = {{1, Fraction(0.4)}, {2, Fraction(0.1)}};
    shoot.scenes[0].lamps.push_back(lamp);
    auto json = Json::parse(writeShoot(shoot));
    int marks = 0;
    markAll(json, marks);
    EXPECT_GT(marks, 300);
    const auto marked = readShoot(json.dump(), "marked", {});
    ASSERT_TRUE(marked.ok()) << message(marked.error());
    std::set<int> found;
    findAll(Json::parse(writeShoot(*marked)), found);
    std::string lost;
    for (int mark = 1; mark <= marks; ++mark)
        if (!found.contains(mark))
            lost += std::to_string(mark) + " ";
    EXPECT_TRUE(lost.empty()) << lost << " in " << json.dump(1);
}

TEST(ShootJson, OneValueALineInAStableOrder) {
    const auto text = writeShoot(sample::shoot());
    EXPECT_LT(text.find("\"format\""), text.find("\"version\""));
    EXPECT_LT(text.find("\"version\""), text.find("\"title\""));
    EXPECT_EQ(text.back(), '\n');
    for (std::size_t at = 0, end; (end = text.find('\n', at)) != std::string::npos; at = end + 1)
        EXPECT_LT(end - at, 120u) << text.substr(at, end - at);
}

// Files of every version ever written must open and judge as they did.
TEST(ShootJson, OpensEveryVersionEverWritten) {
    int seen = 0;
    for (const auto& entry :
         std::filesystem::recursive_directory_iterator(root() / "tests/data/shoots")) {
        if (entry.path().extension() != ".bslate")
            continue;
        const auto shoot = loadShoot(entry.path());
        ASSERT_TRUE(shoot.ok()) << message(shoot.error());
        const auto text = writeShoot(*shoot);
        for (const char* key :
             {"sources", "subject_speed", "filter_slots", "flare", "rms", "noise"})
            EXPECT_EQ(text.find("\"" + std::string(key) + "\":"), std::string::npos) << key;
        const auto lit = std::any_of(shoot->scenes.begin(), shoot->scenes.end(),
                                     [](const Scene& scene) { return !scene.lamps.empty(); });
        EXPECT_EQ(lit, entry.path().parent_path().filename() != "v1") << entry.path();
        ++seen;
    }
    EXPECT_GE(seen, kShootVersion) << "one of each at least";
}

TEST(ShootJson, TheDemoFilesAreAsWeWouldWriteThem) {
    const auto demo = root() / "data/demo";
    const auto shoot = loadShoot(demo / "slack-water.bslate");
    ASSERT_TRUE(shoot.ok()) << message(shoot.error());
    EXPECT_EQ(shoot->kitFile, "slack-water.bskit.json");
    EXPECT_EQ(writeShoot(*shoot), slurp(demo / "slack-water.bslate"));
    const auto kit = loadKit(demo / "slack-water.bskit.json");
    ASSERT_TRUE(kit.ok()) << message(kit.error());
    EXPECT_EQ(writeKit(*kit), slurp(demo / "slack-water.bskit.json"));
    EXPECT_EQ(*kit, shoot->kit);
}

TEST(ShootJson, AReferencedKitIsReadFromBesideTheShoot) {
    const TemporaryFolder folder;
    Shoot shoot = sample::shoot();
    spit(folder / "my.bskit.json", writeKit(shoot.kit));
    shoot.kitFile = "my.bskit.json";
    ASSERT_TRUE(saveShoot(shoot, folder / "a.bslate"));
    EXPECT_EQ(slurp(folder / "a.bslate").find("\"cameras\""), std::string::npos);
    EXPECT_EQ(*loadShoot(folder / "a.bslate"), shoot);
    std::filesystem::remove(folder / "my.bskit.json");
    const auto gone = loadShoot(folder / "a.bslate");
    ASSERT_FALSE(gone.ok());
    EXPECT_EQ(gone.error().place, "/kit");
    EXPECT_NE(message(gone.error()).find("my.bskit.json"), std::string::npos);
}

// ---- the published schemas

TEST(Schemas, DescribeWhatWeWrite) {
    const auto shoot = loadShoot(root() / "data/demo/slack-water.bslate");
    ASSERT_TRUE(shoot.ok());
    Shoot embedded = *shoot;
    embedded.kitFile.reset();
    const TemporaryFolder folder;
    const auto expectValid = [&](const char* schema, const std::string& document) {
        spit(folder.path() / "document.json", document);
        spit(folder.path() / "said.txt", "");
        const std::string command = "'" + (root() / "tests/schema/valid").string() + "' '" +
                                    (root() / "data/schema" / schema).string() + "' '" +
                                    (folder.path() / "document.json").string() + "' 2>'" +
                                    (folder.path() / "said.txt").string() + "'";
        EXPECT_EQ(std::system(command.c_str()), 0) << slurp(folder.path() / "said.txt");
    };
    expectValid("shoot.schema.json", writeShoot(*shoot));
    expectValid("shoot.schema.json", writeShoot(embedded));
    expectValid("kit.schema.json", writeKit(shoot->kit));
}

TEST(Schemas, AreThoseOfTheTablesThatReadAndWrite) {
    // tools/schemas writes them.
    EXPECT_EQ(slurp(root() / "data/schema/kit.schema.json"), kitSchema());
    EXPECT_EQ(slurp(root() / "data/schema/shoot.schema.json"), shootSchema());
    EXPECT_EQ(slurp(root() / "docs/keys.md"), keyTables());
}

// ---- broken files: each names its place and what was expected, and nothing is half-loaded

struct Broken {
    const char* name;
    const char* pointer; // JSON pointer to change in a good file
    const char* value;   // new JSON value, or nullptr to remove the key
    ErrorCode code;
    const char* place;
};

class BrokenShoot : public ::testing::TestWithParam<Broken> {};

TEST_P(BrokenShoot, NamesThePlaceAndTheExpectation) {
    const auto& broken = GetParam();
    auto json = Json::parse(writeShoot(sample::shoot()));
    const Json::json_pointer pointer(broken.pointer);
    if (broken.value)
        json[pointer] = Json::parse(broken.value);
    else
        json[pointer.parent_pointer()].erase(pointer.back());
    const auto shoot = readShoot(json.dump(), "broken.bslate", {});
    ASSERT_FALSE(shoot.ok());
    EXPECT_EQ(shoot.error().code, broken.code) << message(shoot.error());
    EXPECT_EQ(shoot.error().place, broken.place);
    EXPECT_EQ(shoot.error().file, "broken.bslate");
    EXPECT_FALSE(shoot.error().expected.empty());
}

const Broken kBroken[] = {
    {"WrongUnit", "/scenes/0/patches/2/reading", R"("26 K")", ErrorCode::UnknownUnit,
     "/scenes/0/patches/2/reading"},
    {"NegativeLight", "/scenes/0/patches/2/reading", R"("-26 lx")", ErrorCode::OutOfRange,
     "/scenes/0/patches/2/reading"},
    {"NanLight", "/scenes/0/patches/2/reading", R"("NaN lx")", ErrorCode::NotANumber,
     "/scenes/0/patches/2/reading"},
    {"ZeroShutter", "/setups/0/shutter", R"("0")", ErrorCode::OutOfRange, "/setups/0/shutter"},
    {"NumberForText", "/setups/0/iris", "4", ErrorCode::WrongType, "/setups/0/iris"},
    {"TextForNumber", "/snr_floor", R"("two")", ErrorCode::WrongType, "/snr_floor"},
    {"TextForList", "/setups", R"("none")", ErrorCode::WrongType, "/setups"},
    {"NumberForObject", "/scenes/0", "7", ErrorCode::WrongType, "/scenes/0"},
    {"MissingKey", "/setups/0/camera", nullptr, ErrorCode::MissingKey, "/setups/0/camera"},
    {"MissingKit", "/kit", nullptr, ErrorCode::MissingKey, "/kit"},
    {"UnknownRole", "/scenes/0/patches/0/role", R"("sky")", ErrorCode::WrongType,
     "/scenes/0/patches/0/role"},
    {"UnknownHazard", "/scenes/0/hazards", R"(["bears"])", ErrorCode::WrongType,
     "/scenes/0/hazards"},
    {"OtherFormat", "/format", R"("a-song")", ErrorCode::WrongFormat, "/format"},
    {"NewerVersion", "/version", "99", ErrorCode::NewerVersion, "/version"},
    {"VersionZero", "/version", "0", ErrorCode::OutOfRange, "/version"},
    {"HalfABit", "/kit/cameras/0/codecs/0/bits", "10.5", ErrorCode::WrongType,
     "/kit/cameras/0/codecs/0/bits"},
    {"NoBase", "/kit/cameras/0/bases", "[]", ErrorCode::OutOfRange, "/kit/cameras/0/bases"},
    {"NoMode", "/kit/cameras/0/modes", "[]", ErrorCode::OutOfRange, "/kit/cameras/0/modes"},
    {"NegativeWell", "/kit/cameras/0/bases/0/full_well_e", "-1", ErrorCode::OutOfRange,
     "/kit/cameras/0/bases/0/full_well_e"},
    {"LogOfNothing", "/kit/profiles/0/curve/lin_side_break", "-5", ErrorCode::OutOfRange,
     "/kit/profiles/0/curve/lin_side_break"},
    {"FlatGamut", "/kit/profiles/0/gamut/blue", R"({"x":0.47,"y":0.465})", ErrorCode::OutOfRange,
     "/kit/profiles/0/gamut"},
    {"BadTime", "/kit/cameras/1/shutter/times", R"(["1/50","soon"])", ErrorCode::NotANumber,
     "/kit/cameras/1/shutter/times"},
    {"NoReason", "/setups/0/accepted", R"([{"finding":"a","reason":""}])", ErrorCode::EmptyText,
     "/setups/0/accepted/0/reason"},
    {"DutyOfZero", "/scenes/0/lamps", R"([{"name":"a","kind":"dimmed-led","duty":"0.0"}])",
     ErrorCode::OutOfRange, "/scenes/0/lamps/0/duty"},
    {"ShareAboveAll", "/scenes/0/lamps", R"([{"name":"a","kind":"ballast","share":"120 %"}])",
     ErrorCode::OutOfRange, "/scenes/0/lamps/0/share"},
    {"UnknownLamp", "/scenes/0/lamps", R"([{"name":"a","kind":"torch"}])", ErrorCode::WrongType,
     "/scenes/0/lamps/0/kind"},
    {"MeasuredWithoutHarmonics", "/scenes/0/lamps", R"([{"name":"a","kind":"measured"}])",
     ErrorCode::MissingKey, "/scenes/0/lamps/0/harmonics"},
    {"HarmonicTooHigh", "/scenes/0/lamps",
     R"([{"name":"a","kind":"measured","harmonics":[{"order":65,"depth":"0.1"}]}])",
     ErrorCode::OutOfRange, "/scenes/0/lamps/0/harmonics/0/order"},
    {"PulsesOfZero", "/scenes/0/lamps", R"([{"name":"a","kind":"ballast","pulses":"0 Hz"}])",
     ErrorCode::OutOfRange, "/scenes/0/lamps/0/pulses"},
    {"Pan", "/scenes/0/pan", R"("quick")", ErrorCode::NotANumber, "/scenes/0/pan"},
    {"SubjectSpeed", "/scenes/0/subject_speed", "-1", ErrorCode::OutOfRange,
     "/scenes/0/subject_speed"},
    {"ShutterSchool", "/setups/0/shutter_school", R"("fast")", ErrorCode::WrongType,
     "/setups/0/shutter_school"},
    {"DepthUpsideDown", "/scenes/0/depth", R"({"widest":"T4","narrowest":"T2"})",
     ErrorCode::OutOfRange, "/scenes/0/depth/narrowest"},
    {"NoTimeToChange", "/scenes/0/light_change", R"({"to":"EV 12"})", ErrorCode::MissingKey,
     "/scenes/0/light_change/over"},
    {"DoubleId", "/scenes/1", R"({"id":"scene","name":"twin"})", ErrorCode::OutOfRange, "/scenes"},
};

INSTANTIATE_TEST_SUITE_P(All, BrokenShoot, ::testing::ValuesIn(kBroken),
                         [](const auto& broken) { return broken.param.name; });

TEST(ShootJson, EverythingASceneCanTellRoundTrips) {
    Shoot shoot = sample::shoot();
    auto& scene = shoot.scenes[0];
    scene.day = 3;
    scene.start = Seconds(5 * 3600 + 40 * 60);
    scene.place = Place::Exterior;
    scene.described = DescribedLight::OpenShade;
    scene.change = LightChange{{14.6, LightUnit::EvReflected}, Seconds(2400)};
    for (const auto kind : {LampKind::Filament, LampKind::Ballast, LampKind::Electronic,
                            LampKind::DimmedLed, LampKind::Rectified, LampKind::Steady}) {
        Lamp lamp;
        lamp.name = "lamp";
        lamp.kind = kind;
        scene.lamps.push_back(lamp);
    }
    auto& lamp = scene.lamps[3];
    lamp.pulses = Hertz(1234.5);
    lamp.depth = Fraction(1.0 / 3);
    lamp.duty = Fraction(0.125);
    lamp.share = Fraction(1);
    Lamp measured;
    measured.name = "measured";
    measured.kind = LampKind::Measured;
    measured.harmonics = {{1, Fraction(0.4)}, {64, Fraction(0)}};
    scene.lamps.push_back(measured);
    scene.depth = DepthWish{TStop(std::exp2(1.5)), TStop(std::exp2(2.5))};
    scene.subjectSpeed = WidthsPerSecond(0.333);
    scene.pan = DegreesPerSecond(7.7);
    scene.slowMotion = Magnification(4.17);
    scene.sound = false;
    scene.longestTake = Seconds(4200);
    scene.footage = Seconds(90);
    scene.view = Degrees(54);
    scene.ambient = Celsius(-9.5);
    shoot.setups[0].shutterSchool = ShutterSchool::MainsLocked;
    const auto text = writeShoot(shoot);
    const auto back = readBack(text);
    ASSERT_EQ(back.scenes.size(), 1u);
    EXPECT_EQ(back.scenes[0].lamps, scene.lamps);
    EXPECT_EQ(back.scenes[0], scene);
    EXPECT_EQ(back, shoot);
    EXPECT_EQ(writeShoot(back), text);
    auto many = Json::parse(text);
    for (int i = 0; i < 64; ++i)
        many["scenes"][0]["lamps"].push_back({{"name", "x"}, {"kind", "steady"}});
    const auto refused = readShoot(many.dump(), "many", {});
    ASSERT_FALSE(refused.ok());
    EXPECT_EQ(refused.error().place, "/scenes/0/lamps");
    EXPECT_EQ(refused.error().got, "71");
}

TEST(BrokenText, GivesLineAndColumn) {
    const std::string good = writeShoot(sample::shoot());
    const auto cut = readShoot(good.substr(0, good.size() / 2), "cut.bslate", {});
    ASSERT_FALSE(cut.ok());
    EXPECT_EQ(cut.error().code, ErrorCode::BrokenJson);
    EXPECT_EQ(cut.error().place.find("line "), 0u) << message(cut.error());
    EXPECT_NE(cut.error().expected.find("cut off"), std::string::npos);
    EXPECT_EQ(readShoot("{\n  \"a\": NaN }", "f", {}).error().place, "line 2, column 8");
    EXPECT_EQ(readShoot("", "f", {}).error().code, ErrorCode::BrokenJson);
    EXPECT_EQ(readShoot("[1e999]", "f", {}).error().code, ErrorCode::BrokenJson);
    EXPECT_EQ(readShoot("\"\xff\xfe\"", "f", {}).error().code, ErrorCode::BrokenJson);
    EXPECT_EQ(readShoot("[]", "f", {}).error().code, ErrorCode::WrongType);
    const auto deep = readShoot(std::string(100000, '['), "f", {});
    EXPECT_NE(deep.error().expected.find("nesting"), std::string::npos);
}

// Cut anywhere: an error or, for the full text, the same shoot. Never a crash or half a shoot.
TEST(BrokenText, TruncationAtAnyByteIsRefused) {
    const std::string good = writeShoot(sample::shoot());
    for (std::size_t size = 0; size + 2 < good.size(); size += 97)
        EXPECT_FALSE(readShoot(good.substr(0, size), "f", {}).ok()) << size;
}

TEST(BrokenText, A200MegabyteFileIsRefusedUnread) {
    const TemporaryFolder folder;
    spit(folder / "huge.bslate", "{");
    std::filesystem::resize_file(folder / "huge.bslate", 200'000'000);
    const auto shoot = loadShoot(folder / "huge.bslate");
    ASSERT_FALSE(shoot.ok());
    EXPECT_EQ(shoot.error().code, ErrorCode::FileTooLarge);
    EXPECT_NE(message(shoot.error()).find("200 MB"), std::string::npos);
}

} // namespace
} // namespace bslate::io
