// The first minutes, from an empty profile folder: what the program opens with, and a camera nobody
// described before brought in by questions, by hand on its lattice, and kept for every shoot.
#include "app/document/text.h"
#include "app/shell/next_bar.h"
#include "app/views/brief/brief_view.h"
#include "app/views/bring/body_questions.h"
#include "app/views/bring/bring_view.h"
#include "app/views/bring/seen_lattice.h"
#include "app/views/kit/kit_view.h"
#include "app/views/start/start_card.h"
#include "app/views/start/start_view.h"
#include "app/window_fixture.h"
#include "support/temporary_folder.h"

#include <QCheckBox>
#include <QDragEnterEvent>
#include <QLabel>
#include <QListWidget>
#include <QMenu>
#include <QMimeData>

namespace bslate::app {
namespace {

class FirstStart : public WindowTest {
protected:
    void SetUp() override {
        window->files().startNew();
        window->showStart();
    }
    template<class Widget>
    Widget& the(const char* name) {
        auto* found = window->findChild<Widget*>(QString::fromLatin1(name));
        EXPECT_TRUE(found) << name;
        return *found;
    }
    const bslate::Shoot& shoot() { return window->document().shoot(); }
    BringView& bring() { return window->view<BringView>(); }
    std::string next() { return window->next().sentence().toStdString(); }
};

TEST_F(FirstStart, OffersThreeWaysByKeyAndMouse) {
    ASSERT_TRUE(window->isAtStart());
    EXPECT_TRUE(shoot().kit.cameras.empty()) << "nobody else's camera";
    auto& demo = the<StartCard>("start-demo");
    demo.setFocus();
    QTest::keyClick(&demo, Qt::Key_Right);
    EXPECT_EQ(QApplication::focusWidget(), &the<StartCard>("start-camera"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    EXPECT_FALSE(window->isAtStart());
    EXPECT_EQ(window->page(), &bring());
    window->showStart();
    QTest::keyClick(&demo, Qt::Key_Space);
    EXPECT_EQ(shoot().title, "Slack Water");
    EXPECT_FALSE(window->isAtStart());
    window->showStart();
    QTest::keyClick(&demo, Qt::Key_Escape);
    EXPECT_EQ(window->page(), &window->view<BriefView>());
}

TEST_F(FirstStart, WhatWasOpenedBeforeIsThereAndAMissingFileIsTold) {
    ASSERT_TRUE(window->saveTo(file("mine.bslate")));
    window->files().startNew();
    window->showStart();
    auto& recent = the<QListWidget>("start-recent");
    ASSERT_EQ(recent.count(), 1);
    QFile::rename(file("mine.bslate"), file("gone.bslate"));
    emit recent.itemActivated(recent.item(0));
    EXPECT_TRUE(window->isAtStart());
    EXPECT_NE(said().find("mine.bslate"), std::string::npos) << said();
    QFile::rename(file("gone.bslate"), file("mine.bslate"));
    emit recent.itemActivated(recent.item(0));
    EXPECT_FALSE(window->isAtStart());
    EXPECT_EQ(window->document().path(), file("mine.bslate"));
}

TEST_F(FirstStart, FilesCanBeDroppedOnIt) {
    const auto drop = [&](const QString& path) {
        QMimeData data;
        data.setUrls({QUrl::fromLocalFile(path)});
        QDragEnterEvent enter(QPoint(400, 400), Qt::CopyAction, &data, Qt::LeftButton, {});
        QCoreApplication::sendEvent(window.get(), &enter);
        QDropEvent event(QPointF(400, 400), Qt::CopyAction, &data, Qt::LeftButton, {});
        QCoreApplication::sendEvent(window.get(), &event);
    };
    sample::spit(file("gone.mov").toStdString(), std::string("\0\1\2\3", 4));
    drop(file("gone.mov"));
    EXPECT_EQ(window->page(), &bring())
        << "without a setup there is no plan to hold a clip against";
    bring().settle();
    EXPECT_TRUE(the<QListWidget>("understood").item(0)->text().contains("gone.mov"))
        << the<QListWidget>("understood").item(0)->text().toStdString();
    window->showStart();
    drop(QStringLiteral(BSLATE_ROOT "/data/demo/slack-water.bskit.json"));
    EXPECT_EQ(shoot().kit.cameras.size(), 3u) << said();
    EXPECT_FALSE(window->isAtStart());
}

TEST_F(FirstStart, EveryStepNamesTheOneNextThing) {
    for (const auto& step : window->steps()) {
        window->showStep(step.number);
        EXPECT_FALSE(next().empty()) << step.plainName().toStdString();
    }
}

TEST_F(FirstStart, AKindOfBodyAndAFewAnswersGiveAFirstVerdict) {
    the<StartCard>("start-camera").click();
    auto& menu = *the<QPushButton>("own-start").menu();
    emit menu.aboutToShow();
    menu.actions()[2]->trigger(); // a hybrid
    ASSERT_GE(bring().lattice().modes().size(), 3u);
    EXPECT_TRUE(bring().questions().open().contains(QStringLiteral("not judged")));
    // What is known is answered, a wrong answer refused with what was expected.
    enterLine("ask-bases", "640");
    enterLine("ask-readout", "soon");
    EXPECT_NE(said().find("milliseconds"), std::string::npos) << said();
    enterLine("ask-readout", "21");
    const auto open = bring().questions().open();
    EXPECT_FALSE(open.contains(QStringLiteral("lean"))) << open.toStdString();
    EXPECT_TRUE(open.contains(QStringLiteral("heat")));
    // Its second row is cropped and mute as is usual; this one has a limit and sound.
    enterLine("own-name", "Gannet 5");
    ASSERT_EQ(shoot().kit.cameras.size(), 1u) << said();
    const auto& camera = shoot().kit.cameras[0];
    EXPECT_EQ(camera.name, "Gannet 5");
    EXPECT_EQ(camera.bases[0].iso, ExposureIndex(640));
    EXPECT_EQ(camera.areas[0].readout, Seconds(0.021));
    const auto guessed = [&](CameraFact fact) {
        return std::find(camera.guessed.begin(), camera.guessed.end(), fact) !=
               camera.guessed.end();
    };
    EXPECT_FALSE(guessed(CameraFact::Bases) || guessed(CameraFact::Readout));
    EXPECT_TRUE(guessed(CameraFact::Range) && guessed(CameraFact::Heat));
    window->mine().settle();
    EXPECT_EQ(window->mine().kit()->cameras.size(), 1u) << "kept for every shoot";
    window->showView("kit");
    EXPECT_NE(next().find("Next its own curve"), std::string::npos) << next();
    // A first answer: a scene, its setup, and a verdict that says what it does not know.
    window->showView("brief");
    window->view<BriefView>().beginScene();
    auto& line = the<QLineEdit>("scene-line");
    QTest::keyClicks(&line, QStringLiteral("1A quay ext 4000cd/m2"));
    QTest::keyClick(&line, Qt::Key_Return);
    ASSERT_EQ(shoot().setups.size(), 1u) << said();
    const auto* verdict = window->document().verdict();
    ASSERT_TRUE(verdict && verdict->evaluation);
    EXPECT_TRUE(verdict->find("camera-guessed"));
}

TEST_F(FirstStart, MarksMoveARateToItsOwnRowAndBack) {
    bring().beginWith(BodyKind::Pocket);
    auto& lattice = bring().lattice();
    ASSERT_EQ(lattice.modes().size(), 2u);
    ASSERT_EQ(lattice.modes()[0].line.rates.size(), 6u);
    lattice.setFocus();
    for (int i = 0; i < 5; ++i)
        QTest::keyClick(&lattice, Qt::Key_Right);
    EXPECT_EQ(lattice.rate(), FrameRate{Rational(60000, 1001)});
    enterLine("own-crop", "much");
    EXPECT_NE(said().find("crop such as 1.5"), std::string::npos) << said();
    enterLine("own-crop", "1.5");
    ASSERT_EQ(lattice.modes().size(), 3u);
    EXPECT_EQ(lattice.modes()[0].line.rates.size(), 5u);
    EXPECT_EQ(lattice.modes()[1].line.crop, Magnification(1.5));
    ASSERT_TRUE(lattice.mode());
    EXPECT_EQ(lattice.mode()->line.crop, Magnification(1.5)) << "the cell is followed";
    enterLine("own-limit", "20 min");
    the<QCheckBox>("own-sound").click();
    EXPECT_EQ(lattice.modes()[1].line.clipLimit, Seconds(1200));
    EXPECT_FALSE(lattice.modes()[1].line.sound);
    // The whole row loses its autofocus; the mark taken off again, the rows are one.
    QTest::keyClick(&lattice, Qt::Key_Up);
    the<QCheckBox>("own-row").click();
    the<QCheckBox>("own-focus").click();
    EXPECT_FALSE(lattice.modes()[0].line.autofocus);
    EXPECT_EQ(lattice.modes()[0].line.rates.size(), 5u);
    the<QCheckBox>("own-focus").click();
    QTest::keyClick(&lattice, Qt::Key_Down);
    enterLine("own-crop", "none");
    enterLine("own-limit", "none");
    the<QCheckBox>("own-sound").click();
    EXPECT_EQ(lattice.modes().size(), 2u);
    EXPECT_EQ(lattice.modes()[0].line.rates.size(), 6u);
}

TEST_F(FirstStart, WhatWasDoneIsSteppedBackFrom) {
    bring().beginWith(BodyKind::Hybrid);
    auto& lattice = bring().lattice();
    const auto usual = bring().own();
    lattice.setFocus();
    QTest::keyClick(&lattice, Qt::Key_Return);
    enterLine("own-bit-rate", "170");
    enterLine("ask-readout", "18");
    the<QLineEdit>("own-name").setText(QStringLiteral("Knot"));
    const auto edited = bring().own();
    EXPECT_NE(edited, usual);
    the<QPushButton>("own-again").click();
    EXPECT_TRUE(lattice.modes().empty());
    lattice.setFocus();
    QTest::keyClick(&lattice, Qt::Key_Backspace);
    EXPECT_EQ(bring().own(), edited) << "nothing was lost";
    EXPECT_EQ(the<QLineEdit>("own-name").text(), QStringLiteral("Knot"));
    EXPECT_EQ(the<QLineEdit>("ask-readout").text(), QStringLiteral("18"));
    QTest::keyClick(&lattice, Qt::Key_Backspace);
    EXPECT_EQ(the<QLineEdit>("own-name").text(), QString()) << "the name is a step";
    QTest::keyClick(&lattice, Qt::Key_Backspace);
    EXPECT_TRUE(bring().own().answers.empty());
    EXPECT_EQ(the<QLineEdit>("ask-readout").text(), QString());
    QTest::keyClick(&lattice, Qt::Key_Backspace);
    EXPECT_EQ(bring().own(), usual);
    for (int i = 0; i < 4; ++i)
        QTest::keyClick(&lattice, Qt::Key_Backspace);
    EXPECT_NE(said().find("nothing to step back to"), std::string::npos) << said();
}

TEST_F(FirstStart, ACameraOfTheKitIsRefinedAndKeepsWhatTheLatticeDoesNotShow) {
    ASSERT_TRUE(window->files().openDemo().ok());
    window->showView("kit");
    window->view<KitView>().choose(KitPart::Camera, "tarn-6");
    const auto before = *findCamera(shoot().kit, "tarn-6");
    the<QPushButton>("gear-refine").click();
    ASSERT_EQ(window->page(), &bring());
    ASSERT_EQ(bring().lattice().modes().size(), before.modes.size());
    the<QCheckBox>("own-keep").setChecked(false);
    // Taken back unchanged it is the same camera.
    the<QPushButton>("own-take").click();
    EXPECT_EQ(*findCamera(shoot().kit, "tarn-6"), before);
    EXPECT_FALSE(window->document().isModified());
    bring().refine("tarn-6");
    bring().lattice().setFocus();
    QTest::keyClick(&bring().lattice(), Qt::Key_Return);
    enterLine("own-bit-rate", "333");
    enterLine("ask-draw", "31 W");
    the<QPushButton>("own-take").click();
    const auto& after = *findCamera(shoot().kit, "tarn-6");
    EXPECT_EQ(after.draw, Watts(31));
    EXPECT_EQ(after.modes[0].rates[0].bitRate, DataRate(333e6));
    EXPECT_EQ(after.modes[0].id, before.modes[0].id);
    EXPECT_EQ(after.modes[0].profiles, before.modes[0].profiles);
    EXPECT_EQ(after.modes[0].codec, before.modes[0].codec);
    EXPECT_TRUE(std::equal(after.modes.begin() + 1, after.modes.end(), before.modes.begin() + 1));
    EXPECT_TRUE(window->mine().isEmpty()) << "only when it is asked to";
}

} // namespace
} // namespace bslate::app
