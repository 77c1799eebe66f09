// A background job alone: stopped, hurried, replaced and gone in the middle.
#include "app/document/background_job.h"

#include <QCoreApplication>
#include <QSemaphore>
#include <QString>
#include <QThread>

#include <gtest/gtest.h>

#include <algorithm>
#include <atomic>
#include <vector>

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

TEST(BackgroundJob, HurriedBeforeItBeginsItEndsAllTheSame) {
    QSemaphore begun, gate;
    BackgroundJob job;
    job.start([&](const BackgroundJob::Control&) {
        begun.release();
        gate.acquire(); // an older one that notices nothing
        return [] {};
    });
    begun.acquire();
    bool wentOn = true;
    int finished = 0;
    job.start([&](const BackgroundJob::Control& control) {
        wentOn = control.goesOn();
        return [&] { ++finished; };
    });
    job.hurry();
    gate.release();
    job.settle();
    EXPECT_FALSE(wentOn) << "it is told at once";
    EXPECT_EQ(finished, 1) << "and what it has is wanted";
    EXPECT_FALSE(job.isRunning());
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

} // namespace
} // namespace bslate::app
