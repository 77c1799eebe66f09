#pragma once

#include "app/document/background_job.h"
#include "core/base/result.h"
#include "core/clip/clip_facts.h"
#include "io/clips/clip_file.h"

#include <QObject>
#include <QStringList>

#include <memory>

namespace bslate::app {

/// Clips read in the background, one after the other.
class ClipReading : public QObject {
    Q_OBJECT

public:
    using Clip = std::shared_ptr<const Result<ClipFacts>>;

    explicit ClipReading(io::ClipDepth depth, QObject* parent = nullptr);

    /// Behind those that wait already.
    void add(const QStringList& paths);
    /// What was read stays; the others are forgotten.
    void stop();
    void settle(); ///< waits for all of them: for pictures and tests
    [[nodiscard]] bool isRunning() const { return m_asked > 0; }
    /// `reading 3 of 12: A003.mov`; empty when nothing is read.
    [[nodiscard]] const QString& where() const { return m_where; }

signals:
    void read(const QString& path, const bslate::app::ClipReading::Clip& clip);
    void moved(); ///< where() is another, at the end too

private:
    void next();

    io::ClipDepth m_depth;
    QStringList m_pending;
    int m_asked = 0; ///< since nothing was read
    QString m_where;
    BackgroundJob m_job;
};

} // namespace bslate::app
