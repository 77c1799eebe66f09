#include "app/document/text.h"
#include "app/shell/application.h"
#include "app/shell/main_window.h"
#include "app/shell/notice_bar.h"
#include "app/shell/shot.h"
#include "app/shell/timing.h"
#include "app/style/plain_text.h"
#include "app/style/style.h"
#include "app/style/window_icon.h"
#include "app/widgets/painted_access.h"
#include "app/widgets/pick_access.h"

#include <QApplication>
#include <QCommandLineParser>
#include <QElapsedTimer>
#include <QLocale>
#include <QSettings>
#include <QSocketNotifier>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTimer>
#include <QTranslator>

#include <algorithm>
#include <csignal>
#include <cstdlib>
#include <cstring>
#include <fcntl.h>
#include <functional>
#include <iostream>
#include <unistd.h>

namespace {

using namespace bslate::app;

bool has(int argc, char** argv, const char* option) {
    for (int i = 1; i < argc; ++i)
        if (std::strncmp(argv[i], option, std::strlen(option)) == 0)
            return true;
    return false;
}

const char* valueOf(int argc, char** argv, const char* option) {
    for (int i = 1; i + 1 < argc; ++i)
        if (std::strcmp(argv[i], option) == 0)
            return argv[i + 1];
    return nullptr;
}

// Platform and scale must be known before QApplication exists.
bool preparePlatform(int argc, char** argv) {
    if (const char* scale = valueOf(argc, argv, "--scale"))
        qputenv("QT_SCALE_FACTOR", scale);
    const bool display =
        std::getenv("DISPLAY") || std::getenv("WAYLAND_DISPLAY") || std::getenv("QT_QPA_PLATFORM");
    if (has(argc, argv, "--shot") || has(argc, argv, "--list-shots")) {
        qputenv("QT_QPA_PLATFORM", "offscreen");
        return true;
    }
    if (!display)
        std::cerr << "bright-slate: no display found. To render a picture instead: "
                     "--shot FILE.png [--view light] [--size 1280x800] "
                     "[--theme slate|paper] [--scale 1]\n";
    return display;
}

void addOptions(QCommandLineParser& parser) {
    parser.addHelpOption();
    parser.addPositionalArgument("FILE", "shoot to open (*.bslate)");
    parser.addOptions({{"demo", "Open the demo shoot"},
                       {"shot", "Write a picture and stop", "FILE.png"},
                       {"view", "A page or a sheet; an unknown one lists them", "NAME", "light"},
                       {"list-shots", "Print the pictures of the documentation and stop"},
                       {"setup", "Select a setup by number", "NUMBER"},
                       {"size", "Window size", "WxH", "1280x800"},
                       {"theme", "slate or paper", "NAME"},
                       {"scale", "Scale of the interface", "S", "1"},
                       {"time-start", "Print the time to the first paint and stop"},
                       {"time-drag", "Print the time of N drag moves and stop", "N"},
                       {"time-pictures", "Print the time of N moves in Frame and Recipes", "N"},
                       {"time-banks", "Print the time of N moves in Banks and stop", "N"},
                       {"time-themes", "Print the time of N changes of theme and stop", "N"},
                       {"time-motion", "Print the cost of playing the motion for N s", "N"}});
}

QSize sizeFrom(const QString& text) {
    const auto parts = text.split(QLatin1Char('x'));
    const QSize size = parts.size() == 2 ? QSize(parts[0].toInt(), parts[1].toInt()) : QSize();
    return size.width() >= 400 && size.height() >= 300 && size.width() <= 8000 &&
                   size.height() <= 8000
               ? size
               : QSize();
}

void openRequested(MainWindow& window, const QCommandLineParser& parser) {
    if (!parser.positionalArguments().isEmpty()) {
        window.files().startNew();
        window.openPath(parser.positionalArguments().front());
    } else if (parser.isSet("demo")) {
        if (const auto done = window.files().openDemo(); !done)
            window.notice().tell(messageOf(done.error()), true);
    } else {
        window.files().startNew();
        window.showStart();
    }
    window.offerRecovery({});
    for (const auto& setup : window.document().shoot().setups)
        if (toQt(setup.number) == parser.value("setup"))
            window.document().select(toQt(setup.id));
}

// A picture is of what was asked for, or there is none.
bool isThere(MainWindow& window, const QCommandLineParser& parser) {
    const auto* setup = window.document().setup();
    if (!parser.positionalArguments().isEmpty() && window.document().path().isEmpty()) {
        std::cerr << "bright-slate: " << window.notice().message().toStdString() << "\n";
        return false;
    }
    if (parser.isSet("setup") && (!setup || toQt(setup->number) != parser.value("setup"))) {
        std::cerr << "bright-slate: --setup: no setup \"" << parser.value("setup").toStdString()
                  << "\" in this shoot\n";
        return false;
    }
    return true;
}

// What was asked to end it; written by the handler alone, which may do no more.
int endPipe[2] = {-1, -1};

void askedToEnd(int signal) {
    const char what = static_cast<char>(signal);
    [[maybe_unused]] const auto written = ::write(endPipe[1], &what, 1);
}

// The session ends, or somebody kills us politely: unsaved changes are kept, nobody is asked.
void endOnSignals(MainWindow& window) {
    if (::pipe2(endPipe, O_CLOEXEC | O_NONBLOCK) != 0)
        return;
    auto* notifier = new QSocketNotifier(endPipe[0], QSocketNotifier::Read, &window);
    QObject::connect(notifier, &QSocketNotifier::activated, &window, [&window] {
        char what = SIGTERM;
        [[maybe_unused]] const auto got = ::read(endPipe[0], &what, 1);
        window.files().autosaveNow();
        QCoreApplication::exit(128 + what);
    });
    for (const int signal : {SIGTERM, SIGHUP, SIGINT})
        std::signal(signal, askedToEnd);
}

// A display that goes away makes Qt call exit() from inside.
MainWindow* lastWindow = nullptr;

void keepAtExit() {
    if (lastWindow)
        lastWindow->files().autosaveNow();
}

// Where settings and unfinished work lie; a picture leaves no trace.
struct Places {
    QTemporaryDir throwaway;
    QString settings, scratch;

    explicit Places(bool lasting) {
        const auto folder = [&](QStandardPaths::StandardLocation where) {
            return lasting ? QStandardPaths::writableLocation(where) : throwaway.path();
        };
        settings = folder(QStandardPaths::AppConfigLocation) + "/settings.ini";
        scratch = folder(QStandardPaths::AppDataLocation);
    }
};

void dress(Style& style, QApplication& application, const QCommandLineParser& parser) {
    if (!style.loadFonts())
        std::cerr << "bright-slate: the B612 fonts are missing; using the system font\n";
    if (parser.value("theme") == "paper")
        style.setTheme(Theme::Paper);
    style.apply();
    QApplication::setWindowIcon(windowIcon());
    installPaintedAccess();
    installPickAccess();
    installPlainText(application);
}

int picture(MainWindow& window, const QCommandLineParser& parser) {
    const QSize size = sizeFrom(parser.value("size"));
    if (!size.isValid()) {
        std::cerr << "bright-slate: --size: expected WxH from 400x300 to 8000x8000\n";
        return 2;
    }
    if (!isThere(window, parser))
        return 2;
    return takeShot(window, {parser.value("shot"), parser.value("view"), size}) ? 0 : 2;
}

// What `bench` asks for: measured once the window is there, then the program ends.
void measure(MainWindow& window, const QCommandLineParser& parser, const QElapsedTimer& clock) {
    const auto later = [&](const char* option, int ms, const std::function<void()>& what) {
        if (parser.isSet(option))
            QTimer::singleShot(ms, &window, [what] {
                what();
                QCoreApplication::exit(0);
            });
    };
    later("time-start", 0, [&] {
        window.repaint();
        std::cout << "first_paint_ms " << clock.elapsed() << "\n";
    });
    later("time-drag", 0,
          [&] { timeDrag(window, std::max(1, parser.value("time-drag").toInt())); });
    later("time-pictures", 0,
          [&] { timePictures(window, std::max(1, parser.value("time-pictures").toInt())); });
    later("time-banks", 0,
          [&] { timeBanks(window, std::max(1, parser.value("time-banks").toInt())); });
    later("time-themes", 0,
          [&] { timeThemes(window, std::max(1, parser.value("time-themes").toInt())); });
    later("time-motion", 500,
          [&] { timeMotion(window, std::clamp(parser.value("time-motion").toInt(), 1, 600)); });
}

} // namespace

int main(int argc, char** argv) {
    QElapsedTimer clock;
    clock.start();
    if (!preparePlatform(argc, argv))
        return 2;
    Application application(argc, argv);
    QCoreApplication::setOrganizationName("bright-slate");
    QCoreApplication::setApplicationName("bright-slate");
    QLocale::setDefault(QLocale::c());
    QTranslator translator;
    if (translator.load(QLocale::system(), "bright-slate", "_", ":/translations"))
        QCoreApplication::installTranslator(&translator);

    QCommandLineParser parser;
    addOptions(parser);
    parser.process(application);

    Style style;
    dress(style, application, parser);
    const bool shot = parser.isSet("shot") || parser.isSet("list-shots");
    const Places places(!shot);
    QSettings settings(places.settings, QSettings::IniFormat);
    MainWindow window(style, settings, places.scratch);
    if (parser.isSet("theme"))
        style.setTheme(parser.value("theme") == "paper" ? Theme::Paper : Theme::Slate);
    if (parser.isSet("list-shots")) {
        listShots(window, std::cout);
        return 0;
    }
    openRequested(window, parser);
    if (shot)
        return picture(window, parser);
    endOnSignals(window);
    lastWindow = &window;
    std::atexit(keepAtExit);
    window.show();
    measure(window, parser, clock);
    const int code = QApplication::exec();
    lastWindow = nullptr;
    return code;
}
