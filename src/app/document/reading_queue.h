#pragma once

#include "app/document/background_job.h"

#include <QObject>
#include <QString>

#include <deque>
#include <functional>

namespace bslate::app {

/// Files read in the background, one after the other.
class ReadingQueue : public QObject {
    Q_OBJECT

public:
    /// What is done on the worker; what it gives back is done here.
    using Work = std::function<BackgroundJob::Then(const KeepGoing&)>;

    explicit ReadingQueue(QObject* parent = nullptr)
        : QObject(parent) {}

    /// Behind those that wait already.
    void add(const QString& path, Work work);
    /// What was read stays; the others are forgotten.
    void stop();
    void settle(); ///< waits for all of them: for pictures and tests
    [[nodiscard]] bool isRunning() const { return m_asked > 0; }
    /// `reading 3 of 12: A003.mov`; empty when nothing is read.
    [[nodiscard]] const QString& where() const { return m_where; }

signals:
    void moved(); ///< where() is another, at the end too

private:
    struct Waiting {
        QString path;
        Work work;
    };
    void next();

    std::deque<Waiting> m_pending;
    int m_asked = 0; ///< since nothing was read
    QString m_where;
    BackgroundJob m_job;
};

} // namespace bslate::app
