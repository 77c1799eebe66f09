#include "app/document/clip_reading.h"

#include <QFileInfo>

namespace bslate::app {

ClipReading::ClipReading(io::ClipDepth depth, QObject* parent)
    : QObject(parent)
    , m_depth(depth) {}

void ClipReading::add(const QStringList& paths) {
    const bool idle = !isRunning();
    m_pending += paths;
    m_asked += static_cast<int>(paths.size());
    if (idle)
        next();
}

void ClipReading::next() {
    if (m_pending.isEmpty()) {
        m_asked = 0;
        m_where.clear();
        emit moved();
        return;
    }
    const QString path = m_pending.takeFirst();
    m_where = tr("reading %1 of %2: %3")
                  .arg(m_asked - m_pending.size())
                  .arg(m_asked)
                  .arg(QFileInfo(path).fileName());
    emit moved();
    m_job.start([path, depth = m_depth,
                 this](const BackgroundJob::Control& control) -> BackgroundJob::Then {
        const auto clip = std::make_shared<const Result<ClipFacts>>(
            io::readClip(path.toStdString(), depth, control.keepGoing()));
        return [this, clip, path] {
            emit read(path, clip);
            next();
        };
    });
}

void ClipReading::stop() {
    m_job.stop();
    m_pending.clear();
    m_asked = 0;
    m_where.clear();
    emit moved();
}

void ClipReading::settle() {
    while (isRunning())
        m_job.settle();
}

} // namespace bslate::app
