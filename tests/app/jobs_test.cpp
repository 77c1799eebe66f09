// What runs in the background, left in the middle of it.
#include "app/document/background_job.h"
#include "app/shell/notice_bar.h"
#include "app/views/lut/lut_dialog.h"
#include "app/views/media/media_view.h"
#include "app/views/profiles/import_dialog.h"
#include "window_fixture.h"

#include <QFile>

#include <functional>
#include <stdexcept>

namespace bslate::app {
namespace {

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

// A worker or an event that throws is told, and the window goes on.
TEST_F(WindowTest, WhatIsThrownIsToldAndEndsNothing) {
    BackgroundJob job;
    bool over = false;
    QObject::connect(&job, &BackgroundJob::progressed, [&] { over = true; });
    job.start([](const auto&) -> BackgroundJob::Then { throw std::runtime_error("no numbers"); });
    job.settle();
    EXPECT_TRUE(over);
    EXPECT_FALSE(job.isRunning());
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("no numbers")));
    bool after = false;
    job.start([&](const auto&) -> BackgroundJob::Then { return [&] { after = true; }; });
    job.settle();
    EXPECT_TRUE(after) << "the next work is done";
    QTimer::singleShot(0, window.get(), [] { throw 7; });
    QTest::qWait(1);
    EXPECT_TRUE(window->notice().message().contains(QStringLiteral("failed inside")));
    key(Qt::Key_Right);
    EXPECT_EQ(window->document().undoStack().count(), 1);
}

} // namespace
} // namespace bslate::app
