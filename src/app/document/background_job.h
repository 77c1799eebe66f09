#pragma once

#include "core/base/keep_going.h"

#include <QElapsedTimer>
#include <QObject>

#include <functional>
#include <memory>
#include <optional>

class QTimer;

namespace bslate::app {

/// Work that would make somebody wait, on a thread of its own: one at a time, the last one started
/// counts. An exception of the work is thrown again on this object's thread, in place of its Then.
/// It is stopped when another is started, when nobody wants it any more, and when this
/// object goes, which then waits only as long as the work takes to notice.
class BackgroundJob : public QObject {
    Q_OBJECT

    struct State;
    class Thread;

public:
    /// What is to be done with the result, back on this object's thread.
    using Then = std::function<void()>;

    /// The work's side; may be copied.
    class Control {
    public:
        explicit Control(std::shared_ptr<State> state)
            : m_state(std::move(state)) {}
        [[nodiscard]] bool goesOn() const;
        void report(double share) const; ///< in [0, 1]
        [[nodiscard]] KeepGoing keepGoing() const {
            return [control = *this](double done) {
                control.report(done);
                return control.goesOn();
            };
        }

    private:
        std::shared_ptr<State> m_state;
    };

    explicit BackgroundJob(QObject* parent = nullptr);
    ~BackgroundJob() override;

    /// `work` must not touch what this thread changes. Its Then is not called once it was stopped.
    void start(std::function<Then(const Control&)> work);
    void stop();
    void hurry();  ///< the work ends with what it has, and its Then is called
    void settle(); ///< waits for the work and its Then: for pictures and tests
    /// The same for so long at most; false when it takes longer, and its Then is called later.
    bool settleWithin(int mostMs);
    void stopUnlessBegun();
    /// Waits for the work, whose Then is called later; false when it takes longer than `mostMs`.
    bool letEnd(int mostMs = -1);

    [[nodiscard]] bool isRunning() const { return m_state != nullptr; }
    /// The share that is done, once the work has taken half a second.
    [[nodiscard]] std::optional<double> progress() const;

signals:
    void progressed(); ///< ten times a second while it runs, and at its end

private:
    /// Posted by the thread when the work has ended, perhaps that of an earlier one.
    Q_INVOKABLE void finish();

    std::shared_ptr<State> m_state; ///< null when none runs
    QElapsedTimer m_since;
    QTimer* m_ticker;
    std::unique_ptr<Thread> m_thread; ///< the last member: ends before the others go
};

} // namespace bslate::app
