// What is kept of unsaved work when programs end, disks refuse and other programs write.
#include "app/window_fixture.h"

#include "core/shoot/differences.h"
#include "io/json/kit_json.h"
#include "io/json/shoot_json.h"
#include "io/system/files.h"

#include <QAbstractButton>
#include <QDir>
#include <QPushButton>
#include <QUndoStack>

namespace bslate::app {
namespace {

using Kept = WindowTest;

QPushButton* buttonOf(MainWindow& window, const char* text) {
    for (auto* button : window.notice().findChildren<QPushButton*>())
        if (button->text() == QString::fromLatin1(text) && !button->isHidden())
            return button;
    return nullptr;
}

// A kill runs no destructor: what a living window keeps is copied under the name of a dead one.
QString likeAfterAKill(const QString& folder, const QString& start, const char* token) {
    const auto names = QDir(folder).entryList({start + QStringLiteral(".autosave-*")}, QDir::Files);
    for (const auto& name : names) {
        const QString copy = folder + QLatin1Char('/') + start + QStringLiteral(".autosave-") +
                             QString::fromLatin1(token);
        if (!name.contains(QStringLiteral("-00000000dea")) &&
            QFile::copy(folder + QLatin1Char('/') + name, copy))
            return copy;
    }
    return {};
}

TEST_F(Kept, AKilledProgramOffersWhatItKept) {
    ASSERT_TRUE(window->saveTo(file("day.bslate")));
    key(Qt::Key_Right);
    const auto edited = window->document().shoot();
    window->files().autosaveNow();
    const QString kept =
        likeAfterAKill(m_folder.path(), QStringLiteral("day.bslate"), "00000000dead");
    ASSERT_FALSE(kept.isEmpty());
    MainWindow second(m_style, m_settings, m_folder.path());
    second.openPath(file("day.bslate"));
    EXPECT_NE(second.document().shoot(), edited);
    EXPECT_TRUE(second.notice().question().contains(QStringLiteral("kept")));
    // Neither a notice, nor starting anew, nor editing and keeping that, takes anything away.
    second.notice().tell(QStringLiteral("something else"), true);
    second.files().startNew();
    second.actionsOnShoot().addScene();
    second.files().autosaveNow();
    EXPECT_TRUE(QFile::exists(kept));
    const auto other = second.document().shoot();
    auto* recover = buttonOf(second, "Recover them");
    ASSERT_NE(recover, nullptr);
    recover->click();
    EXPECT_EQ(second.document().shoot(), edited);
    EXPECT_TRUE(second.document().isModified()) << "recovered is not yet saved";
    EXPECT_FALSE(QFile::exists(kept)) << "kept under the window's own name now";
    const auto behind = second.files().leftovers({});
    ASSERT_EQ(behind.size(), 1) << "the shoot that was open is kept in its turn";
    EXPECT_EQ(*io::loadShoot(behind.front().toStdString()), other);
}

TEST_F(Kept, EveryUnansweredCopyIsKeptAndOffered) {
    ASSERT_TRUE(window->saveTo(file("day.bslate")));
    std::vector<Shoot> states;
    for (const char* token : {"00000000dea1", "00000000dea2"}) {
        window->actionsOnShoot().addScene();
        states.push_back(window->document().shoot());
        window->files().autosaveNow();
        ASSERT_FALSE(
            likeAfterAKill(m_folder.path(), QStringLiteral("day.bslate"), token).isEmpty());
    }
    MainWindow second(m_style, m_settings, m_folder.path());
    second.openPath(file("day.bslate"));
    ASSERT_EQ(second.files().leftovers(file("day.bslate")).size(), 2);
    buttonOf(second, "Recover them")->click();
    const auto first = second.document().shoot();
    ASSERT_NE(buttonOf(second, "Recover them"), nullptr) << "the other one is asked about next";
    buttonOf(second, "Recover them")->click();
    const auto then = second.document().shoot();
    EXPECT_TRUE((first == states[0] && then == states[1]) ||
                (first == states[1] && then == states[0]));
    EXPECT_EQ(second.files().leftovers(file("day.bslate")).size(), 1)
        << "the first one, which was never saved";
}

TEST_F(Kept, AShootWithoutAFileIsNotForgottenForAnotherOne) {
    window->actionsOnShoot().addScene();
    window->files().autosaveNow();
    const QString kept =
        likeAfterAKill(m_folder.path(), QStringLiteral("untitled.bslate"), "00000000dead");
    ASSERT_FALSE(kept.isEmpty());
    MainWindow second(m_style, m_settings, m_folder.path());
    second.openPath(file("missing.bslate"));
    ASSERT_TRUE(second.files().openDemo().ok());
    second.actionsOnShoot().addScene();
    second.files().autosaveNow();
    second.files().startNew();
    EXPECT_TRUE(QFile::exists(kept));
    EXPECT_EQ(second.files().leftovers({}), QStringList{kept});
}

TEST_F(Kept, TwoWindowsKeepOutOfEachOthersHands) {
    ASSERT_TRUE(window->saveTo(file("day.bslate")));
    window->actionsOnShoot().addScene();
    window->files().autosaveNow();
    const QStringList mine =
        QDir(m_folder.path()).entryList({QStringLiteral("day.bslate.autosave-*")});
    ASSERT_EQ(mine.size(), 1);
    MainWindow second(m_style, m_settings, m_folder.path());
    second.openPath(file("day.bslate"));
    EXPECT_FALSE(second.files().isAlone());
    EXPECT_TRUE(second.notice().message().contains(QStringLiteral("another window")));
    EXPECT_TRUE(second.files().leftovers(file("day.bslate")).isEmpty());
    second.actionsOnShoot().addScene();
    second.files().autosaveNow();
    second.files().forgetAutosave();
    EXPECT_TRUE(QFile::exists(file(mine.front().toUtf8().constData())));
}

TEST_F(Kept, WhatAnotherProgramWroteIsShownAndAskedAbout) {
    ASSERT_TRUE(window->saveTo(file("day.bslate")));
    window->lookAtDisk();
    EXPECT_TRUE(window->notice().question().isEmpty());
    Shoot theirs = window->document().shoot();
    theirs.setups[0].rating = ExposureIndex(theirs.setups[0].rating.value() * 2);
    theirs.scenes[0].name += " at night";
    ASSERT_TRUE(io::saveShoot(theirs, file("day.bslate").toStdString()).ok());
    window->lookAtDisk();
    for (const char* part : {"day.bslate", "setup 1A changed", "at night"})
        EXPECT_TRUE(window->notice().question().contains(QString::fromLatin1(part)))
            << window->notice().question().toStdString();
    window->actionsOnShoot().addScene();
    const auto mine = window->document().shoot();
    int asked = 0;
    window->setAskOver([&](const QString& what) {
        ++asked;
        EXPECT_TRUE(what.contains(QStringLiteral("setup 1A changed")));
        return MainWindow::Over::Cancel;
    });
    EXPECT_FALSE(window->save());
    EXPECT_EQ(asked, 1);
    EXPECT_EQ(*io::loadShoot(file("day.bslate").toStdString()), theirs);
    buttonOf(*window, "Load it")->click();
    EXPECT_EQ(window->document().shoot(), theirs);
    EXPECT_FALSE(window->document().isModified());
    const auto behind = window->files().leftovers(file("day.bslate"));
    ASSERT_EQ(behind.size(), 1) << "what was unsaved here is kept";
    EXPECT_EQ(*io::loadShoot(behind.front().toStdString()), mine);
    window->actionsOnShoot().addScene();
    EXPECT_TRUE(window->save()) << "known now: nothing is asked";
    EXPECT_EQ(asked, 1);
}

TEST_F(Kept, TheSameShootWrittenAgainIsNoChange) {
    ASSERT_TRUE(window->saveTo(file("day.bslate")));
    const auto text = io::readFile(file("day.bslate").toStdString());
    ASSERT_TRUE(io::writeFileAtomically(file("day.bslate").toStdString(), *text + "\n").ok());
    EXPECT_FALSE(window->files().changeOnDisk().has_value());
    QFile broken(file("day.bslate"));
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write("{");
    broken.close();
    const auto change = window->files().changeOnDisk();
    ASSERT_TRUE(change.has_value());
    EXPECT_FALSE(change->problem.isEmpty());
}

TEST_F(Kept, AFolderThatCannotTakeItIsNotTheEnd) {
    const QString longest = file((std::string(243, 'n') + ".bslate").c_str());
    ASSERT_TRUE(window->saveTo(longest)) << "a name of 250 bytes";
    window->actionsOnShoot().addScene();
    window->files().autosaveNow();
    const auto elsewhere =
        QDir(m_folder.path()).entryList({QStringLiteral("elsewhere-*.autosave-*")}, QDir::Files);
    ASSERT_EQ(elsewhere.size(), 1) << "its own name leaves no room for another one beside it";
    EXPECT_TRUE(window->notice().question().isEmpty());
    const auto rights = QFileInfo(file(elsewhere.front().toUtf8().constData())).permissions();
    EXPECT_FALSE(rights & (QFile::WriteGroup | QFile::WriteOther));
}

TEST_F(Kept, WhatIsKeptNowhereStaysSaidUntilItIs) {
    QTemporaryDir other;
    const QString scratch = other.filePath(QStringLiteral("scratch"));
    QFile inTheWay(scratch);
    ASSERT_TRUE(inTheWay.open(QIODevice::WriteOnly));
    inTheWay.close();
    MainWindow second(m_style, m_settings, scratch);
    second.files().startNew();
    second.actionsOnShoot().addScene();
    second.files().autosaveNow();
    EXPECT_TRUE(second.notice().question().contains(QStringLiteral("kept nowhere")));
    second.notice().tell(QStringLiteral("something else"), true);
    EXPECT_TRUE(second.notice().question().contains(QStringLiteral("kept nowhere")));
    ASSERT_TRUE(inTheWay.remove());
    second.files().autosaveNow();
    EXPECT_TRUE(second.notice().question().isEmpty()) << "and is taken back when it is";
}

TEST_F(Kept, AKitFromElsewhereIsShownAndAskedAboutOnce) {
    QDir(m_folder.path()).mkdir(QStringLiteral("show"));
    const auto& kit = window->document().shoot().kit;
    ASSERT_TRUE(
        io::writeFileAtomically(file("far.bskit.json").toStdString(), io::writeKit(kit)).ok());
    Shoot shoot = window->document().shoot();
    shoot.kitFile = "../far.bskit.json";
    ASSERT_TRUE(io::saveShoot(shoot, file("show/day.bslate").toStdString()).ok());
    const QString before = window->document().path();
    window->openPath(file("show/day.bslate"));
    EXPECT_TRUE(window->notice().question().contains(file("far.bskit.json")));
    EXPECT_EQ(window->document().path(), before) << "nothing is read unasked";
    buttonOf(*window, "Leave it")->click();
    EXPECT_EQ(window->document().path(), before);
    window->openPath(file("show/day.bslate"));
    buttonOf(*window, "Read it there")->click();
    EXPECT_EQ(window->document().path(), file("show/day.bslate"));
    window->files().startNew();
    window->openPath(file("show/day.bslate"));
    EXPECT_EQ(window->document().path(), file("show/day.bslate")) << "once";
    EXPECT_TRUE(window->notice().question().isEmpty());
}

TEST_F(Kept, UndoTellsTheRailWhatIsSelectedAgain) {
    QStringList told;
    QObject::connect(&window->document(), &ShootDocument::selectionChanged, window.get(),
                     [&] { told.append(window->document().setupId()); });
    const QString before = window->document().setupId();
    window->actionsOnShoot().addScene();
    const auto& setups = window->document().shoot().setups;
    window->document().select(QString::fromStdString(setups.front().id));
    ASSERT_NE(window->document().setupId(), before);
    window->document().undoStack().undo();
    EXPECT_EQ(window->document().setupId(), before);
    EXPECT_EQ(told.back(), before);
}

// Between the question and the writing another program writes once more: that is asked about too.
TEST_F(Kept, WhatIsWrittenWhileASaveAsksIsAskedAboutInItsTurn) {
    ASSERT_TRUE(window->saveTo(file("day.bslate")));
    Shoot theirs = window->document().shoot();
    const auto write = [&](const char* title) {
        theirs.title = title;
        ASSERT_TRUE(io::saveShoot(theirs, file("day.bslate").toStdString()).ok());
    };
    write("the first");
    window->actionsOnShoot().addScene();
    QStringList asked;
    window->setAskOver([&](const QString& what) {
        asked << what;
        if (asked.size() == 1) {
            write("the second");
            return MainWindow::Over::Replace;
        }
        return MainWindow::Over::Cancel;
    });
    EXPECT_FALSE(window->save());
    EXPECT_EQ(asked.size(), 2);
    EXPECT_EQ(io::loadShoot(file("day.bslate").toStdString())->title, "the second");
}

TEST_F(Kept, AFolderThatWasRenamedIsNotMadeAnew) {
    ASSERT_TRUE(QDir(m_folder.path()).mkpath(QStringLiteral("card")));
    ASSERT_TRUE(window->saveTo(file("card/day.bslate")));
    ASSERT_TRUE(QDir(m_folder.path()).rename(QStringLiteral("card"), QStringLiteral("moved")));
    window->actionsOnShoot().addScene();
    window->files().autosaveNow();
    EXPECT_FALSE(QFileInfo::exists(file("card"))) << "a folder of the user's is never made";
    EXPECT_TRUE(window->notice().question().contains(QStringLiteral("is gone")))
        << window->notice().question().toStdString();
    EXPECT_FALSE(window->saveTo(file("card/day.bslate")));
    EXPECT_FALSE(QFileInfo::exists(file("card")));
    EXPECT_NE(said().find("Save as"), std::string::npos) << said();
    // The moved shoot is offered what was kept of it, after a kill.
    const auto kept = QDir(m_folder.path()).entryList({QStringLiteral("elsewhere-*.autosave-*")});
    ASSERT_EQ(kept.size(), 1);
    const auto base = kept.front().section(QStringLiteral(".autosave"), 0, 0);
    const auto dead = likeAfterAKill(m_folder.path(), base, "00000000dead");
    ASSERT_FALSE(dead.isEmpty());
    EXPECT_EQ(window->files().leftovers(file("moved/day.bslate")), QStringList{dead});
    EXPECT_EQ(window->files().leftovers(file("card/day.bslate")), QStringList{dead});
    EXPECT_TRUE(window->files().leftovers(file("other.bslate")).isEmpty());
}

TEST_F(Kept, AKitFileThatWasChangedOutsideIsAskedAbout) {
    Shoot shoot = window->document().shoot();
    ASSERT_TRUE(
        io::writeFileAtomically(file("own.bskit.json").toStdString(), io::writeKit(shoot.kit))
            .ok());
    shoot.kitFile = "own.bskit.json";
    ASSERT_TRUE(io::saveShoot(shoot, file("day.bslate").toStdString()).ok());
    window->openPath(file("day.bslate"));
    ASSERT_EQ(window->document().shoot().kitFile, "own.bskit.json");
    window->lookAtDisk();
    EXPECT_TRUE(window->notice().question().isEmpty()) << said();
    Kit theirs = shoot.kit;
    theirs.cameras[0].draw = Watts(55);
    ASSERT_TRUE(
        io::writeFileAtomically(file("own.bskit.json").toStdString(), io::writeKit(theirs)).ok());
    window->lookAtDisk();
    EXPECT_FALSE(window->notice().question().isEmpty());
    buttonOf(*window, "Keep what is here")->click();
    EXPECT_FALSE(window->document().shoot().kitFile) << "that file holds another kit now";
    ASSERT_TRUE(window->save());
    EXPECT_EQ(io::loadShoot(file("day.bslate").toStdString())->kit, shoot.kit);
    EXPECT_EQ(*io::loadKit(file("own.bskit.json").toStdString()), theirs);
}

// Where windows cannot be told apart nothing is offered, since it may be a living one's.
TEST_F(Kept, WithoutLocksNothingIsOffered) {
    ASSERT_TRUE(window->saveTo(file("day.bslate")));
    window->actionsOnShoot().addScene();
    window->files().autosaveNow();
    QFile(file("no-folder")).open(QIODevice::WriteOnly);
    MainWindow second(m_style, m_settings, file("no-folder"));
    second.openPath(file("day.bslate"));
    EXPECT_TRUE(second.files().leftovers(file("day.bslate")).isEmpty());
    second.actionsOnShoot().addScene();
    second.files().autosaveNow();
    EXPECT_TRUE(second.notice().message().contains(QStringLiteral("not offered")))
        << second.notice().message().toStdString();
    // The first one does not offer what the second, which lives, has kept beside the shoot.
    EXPECT_EQ(QDir(m_folder.path()).entryList({QStringLiteral("day.bslate.autosave-u*")}).size(),
              1);
    EXPECT_TRUE(window->files().leftovers(file("day.bslate")).isEmpty());
}

} // namespace
} // namespace bslate::app
