#include "app/shell/shot.h"

#include "app/shell/main_window.h"
#include "app/shell/verdict_panel.h"
#include "app/views/card/card_dialog.h"
#include "app/views/help/help_sheets.h"
#include "app/views/kit/kit_pages.h"

#include <QApplication>
#include <QDialog>
#include <QPixmap>

#include <iostream>

namespace bslate::app {
namespace {

void settle() {
    for (int i = 0; i < 5; ++i)
        QApplication::processEvents(QEventLoop::AllEvents, 20);
}

QWidget* viewWidget(MainWindow& window, const QString& view) {
    const std::pair<const char*, int> steps[] = {
        {"brief", MainWindow::Brief},     {"kit", MainWindow::Kit},
        {"cadence", MainWindow::Cadence}, {"light", MainWindow::Light},
        {"record", MainWindow::Record},   {"media", MainWindow::Media}};
    for (const auto& [name, step] : steps)
        if (view == QLatin1String(name)) {
            window.showStep(step);
            if (step == MainWindow::Media) // the day of the setup that was asked for
                if (const auto* scene = window.document().scene())
                    window.planner().chooseDay(scene->day);
            window.planner().settle();
            return &window;
        }
    const std::pair<const char*, int> pages[] = {{"profiles", KitPages::Profiles},
                                                 {"body-test", KitPages::BodyTest}};
    for (const auto& [name, page] : pages)
        if (view == QLatin1String(name)) {
            window.showStep(MainWindow::Kit);
            window.kitPages().showPage(page);
            return &window;
        }
    if (view == QStringLiteral("compare")) {
        window.compareSetups();
        return window.findChild<QDialog*>(QStringLiteral("compare-dialog"));
    }
    if (view == QStringLiteral("pack-list")) {
        auto* list = window.makePackList();
        if (list)
            list->show();
        return list;
    }
    if (view == QStringLiteral("card")) {
        auto* card = window.makeCard();
        if (card)
            card->show();
        return card;
    }
    if (view == QStringLiteral("keys"))
        showKeysSheet(&window);
    else if (view == QStringLiteral("cautions"))
        showCautionsSheet(&window);
    else
        return nullptr;
    return window.findChild<QDialog*>(view + QStringLiteral("-sheet"));
}

} // namespace

bool takeShot(MainWindow& window, const Shot& shot) {
    window.resize(shot.size);
    window.show();
    settle();
    auto* widget = viewWidget(window, shot.view);
    if (!widget) {
        std::cerr << "bright-slate: --view: no such view \"" << shot.view.toStdString()
                  << "\"; expected brief, kit, profiles, body-test, cadence, light, record, "
                     "media, compare, card, pack-list, keys or cautions\n";
        return false;
    }
    window.verdict().refresh();
    settle();
    if (widget->grab().save(shot.file, "PNG"))
        return true;
    std::cerr << "bright-slate: --shot: cannot write \"" << shot.file.toStdString() << "\"\n";
    return false;
}

} // namespace bslate::app
