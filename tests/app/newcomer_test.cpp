// A shoot of one's own from nothing, by keyboard: every step says what comes first, and its button
// does it, until there is a card to set a camera by.
#include "app/document/text.h"
#include "app/shell/next_bar.h"
#include "app/views/brief/brief_view.h"
#include "app/views/bring/bring_view.h"
#include "app/views/card/card_dialog.h"
#include "app/views/media/media_view.h"
#include "app/window_fixture.h"

#include <QLabel>

namespace bslate::app {
namespace {

class Newcomer : public WindowTest {
protected:
    void SetUp() override {
        startWithDemoKit();
        window->showView("light");
    }
    std::string next() { return window->next().sentence().toStdString(); }
    void doIt() {
        auto* button = window->next().findChild<QPushButton*>(QStringLiteral("next-do"));
        ASSERT_TRUE(button->isVisible());
        button->setFocus();
        QTest::keyClick(button, Qt::Key_Space);
    }
    void type(const char* text) {
        auto* line = QApplication::focusWidget();
        ASSERT_TRUE(line);
        QTest::keyClicks(line, QString::fromUtf8(text));
        QTest::keyClick(line, Qt::Key_Return);
    }
    const bslate::Shoot& shoot() { return window->document().shoot(); }
};

TEST_F(Newcomer, EveryStepSaysWhatComesFirst) {
    for (const auto& step : window->steps()) {
        window->showStep(step.number);
        EXPECT_EQ(next().empty(), step.work == Work::Kit) << step.plainName().toStdString();
        EXPECT_FALSE(
            window->next().findChild<QPushButton*>(QStringLiteral("next-do"))->text().isEmpty());
    }
    // On the demo there is nothing of it.
    ASSERT_TRUE(window->files().openDemo().ok());
    for (const auto& step : window->steps()) {
        window->showStep(step.number);
        EXPECT_EQ(next(), "") << step.plainName().toStdString();
    }
}

TEST_F(Newcomer, FromNothingToADialInCardAndAPlannedDay) {
    EXPECT_NE(next().find("First a scene"), std::string::npos) << next();
    doIt();
    EXPECT_EQ(window->page(), &window->view<BriefView>());
    // A wrong entry first: it is told, stays in the line, and is left alone once it is mended.
    type("to EV99 in 0min");
    EXPECT_TRUE(shoot().scenes.empty());
    EXPECT_FALSE(said().empty());
    QTest::qWait(600);
    qobject_cast<QLineEdit*>(QApplication::focusWidget())->clear();
    type("2A pier ext 1200cd/m2 talk 12min");
    ASSERT_EQ(shoot().scenes.size(), 1u) << said();
    EXPECT_EQ(said(), "") << "a refusal does not outlive its cure";
    ASSERT_EQ(shoot().setups.size(), 1u) << "its number made a setup";
    window->showView("light");
    EXPECT_EQ(next(), "");
    EXPECT_FALSE(window->document().verdict()->findings.empty());
    window->showView("media");
    EXPECT_NE(next().find("No day has takes yet"), std::string::npos) << next();
    doIt();
    window->planner().settle();
    EXPECT_EQ(next(), "");
    ASSERT_EQ(shoot().plan.size(), 1u);
    EXPECT_FALSE(window->planner().plan().takes.empty());
    auto* card = window->makeCard();
    ASSERT_TRUE(card) << said();
    card->copyText();
    delete card;
    // Undone to the last step, the shoot is as empty as it was, and says so again.
    while (window->document().undoStack().canUndo())
        window->document().undoStack().undo();
    EXPECT_TRUE(shoot().scenes.empty());
    EXPECT_NE(next().find("First a scene"), std::string::npos) << next();
}

TEST_F(Newcomer, WithoutACameraOneIsBroughtInFirst) {
    auto bare = shoot();
    bare.kit = {};
    ASSERT_TRUE(window->document().edit(QStringLiteral("bare"), bare));
    EXPECT_NE(next().find("First a camera"), std::string::npos) << next();
    doIt();
    EXPECT_EQ(window->page(), &window->view<BringView>());
    EXPECT_EQ(next(), "") << "this page is the next thing";
    window->showView("body-test");
    EXPECT_NE(next().find("First a camera"), std::string::npos) << next();
    window->showView("brief");
    EXPECT_NE(next().find("First a scene"), std::string::npos)
        << "a scene may be typed without one: " << next();
}

TEST_F(Newcomer, ASceneWithoutASetupOffersOne) {
    window->showView("brief");
    type("pier ext 1200cd/m2");
    ASSERT_EQ(shoot().scenes.size(), 1u) << said();
    ASSERT_TRUE(shoot().setups.empty());
    for (const char* page : {"cadence", "light", "record", "media"}) {
        window->showView(QString::fromLatin1(page));
        EXPECT_NE(next().find("First a setup"), std::string::npos) << page << ": " << next();
    }
    doIt();
    EXPECT_EQ(shoot().setups.size(), 1u);
}

TEST_F(Newcomer, InsertTypesTheFirstScene) {
    window->showView("brief");
    window->view<BriefView>().setFocus();
    QTest::keyClick(&window->view<BriefView>(), Qt::Key_Insert);
    EXPECT_EQ(QApplication::focusWidget()->objectName(), QStringLiteral("scene-line"));
}

} // namespace
} // namespace bslate::app
