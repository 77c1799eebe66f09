// What a body forbids and how it is operated, in the sheet of a camera: built from choices, typed
// as lines, and a wrong line named.
#include "app/camera_sheet_fixture.h"
#include "app/document/text.h"

#include <QComboBox>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTabWidget>

namespace bslate::app {
namespace {

using CameraRules = CameraSheetTest;

TEST_F(CameraRules, RulesAreBuiltFromChoicesAndReadAsSentences) {
    const auto before = *findCamera(kit(), "pip");
    inSheet([&](CameraSheet& sheet) {
        sheet.findChild<QTabWidget*>()->setCurrentIndex(1);
        auto& sentences = *sheet.findChild<QListWidget*>(QStringLiteral("rule-sentences"));
        const auto lines = sentences.count();
        const auto choose = [&](const char* name, const QString& text) {
            auto* combo = sheet.findChild<QComboBox*>(QString::fromLatin1(name));
            const int at = combo->findText(text);
            if (at >= 0)
                combo->setCurrentIndex(at);
            else
                combo->setEditText(text);
        };
        auto& add = *sheet.findChild<QPushButton*>(QStringLiteral("rule-add"));
        const auto told = [&] {
            return sheet.findChild<QLabel*>(QStringLiteral("rule-problem"))->text();
        };
        choose("rule-when", "frame rate");
        choose("rule-when-how", "is at least");
        choose("rule-when-value", "50");
        choose("rule-then", "autofocus");
        choose("rule-then-value", "off");
        add.click();
        EXPECT_TRUE(told().contains(QStringLiteral("Say why"))) << told().toStdString();
        EXPECT_EQ(sentences.count(), lines);
        auto* why = sheet.findChild<QLineEdit*>(QStringLiteral("rule-why"));
        why->setText(QStringLiteral("it hunts"));
        choose("rule-when-value", "soon");
        add.click();
        EXPECT_FALSE(told().isEmpty()) << "a rate is no word";
        choose("rule-when-value", "50");
        why->setText(QStringLiteral("it hunts"));
        add.click();
        ASSERT_EQ(sentences.count(), lines + 1) << told().toStdString();
        EXPECT_EQ(sentences.item(lines)->text(),
                  QStringLiteral("When the frame rate is 50 or more, the autofocus must be off: it "
                                 "hunts."));
        // One that is removed again is gone from the lines too.
        why->setText(QStringLiteral("twice"));
        add.click();
        ASSERT_EQ(sentences.count(), lines + 2);
        sentences.setCurrentRow(static_cast<int>(lines) + 1);
        sheet.findChild<QPushButton*>(QStringLiteral("rule-remove"))->click();
        EXPECT_EQ(sentences.count(), lines + 1);
        sheet.accept();
    });
    window->view<KitView>().describeCamera(QStringLiteral("pip"));
    auto after = *findCamera(kit(), "pip");
    ASSERT_EQ(after.constraints.size(), before.constraints.size() + 1);
    EXPECT_EQ(after.constraints.back().reason, "it hunts");
    EXPECT_EQ(after.constraints.back().when[0].atLeast, SettingValue(FrameRate{Rational(50, 1)}));
    after.constraints.pop_back();
    EXPECT_EQ(after, before);
}

TEST_F(CameraRules, RulesAreTypedAndAWrongOnePutsTheCursorOnItsLine) {
    inSheet([&](CameraSheet& sheet) {
        auto* rules = sheet.findChild<QPlainTextEdit*>(QStringLiteral("camera-rules"));
        const QString before = rules->toPlainText();
        const auto refusedWith = [&](const char* line, const char* says) {
            rules->setPlainText(before + QLatin1Char('\n') + QString::fromUtf8(line));
            EXPECT_TRUE(problem(sheet).contains(QString::fromUtf8(says)))
                << problem(sheet).toStdString();
            sheet.accept();
            EXPECT_TRUE(sheet.isVisible() && rules->isVisible());
        };
        refusedWith("rate>=100 requires sound=perhaps : no", "on or off");
        EXPECT_EQ(rules->textCursor().blockNumber(), rules->blockCount() - 1);
        refusedWith("requires mode=none : no", "a recording mode of this camera");
        rules->setPlainText(before + QStringLiteral("\nrate>=50 requires focus=off : too slow"));
        sheet.accept();
    });
    const auto before = *findCamera(kit(), "pip");
    window->view<KitView>().describeCamera(QStringLiteral("pip"));
    auto after = *findCamera(kit(), "pip");
    ASSERT_EQ(after.constraints.size(), before.constraints.size() + 1);
    EXPECT_EQ(after.constraints.back().reason, "too slow");
    after.constraints.pop_back();
    EXPECT_EQ(after, before);
}

TEST_F(CameraRules, BanksAndControlsAreTypedAndAWrongLineIsNamed) {
    inSheet([&](CameraSheet& sheet) {
        auto* body = sheet.findChild<QPlainTextEdit*>(QStringLiteral("camera-body"));
        const QString before = body->toPlainText();
        EXPECT_TRUE(
            before.startsWith(QStringLiteral("bank 1 inside without focus, sound, controls")))
            << before.toStdString();
        for (const auto& [line, says] :
             {std::pair("bank 1 card", "every label only once"),
              std::pair("bank 2 inside holds", "at least one setting"),
              std::pair("control Knob dial thumb", "a function that is printed on it")}) {
            body->setPlainText(before + QLatin1Char('\n') + QString::fromLatin1(line));
            EXPECT_TRUE(problem(sheet).contains(QString::fromLatin1(says)))
                << problem(sheet).toStdString();
            sheet.accept();
            EXPECT_TRUE(sheet.isVisible() && body->isVisible());
            EXPECT_EQ(body->textCursor().blockNumber(), body->blockCount() - 1);
        }
        body->setPlainText(before + QStringLiteral("\nbank 2 card holds rate, white\nown 2"));
        EXPECT_EQ(sheet.findChild<QLineEdit*>(QStringLiteral("camera-banks"))->text(),
                  QStringLiteral("1+1"));
        sheet.accept();
    });
    auto before = *findCamera(kit(), "pip");
    window->view<KitView>().describeCamera(QStringLiteral("pip"));
    const auto after = *findCamera(kit(), "pip");
    ASSERT_EQ(after.body.banks.size(), 2u);
    EXPECT_EQ(after.body.banks[1].holds, (std::vector{BodySetting::Rate, BodySetting::White}));
    EXPECT_EQ(after.banks, (BankCount{1, 1}));
    EXPECT_EQ(after.body.ownMenu, 2);
    EXPECT_EQ(after.body.controls, before.body.controls);
}

} // namespace
} // namespace bslate::app
