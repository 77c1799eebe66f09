#include "app/document/background_job.h"

#include <QCoreApplication>
#include <QTimer>

namespace bslate::app {
namespace {

constexpr int kTickMs = 100;
constexpr int kShowProgressMs = 500;

} // namespace

BackgroundJob::BackgroundJob(QObject* parent)
    : QObject(parent)
    , m_ticker(new QTimer(this)) {
    m_thread.setMaxThreadCount(1);
    m_ticker->setInterval(kTickMs);
    connect(m_ticker, &QTimer::timeout, this, &BackgroundJob::progressed);
}

BackgroundJob::~BackgroundJob() {
    stop();
    m_thread.clear();
    m_thread.waitForDone();
}

void BackgroundJob::start(std::function<Then(const Control&)> work) {
    stop();
    m_thread.clear();
    const auto state = std::make_shared<State>();
    m_state = state;
    m_since.start();
    m_ticker->start();
    m_thread.start([this, state, work = std::move(work)] {
        state->begun = true;
        if (state->stopped)
            return;
        auto then = work(Control(state));
        QMetaObject::invokeMethod(
            this, [this, state, then = std::move(then)] { finish(state, then); },
            Qt::QueuedConnection);
    });
}

void BackgroundJob::finish(const std::shared_ptr<State>& state, const Then& then) {
    if (m_state != state)
        return;
    stop();
    then();
    emit progressed();
}

void BackgroundJob::stop() {
    if (m_state)
        m_state->stopped = true;
    m_state.reset();
    m_ticker->stop();
}

void BackgroundJob::hurry() {
    if (m_state)
        m_state->stopped = true;
}

void BackgroundJob::settle() {
    m_thread.waitForDone();
    QCoreApplication::sendPostedEvents(this);
}

void BackgroundJob::stopUnlessBegun() {
    if (m_state && !m_state->begun)
        stop();
}

bool BackgroundJob::letEnd(int mostMs) {
    return m_thread.waitForDone(mostMs);
}

std::optional<double> BackgroundJob::progress() const {
    if (!m_state || m_since.elapsed() < kShowProgressMs)
        return std::nullopt;
    return m_state->done.load();
}

} // namespace bslate::app
