#include "app/document/clip_reading.h"

namespace bslate::app {

void ClipReading::addClips(const QStringList& paths) {
    for (const auto& path : paths)
        add(path, [path, depth = m_depth, this](const KeepGoing& keepGoing) -> BackgroundJob::Then {
            const auto clip = std::make_shared<const Result<ClipFacts>>(
                io::readClip(path.toStdString(), depth, keepGoing));
            return [this, clip, path] { emit read(path, clip); };
        });
}

} // namespace bslate::app
