// The real window, offscreen, driven by lines on standard input, one answer a line: what
// tests/faults/run breaks things around. Settings and autosaves of shoots without a file live in
// the folder given.
//   faults_window FOLDER [wall]
// With a wall it writes nothing outside of the folder, and takes random events.
#include "app/document/text.h"
#include "app/shell/main_window.h"
#include "app/shell/notice_bar.h"
#include "app/style/plain_text.h"
#include "app/style/style.h"
#include "app/widgets/painted_access.h"
#include "io/json/shoot_json.h"
#include "random_hand.h"
#include "wall.h"

#include <QAccessible>
#include <QApplication>
#include <QPushButton>
#include <QSettings>
#include <QTest>
#include <QTimer>

#include <ctime>
#include <iostream>
#include <optional>
#include <string>

#include <poll.h>
#include <unistd.h>

namespace {

using namespace bslate::app;

class Driver {
public:
    Driver(const QString& folder, bool wall)
        : m_settings(folder + QStringLiteral("/settings.ini"), QSettings::IniFormat)
        , m_window(m_style, m_settings, folder)
        , m_wall(wall) {
        m_window.setAskToSave([] { return MainWindow::Answer::Discard; });
        m_window.setAskOver([](const QString&) { return MainWindow::Over::Cancel; });
        QObject::connect(&m_window.files(), &FileKeeper::autosaved, &m_window,
                         [this] { ++m_autosaved; });
        QObject::connect(&m_window.files(), &FileKeeper::waitingForDisk, &m_window,
                         [this] { ++m_waited; });
        QObject::connect(&m_window.document(), &ShootDocument::fileChanged, &m_window, [this] {
            if (m_window.document().undoStack().count() == 0)
                m_first = m_window.document().value();
        });
        m_window.resize(1280, 800);
        m_window.files().startNew();
        m_window.show();
        QTest::qWait(1);
    }

    void close() { m_window.close(); }

    QString does(const QString& verb, const QString& rest) {
        if (verb == QLatin1String("open"))
            m_window.openPath(rest);
        else if (verb == QLatin1String("add"))
            add(rest);
        else if (verb == QLatin1String("save"))
            return save();
        else if (verb == QLatin1String("autosaved"))
            return waitForAutosave(rest.toInt());
        else if (verb == QLatin1String("undo"))
            m_window.document().undoStack().undo();
        else if (verb == QLatin1String("look"))
            m_window.lookAtDisk();
        else if (verb == QLatin1String("answer"))
            return answer(rest);
        else if (verb == QLatin1String("fault"))
            fault(rest.split(QLatin1Char(' ')));
        else if (verb == QLatin1String("keep"))
            return keep(rest);
        else if (verb == QLatin1String("mine"))
            return mine();
        else if (verb == QLatin1String("events"))
            return events(rest.section(QLatin1Char(' '), 0, 0).toInt(),
                          rest.section(QLatin1Char(' '), 1, 1).toUInt());
        else if (verb == QLatin1String("walk"))
            return walk();
        else if (verb != QLatin1String("numbers"))
            return QStringLiteral("unknown");
        return numbers();
    }

private:
    // With the beats of the window's own timers meanwhile, twenty a second.
    QString save() {
        QTimer beat;
        int beats = 0;
        QObject::connect(&beat, &QTimer::timeout, [&] { ++beats; });
        beat.start(50);
        return m_window.save() ? QStringLiteral("saved %1 %2").arg(m_waited).arg(beats) : told();
    }

    QString told() { return QStringLiteral("told ") + m_window.notice().message(); }

    // By key, as a person does it; then named, to be found again.
    void add(const QString& number) {
        QTest::keyClick(&m_window, Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
        bslate::Shoot shoot = m_window.document().shoot();
        if (shoot.setups.empty())
            return;
        shoot.setups.back().number = fromQt(number);
        m_window.document().edit(QStringLiteral("number"), std::move(shoot));
    }

    QString numbers() {
        QStringList list;
        for (const auto& setup : m_window.document().shoot().setups)
            list.append(toQt(setup.number));
        return list.join(QLatin1Char(' ')) + QLatin1Char('|') + m_window.notice().question();
    }

    QString waitForAutosave(int count) {
        for (int i = 0; i < 100 && m_autosaved < count; ++i)
            QTest::qWait(50);
        return QString::number(m_autosaved) + QLatin1Char('|') + m_window.notice().message();
    }

    QString answer(const QString& text) {
        for (auto* button : m_window.notice().findChildren<QPushButton*>())
            if (button->isVisible() && button->text() == text) {
                button->click();
                return numbers();
            }
        return QStringLiteral("no such answer");
    }

    // A camera of the shoot into My kit.
    QString keep(const QString& camera) {
        bool kept = false;
        const auto heard = QObject::connect(&m_window.mine(), &bslate::app::MyKit::kept, &m_window,
                                            [&] { kept = true; });
        m_window.mine().keep({{bslate::KitPart::Camera, camera}});
        m_window.mine().settle();
        QObject::disconnect(heard);
        return kept ? QStringLiteral("kept") : told();
    }

    QString mine() {
        m_window.mine().look();
        m_window.mine().settle();
        const auto& kit = m_window.mine().kit();
        QStringList cameras;
        if (kit)
            for (const auto& camera : kit->cameras)
                cameras.append(toQt(camera.id));
        return kit ? cameras.join(QLatin1Char(' ')) : QStringLiteral("unreadable");
    }

    // Calls are counted from here on.
    static void fault(const QStringList& words) {
        qputenv("BSLATE_FAULT_PATH", words.value(3).toUtf8());
        qputenv("BSLATE_FAULT_AT", words.value(1).toUtf8());
        qputenv("BSLATE_FAULT_HOW", words.value(2).toUtf8());
        qputenv("BSLATE_FAULT_CALL", words.value(0).toUtf8());
    }

    // Random events; then everything undone to the first value, and done again, byte for byte.
    QString events(int count, unsigned seed) {
        if (!m_wall)
            return QStringLiteral("no wall"); // dialogs of files can delete anything
        RandomHand hand(m_window, seed);
        hand.doEvents(count);
        auto& undo = m_window.document().undoStack();
        const auto text = [this] { return bslate::io::writeShoot(m_window.document().shoot()); };
        const auto first = m_first;
        undo.setIndex(undo.count());
        const auto last = text();
        undo.setIndex(0);
        const bool back = text() == bslate::io::writeShoot(*first);
        undo.setIndex(undo.count());
        const bool again = text() == last;
        return QStringLiteral("%1|%2|%3|%4|%5")
            .arg(hand.frozen())
            .arg(hand.slowestMs())
            .arg(back && again ? QStringLiteral("same") : QStringLiteral("other"))
            .arg(undo.count())
            .arg(hand.slowest());
    }

    // Every step, judged, planned and painted, and heard by somebody who does not see it. Told in
    // processor time of all threads: what else the machine does meanwhile is no fault of a step.
    QString walk() {
        std::clock_t slowest = 0;
        for (const auto& name : m_window.pageNames()) {
            const std::clock_t began = std::clock();
            m_window.showView(name);
            m_window.planner().settle();
            m_window.grab();
            listen(QAccessible::queryAccessibleInterface(&m_window), 0);
            slowest = std::max(slowest, std::clock() - began);
        }
        return QString::number(slowest / (CLOCKS_PER_SEC / 1000)) + QLatin1Char('|') + told();
    }

    static void listen(QAccessibleInterface* node, int depth) {
        if (!node || depth > 40)
            return;
        node->text(QAccessible::Name);
        for (int i = 0; i < node->childCount(); ++i)
            listen(node->child(i), depth + 1);
    }

    Style m_style;
    QSettings m_settings;
    MainWindow m_window;
    const bool m_wall;            ///< it and its helpers write in its folder alone
    ShootDocument::Value m_first; ///< what undoing everything comes back to
    int m_autosaved = 0;
    int m_waited = 0; ///< how often the window said that the disk is slow
};

// Lines of standard input, with the window alive while none comes: its timers run as in use.
class Lines {
public:
    std::optional<std::string> next() {
        for (;;) {
            if (const auto end = m_read.find('\n'); end != std::string::npos) {
                const std::string line = m_read.substr(0, end);
                m_read.erase(0, end + 1);
                return line;
            }
            pollfd waiting{STDIN_FILENO, POLLIN, 0};
            if (poll(&waiting, 1, 5) > 0) {
                char bytes[4096];
                const auto count = read(STDIN_FILENO, bytes, sizeof bytes);
                if (count <= 0)
                    return std::nullopt;
                m_read.append(bytes, static_cast<std::size_t>(count));
            }
            QCoreApplication::processEvents();
        }
    }

private:
    std::string m_read;
};

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    if (argc < 2)
        return 2;
    const bool wall = argc > 2 && bslate::faults::buildWallAround(argv[1]);
    QApplication application(argc, argv);
    Style style;
    style.loadFonts();
    style.apply();
    installPaintedAccess();
    installPlainText(application);
    Driver driver(QString::fromLocal8Bit(argv[1]), wall);
    for (Lines lines; const auto line = lines.next();) {
        const QString text = QString::fromStdString(*line);
        const auto space = text.indexOf(QLatin1Char(' '));
        const QString verb = text.left(space < 0 ? text.size() : space);
        if (verb == QLatin1String("quit")) {
            driver.close();
            break;
        }
        QString answer = driver.does(verb, space < 0 ? QString() : text.mid(space + 1));
        answer.replace(QLatin1Char('\n'), QLatin1Char(' '));
        std::cout << answer.toStdString() << std::endl;
        QTest::qWait(1);
    }
    return 0;
}
