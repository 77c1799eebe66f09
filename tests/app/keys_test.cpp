// What the key sheet promises of each step, pressed key by key.
#include "app/document/text.h"
#include "app/views/brief/brief_view.h"
#include "app/views/brief/days_band.h"
#include "app/views/media/media_view.h"
#include "app/views/record/lattice_canvas.h"
#include "app/views/record/record_view.h"
#include "app/window_fixture.h"

#include <QComboBox>
#include <QHelpEvent>
#include <QSignalSpy>
#include <QToolTip>
#include <QWheelEvent>

namespace bslate::app {
namespace {

class Keys : public WindowTest {
protected:
    void press(QWidget& on, Qt::Key code, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        on.setFocus();
        QTest::keyClick(&on, code, modifiers);
    }
    [[nodiscard]] const Shoot& shoot() const { return window->document().shoot(); }
    void undo() { window->document().undoStack().undo(); }
};

class MediaKeys : public Keys {
protected:
    void SetUp() override {
        window->showView("media");
        window->planner().chooseDay(2);
        window->planner().settle();
    }
    MediaView& view() { return window->view<MediaView>(); }
    DayTimeline& picture() { return view().timeline(); }
    const DayPlan& plan() { return window->planner().plan(); }
    Seconds span() { return picture().geometry().to() - picture().geometry().from(); }
};

TEST_F(MediaKeys, ArrowsChooseTakeAndCameraAndStopAtTheEnds) {
    ASSERT_GT(plan().takes.size(), 1u);
    view().chooseTake(toQt(plan().takes.front().id), 0);
    press(view(), Qt::Key_Left);
    EXPECT_EQ(view().take(), toQt(plan().takes.front().id)) << "nothing before the first";
    press(view(), Qt::Key_Right);
    EXPECT_EQ(view().take(), toQt(plan().takes[1].id));
    for (std::size_t i = 0; i < plan().takes.size() + 2; ++i)
        press(view(), Qt::Key_Right);
    EXPECT_EQ(view().take(), toQt(plan().takes.back().id));
    const int lanes = static_cast<int>(plan().cards.lanes.size());
    for (int i = 0; i < lanes + 2; ++i)
        press(view(), Qt::Key_Down);
    EXPECT_EQ(picture().chosenLane(), lanes - 1);
    for (int i = 0; i < lanes + 2; ++i)
        press(view(), Qt::Key_Up);
    EXPECT_EQ(picture().chosenLane(), 0);
}

TEST_F(MediaKeys, AltArrowsMoveTheTakeFiveMinutesAndAreTakenBack) {
    const auto id = plan().takes.back().id;
    const auto startOf = [&] {
        for (const auto& take : plan().takes)
            if (take.id == id)
                return take.start;
        return Seconds(-1);
    };
    view().chooseTake(toQt(id));
    const Seconds before = startOf();
    press(view(), Qt::Key_Right, Qt::AltModifier);
    window->planner().settle();
    EXPECT_EQ(startOf(), before + Seconds(300));
    press(view(), Qt::Key_Left, Qt::AltModifier);
    window->planner().settle();
    EXPECT_EQ(startOf(), before);
    undo();
    undo();
    window->planner().settle();
    EXPECT_EQ(startOf(), before);
}

TEST_F(MediaKeys, ZoomFitsAgainAndPagesTurnTheDay) {
    const Seconds whole = span();
    press(view(), Qt::Key_Plus);
    EXPECT_NEAR(span().value(), whole.value() / 2, 1);
    press(view(), Qt::Key_Minus);
    EXPECT_NEAR(span().value(), whole.value(), 1);
    press(view(), Qt::Key_Equal);
    press(view(), Qt::Key_F);
    EXPECT_NEAR(span().value(), whole.value(), 1);
    press(view(), Qt::Key_PageUp);
    EXPECT_EQ(plan().day, 1);
    press(view(), Qt::Key_PageUp);
    EXPECT_EQ(plan().day, 1) << "there is none before it";
    press(view(), Qt::Key_PageDown);
    EXPECT_EQ(plan().day, 2);
    press(view(), Qt::Key_S);
    EXPECT_NE(said().find("takes already"), std::string::npos) << said();
}

TEST_F(MediaKeys, TheDaysFieldsTakeWhatTheySayAndRefuseTheRest) {
    enterLine("day-begins", "6:30");
    EXPECT_EQ(window->planner().day().start, Seconds(6.5 * 3600));
    enterLine("day-copies", "3");
    EXPECT_EQ(shoot().brief.copies, 3);
    enterLine("day-finished", "12 min");
    EXPECT_EQ(shoot().brief.finished, Seconds(720));
    enterLine("day-safe-by", "");
    EXPECT_FALSE(window->planner().day().safeBy);
    const auto before = shoot();
    const struct {
        const char *field, *typed, *says;
    } wrong[] = {{"day-copies", "5", "from 1 to 4"},
                 {"day-copies", "two", "from 1 to 4"},
                 {"day-begins", "25:00", "expected"},
                 {"day-finished", "long", "expected"}};
    for (const auto& entry : wrong) {
        enterLine(entry.field, entry.typed);
        EXPECT_NE(said().find(entry.says), std::string::npos) << entry.typed << ": " << said();
    }
    EXPECT_EQ(shoot(), before);
}

class RecordKeys : public Keys {
protected:
    void SetUp() override { window->showView("record"); }
    LatticeCanvas& lattice() { return *window->findChild<LatticeCanvas*>(); }
    [[nodiscard]] std::pair<std::string, double> at() {
        const auto* cell = lattice().cursor();
        return cell ? std::pair(cell->mode->id, cell->rate.toDouble()) : std::pair("", 0.0);
    }
};

TEST_F(RecordKeys, TheCursorWalksTheLatticeAndStaysInIt) {
    press(lattice(), Qt::Key_Home);
    const auto slowest = at();
    press(lattice(), Qt::Key_Left);
    EXPECT_EQ(at(), slowest);
    press(lattice(), Qt::Key_End);
    const auto fastest = at();
    EXPECT_GT(fastest.second, slowest.second);
    press(lattice(), Qt::Key_Left);
    EXPECT_LT(at().second, fastest.second);
    press(lattice(), Qt::Key_PageUp);
    const auto top = at();
    press(lattice(), Qt::Key_Up);
    EXPECT_EQ(at(), top);
    press(lattice(), Qt::Key_PageDown);
    EXPECT_NE(at().first, top.first);
    EXPECT_EQ(at().second, top.second) << "the rate is kept";
    press(lattice(), Qt::Key_Up);
    press(lattice(), Qt::Key_Up);
    EXPECT_NE(at().first, top.first);
}

TEST_F(RecordKeys, ACellSaysWhatItIsUnderThePointerAndADoubleClickTakesIt) {
    const auto box = lattice().boxOf("uhd-intra", {Rational(48, 1)});
    ASSERT_FALSE(box.isEmpty());
    const QPoint point = box.center().toPoint();
    QHelpEvent help(QEvent::ToolTip, point, lattice().mapToGlobal(point));
    QCoreApplication::sendEvent(&lattice(), &help);
    EXPECT_TRUE(QToolTip::text().contains(QStringLiteral("480 Mb/s")))
        << QToolTip::text().toStdString();
    QTest::mouseClick(&lattice(), Qt::LeftButton, {}, point);
    QTest::mouseDClick(&lattice(), Qt::LeftButton, {}, point);
    EXPECT_EQ(setup().rate, (FrameRate{Rational(48, 1)}));
    const auto before = shoot();
    QTest::mouseDClick(&lattice(), Qt::LeftButton, {}, QPoint(2, lattice().height() - 2));
    EXPECT_EQ(shoot(), before) << "beside the lattice nothing is taken";
}

class BriefKeys : public Keys {
protected:
    void SetUp() override { window->showView("brief"); }
    BriefView& view() { return window->view<BriefView>(); }
    DaysBand& days() { return *window->findChild<DaysBand*>(); }
};

TEST_F(BriefKeys, ArrowsWalkTheSlatesBothWays) {
    const auto first = view().sceneId();
    press(days(), Qt::Key_Right);
    const auto second = view().sceneId();
    EXPECT_NE(second, first);
    press(days(), Qt::Key_Left);
    EXPECT_EQ(view().sceneId(), first);
    press(days(), Qt::Key_Down);
    EXPECT_EQ(findScene(shoot(), fromQt(view().sceneId()))->day, 2);
    press(days(), Qt::Key_Up);
    EXPECT_EQ(findScene(shoot(), fromQt(view().sceneId()))->day, 1);
    for (int i = 0; i < 20; ++i)
        press(days(), Qt::Key_Left);
    EXPECT_FALSE(view().sceneId().isEmpty()) << "there is always one";
}

TEST_F(BriefKeys, ADoubleClickRewritesAndDeleteAsksWhoUsesIt) {
    const auto id = view().sceneId();
    QTest::mouseDClick(&days(), Qt::LeftButton, {}, days().boxOf(id).center().toPoint());
    auto* line = window->findChild<QLineEdit*>(QStringLiteral("scene-line"));
    ASSERT_TRUE(line);
    EXPECT_FALSE(line->text().isEmpty());
    QTest::keyClick(line, Qt::Key_Escape);
    const auto before = shoot();
    press(days(), Qt::Key_Delete);
    EXPECT_EQ(shoot(), before) << "a setup stands in it";
    EXPECT_FALSE(said().empty());
}

TEST_F(BriefKeys, EveryDecisionOfTheShootIsOneNamedStep) {
    const auto choose = [&](const char* name, int index) {
        auto* box = window->findChild<QComboBox*>(QString::fromLatin1(name));
        ASSERT_TRUE(box) << name;
        box->setCurrentIndex(index);
        emit box->activated(index);
    };
    const auto before = shoot();
    const struct {
        const char* step;
        std::function<void()> act;
        std::function<bool(const Brief&)> holds;
    } decisions[] = {
        {"Delivery colour", [&] { choose("brief-colour", 1); },
         [](const Brief& b) { return b.colour == DeliveryColour::Hlg; }},
        {"Mains", [&] { choose("brief-mains", 1); },
         [](const Brief& b) { return b.mains == Hertz(60); }},
        {"Turnaround", [&] { choose("brief-turnaround", 0); },
         [](const Brief& b) { return b.turnaround == Turnaround::SameDay; }},
        {"Delivery size", [&] { enterLine("brief-size", "1920 x 1080"); },
         [](const Brief& b) {
             return b.size == FrameSize{1920, 1080};
         }},
        {"Graded by", [&] { enterLine("brief-by", "the night desk"); },
         [](const Brief& b) { return b.gradedBy == "the night desk"; }},
        {"Air temperature", [&] { enterLine("brief-ambient", "31 C"); },
         [](const Brief& b) { return b.ambient == Celsius(31); }},
    };
    for (const auto& decision : decisions) {
        decision.act();
        EXPECT_TRUE(decision.holds(shoot().brief)) << decision.step << said();
        EXPECT_EQ(fromQt(window->document().undoStack().undoText()), decision.step);
        undo();
        EXPECT_EQ(shoot(), before) << decision.step;
    }
}

TEST_F(Keys, OnLightEachLetterOpensItsBlockForTyping) {
    const struct {
        Qt::Key key;
        LightTrain::Link link;
    } typed[] = {{Qt::Key_I, LightTrain::Iris},
                 {Qt::Key_D, LightTrain::Nd},
                 {Qt::Key_S, LightTrain::ShutterLink},
                 {Qt::Key_E, LightTrain::Rated},
                 {Qt::Key_M, LightTrain::Key}};
    const auto before = shoot();
    for (const auto& one : typed) {
        key(one.key);
        auto* edit = block(one.link).findChild<QLineEdit*>();
        ASSERT_TRUE(edit);
        EXPECT_TRUE(edit->isVisible()) << one.link;
        QTest::keyClick(edit, Qt::Key_Escape);
    }
    EXPECT_EQ(shoot(), before);
    key(Qt::Key_BracketLeft);
    const auto shorter = exposureTime(setup().shutter, setup().rate);
    key(Qt::Key_BracketRight);
    EXPECT_GT(exposureTime(setup().shutter, setup().rate), shorter);
    const auto patches = window->document().scene()->patches.size();
    key(Qt::Key_Insert);
    EXPECT_EQ(window->document().scene()->patches.size(), patches + 1);
    key(Qt::Key_G);
    EXPECT_TRUE(window->view<LightView>().canvas().ghost());
    key(Qt::Key_G);
    EXPECT_FALSE(window->view<LightView>().canvas().ghost());
}

TEST_F(Keys, TheWheelTurnsABlockOnlyWhereTheHandIs) {
    auto& iris = block(LightTrain::Iris);
    const auto turn = [&](int notches) {
        const QPointF at = iris.rect().center();
        QWheelEvent event(at, iris.mapToGlobal(at), {}, QPoint(0, 120 * notches), Qt::NoButton,
                          Qt::NoModifier, Qt::NoScrollPhase, false);
        QCoreApplication::sendEvent(&iris, &event);
    };
    const auto before = setup().iris;
    window->view<LightView>().setFocus();
    turn(1);
    EXPECT_EQ(setup().iris, before) << "a page that is scrolled changes nothing";
    iris.setFocus();
    turn(1);
    const auto stopped = setup().iris;
    EXPECT_NE(stopped, before);
    turn(-1);
    EXPECT_EQ(setup().iris, before);
    QTest::keyClick(&iris, Qt::Key_Right);
    EXPECT_EQ(setup().iris, stopped);
    QTest::keyClick(&iris, Qt::Key_Left);
    EXPECT_EQ(setup().iris, before);
}

} // namespace
} // namespace bslate::app
