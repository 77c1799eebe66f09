#include "app/shell/timing.h"

#include "app/shell/main_window.h"
#include "app/views/banks/banks_view.h"
#include "app/views/cadence/cadence_view.h"
#include "app/views/cadence/motion_picture.h"
#include "app/views/frame/frame_picture.h"
#include "app/views/frame/frame_view.h"
#include "app/views/light/light_canvas.h"
#include "app/views/light/light_view.h"
#include "app/views/recipes/recipes_view.h"
#include "app/views/recipes/tone_picture.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QEventLoop>
#include <QTimer>

#include <algorithm>
#include <ctime>
#include <functional>
#include <iostream>

namespace bslate::app {

void timeDrag(MainWindow& window, int moves) {
    window.showView(QStringLiteral("light"));
    QApplication::processEvents();
    auto& canvas = window.view<LightView>().canvas();
    if (canvas.handles().empty()) {
        std::cerr << "bright-slate: --time-drag: the setup has no patch to drag\n";
        return;
    }
    auto* handle = canvas.handles().back();
    double total = 0, worst = 0, painting = 0;
    emit handle->dragStarted();
    for (int i = 0; i < moves; ++i) {
        QElapsedTimer clock;
        clock.start();
        emit handle->dragged(i % 80 - 40);
        QApplication::processEvents(); // the coalesced paint of every widget that changed
        const double ms = static_cast<double>(clock.nsecsElapsed()) / 1e6;
        total += ms;
        worst = std::max(worst, ms);
        painting += canvas.lastPaintMs();
    }
    emit handle->dragEnded();
    std::cout << "drag_ms_mean " << total / moves << "\ndrag_ms_worst " << worst
              << "\npaint_ms_mean " << painting / moves << "\n";
}

namespace {

void timeMoves(const char* name, int moves, const std::function<void(int)>& move) {
    double total = 0, worst = 0;
    for (int i = 0; i < moves; ++i) {
        QElapsedTimer clock;
        clock.start();
        move(i);
        QApplication::processEvents();
        const double ms = static_cast<double>(clock.nsecsElapsed()) / 1e6;
        total += ms;
        worst = std::max(worst, ms);
    }
    std::cout << name << "_ms_mean " << total / moves << "\n"
              << name << "_ms_worst " << worst << "\n";
}

} // namespace

void timePictures(MainWindow& window, int moves) {
    window.showView(QStringLiteral("frame"));
    auto& frame = window.view<FrameView>();
    frame.settle();
    QApplication::processEvents();
    timeMoves("split", moves, [&](int i) { frame.picture().setSplit(0.1 + 0.01 * (i % 80)); });
    window.showView(QStringLiteral("recipes"));
    QApplication::processEvents();
    auto& tone = window.view<RecipesView>().tone();
    const auto start = tone.look();
    timeMoves("recipe", moves, [&](int i) {
        emit tone.dragged(withValue(start, LookHandle::Shoulder, 0.6 + 0.004 * (i % 80)));
    });
}

void timeBanks(MainWindow& window, int moves) {
    window.showView(QStringLiteral("banks"));
    auto& banks = window.view<BanksView>();
    banks.settle();
    QApplication::processEvents();
    timeMoves("banks_paint", moves, [&](int) { banks.board().repaint(); });
    timeMoves("banks_target", moves, [&](int i) { banks.board().setTarget(i % 4); });
    timeMoves("banks_step", moves, [&](int i) {
        if (const auto setup = banks.board().beside(i % 20 < 10 ? 1 : -1))
            window.document().select(QString::fromStdString(
                window.bankActions().planner().plan().problem.work.setups[*setup].id));
    });
}

void timeThemes(MainWindow& window, int moves) {
    for (const auto& page : window.pageNames()) { // all of them made
        window.showView(page);
        QApplication::processEvents();
    }
    timeMoves("theme", moves, [&](int) {
        auto& style = window.style();
        style.setTheme(style.theme() == Theme::Slate ? Theme::Paper : Theme::Slate);
    });
}

void timeMotion(MainWindow& window, int seconds) {
    window.showView(QStringLiteral("cadence"));
    auto& motion = window.view<CadenceView>().motion();
    QApplication::processEvents();
    motion.advance();
    motion.advance();
    if (motion.state() != MotionPicture::State::Playing) {
        std::cerr << "bright-slate: --time-motion: the setup has no motion to play\n";
        return;
    }
    const int before = motion.paints();
    const std::clock_t worked = std::clock();
    QEventLoop loop;
    QTimer::singleShot(seconds * 1000, &loop, &QEventLoop::quit);
    loop.exec();
    const double busy = static_cast<double>(std::clock() - worked) / CLOCKS_PER_SEC;
    std::cout << "repaints_per_s " << static_cast<double>(motion.paints() - before) / seconds
              << "\ncore_percent " << 100 * busy / seconds << "\n";
    motion.stop();
}

} // namespace bslate::app
