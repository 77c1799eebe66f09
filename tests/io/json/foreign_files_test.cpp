// Files of others that name files, and documents that would take for ever.
#include "core/day/day_verdict.h"
#include "core/day/plan_day.h"
#include "core/quantity/print.h"
#include "core/shoot/take_line.h"
#include "io/colour/transform_file.h"
#include "io/json/kit_json.h"
#include "io/json/shoot_json.h"
#include "io/system/files.h"
#include "support/sample_shoot.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>
#include <sys/stat.h>

namespace bslate::io {
namespace {

using Json = nlohmann::ordered_json;
using sample::spit;
using sample::TemporaryFolder;

// A table of light that doubles every sixteenth of the signal.
std::string tableText() {
    std::string text = "Version 1\nFrom 0.0 1.0\nLength 65\nComponents 1\n{\n";
    for (int i = 0; i <= 64; ++i)
        text += fixedText(0.01 * (std::exp2(i / 8.0) - 1), 6) + "\n";
    return text + "}\n";
}

std::string configText(const std::vector<std::pair<std::string, std::string>>& spaces) {
    std::string text = "ocio_profile_version: 2\nroles:\n  default: Linear\n"
                       "  scene_linear: Linear\ndisplays:\n  Plain:\n"
                       "    - !<View> {name: Raw, colorspace: Linear}\ncolorspaces:\n"
                       "  - !<ColorSpace>\n    name: Linear\n";
    for (const auto& [name, source] : spaces)
        text += "  - !<ColorSpace>\n    name: " + name +
                "\n    to_scene_reference: !<FileTransform> {src: " + source + "}\n";
    return text;
}

class ForeignFiles : public ::testing::Test {
public:
    ForeignFiles() {
        std::filesystem::create_directories(folder / "show/luts");
        spit(folder / "show/luts/in.spi1d", tableText());
        spit(folder / "out.spi1d", tableText());
        EXPECT_EQ(::mkfifo((folder / "show/pipe.spi1d").c_str(), 0600), 0);
        std::filesystem::create_symlink("../out.spi1d", folder / "show/link.spi1d");
    }
    Result<ImportedTransform> import(const std::string& name, const std::string& space = {}) {
        ImportOptions options;
        options.colourSpace = space;
        options.sense = TransformSense::SignalToLight;
        return importTransform(folder / ("show/" + name), options);
    }
    TemporaryFolder folder;
};

TEST_F(ForeignFiles, AConfigurationOpensOnlyRegularFilesBelowIt) {
    const std::vector<std::pair<std::string, std::string>> refused = {
        {"Device", "/dev/zero"},
        {"Pipe", "pipe.spi1d"},
        {"Above", "../out.spi1d"},
        {"Link", "link.spi1d"},
        {"Whole", (folder / "out.spi1d").string()}};
    auto spaces = refused;
    spaces.emplace_back("Inside", "luts/in.spi1d");
    spit(folder / "show/a.ocio", configText(spaces));
    const auto inside = import("a.ocio", "Inside");
    ASSERT_TRUE(inside.ok()) << message(inside.error());
    EXPECT_EQ(inside->files, std::vector<std::string>{"in.spi1d"}) << "what was read is told";
    for (const auto& [space, source] : refused) {
        const auto imported = import("a.ocio", space);
        ASSERT_FALSE(imported.ok()) << space;
        EXPECT_EQ(imported.error().code, ErrorCode::FileUnreadable) << space;
        const auto name = std::filesystem::path(source).filename().string();
        EXPECT_NE(imported.error().file.find(name), std::string::npos) << imported.error().file;
    }
    EXPECT_EQ(colourSpacesOf(folder / "show/a.ocio")->size(), 1 + spaces.size());
}

TEST_F(ForeignFiles, ATransformThatRefersToFilesDoesNotGetFar) {
    const auto ctf = [&](const std::string& reference) {
        spit(folder / "show/a.ctf",
             "<?xml version=\"1.0\"?>\n<ProcessList id=\"x\" version=\"1.7\">\n"
             "<Reference inBitDepth=\"32f\" outBitDepth=\"32f\" " +
                 reference + "/>\n</ProcessList>\n");
        return import("a.ctf");
    };
    spit(folder / "show/luts/b.clf",
         "<?xml version=\"1.0\"?><ProcessList compCLFversion=\"3\" id=\"x\">"
         "<Log inBitDepth=\"32f\" outBitDepth=\"32f\" style=\"antiLog2\"/></ProcessList>");
    const auto good = ctf("path=\"luts/b.clf\"");
    ASSERT_TRUE(good.ok()) << message(good.error());
    EXPECT_EQ(good->files, std::vector<std::string>{"b.clf"});
    for (const char* bad : {"path=\"/dev/zero\"", "path = '../out.spi1d'", "path=\"pipe.spi1d\"",
                            "path=\"&#47;dev/zero\"", "basePath=\"/dev\" path=\"zero\""})
        EXPECT_FALSE(ctf(bad).ok()) << bad;
    // Readers are tried by what a file holds, not by its name alone.
    std::filesystem::copy_file(folder / "show/a.ctf", folder / "show/a.clf");
    EXPECT_FALSE(import("a.clf").ok());
    spit(folder / "show/e.ctf",
         "<!DOCTYPE x [<!ENTITY y SYSTEM \"file:///etc/hostname\">]><x>&y;</x>");
    EXPECT_NE(import("e.ctf").error().expected.find("entities"), std::string::npos);
}

TEST_F(ForeignFiles, ATransformOfAThousandStepsIsRefusedBeforeItIsBuilt) {
    std::string text = "<?xml version=\"1.0\"?><ProcessList compCLFversion=\"3\" id=\"x\">";
    for (int i = 0; i < 1000; ++i)
        text += "<Matrix inBitDepth=\"32f\" outBitDepth=\"32f\"><Array dim=\"3 3\">"
                "1 0 0 0 1 0 0 0 1</Array></Matrix>";
    spit(folder / "show/a.clf", text + "</ProcessList>");
    EXPECT_NE(import("a.clf").error().expected.find("steps"), std::string::npos);
}

TEST_F(ForeignFiles, AKitOutsideOfTheShootsFolderIsReadOnlyWhereThatWasAgreedTo) {
    auto shoot = sample::shoot();
    ASSERT_TRUE(writeFileAtomically(folder / "out.bskit.json", writeKit(shoot.kit)).ok());
    std::filesystem::create_directory(folder / "show/kits");
    ASSERT_TRUE(writeFileAtomically(folder / "show/kits/in.bskit.json", writeKit(shoot.kit)).ok());
    std::filesystem::create_symlink("../out.bskit.json", folder / "show/link.bskit.json");
    const auto load = [&](const std::string& kit, bool agree) {
        shoot.kitFile = kit;
        EXPECT_TRUE(saveShoot(shoot, folder / "show/a.bslate").ok());
        return loadShoot(folder / "show/a.bslate", [&](const std::string& named) {
            EXPECT_EQ(named, kit);
            return agree;
        });
    };
    EXPECT_TRUE(load("kits/in.bskit.json", false).ok());
    for (const auto& kit : std::vector<std::string>{"../out.bskit.json", "link.bskit.json",
                                                    folder / "out.bskit.json"}) {
        const auto refused = load(kit, false);
        ASSERT_FALSE(refused.ok()) << kit;
        EXPECT_EQ(refused.error().code, ErrorCode::FileElsewhere);
        EXPECT_EQ(refused.error().got, kit);
        EXPECT_TRUE(load(kit, true).ok()) << kit;
    }
    EXPECT_EQ(load("../" + std::string(300, 'x'), false).error().got.size(), 303u) << "whole";
}

TEST(LargeDocuments, AreRefusedWhereTheyWouldTakeForEver) {
    const auto refusal = [](const Json& json) { return readShoot(json.dump(), "f", {}).error(); };
    const auto plain = Json::parse(writeShoot(sample::shoot()));
    auto json = plain;
    for (int i = 0; i < 3000; ++i)
        json["x" + std::to_string(i)] = i;
    EXPECT_NE(refusal(json).expected.find("keys in an object"), std::string::npos);
    json = plain;
    for (int i = 0; i < 201; ++i)
        json["kit"]["cameras"][0]["constraints"].push_back(Json::object());
    EXPECT_EQ(refusal(json).place, "/kit/cameras/0/constraints");
    json = plain;
    for (int i = 0; i < 65; ++i)
        json["kit"]["cards"].push_back(Json::object());
    EXPECT_EQ(refusal(json).place, "/kit/cards");
    json = plain;
    auto demo = *loadShoot(sample::root() / "data/demo/slack-water.bslate");
    demo.kitFile.reset();
    json = Json::parse(writeShoot(demo));
    json["kit"]["cards"][0]["count"] = 1000; // and those of the other kinds
    EXPECT_EQ(refusal(json).place, "/kit/cards");
    EXPECT_NE(refusal(json).expected.find("1000"), std::string::npos);
    json = plain;
    for (int i = 0; i < 5001; ++i)
        json["setups"].push_back(Json::object());
    EXPECT_EQ(refusal(json).place, "/setups");
    std::string many = "{\"x\": [";
    for (int i = 0; i < 200000; ++i)
        many += "{},";
    EXPECT_NE(readShoot(many + "{}]}", "f", {}).error().expected.find("values"), std::string::npos);
    EXPECT_NE(readShoot("{\"a\": 1, \"a\": 2}", "f", {}).error().expected.find("only once"),
              std::string::npos);
}

// What may be written by hand and no window would make: it is read, and planned around.
TEST(StrangePlans, AreJudgedLikeOthers) {
    auto shoot = *loadShoot(sample::root() / "data/demo/slack-water.bslate");
    const auto& kit = shoot.kit;
    const auto setup =
        std::find_if(shoot.setups.begin(), shoot.setups.end(), [&](const auto& candidate) {
            const auto* camera = findCamera(kit, candidate.camera);
            return camera && camera->cardSlots.size() == 2;
        });
    ASSERT_NE(setup, shoot.setups.end());
    setup->secondSlot = SecondSlot::Relay;
    auto twin = *setup;
    twin.id = "twin";
    twin.number = "1T";
    Take take;
    take.id = "t1";
    take.setups = {setup->id, "twin"}; // one camera, twice
    take.length = Seconds(600);
    for (const auto& slot : findCamera(kit, setup->camera)->cardSlots)
        for (const auto& card : kit.cards)
            take.cards.push_back({setup->id, slot.id, card.id + ":1", {}}); // one card in both
    shoot.setups.push_back(twin);
    ShootDay day;
    day.number = 1;
    day.takes = {take};
    const auto plan = planDay(shoot, day);
    EXPECT_EQ(plan.incomplete, std::vector<std::string>{"1T"});
    EXPECT_FALSE(judgeDay(shoot, day, plan, {}).empty());
}

TEST(TakesOfADay, KeepScenesWithoutHoursWhereTheyStand) {
    auto shoot = sample::shoot();
    const auto scene = shoot.scenes[0];
    const auto setup = shoot.setups[0];
    shoot.scenes.clear();
    shoot.setups.clear();
    const std::pair<const char*, double> hours[] = {
        {"noon", 12}, {"after", -1}, {"morning", 8}, {"then", -1}, {"evening", 18}};
    for (const auto& [name, hour] : hours) {
        auto with = scene;
        with.id = with.name = name;
        with.start = hour < 0 ? std::nullopt : std::optional(Seconds(3600 * hour));
        shoot.scenes.push_back(with);
        auto of = setup;
        of.id = of.number = of.scene = name;
        shoot.setups.push_back(of);
    }
    std::vector<std::string> order;
    for (const auto& take : takesFromScenes(shoot, scene.day))
        if (order.empty() || order.back() != take.name)
            order.push_back(take.name);
    EXPECT_EQ(order, (std::vector<std::string>{"morning", "then", "noon", "after", "evening"}));
}

} // namespace
} // namespace bslate::io
