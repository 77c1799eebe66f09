#pragma once

#include "app/document/reading_queue.h"
#include "core/base/result.h"
#include "core/clip/clip_facts.h"
#include "io/clips/clip_file.h"

#include <QStringList>

#include <memory>

namespace bslate::app {

/// Facts of clips read in the background, one clip after the other.
class ClipReading : public ReadingQueue {
    Q_OBJECT

public:
    using Clip = std::shared_ptr<const Result<ClipFacts>>;

    explicit ClipReading(io::ClipDepth depth, QObject* parent = nullptr)
        : ReadingQueue(parent)
        , m_depth(depth) {}

    /// Behind those that wait already.
    void addClips(const QStringList& paths);

signals:
    void read(const QString& path, const bslate::app::ClipReading::Clip& clip);

private:
    io::ClipDepth m_depth;
};

} // namespace bslate::app
