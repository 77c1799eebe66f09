#pragma once

#include <QElapsedTimer>
#include <QObject>
#include <QString>

#include <atomic>
#include <random>
#include <thread>

class QEventLoop;
class QWidget;

namespace bslate::app {

class MainWindow;

/// Presses keys, clicks, drags, types and turns the wheel at random in a window and whatever it
/// opens, as fast as it takes them. The next event is posted before each one, so that it goes on
/// inside of dialogs that wait. A watchdog beside it tells, on standard error, what the window's
/// thread does when it has not come back from an event for a second.
class RandomHand : public QObject {
public:
    RandomHand(MainWindow& window, unsigned seed);
    ~RandomHand() override;

    /// Returns when so many events are over and every dialog is closed.
    void doEvents(int count);

    [[nodiscard]] qint64 slowestMs() const { return m_slowest; }
    [[nodiscard]] QString slowest() const { return m_slowestWhat; }
    [[nodiscard]] int frozen() const { return m_frozen; } ///< how often the watchdog told

private:
    void step();
    void act();
    void key(QWidget& target);
    void type(QWidget& target);
    void mouse(QWidget& inside);
    void wheel(QWidget& inside);
    [[nodiscard]] QWidget* front() const; ///< the popup, the dialog or the window
    [[nodiscard]] int below(int end);

    MainWindow& m_window;
    QEventLoop* m_loop = nullptr;
    std::mt19937 m_chance;
    int m_left = 0, m_depth = 0;
    QElapsedTimer m_since;
    QString m_what, m_slowestWhat;
    qint64 m_slowest = 0;
    std::atomic<qint64> m_beat{0}; ///< ms of the steady clock when the last event began; 0: none
    std::atomic<int> m_frozen{0};
    std::atomic<bool> m_ending{false};
    std::thread m_watchdog;
};

} // namespace bslate::app
