#include "io/json/kit_json.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace bslate::io {
namespace {

using Json = nlohmann::ordered_json;

Kit readBack(const std::string& text) {
    auto kit = readKit(text, "kit");
    EXPECT_TRUE(kit.ok()) << (kit ? "" : message(kit.error()));
    return kit ? *std::move(kit) : Kit{};
}

TEST(KitJson, EveryCurveFamilyAndNdTraditionRoundTrips) {
    Kit kit = sample::shoot().kit;
    kit.profiles[0].curve = {CameraLog{10, 0.25, 0.38, 5.5, 0.05, 0.01, 5.3}, CodeRange::Full,
                             Signal(0.78)};
    kit.profiles[1].curve = hlg();
    kit.profiles[2].curve = bt709();
    auto soft = sample::logProfile("soft", IsoBehaviour::Recorded);
    soft.curve = {SoftHighlight{0.78, 0.28, -0.2}, CodeRange::Legal, {}};
    soft.ready = true;
    soft.bases = {ExposureIndex(800)};
    kit.profiles.push_back(soft);
    const Curve others[] = {
        bt2020(),
        srgb(),
        pq(),
        acescct(),
        acescc(),
        {Sampled{{{Stops(-3), Signal(0.1)}, {Stops(1.0 / 3), Signal(0.7)}}}, CodeRange::Full, {}}};
    for (const auto& curve : others) {
        soft.id += "x";
        soft.curve = curve;
        kit.profiles.push_back(soft);
    }
    kit.filters = {
        {"a", "A", {NdTradition::Density, 0.9}, true, false, {Mired(12), Duv(0.004)}, {}},
        {"b", "B", {NdTradition::Factor, 8}, false, false, {}, {}},
        {"c", "C", {NdTradition::Stops, 1.0 / 3}, false, false, {}, {}}};
    kit.filterStages = 3;
    const auto text = writeKit(kit);
    EXPECT_EQ(readBack(text), kit);
    EXPECT_EQ(writeKit(readBack(text)), text);
}

TEST(KitJson, ThirdStopTimesAreWrittenByTheirName) {
    const Kit kit = sample::shoot().kit;
    const auto json = Json::parse(writeKit(kit));
    EXPECT_EQ(json["cameras"][1]["shutter"]["times"], Json::array({"third-stops"}));
    EXPECT_EQ(readBack(writeKit(kit)).cameras[1].shutter, kit.cameras[1].shutter);
}

TEST(KitJson, ABodyComesWithVersionFiveAndStaysAsItIs) {
    Kit kit = sample::shoot().kit;
    auto& body = kit.cameras[0].body;
    Bank bank;
    bank.label = "C";
    bank.place = BankPlace::Card;
    bank.holds = {BodySetting::Rate};
    bank.locked = true;
    bank.extra.json = R"({"colour":"red"})";
    body.banks = {bank};
    body.slips = {{BodySetting::White, SlipCause::Knock, "5600 K", {}}};
    body.automatics = {{AutomaticKind::PowerOff, "Setup 2", "", {}}};
    body.controls = {{"Wheel",
                      ControlPlace::Thumb,
                      ControlKind::Ring,
                      Function::Iris,
                      {Function::White},
                      Function::White,
                      true,
                      {}}};
    body.quickMenu = 4;
    body.ownMenu = 2;
    body.facts = {"2.10", "50 Hz", "set"};
    countBanks(kit.cameras[0]);
    EXPECT_EQ(kit.cameras[0].banks, (BankCount{0, 1}));
    EXPECT_EQ(readBack(writeKit(kit)), kit);
    // A count beside banks that are described is counted anew.
    auto json = Json::parse(writeKit(kit));
    json["cameras"][0]["banks"]["internal"] = 9;
    EXPECT_EQ(readBack(json.dump()).cameras[0].banks, (BankCount{0, 1}));
    // Files of version 4 know nothing of it.
    json["version"] = 4;
    const auto older = readBack(json.dump());
    EXPECT_TRUE(older.cameras[0].body.banks.empty());
    EXPECT_TRUE(older.cameras[0].body.controls.empty());
    EXPECT_EQ(older.cameras[0].banks, (BankCount{9, 1}));
    // A bank that does not say what it holds holds everything.
    json["version"] = 5;
    json["cameras"][0]["each_bank"] = Json::parse(R"([{"label":"1"}])");
    const auto all = readBack(json.dump());
    EXPECT_EQ(all.cameras[0].body.banks[0].holds.size(), kBankSettings.size());
    EXPECT_EQ(all.cameras[0].body.banks[0].place, BankPlace::Inside);
}

TEST(KitJson, OptionalKeysHaveTheirDefaults) {
    auto json = Json::parse(writeKit(sample::shoot().kit));
    auto& camera = json["cameras"][0];
    for (const char* key : {"banks", "built_in_nd", "white_step_k", "profiles", "slots",
                            "constraints", "rate_sets", "draw"})
        camera.erase(key);
    camera["bases"][0].erase("prnu");
    json.erase("filter_stages");
    const auto kit = readBack(json.dump());
    EXPECT_EQ(kit.cameras[0].banks, BankCount{});
    EXPECT_TRUE(kit.cameras[0].builtInNd.empty());
    EXPECT_EQ(kit.cameras[0].white.step, 100);
    EXPECT_EQ(kit.filterStages, 2);
}

struct Broken {
    const char* name;
    const char* pointer;
    const char* value;
    ErrorCode code;
};

class BrokenKit : public ::testing::TestWithParam<Broken> {};

TEST_P(BrokenKit, IsRefusedAtItsPlace) {
    const auto& broken = GetParam();
    auto json = Json::parse(writeKit(sample::shoot().kit));
    json[Json::json_pointer(broken.pointer)] = Json::parse(broken.value);
    const auto kit = readKit(json.dump(), "k.bskit.json");
    ASSERT_FALSE(kit.ok());
    EXPECT_EQ(kit.error().code, broken.code) << message(kit.error());
    EXPECT_EQ(kit.error().place.find(broken.pointer), 0u) << message(kit.error());
    EXPECT_EQ(kit.error().file, "k.bskit.json");
}

const Broken kBroken[] = {
    {"Family", "/profiles/0/curve/family", R"("magic")", ErrorCode::WrongType},
    {"CodeRange", "/profiles/0/curve/range", R"("half")", ErrorCode::WrongType},
    {"LogBase", "/profiles/0/curve/log_base", "1", ErrorCode::OutOfRange},
    {"SampledOnce", "/profiles/0/curve",
     R"({"family":"sampled","range":"full","points":[{"stops":0,"signal":0.4}]})",
     ErrorCode::OutOfRange},
    {"SampledFalling", "/profiles/0/curve",
     R"({"family":"sampled","range":"full",
         "points":[{"stops":0,"signal":0.4},{"stops":1,"signal":0.3}]})",
     ErrorCode::OutOfRange},
    {"SampledWithoutPoints", "/profiles/0/curve", R"({"family":"sampled","range":"full"})",
     ErrorCode::OutOfRange},
    {"EndSignal", "/profiles/0/curve/end_signal", "7", ErrorCode::OutOfRange},
    {"IsoBehaviour", "/profiles/0/iso", R"("sometimes")", ErrorCode::WrongType},
    {"IsoOrder", "/profiles/0/maximum_iso", R"("100")", ErrorCode::OutOfRange},
    {"ZebraStep", "/cameras/0/zebra/step_percent", "0", ErrorCode::OutOfRange},
    {"ZebraTop", "/cameras/0/zebra/highest_percent", "200", ErrorCode::OutOfRange},
    {"ZebraTap", "/cameras/0/zebra/tap", R"("eye")", ErrorCode::WrongType},
    {"Rate", "/cameras/0/modes/0/rates/0/rate", R"("fast")", ErrorCode::NotANumber},
    {"RateOfZero", "/cameras/0/modes/0/rates/0/rate", R"("0")", ErrorCode::OutOfRange},
    {"RateTwice", "/cameras/0/modes/0/rates/1/rate", R"("24")", ErrorCode::OutOfRange},
    {"BitRate", "/cameras/0/modes/0/rates/0/bit_rate", R"("240")", ErrorCode::UnknownUnit},
    {"BitRateOfZero", "/cameras/0/modes/0/rates/0/bit_rate", R"("0 Mb/s")", ErrorCode::OutOfRange},
    {"Area", "/cameras/0/modes/0/area", R"("half")", ErrorCode::UnknownId},
    {"Codec", "/cameras/0/modes/0/codec", R"("x")", ErrorCode::UnknownId},
    {"ModeProfile", "/cameras/0/modes/0/profiles", R"(["gone"])", ErrorCode::UnknownId},
    {"ModeSlot", "/cameras/0/modes/0/slots", R"(["z"])", ErrorCode::UnknownId},
    {"Battery", "/cameras/0/batteries", R"(["gone"])", ErrorCode::UnknownId},
    {"FixedLens", "/cameras/0/fixed_lens", R"("gone")", ErrorCode::UnknownId},
    {"CameraIdTwice", "/cameras/1/id", R"("angles")", ErrorCode::OutOfRange},
    {"ProfileIdTwice", "/profiles/1/id", R"("index")", ErrorCode::OutOfRange},
    {"Frame", "/cameras/0/modes/0/frame", R"("wide")", ErrorCode::NotANumber},
    {"Heat", "/cameras/0/modes/0/heat",
     R"([{"ambient":"35 C","time":"20 min"},{"ambient":"25 C","time":"45 min"}])",
     ErrorCode::OutOfRange},
    {"OffSpeed", "/cameras/0/modes/0/off_speed", R"({"slowest":"60","fastest":"1"})",
     ErrorCode::OutOfRange},
    {"SlotBus", "/cameras/0/slots", R"([{"id":"a","name":"A","form":"sd","bus":"CFexpress B"}])",
     ErrorCode::WrongType},
    {"BankHoldsNothing", "/cameras/0/each_bank", R"([{"label":"1","holds":[]}])",
     ErrorCode::OutOfRange},
    {"BankHoldsTheIris", "/cameras/0/each_bank", R"([{"label":"1","holds":["iris"]}])",
     ErrorCode::WrongType},
    {"BankWithoutLabel", "/cameras/0/each_bank", R"([{"label":""}])", ErrorCode::EmptyText},
    {"BankLabelTwice", "/cameras/0/each_bank", R"([{"label":"1"},{"label":"1"}])",
     ErrorCode::OutOfRange},
    {"ControlForNothing", "/cameras/0/controls",
     R"([{"label":"Top","place":"top","kind":"button"}])", ErrorCode::OutOfRange},
    {"ControlElsewhere", "/cameras/0/controls",
     R"([{"label":"Top","place":"roof","kind":"button","printed":"record"}])",
     ErrorCode::WrongType},
    {"ControlLabelTwice", "/cameras/0/controls",
     R"([{"label":"A","place":"top","kind":"button","printed":"record"},
         {"label":"A","place":"top","kind":"button","printed":"play"}])",
     ErrorCode::OutOfRange},
    {"SlipCause", "/cameras/0/slips", R"([{"setting":"white","cause":"age"}])",
     ErrorCode::WrongType},
    {"Automatic", "/cameras/0/automatics", R"([{"kind":"pilot"}])", ErrorCode::WrongType},
    {"QuickMenu", "/cameras/0/quick_menu", "41", ErrorCode::OutOfRange},
    {"CardClass", "/cards",
     R"([{"id":"a","name":"A","form":"sd","capacity":"64 GB","speed_class":"V99","bus":"UHS-I"}])",
     ErrorCode::WrongType},
    {"UnknownSetting", "/cameras/0/constraints",
     R"([{"id":"a","when":{"mood":"good"},"requires":{"sound":"on"},"reason":"r"}])",
     ErrorCode::WrongType},
    {"UnknownWord", "/cameras/0/constraints",
     R"([{"id":"a","requires":{"sound":"loud"},"reason":"r"}])", ErrorCode::WrongType},
    {"NoReason", "/cameras/0/constraints", R"([{"id":"a","requires":{"sound":"on"},"reason":""}])",
     ErrorCode::EmptyText},
    {"TwoKinds", "/cameras/0/constraints",
     R"([{"id":"a","requires":{"sound":"on"},"excludes":{"sound":"on"},"reason":"r"}])",
     ErrorCode::MissingKey},
    {"RangeWithoutOrder", "/cameras/0/constraints",
     R"([{"id":"a","requires":{"mode":{"at_least":"main"}},"reason":"r"}])", ErrorCode::WrongType},
    {"ConstraintOnUnknownMode", "/cameras/0/constraints",
     R"([{"id":"a","when":{"mode":"gone"},"requires":{"sound":"on"},"reason":"r"}])",
     ErrorCode::UnknownId},
    {"Contradiction", "/cameras/0/constraints",
     R"([{"id":"a","when":{"rate":{"at_least":"100"}},"requires":{"sound":"off"},"reason":"r"},
         {"id":"b","when":{"sound":"off"},"limits":{"rate":{"at_most":"60"}},"reason":"r"}])",
     ErrorCode::OutOfRange},
    {"Circle", "/cameras/0/constraints",
     R"([{"id":"a","when":{"sound":"on"},"requires":{"focus":"on"},"reason":"r"},
         {"id":"b","when":{"focus":"on"},"requires":{"proxy":"on"},"reason":"r"},
         {"id":"c","when":{"proxy":"on"},"requires":{"sound":"on"},"reason":"r"}])",
     ErrorCode::OutOfRange},
    {"Iso", "/cameras/0/bases/0/iso", R"("0")", ErrorCode::OutOfRange},
    {"Lens", "/lenses/0/narrowest", R"("T1")", ErrorCode::OutOfRange},
    {"Loss", "/filters/0/loss", R"("ND1")", ErrorCode::Ambiguous},
    {"Slots", "/filter_stages", "99", ErrorCode::OutOfRange},
};

INSTANTIATE_TEST_SUITE_P(All, BrokenKit, ::testing::ValuesIn(kBroken),
                         [](const auto& broken) { return broken.param.name; });

} // namespace
} // namespace bslate::io
