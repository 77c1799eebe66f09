// What runs in the background: stopped, hurried, replaced and left in the middle.
#include "app/document/background_job.h"
#include "app/views/lut/lut_dialog.h"
#include "app/views/media/media_view.h"
#include "app/views/profiles/import_dialog.h"
#include "window_fixture.h"

#include <QFile>
#include <QSemaphore>
#include <QThread>

#include <functional>

namespace bslate::app {
namespace {

// Work that goes on until it is told not to.
struct Endless {
    QSemaphore begun;
    std::atomic<int> noticed = 0;
    int finished = 0;

    void startOn(BackgroundJob& job) {
        job.start([this](const BackgroundJob::Control& control) {
            begun.release();
            for (double done = 0; control.goesOn(); done += 1e-6) {
                control.report(std::min(1.0, done));
                QThread::yieldCurrentThread();
            }
            ++noticed;
            return [this] { ++finished; };
        });
        begun.acquire();
    }
};

TEST(BackgroundJob, StoppedInTheMiddleItEndsAndNothingFollows) {
    Endless work;
    BackgroundJob job;
    work.startOn(job);
    EXPECT_TRUE(job.isRunning());
    job.stop();
    EXPECT_FALSE(job.isRunning());
    job.settle();
    EXPECT_EQ(work.noticed, 1);
    EXPECT_EQ(work.finished, 0);
}

TEST(BackgroundJob, GoneInTheMiddleItHasEnded) {
    Endless work;
    {
        BackgroundJob job;
        work.startOn(job);
    }
    EXPECT_EQ(work.noticed, 1);
    QCoreApplication::processEvents();
    EXPECT_EQ(work.finished, 0);
}

TEST(BackgroundJob, TheLastOneStartedCounts) {
    Endless first, second;
    BackgroundJob job;
    first.startOn(job);
    std::vector<QString> heard;
    QObject::connect(&job, &BackgroundJob::progressed, [&] { heard.emplace_back(); });
    job.start([&](const BackgroundJob::Control&) { return [&] { ++second.finished; }; });
    job.settle();
    EXPECT_EQ(first.noticed, 1);
    EXPECT_EQ(first.finished, 0);
    EXPECT_EQ(second.finished, 1);
    EXPECT_FALSE(heard.empty()) << "told at its end";
    EXPECT_FALSE(job.isRunning());
}

TEST(BackgroundJob, HurriedItEndsWithWhatItHas) {
    Endless work;
    BackgroundJob job;
    work.startOn(job);
    job.hurry();
    EXPECT_TRUE(job.isRunning()) << "its result is still wanted";
    job.settle();
    EXPECT_EQ(work.finished, 1);
}

TEST(BackgroundJob, WhatHasNotBegunIsDroppedAndWhatHasIsWaitedFor) {
    Endless first;
    int second = 0;
    BackgroundJob job;
    first.startOn(job);
    job.stopUnlessBegun();
    EXPECT_TRUE(job.isRunning()) << "it has begun";
    EXPECT_FALSE(job.letEnd(1)) << "and takes its time";
    job.hurry();
    EXPECT_TRUE(job.letEnd());
    EXPECT_EQ(first.finished, 0) << "later, by the loop";
    job.settle();
    EXPECT_EQ(first.finished, 1);

    QSemaphore begun, gate;
    job.start([&](const BackgroundJob::Control&) {
        begun.release();
        gate.acquire(); // notices nothing
        return [] {};
    });
    begun.acquire();
    job.start([&](const BackgroundJob::Control&) { return [&] { ++second; }; });
    job.stopUnlessBegun();
    gate.release();
    job.settle();
    EXPECT_EQ(second, 0);
    EXPECT_FALSE(job.isRunning());
}

// ---- the real ones, left while they run

// A shoot in which everything takes long: two hundred setups, two days of two hundred takes.
Shoot longShoot(const Shoot& demo) {
    Shoot shoot = demo;
    for (int i = 0; i < 200; ++i) {
        auto setup = demo.setups[static_cast<std::size_t>(i) % demo.setups.size()];
        setup.id = "more-" + std::to_string(i);
        setup.number = std::to_string(10 + i) + "A";
        shoot.setups.push_back(setup);
    }
    for (auto& day : shoot.plan) {
        const auto takes = day.takes;
        for (int i = 0; i < 200; ++i) {
            day.takes.push_back(takes[static_cast<std::size_t>(i) % takes.size()]);
            day.takes.back().id = "more-" + std::to_string(i);
            day.takes.back().at.reset();
        }
    }
    return shoot;
}

QString largeCube(const QString& path) {
    QFile file(path);
    EXPECT_TRUE(file.open(QIODevice::WriteOnly));
    file.write("LUT_3D_SIZE 33\n");
    for (int i = 0; i < 33 * 33 * 33; ++i)
        file.write(QByteArrayLiteral("0.25 0.5 0.75\n"));
    return path;
}

struct Leaves {
    const char* name;
    std::function<void(WindowTest&)> begin;
};

class InTheMiddle : public WindowTest, public ::testing::WithParamInterface<Leaves> {};

TEST_P(InTheMiddle, QuittingLosesNothingThatWasSaved) {
    window->document().edit(QStringLiteral("Much"), longShoot(window->document().shoot()));
    ASSERT_TRUE(window->saveTo(file("long.bslate")));
    const auto saved = window->document().value();
    GetParam().begin(*this);
    answer = MainWindow::Answer::Discard;
    EXPECT_TRUE(window->close());
    window.reset(); // every thread has ended, none has called what is gone
    QCoreApplication::processEvents();
    makeWindow();
    window->openPath(file("long.bslate"));
    EXPECT_EQ(window->document().shoot(), *saved);
    EXPECT_TRUE(window->files().leftovers(file("long.bslate")).isEmpty());
}

const Leaves kLeaves[] = {
    {"Judging",
     [](WindowTest& test) {
         std::vector<std::string> ids;
         for (const auto& setup : test.window->document().shoot().setups)
             ids.push_back(setup.id);
         test.window->document().verdicts().want(ids);
         QTest::qWait(30); // the hand rests
     }},
    {"Planning",
     [](WindowTest& test) {
         test.window->showView("media");
         test.window->planner().chooseDay(2);
         QTest::qWait(1);
     }},
    {"StoppedPlanning",
     [](WindowTest& test) {
         test.window->showView("media");
         test.window->planner().chooseDay(2);
         test.window->planner().stop();
     }},
    {"Autosaving",
     [](WindowTest& test) {
         auto shoot = test.window->document().shoot();
         shoot.title = "changed";
         test.window->document().edit(QStringLiteral("Title"), shoot);
         test.window->files().startAutosave();
     }},
    {"Importing",
     [](WindowTest& test) {
         auto* dialog =
             new ImportDialog(test.window->document().shoot().kit, test.m_style, test.window.get());
         dialog->readFile(largeCube(test.file("large.cube")));
         QTest::qWait(1);
     }},
    {"CheckingALut",
     [](WindowTest& test) {
         auto* dialog =
             new LutDialog(test.window->document().shoot(), test.setup(), test.window.get());
         dialog->check(largeCube(test.file("large.cube")));
         QTest::qWait(1);
     }},
};

INSTANTIATE_TEST_SUITE_P(Jobs, InTheMiddle, ::testing::ValuesIn(kLeaves),
                         [](const auto& one) { return one.param.name; });

} // namespace
} // namespace bslate::app
