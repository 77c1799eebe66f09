#include "app/document/background_job.h"

#include <QCoreApplication>
#include <QScopeGuard>
#include <QTimer>

#include <atomic>
#include <chrono>
#include <condition_variable>
#include <exception>
#include <mutex>
#include <thread>
#include <utility>

namespace bslate::app {
namespace {

constexpr int kTickMs = 100;
constexpr int kShowProgressMs = 500;

} // namespace

struct BackgroundJob::State {
    std::atomic<bool> begun = false;
    std::atomic<bool> stopped = false; ///< nobody wants it
    std::atomic<bool> hurried = false; ///< what it has by now is wanted
    std::atomic<double> done = 0;
    std::mutex mutex; ///< of the two below
    bool ended = false;
    Then then;
};

// One thread, begun with the first work; what waits is replaced by what comes after it. Made of the
// standard's parts, which the thread sanitizer follows, as it cannot a pool of a library's own.
class BackgroundJob::Thread {
public:
    ~Thread() {
        {
            const std::lock_guard held(m_mutex);
            m_next = nullptr;
            m_ending = true;
        }
        m_changed.notify_all();
        if (m_thread.joinable())
            m_thread.join();
    }
    void give(std::function<void()> work) {
        {
            const std::lock_guard held(m_mutex);
            m_next = std::move(work);
            if (!m_thread.joinable())
                m_thread = std::thread([this] { run(); });
        }
        m_changed.notify_all();
    }
    /// False when it takes longer than `mostMs`; without end when that is negative.
    bool waitUntilIdle(int mostMs) {
        std::unique_lock held(m_mutex);
        const auto idle = [this] { return !m_busy && !m_next; };
        if (mostMs >= 0)
            return m_changed.wait_for(held, std::chrono::milliseconds(mostMs), idle);
        m_changed.wait(held, idle);
        return true;
    }

private:
    void run() {
        std::unique_lock held(m_mutex);
        for (;;) {
            m_changed.wait(held, [this] { return m_next || m_ending; });
            if (m_ending)
                return;
            m_busy = true;
            auto work = std::exchange(m_next, nullptr);
            held.unlock();
            work();
            work = nullptr; // what it held goes here
            held.lock();
            m_busy = false;
            m_changed.notify_all();
        }
    }

    std::mutex m_mutex;
    std::condition_variable m_changed;
    std::function<void()> m_next;
    bool m_busy = false, m_ending = false;
    std::thread m_thread;
};

bool BackgroundJob::Control::goesOn() const {
    return !m_state->stopped && !m_state->hurried;
}

void BackgroundJob::Control::report(double share) const {
    m_state->done = share;
}

BackgroundJob::BackgroundJob(QObject* parent)
    : QObject(parent)
    , m_ticker(new QTimer(this))
    , m_thread(std::make_unique<Thread>()) {
    m_ticker->setInterval(kTickMs);
    connect(m_ticker, &QTimer::timeout, this, &BackgroundJob::progressed);
}

BackgroundJob::~BackgroundJob() {
    stop();
    m_thread.reset();
}

void BackgroundJob::start(std::function<Then(const Control&)> work) {
    stop();
    const auto state = std::make_shared<State>();
    m_state = state;
    m_since.start();
    m_ticker->start();
    m_thread->give([this, state, work = std::move(work)] {
        state->begun = true;
        if (state->stopped)
            return;
        Then then;
        try {
            then = work(Control(state));
        } catch (...) {
            then = [failed = std::current_exception()] { std::rethrow_exception(failed); };
        }
        {
            const std::lock_guard held(state->mutex);
            state->then = std::move(then);
            state->ended = true;
        }
        QMetaObject::invokeMethod(this, "finish", Qt::QueuedConnection);
    });
}

void BackgroundJob::finish() {
    Then then;
    if (m_state) {
        const std::lock_guard held(m_state->mutex);
        if (!m_state->ended)
            return; // an earlier one's post
        then = std::move(m_state->then);
    }
    if (!m_state)
        return;
    stop();
    const auto ended = qScopeGuard([this] { emit progressed(); });
    then();
}

void BackgroundJob::stop() {
    if (m_state)
        m_state->stopped = true;
    m_state.reset();
    m_ticker->stop();
}

void BackgroundJob::hurry() {
    if (m_state)
        m_state->hurried = true;
}

void BackgroundJob::settle() {
    settleWithin(-1);
}

bool BackgroundJob::settleWithin(int mostMs) {
    if (!m_thread->waitUntilIdle(mostMs))
        return false;
    QCoreApplication::sendPostedEvents(this);
    return true;
}

void BackgroundJob::stopUnlessBegun() {
    if (m_state && !m_state->begun)
        stop();
}

bool BackgroundJob::letEnd(int mostMs) {
    return m_thread->waitUntilIdle(mostMs);
}

std::optional<double> BackgroundJob::progress() const {
    if (!m_state || m_since.elapsed() < kShowProgressMs)
        return std::nullopt;
    return m_state->done.load();
}

} // namespace bslate::app
