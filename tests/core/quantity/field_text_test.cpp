// Fields as people type them: what is shown is read back as the same value, an empty line gives a
// missing value back, and what is refused says what would have been taken and changes nothing.
#include "core/quantity/field_text.h"

#include "core/kit/camera_fields.h"
#include "core/shoot/shoot_fields.h"
#include "support/sample_day.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

template<class T, class Visit>
void eachLine(Visit visit) {
    const auto one = [&](const auto& field) {
        if constexpr (typed::kOnALine<std::decay_t<decltype(field.form)>>)
            visit(field);
    };
    std::apply([&](const auto&... field) { (one(field), ...); }, Described<T>::kFields);
}

template<class T>
void readsBackWhatItShows(const T& value) {
    int lines = 0;
    eachLine<T>([&](const auto& field) {
        T again = value;
        const auto text = textOf(field, value);
        const auto done = setFromText(field, again, text);
        EXPECT_TRUE(done.ok()) << field.key << " \"" << text << "\": " << message(done.error());
        EXPECT_EQ(textOf(field, again), text) << field.key;
        ++lines;
    });
    EXPECT_GT(lines, 3);
}

template<class T>
Outcome type(T& owner, std::string_view key, std::string_view text) {
    std::optional<Outcome> done;
    eachLine<T>([&](const auto& field) {
        if (field.key == key)
            done = setFromText(field, owner, text);
    });
    EXPECT_TRUE(done) << "no line for " << key;
    return done.value_or(Done{});
}

TEST(FieldText, EveryLineOfEveryThingReadsBackWhatItShows) {
    const Shoot shoot = sample::DayBench().shoot;
    readsBackWhatItShows(shoot);
    readsBackWhatItShows(shoot.brief);
    for (const auto& setup : shoot.setups)
        readsBackWhatItShows(setup);
    for (const auto& lens : shoot.kit.lenses)
        readsBackWhatItShows(lens);
    for (const auto& filter : shoot.kit.filters)
        readsBackWhatItShows(filter);
    for (const auto& card : shoot.kit.cards)
        readsBackWhatItShows(card);
    for (const auto& battery : shoot.kit.batteries)
        readsBackWhatItShows(battery);
    for (const auto& reader : shoot.kit.readers)
        readsBackWhatItShows(reader);
    for (const auto& drive : shoot.kit.drives)
        readsBackWhatItShows(drive);
    for (const auto& charger : shoot.kit.chargers)
        readsBackWhatItShows(charger);
}

TEST(FieldText, WhatIsRefusedSaysWhatWouldHaveBeenTaken) {
    const struct {
        const char* key;
        const char* text;
        ErrorCode code;
        const char* expected;
    } kWrong[] = {
        {"name", " ", ErrorCode::EmptyText, "a name people know it by"},
        {"capacity", "64", ErrorCode::UnknownUnit, "GB"},
        {"speed_class", "V99", ErrorCode::UnknownId, "V90"},
        {"bus", "UHS-9", ErrorCode::UnknownId, "UHS-II"},
        {"usable", "101 %", ErrorCode::OutOfRange, "100 %"},
        {"usable", "0", ErrorCode::OutOfRange, "a share from 1 % to 100 %"},
        {"count", "a few", ErrorCode::NotANumber, "a whole number from 0 to"},
        {"count", "-1", ErrorCode::OutOfRange, "a whole number from 0 to"},
    };
    MemoryCard card = sample::DayBench().shoot.kit.cards.front();
    const MemoryCard before = card;
    for (const auto& wrong : kWrong) {
        const auto done = type(card, wrong.key, wrong.text);
        ASSERT_FALSE(done.ok()) << wrong.key << " " << wrong.text;
        EXPECT_EQ(done.error().code, wrong.code) << wrong.key << " " << wrong.text;
        EXPECT_NE(done.error().expected.find(wrong.expected), std::string::npos)
            << done.error().expected;
        EXPECT_EQ(card, before);
    }
    Shoot shoot = sample::DayBench().shoot;
    for (const char* text : {"", "nan", "14 lx", "12,5"})
        EXPECT_FALSE(type(shoot, "meter_k", text).ok()) << text;
    EXPECT_EQ(type(shoot, "meter_k", "31").error().expected, "a number from 5 to 30");
}

TEST(FieldText, AnEmptyLineGivesAMissingValueBack) {
    bslate::Setup setup = sample::DayBench().shoot.setups.front();
    ASSERT_TRUE(type(setup, "focus", "2 m").ok());
    ASSERT_TRUE(type(setup, "focal", "35 mm").ok());
    ASSERT_TRUE(type(setup, "wanted_white", "5600").ok());
    EXPECT_EQ(setup.focus, Metres(2));
    EXPECT_EQ(setup.focal, Millimetres(35));
    for (const char* key : {"focus", "focal", "wanted_white"})
        ASSERT_TRUE(type(setup, key, "  ").ok()) << key;
    EXPECT_EQ(setup.focus, std::nullopt);
    EXPECT_EQ(setup.focal, Millimetres(0));
    EXPECT_EQ(setup.wantedWhite, std::nullopt);
    EXPECT_FALSE(type(setup, "rate", "").ok()) << "no setup is without one";
}

TEST(FieldText, AChoiceIsTakenByItsNameInFilesAndByItsWords) {
    bslate::Setup setup;
    ASSERT_TRUE(type(setup, "sound_by", "wired").ok());
    EXPECT_EQ(setup.soundBy, SoundBy::Wired);
    ASSERT_TRUE(type(setup, "sound_by", "Radio microphone").ok());
    EXPECT_EQ(setup.soundBy, SoundBy::Radio);
    EXPECT_NE(type(setup, "sound_by", "phone").error().expected.find("camera microphone"),
              std::string::npos);
    ASSERT_TRUE(type(setup, "wireless", "Yes").ok());
    EXPECT_TRUE(setup.wireless);
    CardReader reader;
    ASSERT_TRUE(type(reader, "forms", "SD, cfexpress b , cfast").ok());
    EXPECT_EQ(reader.forms, (std::vector{CardForm::Sd, CardForm::CfExpressB, CardForm::CFast}));
}

TEST(FieldText, OtherFieldsFollowTheOneThatIsTyped) {
    Lens lens;
    ASSERT_TRUE(type(lens, "shortest", "24 mm").ok());
    EXPECT_EQ(lens.longest, Millimetres(24)) << "a prime until more is said";
    ASSERT_TRUE(type(lens, "longest", "70 mm").ok());
    EXPECT_EQ(lens.shortest, Millimetres(24));
    ASSERT_TRUE(type(lens, "shortest", "85 mm").ok());
    EXPECT_EQ(lens.longest, Millimetres(85));
    ASSERT_TRUE(type(lens, "narrowest", "T2").ok());
    EXPECT_EQ(lens.widest, lens.narrowest);
    MemoryCard card;
    ASSERT_TRUE(type(card, "bus", "cfexpress b").ok());
    EXPECT_EQ(card.form, CardForm::CfExpressB);
}

} // namespace
} // namespace bslate
