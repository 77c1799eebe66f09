#include "app/shell/main_window.h"

#include "app/document/text.h"
#include "app/shell/notice_bar.h"

#include <QApplication>
#include <QFileInfo>
#include <QMenuBar>

namespace bslate::app {
namespace {

using Act = std::function<void()>;

QAction* add(QMenu* menu, const QString& text, const QKeySequence& key, MainWindow& window,
             Act act) {
    auto* action = menu->addAction(text);
    action->setShortcut(key);
    QObject::connect(action, &QAction::triggered, &window, std::move(act));
    return action;
}

QString tr(const char* text) {
    return QCoreApplication::translate("Menus", text);
}

void shootMenu(MainWindow& w) {
    auto* menu = w.menuBar()->addMenu(tr("&Shoot"));
    add(menu, tr("&New"), QKeySequence::New, w, [&w] {
        if (!w.mayLeave())
            return;
        w.files().startNew();
        w.showView(QStringLiteral("brief"));
    });
    add(menu, tr("&Open\u2026"), QKeySequence::Open, w, [&w] { w.askOpen(); });
    auto* recent = menu->addMenu(tr("Open &recent"));
    QObject::connect(recent, &QMenu::aboutToShow, &w, [&w, recent] {
        recent->clear();
        for (const QString& path : w.files().recent())
            add(recent, QFileInfo(path).fileName() + QStringLiteral("  ") + path, {}, w,
                [&w, path] {
                    if (w.mayLeave())
                        w.openPath(path);
                });
        if (recent->isEmpty())
            recent->addAction(tr("Nothing yet"))->setEnabled(false);
    });
    add(menu, tr("Open the &demo shoot"), {}, w, [&w] {
        if (!w.mayLeave())
            return;
        if (const auto done = w.files().openDemo(); !done)
            w.notice().tell(messageOf(done.error()), true);
    });
    menu->addSeparator();
    add(menu, tr("&Save"), QKeySequence::Save, w, [&w] { w.save(); });
    add(menu, tr("Save &as\u2026"), QKeySequence(QStringLiteral("Ctrl+Shift+S")), w,
        [&w] { w.saveAs(); });
    menu->addSeparator();
    add(menu, tr("S&heet: title, meter, noise floor\u2026"), {}, w, [&w] { w.editShoot(); });
    add(menu, tr("Use &kit file\u2026"), {}, w, [&w] { w.askKit(); });
    add(menu, tr("&My kit beside this shoot's\u2026"), QKeySequence(QStringLiteral("Ctrl+Shift+M")),
        w, [&w] { w.compareWithMine(); });
    menu->addSeparator();
    add(menu, tr("Dial-in &card\u2026"), QKeySequence::Print, w,
        [&w] { w.showSheet(QStringLiteral("card")); });
    add(menu, tr("&Pack list\u2026"), QKeySequence(QStringLiteral("Ctrl+Shift+P")), w,
        [&w] { w.showSheet(QStringLiteral("pack-list")); });
    add(menu, tr("P&re-roll card\u2026"), QKeySequence(QStringLiteral("Ctrl+Shift+R")), w,
        [&w] { w.showSheet(QStringLiteral("preroll-card")); });
    add(menu, tr("&Bank card\u2026"), QKeySequence(QStringLiteral("Ctrl+Shift+B")), w,
        [&w] { w.showSheet(QStringLiteral("bank-card")); });
    add(menu, tr("Rating &LUT\u2026"), QKeySequence(QStringLiteral("Ctrl+L")), w,
        [&w] { w.askLut(); });
    menu->addSeparator();
    add(menu, tr("S&tart page"), {}, w, [&w] { w.showStart(); });
    add(menu, tr("&Quit"), QKeySequence(QStringLiteral("Ctrl+Q")), w, [&w] { w.close(); });
}

void editMenu(MainWindow& w) {
    auto* menu = w.menuBar()->addMenu(tr("&Edit"));
    auto* undo = w.undoSteps().createUndoAction(&w, tr("&Undo"));
    undo->setShortcut(QKeySequence::Undo);
    auto* redo = w.undoSteps().createRedoAction(&w, tr("&Redo"));
    redo->setShortcuts(
        {QKeySequence(QStringLiteral("Ctrl+Shift+Z")), QKeySequence(QStringLiteral("Ctrl+Y"))});
    menu->addAction(undo);
    menu->addAction(redo);
    menu->addSeparator();
    add(menu, tr("&Copy picture"), QKeySequence(QStringLiteral("Ctrl+Shift+C")), w,
        [&w] { w.copyPicture(); });
    add(menu, tr("Add &patch"), {}, w, [&w] {
        if (const auto* scene = w.document().scene())
            w.actionsOnShoot().addPatch(toQt(scene->id));
    });
}

void setupMenu(MainWindow& w) {
    auto* menu = w.menuBar()->addMenu(tr("Se&tup"));
    auto& actions = w.actionsOnShoot();
    add(menu, tr("&Add setup"), QKeySequence(QStringLiteral("Ctrl+Shift+N")), w,
        [&actions] { actions.addSetup(); });
    add(menu, tr("&Duplicate"), QKeySequence(QStringLiteral("Ctrl+D")), w,
        [&actions] { actions.duplicateSetup(); });
    add(menu, tr("Dele&te"), QKeySequence(QStringLiteral("Ctrl+Del")), w,
        [&actions] { actions.deleteSetup(); });
    // Ctrl+E moves to the end of the text while a field is being typed in; F4 works there too.
    auto* sheet = add(menu, tr("&Edit sheet\u2026"), {}, w, [&w] { w.editSetup(); });
    sheet->setShortcuts(
        {QKeySequence(QStringLiteral("Ctrl+E")), QKeySequence(QStringLiteral("F4"))});
    menu->addSeparator();
    add(menu, tr("&Compare two\u2026"), QKeySequence(QStringLiteral("Ctrl+Shift+E")), w,
        [&w] { w.compareSetups(); });
    menu->addSeparator();
    add(menu, tr("&Previous"), QKeySequence(QStringLiteral("Ctrl+Left")), w,
        [&w] { w.document().selectNeighbour(-1); });
    add(menu, tr("&Next"), QKeySequence(QStringLiteral("Ctrl+Right")), w,
        [&w] { w.document().selectNeighbour(1); });
}

void lookMenu(MainWindow& w) {
    auto* menu = w.menuBar()->addMenu(tr("&Look at"));
    for (const auto& step : w.steps()) {
        auto* action =
            add(menu, step.name, QKeySequence(QStringLiteral("Ctrl+%1").arg(step.number)), w,
                [&w, number = step.number] { w.showStep(number); });
        action->setStatusTip(step.help);
    }
    menu->addSeparator();
    add(menu, tr("C&lips against the plan\u2026"), QKeySequence(QStringLiteral("Ctrl+Shift+K")), w,
        [&w] { w.checkClips({}); });
    menu->addSeparator();
    add(menu, tr("Next p&art"), QKeySequence(QStringLiteral("F6")), w,
        [&w] { w.focusNextPart(1); });
    add(menu, tr("Pre&vious part"), QKeySequence(QStringLiteral("Shift+F6")), w,
        [&w] { w.focusNextPart(-1); });
    menu->addSeparator();
    add(menu, tr("Slate or &Paper"), QKeySequence(QStringLiteral("Ctrl+T")), w, [&w] {
        w.style().setTheme(w.style().theme() == Theme::Slate ? Theme::Paper : Theme::Slate);
    });
}

void helpMenu(MainWindow& w) {
    auto* menu = w.menuBar()->addMenu(tr("&Help"));
    add(menu, tr("&Keys"), QKeySequence(Qt::Key_Question), w,
        [&w] { w.showSheet(QStringLiteral("keys")); });
    add(menu, tr("&Cautions"), QKeySequence(Qt::Key_F1), w,
        [&w] { w.showSheet(QStringLiteral("cautions")); });
}

} // namespace

void buildMenus(MainWindow& window) {
    shootMenu(window);
    editMenu(window);
    setupMenu(window);
    lookMenu(window);
    helpMenu(window);
}

} // namespace bslate::app
