#include "app/shell/timing.h"

#include "app/shell/main_window.h"
#include "app/views/light/light_canvas.h"
#include "app/views/light/light_view.h"

#include <QApplication>
#include <QElapsedTimer>

#include <algorithm>
#include <iostream>

namespace bslate::app {

void timeDrag(MainWindow& window, int moves) {
    window.showStep(MainWindow::Light);
    QApplication::processEvents();
    auto& canvas = window.light().canvas();
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

} // namespace bslate::app
