#include "random_hand.h"

#include "app/shell/main_window.h"

#include <QApplication>
#include <QDialog>
#include <QEventLoop>
#include <QTest>
#include <QWheelEvent>

#include <chrono>

#include <csignal>
#include <execinfo.h>
#include <pthread.h>
#include <unistd.h>

namespace bslate::app {
namespace {

constexpr qint64 kFrozenMs = 1000;
constexpr int kDeepest = 12; // dialogs over dialogs; then they are closed

constexpr Qt::Key kKeys[] = {
    Qt::Key_Left,      Qt::Key_Right,  Qt::Key_Up,    Qt::Key_Down,        Qt::Key_PageUp,
    Qt::Key_PageDown,  Qt::Key_Home,   Qt::Key_End,   Qt::Key_Return,      Qt::Key_Enter,
    Qt::Key_Escape,    Qt::Key_Tab,    Qt::Key_Space, Qt::Key_Delete,      Qt::Key_Insert,
    Qt::Key_Backspace, Qt::Key_F1,     Qt::Key_F2,    Qt::Key_F6,          Qt::Key_Plus,
    Qt::Key_Minus,     Qt::Key_Period, Qt::Key_Comma, Qt::Key_BracketLeft, Qt::Key_Menu};

constexpr const char* kTexts[] = {"T2.8",
                                  "180",
                                  "1/48",
                                  "24",
                                  "59.94",
                                  "EI 1600",
                                  "ND0.9",
                                  "4300K",
                                  "-3",
                                  "1e308",
                                  "",
                                  "0",
                                  "70min",
                                  "T",
                                  "49 %",
                                  "grey 18%",
                                  "\u00b0",
                                  "<b>x</b>",
                                  "=1+1",
                                  "3A 10min at 09:00",
                                  "9 window ext EV14 talk 5min"};

qint64 now() {
    return std::chrono::duration_cast<std::chrono::milliseconds>(
               std::chrono::steady_clock::now().time_since_epoch())
        .count();
}

// Where the thread is that this signal interrupts.
void tellWhere(int) {
    void* places[60];
    const int count = ::backtrace(places, 60);
    ::backtrace_symbols_fd(places, count, STDERR_FILENO);
}

// The window is not closed for good.
class StaysOpen : public QObject {
public:
    using QObject::QObject;
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() != QEvent::Close)
            return QObject::eventFilter(watched, event);
        event->ignore();
        return true;
    }
};

} // namespace

RandomHand::RandomHand(MainWindow& window, unsigned seed)
    : m_window(window)
    , m_chance(seed) {
    QApplication::setQuitOnLastWindowClosed(false);
    window.installEventFilter(new StaysOpen(this));
    std::signal(SIGUSR1, tellWhere);
    m_watchdog = std::thread([this, hand = ::pthread_self()] {
        qint64 told = 0;
        while (!m_ending) {
            std::this_thread::sleep_for(std::chrono::milliseconds(50));
            const qint64 beat = m_beat;
            if (beat == 0 || beat == told || now() - beat < kFrozenMs)
                continue;
            told = beat;
            ++m_frozen;
            ::pthread_kill(hand, SIGUSR1);
        }
    });
}

RandomHand::~RandomHand() {
    m_ending = true;
    m_watchdog.join();
}

int RandomHand::below(int end) {
    return static_cast<int>(m_chance() % static_cast<unsigned>(end));
}

QWidget* RandomHand::front() const {
    if (auto* popup = QApplication::activePopupWidget())
        return popup;
    if (auto* dialog = QApplication::activeModalWidget())
        return dialog;
    if (auto* active = QApplication::activeWindow(); active && active->isVisible())
        return active;
    return &m_window;
}

void RandomHand::doEvents(int count) {
    m_left = count;
    QEventLoop loop;
    m_loop = &loop;
    m_since.start();
    QMetaObject::invokeMethod(
        this, [this] { step(); }, Qt::QueuedConnection);
    loop.exec();
    m_loop = nullptr;
    m_beat = 0;
}

void RandomHand::step() {
    if (const qint64 took = m_since.restart(); took > m_slowest) {
        m_slowest = took;
        m_slowestWhat = m_what;
    }
    m_beat = now();
    auto* over = front();
    const bool closing = m_left <= 0 || m_depth >= kDeepest;
    if (m_left <= 0 && over == &m_window) {
        if (m_depth == 0)
            m_loop->quit();
        return; // the dialogs below it return one after the other
    }
    QMetaObject::invokeMethod(
        this, [this] { step(); }, Qt::QueuedConnection);
    if (closing) {
        m_what = QStringLiteral("close");
        if (auto* dialog = qobject_cast<QDialog*>(over))
            dialog->reject();
        else if (over != &m_window)
            over->close();
        return;
    }
    --m_left;
    ++m_depth;
    act();
    --m_depth;
}

void RandomHand::act() {
    QWidget& over = *front();
    auto* focused = QApplication::focusWidget();
    QWidget& target = focused && over.isAncestorOf(focused) ? *focused : over;
    const int what = below(100);
    if (what < 58)
        key(target);
    else if (what < 62)
        type(target);
    else if (what < 95)
        mouse(over);
    else if (what < 99)
        wheel(over);
    else
        m_window.resize(800 + below(900), 500 + below(600));
}

void RandomHand::key(QWidget& target) {
    const int letters = below(2);
    const auto code = letters    ? static_cast<Qt::Key>(Qt::Key_A + below(26))
                      : below(4) ? kKeys[below(static_cast<int>(std::size(kKeys)))]
                                 : static_cast<Qt::Key>(Qt::Key_0 + below(10));
    constexpr Qt::KeyboardModifiers kHeld[] = {
        Qt::NoModifier,      Qt::NoModifier,
        Qt::NoModifier,      Qt::NoModifier,
        Qt::ControlModifier, Qt::AltModifier,
        Qt::ShiftModifier,   Qt::ControlModifier | Qt::ShiftModifier};
    const auto held = kHeld[below(static_cast<int>(std::size(kHeld)))];
    m_what = QKeySequence(static_cast<int>(code) | static_cast<int>(held)).toString();
    const QPointer<QWidget> still(&target);
    QTest::keyPress(&target, code, held);
    if (still)
        QTest::keyRelease(still, code, held);
}

void RandomHand::type(QWidget& target) {
    const QString text = QString::fromUtf8(kTexts[below(static_cast<int>(std::size(kTexts)))]);
    m_what = QStringLiteral("type ") + text;
    const QPointer<QWidget> still(&target);
    for (const auto letter : text) {
        if (!still || QApplication::focusWidget() != still)
            return;
        QKeyEvent press(QEvent::KeyPress, 0, Qt::NoModifier, QString(letter));
        QCoreApplication::sendEvent(still, &press);
    }
}

void RandomHand::mouse(QWidget& inside) {
    const QPoint at(below(std::max(1, inside.width())), below(std::max(1, inside.height())));
    auto* hit = inside.childAt(at);
    const QPointer<QWidget> under(hit ? hit : &inside);
    const QPoint local = under->mapFrom(&inside, at);
    const auto button = below(8) ? Qt::LeftButton : Qt::RightButton;
    m_what = QStringLiteral("mouse on %1 %2")
                 .arg(QString::fromLatin1(under->metaObject()->className()), under->objectName());
    const int way = below(10);
    if (way == 0) {
        QTest::mouseDClick(under, Qt::LeftButton, {}, local);
        return;
    }
    QTest::mousePress(under, button, {}, local);
    if (way < 4)
        for (int i = 0; i < 4 && under; ++i)
            QTest::mouseMove(under, local + QPoint(below(81) - 40, below(61) - 30) * i);
    if (under)
        QTest::mouseRelease(under, button, {}, local);
}

void RandomHand::wheel(QWidget& inside) {
    const QPoint at(below(std::max(1, inside.width())), below(std::max(1, inside.height())));
    auto* hit = inside.childAt(at);
    auto& under = hit ? *hit : inside;
    m_what =
        QStringLiteral("wheel on %1").arg(QString::fromLatin1(under.metaObject()->className()));
    const QPoint local = under.mapFrom(&inside, at);
    QWheelEvent turn(local, under.mapToGlobal(local), {}, {0, below(2) ? 120 : -120}, Qt::NoButton,
                     below(4) ? Qt::NoModifier : Qt::ControlModifier, Qt::NoScrollPhase, false);
    QCoreApplication::sendEvent(&under, &turn);
}

} // namespace bslate::app
