#include "app/document/reading_queue.h"

#include <QFileInfo>

namespace bslate::app {

void ReadingQueue::add(const QString& path, Work work) {
    const bool idle = !isRunning();
    m_pending.push_back({path, std::move(work)});
    ++m_asked;
    if (idle)
        next();
}

void ReadingQueue::next() {
    if (m_pending.empty()) {
        m_asked = 0;
        m_where.clear();
        emit moved();
        return;
    }
    const auto waiting = std::move(m_pending.front());
    m_pending.pop_front();
    m_where = tr("reading %1 of %2: %3")
                  .arg(m_asked - static_cast<int>(m_pending.size()))
                  .arg(m_asked)
                  .arg(QFileInfo(waiting.path).fileName());
    emit moved();
    m_job.start(
        [work = waiting.work, this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
            return [this, then = work(control.keepGoing())] {
                then();
                next();
            };
        });
}

void ReadingQueue::stop() {
    m_job.stop();
    m_pending.clear();
    m_asked = 0;
    m_where.clear();
    emit moved();
}

void ReadingQueue::settle() {
    while (isRunning())
        m_job.settle();
}

} // namespace bslate::app
