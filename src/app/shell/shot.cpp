#include "app/shell/shot.h"

#include "app/shell/demo_clips.h"
#include "app/shell/main_window.h"
#include "app/shell/sheets.h"
#include "app/shell/verdict_panel.h"
#include "app/views/clips/clips_dialog.h"

#include <QApplication>
#include <QDialog>
#include <QPixmap>
#include <QTemporaryDir>

#include <iostream>

namespace bslate::app {
namespace {

const QString kStart = QStringLiteral("start");

void settle() {
    for (int i = 0; i < 5; ++i)
        QApplication::processEvents(QEventLoop::AllEvents, 20);
}

QWidget* viewWidget(MainWindow& window, const QString& view) {
    if (auto* page = window.showView(view)) {
        page->settle();
        return &window;
    }
    if (view == kStart) {
        window.showStart();
        return &window;
    }
    const auto* sheet = findSheet(view);
    return sheet ? sheet->show(window) : nullptr;
}

// What somebody has done on a page, or with a sheet, by then.
void prepare(MainWindow& window, const QString& view, const QTemporaryDir& folder) {
    if (view == QStringLiteral("clips")) {
        auto* dialog = window.checkClips(makeDemoClips(window, folder));
        dialog->settle();
        dialog->choose(QStringLiteral("3A_take1.mov"));
    }
    for (const auto& step : window.steps())
        for (const auto& page : step.pages)
            if (page.view == view && !page.shots.empty() && page.shots.front().prepare)
                page.shots.front().prepare(page.place->page());
}

} // namespace

QStringList viewNames(const MainWindow& window) {
    QStringList names = window.pageNames();
    names += kStart;
    for (const auto& sheet : sheets())
        names += QString::fromLatin1(sheet.name);
    return names;
}

void listShots(const MainWindow& window, std::ostream& out) {
    for (const auto& step : window.steps())
        for (const auto& page : step.pages)
            for (const auto& shot : page.shots)
                out << shot.file.toStdString() << "\t" << page.view.toStdString() << "\t"
                    << shot.setup.toStdString() << "\t" << shot.theme.toStdString() << "\n";
    out << "start\tstart\t-\tslate\n";
    for (const auto& sheet : sheets())
        if (sheet.shot)
            out << sheet.name << "\t" << sheet.name << "\t" << (*sheet.shot ? sheet.shot : "-")
                << "\tslate\n";
}

bool takeShot(MainWindow& window, const Shot& shot) {
    window.resize(shot.size);
    window.show();
    settle();
    auto* widget = viewWidget(window, shot.view);
    if (!widget) {
        std::cerr << "bright-slate: --view: no such view \"" << shot.view.toStdString()
                  << "\"; expected " << viewNames(window).join(", ").toStdString() << "\n";
        return false;
    }
    const QTemporaryDir folder;
    prepare(window, shot.view, folder);
    window.document().verdicts().settle();
    window.verdict().refresh();
    settle();
    if (auto* page = window.showView(shot.view)) // what was set in motion meanwhile arrives
        page->settle();
    if (widget->grab().save(shot.file, "PNG"))
        return true;
    std::cerr << "bright-slate: --shot: cannot write \"" << shot.file.toStdString() << "\"\n";
    return false;
}

} // namespace bslate::app
