// The Media step in the real window: a day planned by keys and by dragging, slipping and
// recovering.
#include "app/document/text.h"
#include "app/shell/day_panel.h"
#include "app/shell/finding_row.h"
#include "app/views/card/card_dialog.h"
#include "app/views/media/media_view.h"
#include "app/window_fixture.h"
#include "core/shoot/take_line.h"

#include <QClipboard>
#include <QGuiApplication>
#include <QLabel>
#include <QPushButton>

namespace bslate::app {
namespace {

class MediaStep : public WindowTest {
protected:
    void SetUp() override {
        window->showView("media");
        window->planner().chooseDay(2);
        settle();
    }
    MediaView& view() { return window->view<MediaView>(); }
    DayTimeline& picture() { return view().timeline(); }
    const DayPlan& plan() { return window->planner().plan(); }
    const ShootDay& day() { return window->planner().day(); }
    void settle() { window->planner().settle(); }
    void press(Qt::Key code, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        view().setFocus();
        QTest::keyClick(&view(), code, modifiers);
    }
    void enter(const char* name, const char* text) {
        enterLine(name, text);
        settle();
    }
    std::string field(const char* name) {
        return fromQt(view().findChild<QLineEdit*>(QString::fromLatin1(name))->text());
    }
    void chooseTake(const char* title, int lane = -1) {
        for (const auto& take : plan().takes)
            if (take.title == title)
                return view().chooseTake(toQt(take.id), lane);
        ADD_FAILURE() << title;
    }
    FindingRow* finding(std::string_view id) {
        for (auto* row : window->dayPanel().findings().rows())
            if (kindOf(row->finding().id).key == id)
                return row;
        return nullptr;
    }
    std::string note() { return fromQt(window->notice().findChild<QLabel*>()->text()); }
    std::string unitAt(const char* title, int lane) {
        for (const auto& use : plan().cards.plan.uses) {
            const auto& of = plan().cards.lanes[static_cast<std::size_t>(use.lane)];
            const auto take = of.takes[static_cast<std::size_t>(use.demand)];
            if (use.lane == lane && plan().takes[static_cast<std::size_t>(take)].title == title)
                return plan().cards.unitLabels[static_cast<std::size_t>(use.unit)];
        }
        return {};
    }
    void drag(QPoint from, QPoint to) {
        QTest::mousePress(&picture(), Qt::LeftButton, {}, from);
        for (int step = 1; step <= 4; ++step)
            QTest::mouseMove(&picture(), from + (to - from) * step / 4);
        QTest::mouseRelease(&picture(), Qt::LeftButton, {}, to);
    }
};

TEST_F(MediaStep, TheRemedyOnTheVerdictLetsTheInterviewRun) {
    auto* clip = finding("day-clip-limit");
    ASSERT_TRUE(clip);
    EXPECT_TRUE(finding("day-safe"));
    const auto buttons = clip->findChildren<QPushButton*>();
    ASSERT_TRUE(buttons[0]->accessibleName().contains(QStringLiteral("UHD long 8-bit")))
        << buttons[0]->accessibleName().toStdString();
    QTest::mouseClick(buttons[0], Qt::LeftButton);
    settle();
    EXPECT_FALSE(finding("day-clip-limit"));
    EXPECT_TRUE(finding("day-whole"));
    window->document().undoStack().undo();
    settle();
    ASSERT_TRUE(finding("day-clip-limit"));
    // Or it is taken on purpose, with a reason that is remembered with the day.
    window->dayPanel().findings().accepted({QStringLiteral("day-clip-limit:t7")},
                                           QStringLiteral("the editor cuts there"));
    settle();
    ASSERT_EQ(day().accepted.size(), 1u);
    EXPECT_TRUE(finding("day-clip-limit")->finding().accepted);
}

TEST_F(MediaStep, TheDaySlipsAndRecovers) {
    const auto uses = plan().cards.plan.uses;
    chooseTake("3A");
    const QString first = view().take();
    for (int i = 0; i < 5; ++i)
        press(Qt::Key_Right);
    EXPECT_NE(view().take(), first);
    // The last take of the workshop ran 230 minutes: the interview begins late and still runs.
    press(Qt::Key_E);
    enter("take-really", "10:15 230min");
    ASSERT_TRUE(day().takes[5].ran);
    EXPECT_EQ(plan().takes[6].start, Seconds(10.25 * 3600 + 230 * 60 + 1800));
    EXPECT_TRUE(finding("day-take-late"));
    EXPECT_TRUE(plan().takes[5].done);
    EXPECT_EQ(plan().cards.plan.cost.broken, Seconds(0));
    // 414 GB on the 512 GB card leave no room for the interview: another one, and marked.
    EXPECT_FALSE(window->planner().changedCards().empty());
    EXPECT_NE(unitAt("4A+4B", 0), "C1");
    // The card in the main slot dies inside it.
    chooseTake("5A", 0);
    const auto dying = unitAt("5A", 0);
    press(Qt::Key_X);
    settle();
    ASSERT_EQ(day().failures.size(), 1u);
    EXPECT_NE(unitAt("5A", 0), dying);
    EXPECT_TRUE(finding("day-card-failed") || finding("day-card-failed-empty"));
    // Three undo steps and the day is as it was planned.
    window->document().undoStack().undo();
    window->document().undoStack().undo();
    settle();
    EXPECT_EQ(plan().cards.plan.uses, uses);
}

TEST_F(MediaStep, TakesAreDraggedTypedAndNudged) {
    picture().fit();
    const auto id = QStringLiteral("t8"); // 6A at 17:00
    const auto start = plan().takes[7].start;
    const auto box = picture().takeBox(id);
    const QPoint grip = box.center().toPoint();
    const int hour = int(picture().geometry().x(Seconds(19 * 3600)) -
                         picture().geometry().x(Seconds(18 * 3600)));
    drag(grip, grip + QPoint(hour, 0));
    settle();
    EXPECT_NEAR((plan().takes[7].start - start).value(), 3600, 120);
    EXPECT_EQ(window->document().undoStack().count(), 1) << "one gesture, one step";
    window->document().undoStack().undo();
    settle();
    EXPECT_EQ(plan().takes[7].start, start);
    chooseTake("6A");
    press(Qt::Key_Right, Qt::AltModifier);
    settle();
    EXPECT_EQ(plan().takes[7].start, start + Seconds(300));
    press(Qt::Key_Insert);
    enter("take-line", "6A 3min gap0 gulls");
    ASSERT_EQ(plan().takes.size(), 13u);
    EXPECT_EQ(day().takes[8].name, "gulls") << "after the chosen one";
    EXPECT_EQ(fromQt(view().take()), day().takes[8].id);
    const auto before = window->document().shoot();
    enter("take-line", "9Z 3min");
    EXPECT_NE(note().find("9Z"), std::string::npos) << note();
    EXPECT_EQ(window->document().shoot(), before) << "the old value stays";
    EXPECT_EQ(field("take-line"), "6A 3min gap0 gulls");
    press(Qt::Key_W);
    settle();
    EXPECT_TRUE(day().takes[8].whole);
    press(Qt::Key_Delete);
    settle();
    EXPECT_EQ(plan().takes.size(), 12u);
    enter("day-begins", "25:99");
    EXPECT_EQ(field("day-begins"), "08:00");
    enter("day-safe-by", "21:30");
    EXPECT_TRUE(finding("day-safe-late"));
}

TEST_F(MediaStep, CardsAreDraggedOntoTakesAndRefusedWithAReason) {
    const auto chip = [&](const char* label) {
        for (std::size_t unit = 0; unit < plan().cards.unitLabels.size(); ++unit)
            if (plan().cards.unitLabels[unit] == label)
                return picture().geometry().chip(static_cast<int>(unit)).center().toPoint();
        return QPoint();
    };
    const auto laneOf = [&](int lane, Seconds at) {
        for (const auto& row : picture().geometry().rows())
            if (row.kind == DayRowKind::Cards && row.lane == lane)
                return QPointF(picture().geometry().x(at), row.top + row.height / 2).toPoint();
        return QPoint();
    };
    const Seconds inInterview(13.5 * 3600);
    EXPECT_EQ(unitAt("4A+4B", 0), "C1");
    drag(chip("C2"), laneOf(0, inInterview));
    settle();
    EXPECT_EQ(unitAt("4A+4B", 0), "C2") << note();
    const auto before = window->document().shoot();
    drag(chip("C2"), laneOf(2, inInterview));
    EXPECT_NE(note().find("fits no slot of Sedge 2"), std::string::npos) << note();
    drag(chip("S5"), laneOf(2, inInterview));
    EXPECT_NE(note().find("it holds 64 GB"), std::string::npos) << note();
    EXPECT_EQ(window->document().shoot(), before);
    // By key and typed: C, the label, Return; empty lets the plan choose again.
    chooseTake("4A+4B", 2);
    press(Qt::Key_C);
    enter("take-card", "s4");
    EXPECT_EQ(unitAt("4A+4B", 2), "S4");
    enter("take-card", "Z9");
    EXPECT_NE(note().find("No card is called Z9"), std::string::npos) << note();
    enter("take-card", "");
    EXPECT_TRUE(std::none_of(day().takes[6].cards.begin(), day().takes[6].cards.end(),
                             [](const CardPin& pin) { return pin.card == "sd-v60:4"; }));
}

TEST_F(MediaStep, ThePackListIsPrintedAndTheDayIsRead) {
    press(Qt::Key_P);
    auto* list = window->findChild<CardDialog*>(QStringLiteral("pack-list"));
    ASSERT_TRUE(list);
    list->copyText();
    const auto text = QGuiApplication::clipboard()->text();
    EXPECT_TRUE(text.contains(QStringLiteral("SD V60 128 GB"))) << text.toStdString();
    EXPECT_TRUE(text.contains(QStringLiteral("day 2 Sedge 2: 4A+4B")));
    EXPECT_TRUE(text.contains(QStringLiteral("swollen")));
    list->savePdf(file("pack.pdf"));
    EXPECT_GT(QFileInfo(file("pack.pdf")).size(), 1000);
    list->close();
    chooseTake("4A+4B");
    const auto spoken = QAccessible::queryAccessibleInterface(&picture())->text(QAccessible::Value);
    EXPECT_TRUE(spoken.contains(QStringLiteral("13:00"))) << spoken.toStdString();
    EXPECT_TRUE(spoken.contains(QStringLiteral("must not be interrupted")));
    press(Qt::Key_PageUp);
    settle();
    EXPECT_EQ(plan().day, 1);
    const double whole = (picture().geometry().to() - picture().geometry().from()).value();
    for (int i = 0; i < 12; ++i)
        press(Qt::Key_Plus);
    EXPECT_EQ((picture().geometry().to() - picture().geometry().from()).value(), 60);
    press(Qt::Key_F);
    EXPECT_EQ((picture().geometry().to() - picture().geometry().from()).value(), whole);
    window->style().setTheme(Theme::Paper);
    EXPECT_FALSE(window->grab().isNull());
}

TEST_F(MediaStep, AnEmptyShootTeachesAndScenesFillTheDay) {
    window->document().reset(Shoot{}, {});
    settle();
    auto* summary = view().findChild<QLabel*>(QStringLiteral("day-summary"));
    EXPECT_TRUE(summary->text().contains(QStringLiteral("Insert")));
    press(Qt::Key_S);
    EXPECT_NE(note().find("no scenes"), std::string::npos) << note();
    press(Qt::Key_P);
    EXPECT_NE(note().find("No day has takes"), std::string::npos) << note();
    EXPECT_TRUE(window->files().openDemo().ok());
    auto shoot = window->document().shoot();
    shoot.plan.clear();
    window->document().edit(QStringLiteral("no plan"), shoot);
    window->planner().chooseDay(2);
    settle();
    QTest::mouseClick(view().findChild<QPushButton*>(QStringLiteral("day-fill")), Qt::LeftButton);
    settle();
    // 45 min by 8, 70 whole, 30 by 10, 20 by 15.
    EXPECT_EQ(plan().takes.size(), 6u + 1 + 2 + 3);
    EXPECT_EQ(fromQt(window->document().undoStack().undoText()), "Takes from the scenes");
}

TEST_F(MediaStep, AHugeDayIsPlannedAsideAndCanBeStopped) {
    auto shoot = window->document().shoot();
    auto& takes = shoot.plan[1].takes;
    const auto model = takes[7];
    for (int i = 0; i < 400; ++i) {
        takes.push_back(model);
        takes.back().id = "more" + std::to_string(i);
        takes.back().at.reset();
        takes.back().length =
            Seconds(20 + (i * 37) % 181); // of every length: nothing is proven soon
        takes.back().gap = Seconds(90);
    }
    window->document().edit(QStringLiteral("many takes"), shoot);
    EXPECT_EQ(plan().takes.size(), 412u) << "a first plan is there at once";
    (void)QTest::qWaitFor([&] { return window->planner().isSearching(); }, 500);
    press(Qt::Key_Escape);
    settle();
    EXPECT_EQ(plan().takes.size(), 412u);
    EXPECT_FALSE(window->planner().isSearching());
}

} // namespace
} // namespace bslate::app
