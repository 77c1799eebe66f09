// The day behind its picture: geometry, planner and actions, without the window.
#include "app/document/day_actions.h"
#include "app/document/file_keeper.h"
#include "app/document/text.h"
#include "app/views/media/day_rows.h"
#include "core/day/plan_day.h"
#include "core/shoot/take_line.h"

#include <QSettings>
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

#include <gtest/gtest.h>

namespace bslate::app {
namespace {

class DayOfDemo : public ::testing::Test {
protected:
    DayOfDemo()
        : m_settings(m_folder.filePath(QStringLiteral("s.ini")), QSettings::IniFormat)
        , m_files(document, m_settings, m_folder.path()) {
        EXPECT_TRUE(m_files.openDemo().ok());
        QObject::connect(&actions, &DayActions::refused,
                         [this](const QString& why) { refused = fromQt(why); });
        QObject::connect(&document, &ShootDocument::refused,
                         [this](const QString& why) { refused = fromQt(why); });
    }
    void look(int day) {
        planner.setActive(true);
        planner.chooseDay(day);
        planner.settle();
    }
    const ShootDay& day() { return planner.day(); }
    QString named() { return document.undoStack().undoText(); }

    QTemporaryDir m_folder;
    QSettings m_settings;
    ShootDocument document;
    FileKeeper m_files;
    DayPlanner planner{document};
    DayActions actions{document, planner};
    std::string refused;
};

TEST_F(DayOfDemo, NothingIsPlannedWhileNobodyLooks) {
    QSignalSpy changes(&planner, &DayPlanner::changed);
    auto shoot = document.shoot();
    shoot.title = "other";
    document.edit(QStringLiteral("title"), shoot);
    EXPECT_EQ(changes.count(), 0);
    EXPECT_TRUE(planner.plan().takes.empty());
    planner.setActive(true);
    EXPECT_EQ(changes.count(), 1) << "at once, by one way down";
    EXPECT_FALSE(planner.plan().takes.empty());
    planner.settle();
    EXPECT_EQ(changes.count(), 2) << "and thoroughly";
    planner.setActive(false);
    planner.setActive(true);
    EXPECT_EQ(changes.count(), 2) << "nothing has changed meanwhile";
}

TEST_F(DayOfDemo, TheThoroughPlanIsTheDocumentsOwnWhateverWentBefore) {
    look(2);
    const auto plan = planner.plan();
    EXPECT_EQ(plan, planDay(document.shoot(), planner.day()));
    for (int i = 0; i < 5; ++i)
        actions.moveTake(QStringLiteral("t7"), Seconds((13 + 0.5 * i) * 3600));
    planner.settle();
    EXPECT_NE(planner.plan(), plan);
    while (document.undoStack().canUndo())
        document.undoStack().undo();
    planner.settle();
    EXPECT_EQ(planner.plan(), plan);
}

TEST_F(DayOfDemo, RemediesComeWhenTheHandRests) {
    look(2);
    const auto remedies = [&] {
        std::size_t count = 0;
        for (const auto& finding : planner.findings())
            count += finding.remedies.size();
        return count;
    };
    EXPECT_GT(remedies(), 0u);
    actions.toggleWhole(QStringLiteral("t8"));
    EXPECT_EQ(remedies(), 0u) << "not while something is being moved";
    planner.settle();
    EXPECT_GT(remedies(), 0u);
}

TEST_F(DayOfDemo, ADayThatIsGoneGivesWayToTheFirst) {
    look(2);
    document.reset(Shoot{}, {});
    planner.settle();
    EXPECT_EQ(planner.plan().day, 1);
    EXPECT_TRUE(planner.plan().takes.empty());
    EXPECT_EQ(planner.plan().recorded, DataSize(0));
}

TEST_F(DayOfDemo, EveryActionHasItsNameAndIsTakenBack) {
    look(2);
    const auto before = document.shoot();
    const struct {
        const char* name;
        std::function<void()> act;
    } acts[] = {
        {"Add take", [&] { actions.addTake(QStringLiteral("6A 5min")); }},
        {"Change take",
         [&] { actions.rewriteTake(QStringLiteral("t8"), QStringLiteral("6A 9min")); }},
        {"Delete take", [&] { actions.removeTake(QStringLiteral("t8")); }},
        {"Move take", [&] { actions.moveTake(QStringLiteral("t8"), Seconds(18 * 3600.0)); }},
        {"Uninterruptible or not", [&] { actions.toggleWhole(QStringLiteral("t8")); }},
        {"Take really ran",
         [&] { actions.happened(QStringLiteral("t1"), QStringLiteral("9min")); }},
        {"Card failed", [&] { actions.failCard(0, Seconds(10 * 3600.0)); }},
        {"Day begins", [&] { actions.setStart(Seconds(7 * 3600.0)); }},
        {"Safe by", [&] { actions.setSafeBy(std::nullopt); }},
        {"Copies wanted", [&] { actions.setCopies(3); }},
        {"Length delivered", [&] { actions.setFinished(Seconds(900)); }},
        {"Accept",
         [&] { actions.accept({QStringLiteral("day-heat:t7")}, QStringLiteral("cold")); }},
        {"Put card into take",
         [&] {
             const auto place = cardPlace(planner.plan(), "t8", "s6a");
             actions.putCard(*place, planner.plan().cards.unitOf("sd-v60:4"));
         }},
    };
    for (const auto& one : acts) {
        one.act();
        EXPECT_EQ(fromQt(named()), one.name) << refused;
        EXPECT_NE(document.shoot(), before) << one.name;
        document.undoStack().undo();
        EXPECT_EQ(document.shoot(), before) << one.name;
        planner.settle();
    }
}

TEST_F(DayOfDemo, RefusedEntriesSayWhyAndChangeNothing) {
    look(2);
    const auto before = document.shoot();
    const auto refuses = [&](const char* expected, const std::function<void()>& act) {
        refused.clear();
        act();
        EXPECT_NE(refused.find(expected), std::string::npos) << refused;
        EXPECT_EQ(document.shoot(), before);
    };
    refuses("number of a setup", [&] { actions.addTake(QStringLiteral("9Z 5min")); });
    refuses("one setup a camera",
            [&] { actions.rewriteTake(QStringLiteral("t8"), QStringLiteral("4A+5A 5min")); });
    refuses("how long it ran",
            [&] { actions.happened(QStringLiteral("t1"), QStringLiteral("soon")); });
    refuses("reason",
            [&] { actions.accept({QStringLiteral("day-heat:t7")}, QStringLiteral("  ")); });
    refuses("fits no slot", [&] {
        actions.putCard(*cardPlace(planner.plan(), "t8", "s6a"),
                        planner.plan().cards.unitOf("cf-512:1"));
    });
    // As many recordings as a day may hold, and one more.
    auto full = document.shoot();
    auto& takes = full.plan[1].takes;
    auto model = takes[7];
    std::size_t rolls = 0;
    for (const auto& take : takes)
        rolls += take.setups.size();
    model.setups.resize(1);
    for (; rolls < kMostRolls; ++rolls) {
        takes.push_back(model);
        takes.back().id = "m" + std::to_string(takes.size());
    }
    planner.setActive(false);
    ASSERT_TRUE(document.edit(QStringLiteral("full"), full));
    planner.setActive(true);
    refused.clear();
    EXPECT_EQ(actions.addTake(QStringLiteral("6A 5min")), QString());
    EXPECT_NE(refused.find("1000"), std::string::npos) << refused;
    EXPECT_EQ(document.shoot(), full);
}

TEST_F(DayOfDemo, ACardInUseAgainAndATakeThatDidNotHappen) {
    look(2);
    const auto before = document.shoot();
    actions.failCard(3, Seconds(12 * 3600.0));
    ASSERT_EQ(day().failures.size(), 1u);
    EXPECT_EQ(day().failures[0].card, "sd-v60:4");
    actions.failCard(3, Seconds(13 * 3600.0));
    EXPECT_TRUE(day().failures.empty());
    actions.happened(QStringLiteral("t2"), QStringLiteral("20min"));
    EXPECT_TRUE(day().takes[0].ran) << "what came before it has happened too";
    actions.happened(QStringLiteral("t2"), {});
    actions.happened(QStringLiteral("t1"), {});
    EXPECT_EQ(document.shoot(), before);
}

TEST_F(DayOfDemo, TimesAndPlacesOfThePictureAreInverses) {
    look(2);
    DayGeometry geometry;
    const QRectF area(0, 0, 820, 520);
    geometry.arrange(planner.plan(), area);
    EXPECT_LE(geometry.bottom(), area.bottom() + 1);
    for (double hour = 8; hour < 22; hour += 0.37)
        EXPECT_NEAR(geometry.timeAt(geometry.x(Seconds(hour * 3600))).value(), hour * 3600, 1e-6);
    double last = 0;
    for (const auto& row : geometry.rows()) {
        EXPECT_GE(row.top, last) << "rows do not overlap";
        last = row.top + row.height;
        EXPECT_EQ(geometry.rowAt(row.top + row.height / 2), &row);
    }
    const auto from = geometry.from(), to = geometry.to();
    const Seconds about(13 * 3600.0);
    const double place = geometry.x(about);
    geometry.zoom(4, about);
    EXPECT_NEAR(geometry.x(about), place, 1e-6) << "it stays under the pointer";
    EXPECT_NEAR((geometry.to() - geometry.from()).value(), (to - from).value() / 4, 1e-6);
    geometry.pan(Seconds(-1e6));
    EXPECT_EQ(geometry.from(), from) << "not beyond the day";
    geometry.reveal(Seconds(21 * 3600.0));
    EXPECT_GT(geometry.to(), Seconds(21 * 3600.0));
    geometry.zoom(1e-9, about);
    EXPECT_EQ(geometry.from(), from);
    EXPECT_EQ(geometry.to(), to);
    // Chips of many cards fill further lines and stay apart.
    DayPlan many = planner.plan();
    many.cards.unitIds.resize(60);
    geometry.arrange(many, area);
    for (int a = 0; a < 60; ++a)
        for (int b = a + 1; b < 60; ++b)
            EXPECT_FALSE(geometry.chip(a).intersects(geometry.chip(b))) << a << " " << b;
}

} // namespace
} // namespace bslate::app
