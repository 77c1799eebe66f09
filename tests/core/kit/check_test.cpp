#include "core/kit/check.h"
#include "support/sample_day.h"

#include <gtest/gtest.h>

#include <functional>

namespace bslate {
namespace {

// A kit in which everything that can name another thing does.
Kit wholeKit() {
    Kit kit = sample::DayBench().shoot.kit;
    auto& camera = kit.cameras[0];
    camera.profiles = {"index"};
    camera.fixedLens = "lens";
    camera.modes[0].profiles = {"index"};
    camera.modes[0].slotIds = {"cf"};
    camera.modes[0].heat = {{Celsius(20), Seconds(3600)}, {Celsius(30), Seconds(1800)}};
    camera.modes[0].offSpeed = OffSpeed{sample::fps(1), sample::fps(60), true, false};
    camera.rateSets = {{"film", {sample::fps(24)}, {}}};
    camera.isoRules = {{"index", "intra", IsoBehaviour::Note, {}, {}, {}}};
    camera.constraints = {{"rule",
                           {{SettingKey::Mode, {SettingValue(std::string("raw"))}, {}, {}}},
                           ConstraintKind::Excludes,
                           {{SettingKey::Slot, {SettingValue(std::string("sd"))}, {}, {}}},
                           "the slot is too slow",
                           {}}};
    Profile measured = kit.profiles[0];
    measured.id = measured.name = "measured";
    measured.measured = Measurement{};
    measured.measured->camera = "first";
    measured.measured->nominal = "index";
    kit.profiles.push_back(measured);
    kit.chargers[0].batteries = {"small"};
    kit.recipes = {{"dusk", "Dusk", {}, {}}};
    return kit;
}

TEST(CheckKit, PassesAKitWhoseReferencesHold) {
    const auto outcome = checkKit(wholeKit());
    EXPECT_TRUE(outcome.ok()) << message(outcome.error());
}

struct Broken {
    const char* name;
    std::function<void(Kit&)> breakIt;
    const char* place;
};

class BrokenKit : public ::testing::TestWithParam<Broken> {};

TEST_P(BrokenKit, IsRefusedWithThePlaceOfTheFault) {
    Kit kit = wholeKit();
    GetParam().breakIt(kit);
    const auto outcome = checkKit(kit);
    ASSERT_FALSE(outcome.ok());
    EXPECT_EQ(outcome.error().place, GetParam().place);
    EXPECT_FALSE(outcome.error().expected.empty());
}

SettingValue gone() {
    return std::string("gone");
}

INSTANTIATE_TEST_SUITE_P(
    References, BrokenKit,
    ::testing::Values(
        Broken{"AreaOfAMode", [](Kit& k) { k.cameras[0].modes[1].area = "gone"; },
               "/cameras/0/modes/1/area"},
        Broken{"CodecOfAMode", [](Kit& k) { k.cameras[1].modes[0].codec = "gone"; },
               "/cameras/1/modes/0/codec"},
        Broken{"ProfileOfAMode",
               [](Kit& k) {
                   k.cameras[0].modes[0].profiles = {"index", "gone"};
               },
               "/cameras/0/modes/0/profiles/1"},
        Broken{"SlotOfAMode", [](Kit& k) { k.cameras[0].modes[0].slotIds = {"gone"}; },
               "/cameras/0/modes/0/slots/0"},
        Broken{"ProfileOfACamera", [](Kit& k) { k.cameras[0].profiles = {"gone"}; },
               "/cameras/0/profiles/0"},
        Broken{"BatteryOfACamera", [](Kit& k) { k.cameras[1].batteries.push_back("gone"); },
               "/cameras/1/batteries/1"},
        Broken{"FixedLens", [](Kit& k) { k.cameras[0].fixedLens = "gone"; },
               "/cameras/0/fixed_lens"},
        Broken{"ProfileOfAnIsoRule", [](Kit& k) { k.cameras[0].isoRules[0].profile = "gone"; },
               "/cameras/0/iso_rules/0/profile"},
        Broken{"CodecOfAnIsoRule", [](Kit& k) { k.cameras[0].isoRules[0].codec = "gone"; },
               "/cameras/0/iso_rules/0/codec"},
        Broken{"BodyOfAMeasurement", [](Kit& k) { k.profiles.back().measured->camera = "gone"; },
               "/profiles/3/measured/camera"},
        Broken{"NominalOfAMeasurement",
               [](Kit& k) { k.profiles.back().measured->nominal = "gone"; },
               "/profiles/3/measured/nominal"},
        Broken{"MeasurementOfAMeasurement",
               [](Kit& k) { k.profiles.back().measured->nominal = "measured"; },
               "/profiles/3/measured/nominal"},
        Broken{"BatteryOfACharger", [](Kit& k) { k.chargers[0].batteries = {"gone"}; },
               "/chargers/0/batteries/0"},
        Broken{"SlotInARule", [](Kit& k) { k.cameras[0].constraints[0].then[0].oneOf = {gone()}; },
               "/cameras/0/constraints/0/excludes/slot"},
        Broken{"ModeInARule", [](Kit& k) { k.cameras[0].constraints[0].when[0].oneOf = {gone()}; },
               "/cameras/0/constraints/0/when/mode"},
        Broken{"RegionInARule",
               [](Kit& k) {
                   k.cameras[0].constraints[0].when[0] = {
                       SettingKey::Region, {SettingValue(std::string("60 Hz"))}, {}, {}};
               },
               "/cameras/0/constraints/0/when/region"}),
    [](const auto& one) { return std::string(one.param.name); });

INSTANTIATE_TEST_SUITE_P(
    Values, BrokenKit,
    ::testing::Values(Broken{"ARateTwice",
                             [](Kit& k) {
                                 auto& rates = k.cameras[0].modes[0].rates;
                                 rates.push_back(rates[0]);
                             },
                             "/cameras/0/modes/0/rates/1/rate"},
                      Broken{"OffSpeedTheWrongWayRound",
                             [](Kit& k) {
                                 k.cameras[0].modes[0].offSpeed->slowest = sample::fps(120);
                             },
                             "/cameras/0/modes/0/off_speed/fastest"},
                      Broken{"HeatThatDoesNotRise",
                             [](Kit& k) { k.cameras[0].modes[0].heat[1].ambient = Celsius(20); },
                             "/cameras/0/modes/0/heat/1/ambient"}),
    [](const auto& one) { return std::string(one.param.name); });

// Every list of a kit and of a camera refuses an id it has already.
template<class Items>
void twice(Items& items) {
    items.push_back(items.front());
}

INSTANTIATE_TEST_SUITE_P(
    Ids, BrokenKit,
    ::testing::Values(
        Broken{"Cameras", [](Kit& k) { twice(k.cameras); }, "/cameras/2/id"},
        Broken{"Profiles", [](Kit& k) { twice(k.profiles); }, "/profiles/4/id"},
        Broken{"Lenses", [](Kit& k) { twice(k.lenses); }, "/lenses/1/id"},
        Broken{"Recipes", [](Kit& k) { twice(k.recipes); }, "/recipes/1/id"},
        Broken{"Filters", [](Kit& k) { twice(k.filters); }, "/filters/5/id"},
        Broken{"Cards", [](Kit& k) { twice(k.cards); }, "/cards/3/id"},
        Broken{"Batteries", [](Kit& k) { twice(k.batteries); }, "/batteries/2/id"},
        Broken{"Readers", [](Kit& k) { twice(k.readers); }, "/readers/1/id"},
        Broken{"Drives", [](Kit& k) { twice(k.drives); }, "/drives/2/id"},
        Broken{"Chargers", [](Kit& k) { twice(k.chargers); }, "/chargers/1/id"},
        Broken{"Areas", [](Kit& k) { twice(k.cameras[0].areas); }, "/cameras/0/areas/1/id"},
        Broken{"Codecs", [](Kit& k) { twice(k.cameras[0].codecs); }, "/cameras/0/codecs/1/id"},
        Broken{"Modes", [](Kit& k) { twice(k.cameras[0].modes); }, "/cameras/0/modes/3/id"},
        Broken{"Slots", [](Kit& k) { twice(k.cameras[0].cardSlots); }, "/cameras/0/slots/2/id"},
        Broken{"RateSets", [](Kit& k) { twice(k.cameras[0].rateSets); },
               "/cameras/0/rate_sets/1/id"},
        Broken{"Rules", [](Kit& k) { twice(k.cameras[0].constraints); },
               "/cameras/0/constraints/1/id"}),
    [](const auto& one) { return std::string(one.param.name); });

TEST(CheckKit, SaysWhichIdsThereAre) {
    Kit kit = wholeKit();
    kit.cameras[0].batteries = {"huge"};
    const auto outcome = checkKit(kit);
    ASSERT_FALSE(outcome.ok());
    EXPECT_EQ(outcome.error().got, "huge");
    EXPECT_EQ(outcome.error().expected, "the id of a battery in this kit (small, large)");
}

} // namespace
} // namespace bslate
