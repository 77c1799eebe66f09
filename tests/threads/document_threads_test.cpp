// The document is edited while threads save, judge and plan what it was: what they read must never
// be written to. Built under the thread sanitizer too (preset tsan).
#include "app/document/bank_planner.h"
#include "app/document/day_planner.h"
#include "app/document/file_keeper.h"
#include "app/document/shoot_document.h"
#include "app/document/text.h"
#include "app/document/verdicts.h"
#include "io/json/shoot_json.h"
#include "support/temporary_folder.h"

#include <QCoreApplication>
#include <QDir>
#include <QSettings>
#include <QTemporaryDir>
#include <QThread>

#include <gtest/gtest.h>

namespace bslate::app {
namespace {

class DocumentThreads : public ::testing::Test {
protected:
    DocumentThreads()
        : settings(folder.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat)
        , files(document, settings, folder.path()) {
        auto demo = io::loadShoot(sample::root() / "data/demo/slack-water.bslate");
        EXPECT_TRUE(demo.ok());
        Shoot shoot = demo.valueOr({});
        shoot.kitFile.reset(); // an autosave lies elsewhere
        document.reset(std::move(shoot), {});
    }

    // Turns everything the threads read a little, as a drag would.
    void edit(int step) {
        Shoot shoot = document.shoot();
        shoot.title = "step " + std::to_string(step);
        auto& setup = shoot.setups[static_cast<std::size_t>(step) % shoot.setups.size()];
        setup.iris = TStop(2.8 + 0.01 * step);
        shoot.scenes[0].patches[0].reading.value *= 1.01;
        for (auto& take : shoot.plan[0].takes)
            take.length = take.length + Seconds(step % 3);
        document.edit(QStringLiteral("Step"), std::move(shoot));
    }
    // The loop turns a little, so that results arrive between edits.
    void turn() {
        QThread::usleep(500);
        QCoreApplication::processEvents();
    }

    QTemporaryDir folder;
    QSettings settings;
    ShootDocument document;
    FileKeeper files;
};

TEST_F(DocumentThreads, EditingWhileAutosavesAreWritten) {
    for (int step = 0; step < 60; ++step) {
        edit(step);
        files.startAutosave();
        turn();
    }
    files.waitForDisk();
    files.autosaveNow();
    const QDir scratch(folder.path());
    const auto left = scratch.entryList({QStringLiteral("untitled.bslate.autosave*")});
    ASSERT_EQ(left.size(), 1) << "one shoot is open";
    const auto kept = io::loadShoot(fromQt(scratch.filePath(left.front())));
    ASSERT_TRUE(kept.ok()) << message(kept.error());
    EXPECT_EQ(kept->title, "step 59");
    EXPECT_EQ(kept->setups, document.shoot().setups);
}

TEST_F(DocumentThreads, SavingWhileAnAutosaveIsWritten) {
    const QString path = folder.filePath(QStringLiteral("saved.bslate"));
    for (int step = 0; step < 20; ++step) {
        edit(step);
        files.startAutosave();
        const auto saved = files.save(path);
        ASSERT_TRUE(saved.ok()) << message(saved.error());
        turn();
    }
    files.waitForDisk();
    const auto read = io::loadShoot(fromQt(path));
    ASSERT_TRUE(read.ok());
    EXPECT_EQ(read->title, "step 19");
    EXPECT_TRUE(files.leftovers(path).isEmpty()) << "what was saved needs no autosave";
}

TEST_F(DocumentThreads, EditingWhileADayIsPlanned) {
    DayPlanner planner(document);
    planner.setActive(true);
    for (int step = 0; step < 25; ++step) {
        edit(step);
        planner.chooseDay(1 + step % 2);
        turn();
        if (step % 5 == 4)
            planner.stop();
    }
    planner.chooseDay(1);
    planner.stop();
    planner.settle();
    EXPECT_EQ(planner.plan().takes.size(), document.shoot().plan[0].takes.size());
    EXPECT_FALSE(planner.findings().empty());
}

TEST_F(DocumentThreads, EditingWhileBanksArePlanned) {
    BankPlanner planner(document);
    planner.setActive(true);
    for (int step = 0; step < 30; ++step) {
        edit(step);
        document.select(toQt(document.shoot().setups[static_cast<std::size_t>(step) % 8].id));
        turn();
        if (step % 4 == 3)
            planner.settle();
    }
    planner.settle();
    ASSERT_TRUE(planner.isSettled());
    const auto fresh = planCamera(document.shoot(), *planner.camera());
    EXPECT_EQ(planner.plan().best.plan.cost, fresh.best.plan.cost);
    EXPECT_EQ(planner.now(), planWith(fresh.problem, threadsOf(fresh.problem, document.shoot())));
    EXPECT_EQ(planner.findings().size(),
              judgeBanks(document.shoot(), *planner.camera(), fresh).size());
    EXPECT_FALSE(planner.checks().empty());
}

TEST_F(DocumentThreads, EditingWhileSetupsAreJudged) {
    std::vector<std::string> ids;
    for (const auto& setup : document.shoot().setups)
        ids.push_back(setup.id);
    auto& verdicts = document.verdicts();
    for (int step = 0; step < 40; ++step) {
        edit(step);
        verdicts.want(ids);
        turn();
    }
    verdicts.settle();
    for (const auto& setup : document.shoot().setups) {
        const auto* known = verdicts.known(setup);
        ASSERT_TRUE(known) << setup.number;
        const auto fresh = judge(document.shoot(), setup);
        ASSERT_EQ(known->findings.size(), fresh.findings.size()) << setup.number;
        for (std::size_t i = 0; i < fresh.findings.size(); ++i)
            EXPECT_EQ(titleOf(known->findings[i]), titleOf(fresh.findings[i])) << setup.number;
    }
}

} // namespace
} // namespace bslate::app
