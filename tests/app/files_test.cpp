// The window and the disk, through its own dialogs: names typed, replaced, cancelled and refused.
#include "app/document/text.h"
#include "app/window_fixture.h"
#include "io/json/kit_json.h"
#include "io/json/shoot_json.h"
#include "io/system/files.h"

#include <QDir>
#include <QFile>

namespace bslate::app {
namespace {

class Files : public WindowTest {
protected:
    void SetUp() override {
        // A title that a file of somebody else may bring.
        bslate::Shoot shoot = window->document().shoot();
        shoot.title = "../../north pier";
        window->document().edit(QStringLiteral("title"), shoot);
    }
    QByteArray onDisk(const char* name) {
        QFile read(file(name));
        EXPECT_TRUE(read.open(QIODevice::ReadOnly)) << name;
        return read.readAll();
    }
    void put(const char* name, const QByteArray& text) {
        QFile write(file(name));
        ASSERT_TRUE(write.open(QIODevice::WriteOnly));
        write.write(text);
    }
    const bslate::Shoot& shoot() { return window->document().shoot(); }
};

TEST_F(Files, TheFirstSaveAsksForANameInTheFolderAtHand) {
    QString proposed;
    answerDialogs({[&](QWidget& dialog) {
        proposed = dialog.findChild<QLineEdit*>(QStringLiteral("fileNameEdit"))->text();
        namesFile(file("pier"))(dialog);
    }});
    ASSERT_TRUE(window->save());
    EXPECT_FALSE(proposed.contains(QLatin1Char('/'))) << proposed.toStdString();
    EXPECT_TRUE(proposed.contains(QStringLiteral("north pier"))) << proposed.toStdString();
    ASSERT_TRUE(QFile::exists(file("pier.bslate"))) << "the ending is ours to add";
    EXPECT_EQ(window->document().path(), file("pier.bslate"));
    EXPECT_TRUE(window->document().undoStack().isClean());
    const auto read = io::loadShoot(fromQt(file("pier.bslate")));
    ASSERT_TRUE(read.ok()) << message(read.error());
    EXPECT_EQ(read->setups, shoot().setups);
    // The second time nothing is asked.
    window->document().edit(QStringLiteral("note"), [&] {
        auto now = shoot();
        now.note = "windy";
        return now;
    }());
    EXPECT_TRUE(window->save());
    EXPECT_TRUE(onDisk("pier.bslate").contains("windy"));
}

TEST_F(Files, ACancelledSaveChangesNothingAndKeepsEverything) {
    const auto before = shoot();
    answerDialogs({escapes});
    EXPECT_FALSE(window->save());
    EXPECT_EQ(shoot(), before);
    EXPECT_TRUE(window->document().path().isEmpty());
    EXPECT_FALSE(window->document().undoStack().isClean());
}

TEST_F(Files, AFileOfThatNameIsReplacedOnlyWhenAsked) {
    put("pier.bslate", "somebody's diary");
    answerDialogs({namesFile(file("pier")), escapes, escapes});
    EXPECT_FALSE(window->saveAs());
    EXPECT_EQ(onDisk("pier.bslate"), "somebody's diary");
    answerDialogs({namesFile(file("pier")), [](QWidget& box) {
                       for (auto* button : box.findChildren<QPushButton*>())
                           if (QString text = button->text();
                               text.remove(QLatin1Char('&')) != QStringLiteral("Cancel") &&
                               text != QStringLiteral("No"))
                               return QTest::mouseClick(button, Qt::LeftButton);
                   }});
    EXPECT_TRUE(window->saveAs());
    EXPECT_TRUE(io::loadShoot(fromQt(file("pier.bslate"))).ok());
}

TEST_F(Files, WhatCannotBeWrittenIsSaidAndStaysUnsaved) {
    answerDialogs({namesFile(file("nowhere/pier.bslate")), escapes, escapes});
    EXPECT_FALSE(window->saveTo(file("nowhere/pier.bslate")));
    EXPECT_NE(said().find("nowhere"), std::string::npos) << said();
    EXPECT_FALSE(window->document().undoStack().isClean());
    EXPECT_TRUE(window->document().path().isEmpty());
}

TEST_F(Files, OpeningAsksFirstAndABrokenFileLeavesTheShoot) {
    const auto before = shoot();
    put("broken.bslate", "{\"format\": \"bright-slate-shoot\", \"version\": 4, \"title\": 7}");
    answer = MainWindow::Answer::Cancel;
    window->askOpen();
    EXPECT_EQ(asked, 1);
    EXPECT_EQ(shoot(), before) << "staying was chosen: no file dialog came";
    answer = MainWindow::Answer::Discard;
    answerDialogs({namesFile(file("broken.bslate"))});
    window->askOpen();
    EXPECT_EQ(shoot(), before);
    EXPECT_NE(said().find("/title"), std::string::npos) << said();
    EXPECT_NE(said().find("broken.bslate"), std::string::npos) << said();
}

TEST_F(Files, AKitFileIsTakenWholeOrNotAtAll) {
    const auto before = shoot();
    put("wrong.bskit.json", "{\"format\": \"bright-slate-kit\", \"version\": 4, \"cameras\": 1}");
    answerDialogs({namesFile(file("wrong.bskit.json"))});
    window->askKit();
    EXPECT_EQ(shoot(), before);
    EXPECT_NE(said().find("/cameras"), std::string::npos) << said();
    bslate::Kit kit = before.kit;
    kit.cameras[0].name = "Tarn 6 of the rental house";
    put("house.bskit.json", QByteArray::fromStdString(io::writeKit(kit)));
    answerDialogs({namesFile(file("house.bskit.json"))});
    window->askKit();
    EXPECT_EQ(shoot().kit, kit) << said();
    window->document().undoStack().undo();
    EXPECT_EQ(shoot(), before);
}

TEST_F(Files, WhatAnotherProgramWroteMeanwhileIsNotOverwrittenUnasked) {
    ASSERT_TRUE(window->saveTo(file("pier.bslate")));
    auto theirs = shoot();
    theirs.title = "theirs";
    theirs.kitFile.reset();
    ASSERT_TRUE(io::writeFileAtomically(fromQt(file("pier.bslate")), io::writeShoot(theirs)).ok());
    auto mine = shoot();
    mine.title = "mine";
    window->document().edit(QStringLiteral("title"), mine);
    QString question;
    window->setAskOver([&](const QString& text) {
        question = text;
        return MainWindow::Over::Cancel;
    });
    EXPECT_FALSE(window->save());
    EXPECT_TRUE(question.contains(QStringLiteral("title"))) << question.toStdString();
    EXPECT_TRUE(onDisk("pier.bslate").contains("theirs"));
    // Under another name both are kept.
    window->setAskOver([](const QString&) { return MainWindow::Over::SaveAs; });
    answerDialogs({namesFile(file("mine.bslate"))});
    EXPECT_TRUE(window->save());
    EXPECT_TRUE(onDisk("pier.bslate").contains("theirs"));
    EXPECT_TRUE(onDisk("mine.bslate").contains("mine"));
}

TEST_F(Files, WithoutASetupThereIsNoCardNoLutAndNoSheetAndItIsSaid) {
    window->files().startNew();
    EXPECT_EQ(window->askLut(), nullptr);
    EXPECT_NE(said().find("belongs to a setup"), std::string::npos) << said();
    EXPECT_EQ(window->makeCard(), nullptr);
    EXPECT_NE(said().find("card belongs to a setup"), std::string::npos) << said();
    EXPECT_EQ(window->makePackList(), nullptr);
    EXPECT_NE(said().find("No day has takes yet"), std::string::npos) << said();
    window->editSetup();
    EXPECT_NE(said().find("No setup to edit"), std::string::npos) << said();
}

TEST_F(Files, TheSheetOfTheShootIsTakenOrLeft) {
    const auto before = shoot();
    answerDialogs({escapes});
    window->editShoot();
    EXPECT_EQ(shoot(), before);
    answerDialogs({[](QWidget& sheet) {
        auto* title = sheet.findChildren<QLineEdit*>().constFirst();
        title->selectAll();
        QTest::keyClicks(title, QStringLiteral("South pier"));
        QTest::keyClick(title, Qt::Key_Return);
    }});
    window->editShoot();
    EXPECT_EQ(shoot().title, "South pier");
    EXPECT_EQ(shoot().scenes, before.scenes);
}

} // namespace
} // namespace bslate::app
