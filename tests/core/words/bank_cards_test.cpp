// Banks, controls and records on cards, and the words of everything on a body.
#include "core/banks/bank_record.h"
#include "core/banks/sample_banks.h"
#include "core/kit/body_fields.h"
#include "core/words/bank_cards.h"
#include "core/words/body_words.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <set>

namespace bslate {
namespace {

const CardList* listOf(const Card& card, std::string_view heading) {
    const auto found =
        std::find_if(card.lists.begin(), card.lists.end(), [&](const CardList& list) {
            return list.heading.find(heading) != std::string::npos;
        });
    return found == card.lists.end() ? nullptr : &*found;
}

Shoot fourBanks() {
    std::vector<Bank> banks;
    for (int b = 1; b <= 4; ++b)
        banks.push_back(
            sample::bank(std::to_string(b), {}, b == 4 ? BankPlace::Card : BankPlace::Inside));
    std::erase(banks[1].holds, BodySetting::White);
    Shoot shoot = sample::bankShoot(std::move(banks));
    shoot.setups[0].bank = 1;
    for (int k = 2; k <= 4; ++k)
        sample::addSetup(shoot, std::to_string(k), 3000 + 400.0 * k).bank = k;
    return shoot;
}

TEST(BankCards, ThreeBanksStandSideBySideAndTheRestBelow) {
    const auto shoot = fourBanks();
    const auto card = bankCardOf(shoot, shoot.kit.cameras[0], sample::planned(shoot));
    ASSERT_EQ(card.lists.size(), 3u);
    EXPECT_EQ(card.lists[0].heading, "Bank 1, Bank 2, Bank 3");
    EXPECT_EQ(card.lists[1].heading, "Bank 4 (on the card)");
    EXPECT_EQ(card.lists[0].lines[0], "recalled for\t1: 2A\t2: 2\t3: 3");
    std::string white;
    for (const auto& line : card.lists[0].lines)
        if (line.starts_with("white\t"))
            white = line;
    EXPECT_EQ(white, "white\t5600 K\t\u2014\t4200 K") << "what a bank does not hold is a dash";
    const auto* hands = listOf(card, "By hand");
    ASSERT_TRUE(hands);
    ASSERT_EQ(hands->lines.size(), 4u);
    EXPECT_EQ(cellsOf(hands->lines[1]), (std::vector<std::string>{"2", "bank 2", "white 3800 K"}));
    for (const auto& line : hands->lines)
        EXPECT_EQ(cellsOf(line).size(), 3u) << line;
}

TEST(BankCards, ControlsSayWhyAndMenusWhatStandsInThem) {
    Shoot shoot = fourBanks();
    auto& body = shoot.kit.cameras[0].body;
    body.controls = {
        {"Trigger", ControlPlace::Finger, ControlKind::Button, Function::Record, {}, {}, false, {}},
        {"Wheel", ControlPlace::Thumb, ControlKind::Dial, {}, {Function::White}, {}, true, {}},
        {"Top", ControlPlace::Top, ControlKind::Button, {}, {Function::Waveform}, {}, false, {}},
        {"Back", ControlPlace::Back, ControlKind::Button, {}, {Function::Play}, {}, false, {}},
        {"Left",
         ControlPlace::Left,
         ControlKind::Button,
         {},
         {Function::Lock},
         Function::Lock,
         false,
         {}}};
    body.quickMenu = 1;
    body.ownMenu = 2;
    const auto plan = sample::planned(shoot);
    const auto card = controlCardOf(shoot, shoot.kit.cameras[0], plan);
    const auto* controls = listOf(card, "Controls");
    ASSERT_TRUE(controls);
    EXPECT_EQ(controls->lines[0], "Trigger\trecord\tprinted on it");
    EXPECT_TRUE(controls->lines[1].starts_with("Wheel\twhite\tneeded ")) << controls->lines[1];
    EXPECT_TRUE(controls->lines[1].ends_with(" times between takes, in each mode anew"))
        << controls->lines[1];
    EXPECT_EQ(controls->lines[2], "Top\twaveform\tready, nothing here needs it");
    EXPECT_EQ(controls->lines[3], "Back\t\u2014\tnothing needed that it could take");
    EXPECT_EQ(controls->lines[4], "Left\tlock\tchosen by hand");
    ASSERT_TRUE(listOf(card, "Quick menu"));
    const auto* own = listOf(card, "Own menu");
    ASSERT_TRUE(own);
    EXPECT_EQ(own->lines.back(), "2\tformat") << "the dangerous one alone on the last page";
}

TEST(BankCards, TheRecordSaysWhatDiffers) {
    Shoot shoot = fourBanks();
    shoot.kit.cameras[0].body.facts.firmware = "2.0";
    const auto& camera = shoot.kit.cameras[0];
    auto plan = sample::planned(shoot);
    EXPECT_TRUE(listOf(recordCardOf(shoot, camera, plan), "Nothing is on record yet"));
    CameraRecord record;
    record.id = camera.id;
    record.when = "2026-05-01 22:10";
    record.settings = {{"firmware", "1.0"}, {"monitor brightness", "7"}};
    const auto now = planWith(plan.problem, threadsOf(plan.problem, shoot));
    record = withWritten(record, plan.problem, now, 0, "2026-05-01 07:40");
    shoot.records = {record};
    auto card = recordCardOf(shoot, camera, plan);
    EXPECT_TRUE(listOf(card, "Bank 1, 2026-05-01 07:40"));
    EXPECT_FALSE(listOf(card, "Bank 1: now differs"));
    const auto* differs = listOf(card, "Everything else: now differs");
    ASSERT_TRUE(differs);
    ASSERT_EQ(differs->lines.size(), 1u) << "quiet of what nobody planned";
    EXPECT_EQ(differs->lines[0], "firmware 2.0 was 1.0");
    shoot.setups[0].white = Kelvin(3200);
    plan = sample::planned(shoot);
    card = recordCardOf(shoot, camera, plan);
    ASSERT_TRUE(listOf(card, "Bank 1: now differs"));
    EXPECT_EQ(listOf(card, "Bank 1: now differs")->lines[0], "white 3200 K was 5600 K");
    // A bank nobody recalls any more keeps what was written, and differs from nothing.
    shoot.setups[0].bank = 0;
    EXPECT_FALSE(
        listOf(recordCardOf(shoot, camera, sample::planned(shoot)), "Bank 1: now differs"));
}

TEST(BodyWords, EverythingOnABodyHasANameOfItsOwn) {
    std::set<std::string> settings, functions, automatics;
    for (const auto& [key, setting, words] : kSettingNames) {
        EXPECT_TRUE(settings.insert(nameOf(setting)).second) << key;
        EXPECT_EQ(static_cast<std::size_t>(setting), settings.size() - 1) << key;
    }
    for (const auto& [key, function, words] : kFunctionNames)
        EXPECT_TRUE(functions.insert(nameOf(function)).second) << key;
    for (const auto& [key, kind, words] : kAutomaticNames)
        EXPECT_TRUE(automatics.insert(nameOf(kind)).second) << key;
    for (const auto setting : kBankSettings)
        EXPECT_FALSE(nameIn<BodySetting>(kBankSettingNames, setting).empty());
    EXPECT_TRUE(nameIn<BodySetting>(kBankSettingNames, BodySetting::Iris).empty())
        << "no bank holds the iris";
    const Translator shout = [](const char* english) { return "<" + std::string(english) + ">"; };
    EXPECT_EQ(nameOf(BodySetting::White, shout), "<white>");
    EXPECT_EQ(valueText("by hand", shout), "<by hand>");
}

} // namespace
} // namespace bslate
