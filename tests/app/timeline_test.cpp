// The day's picture by mouse alone: cards from their shelf, takes, the wheel, and what it says of
// the place under the pointer.
#include "app/document/text.h"
#include "app/views/media/media_view.h"
#include "app/window_fixture.h"

#include <QAccessible>
#include <QHelpEvent>
#include <QToolTip>
#include <QWheelEvent>

namespace bslate::app {
namespace {

class Timeline : public WindowTest {
protected:
    void SetUp() override {
        window->showView("media");
        window->planner().chooseDay(2);
        window->planner().settle();
        picture().fit();
    }
    DayTimeline& picture() { return window->view<MediaView>().timeline(); }
    const DayPlan& plan() { return window->planner().plan(); }
    const ShootDay& day() { return window->planner().day(); }

    void drag(QPointF from, QPointF to) {
        QTest::mousePress(&picture(), Qt::LeftButton, {}, from.toPoint());
        for (int step = 1; step <= 5; ++step)
            QTest::mouseMove(&picture(), (from + (to - from) * step / 5).toPoint());
        QTest::mouseRelease(&picture(), Qt::LeftButton, {}, to.toPoint());
        window->planner().settle();
    }
    QPointF chipOf(int unit) { return picture().geometry().chip(unit).center(); }
    // The middle of a demand of the cards.
    QPointF placeOf(CardPlace place) {
        const auto& lanes = plan().cards.problem.lanes;
        const auto& demand = lanes[static_cast<std::size_t>(place.lane)]
                                 .demands[static_cast<std::size_t>(place.demand)];
        for (const auto& row : picture().geometry().rows())
            if (row.kind == DayRowKind::Cards && row.lane == place.lane)
                return picture().geometry().box(row, demand.start, demand.end).center();
        ADD_FAILURE() << "no such row";
        return {};
    }
    int unitAt(CardPlace place) {
        for (const auto& use : plan().cards.plan.uses)
            if (use.lane == place.lane && use.demand == place.demand)
                return use.unit;
        return -1;
    }
    // Another unit of the same kind, which therefore fits.
    int otherLike(int unit) {
        const auto& problem = plan().cards.problem;
        for (int other = 0; other < static_cast<int>(plan().cards.unitIds.size()); ++other)
            if (other != unit && problem.kindOf(other) == problem.kindOf(unit))
                return other;
        ADD_FAILURE() << "only one of its kind";
        return unit;
    }
    QString tipAt(QPointF point) {
        QHelpEvent help(QEvent::ToolTip, point.toPoint(), picture().mapToGlobal(point.toPoint()));
        QCoreApplication::sendEvent(&picture(), &help);
        return QToolTip::text();
    }
    void turnWheel(QPointF at, QPoint angle) {
        QWheelEvent event(at, picture().mapToGlobal(at), {}, angle, Qt::NoButton, Qt::NoModifier,
                          Qt::NoScrollPhase, false);
        QCoreApplication::sendEvent(&picture(), &event);
    }
    Seconds span() { return picture().geometry().to() - picture().geometry().from(); }
};

TEST_F(Timeline, ACardIsDraggedOntoATakeAndStaysThere) {
    const CardPlace place = *cardPlace(plan(), plan().takes[0].id, plan().takes[0].setups[0]);
    const int other = otherLike(unitAt(place));
    const auto wanted = plan().cards.unitIds[static_cast<std::size_t>(other)];
    drag(chipOf(other), placeOf(place));
    ASSERT_EQ(day().takes[0].cards.size(), 1u) << said();
    EXPECT_EQ(day().takes[0].cards[0].card, wanted);
    EXPECT_EQ(unitAt(place), other);
    window->document().undoStack().undo();
    window->planner().settle();
    EXPECT_TRUE(day().takes[0].cards.empty());
}

TEST_F(Timeline, ACardThatCannotBeThereIsRefusedWithTheReason) {
    const auto before = window->document().shoot();
    const CardPlace place = *cardPlace(plan(), plan().takes[0].id, plan().takes[0].setups[0]);
    int tried = 0;
    for (int unit = 0; unit < static_cast<int>(plan().cards.unitIds.size()) && !tried; ++unit)
        if (cardRefusal(before, day(), plan(), place, unit)) {
            drag(chipOf(unit), placeOf(place));
            ++tried;
        }
    ASSERT_EQ(tried, 1);
    EXPECT_EQ(window->document().shoot(), before);
    EXPECT_EQ(said().substr(0, 11), "Not there: ") << said();
    EXPECT_EQ(said().find('{'), std::string::npos) << said();
}

TEST_F(Timeline, ACardDroppedBesideEverythingDoesNothing) {
    const auto before = window->document().shoot();
    drag(chipOf(0), QPointF(picture().width() - 3.0, 4));
    EXPECT_EQ(window->document().shoot(), before);
}

TEST_F(Timeline, TheWheelZoomsAboutThePointerAndSlides) {
    const QPointF at(picture().width() / 3.0, 120);
    const Seconds whole = span(), under = picture().geometry().timeAt(at.x());
    turnWheel(at, {0, 480});
    EXPECT_NEAR(span().value(), whole.value() / 2, 1) << "a notch of four is an octave";
    EXPECT_NEAR(picture().geometry().timeAt(at.x()).value(), under.value(), 1);
    const Seconds from = picture().geometry().from();
    turnWheel(at, {-120, 0});
    EXPECT_GT(picture().geometry().from(), from);
    for (int i = 0; i < 60; ++i)
        turnWheel(at, {0, -480});
    EXPECT_LE(span().value(), whole.value() + 1) << "never further out than the day";
    for (int i = 0; i < 200; ++i)
        turnWheel(at, {0, 480});
    EXPECT_GT(span().value(), 59) << "never further in than a minute or so";
}

TEST_F(Timeline, EmptyGroundIsTakenHoldOfAndSlides) {
    turnWheel({picture().width() / 2.0, 120}, {0, 480});
    const Seconds from = picture().geometry().from();
    double ground = 0; // of a row in which nothing is taken hold of
    for (const auto& row : picture().geometry().rows())
        if (row.kind == DayRowKind::Safe)
            ground = row.top + row.height / 2;
    ASSERT_GT(ground, 0);
    drag({picture().width() / 2.0, ground}, {picture().width() / 2.0 - 100, ground});
    EXPECT_GT(picture().geometry().from(), from);
}

TEST_F(Timeline, SaysWhatIsUnderThePointer) {
    const auto& take = plan().takes[0];
    const QString ofTake = tipAt(picture().takeBox(toQt(take.id)).center());
    EXPECT_TRUE(ofTake.startsWith(toQt(take.title))) << ofTake.toStdString();
    EXPECT_TRUE(ofTake.contains(QStringLiteral(" to "))) << ofTake.toStdString();
    const CardPlace place = *cardPlace(plan(), take.id, take.setups[0]);
    const QString ofCard = tipAt(placeOf(place));
    const auto name = plan().cards.unitNames[static_cast<std::size_t>(unitAt(place))];
    EXPECT_TRUE(ofCard.startsWith(toQt(name))) << ofCard.toStdString();
    EXPECT_TRUE(ofCard.contains(QStringLiteral("GB"))) << ofCard.toStdString();
    EXPECT_EQ(tipAt(chipOf(0)), toQt(plan().cards.unitNames[0]));
}

TEST_F(Timeline, AssistiveTechnologyHearsTheChosenTakeWithItsCards) {
    const auto& take = plan().takes[0];
    QTest::mouseClick(&picture(), Qt::LeftButton, {},
                      picture().takeBox(toQt(take.id)).center().toPoint());
    EXPECT_EQ(picture().chosenTake(), toQt(take.id));
    const QString heard =
        QAccessible::queryAccessibleInterface(&picture())->text(QAccessible::Value);
    EXPECT_TRUE(heard.contains(toQt(take.title))) << heard.toStdString();
    const CardPlace place = *cardPlace(plan(), take.id, take.setups[0]);
    EXPECT_TRUE(
        heard.contains(toQt(plan().cards.unitLabels[static_cast<std::size_t>(unitAt(place))])))
        << heard.toStdString();
}

// What is lost is seen where it is lost: coral over its part of the take and across every row.
TEST_F(Timeline, WhatCannotBeRecordedIsDrawnOverItsPartOfTheTake) {
    const auto coralIn = [&](const QRectF& box) {
        const auto image = picture().grab(box.toAlignedRect()).toImage();
        const QColor coral = m_style.colours().coral;
        int found = 0;
        for (int y = 0; y < image.height(); ++y)
            for (int x = 0; x < image.width(); ++x) {
                const QColor at = image.pixelColor(x, y);
                found += std::abs(at.red() - coral.red()) + std::abs(at.green() - coral.green()) +
                             std::abs(at.blue() - coral.blue()) <
                         30;
            }
        return found;
    };
    // Without readers and with one small card of each kind, takes run out of cards.
    auto shoot = window->document().shoot();
    shoot.kitFile.reset();
    shoot.kit.readers.clear();
    for (auto& card : shoot.kit.cards) {
        card.count = 1;
        card.capacity = DataSize(40e9);
    }
    window->document().edit(QStringLiteral("fewer cards"), shoot);
    window->planner().settle();
    ASSERT_FALSE(plan().cards.plan.shortfalls.empty());
    for (const auto& gap : plan().cards.plan.shortfalls)
        for (const auto& row : picture().geometry().rows()) {
            if (row.kind != DayRowKind::Cards || row.lane != gap.lane)
                continue;
            const auto& demand = plan()
                                     .cards.problem.lanes[static_cast<std::size_t>(gap.lane)]
                                     .demands[static_cast<std::size_t>(gap.demand)];
            const auto box = picture().geometry().box(row, gap.from, demand.end);
            EXPECT_GT(coralIn(box), 20) << gap.lane << " " << gap.demand;
        }
}

// "So far" stands where the last take really ended, and says by how much the day is late.
TEST_F(Timeline, TheHourOfTheDayIsDrawnOnceTakesHaveReallyRun) {
    const auto before = picture().grab().toImage();
    const auto& first = plan().takes.front();
    DayActions actions(window->document(), window->planner());
    actions.happened(toQt(first.id), QStringLiteral("55min"));
    window->planner().settle();
    picture().fit();
    EXPECT_NE(picture().grab().toImage(), before);
    const QString heard =
        QAccessible::queryAccessibleInterface(&picture())->text(QAccessible::Description);
    EXPECT_GT(plan().takes.front().end - plan().takes.front().start, Seconds(54 * 60.0))
        << heard.toStdString();
    EXPECT_GE(plan().takes[1].start, plan().takes.front().end) << "what follows waits";
}

} // namespace
} // namespace bslate::app
