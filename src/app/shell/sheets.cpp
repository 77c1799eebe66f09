#include "app/shell/sheets.h"

#include "app/shell/main_window.h"
#include "app/views/card/card_dialog.h"
#include "app/views/clips/clips_dialog.h"
#include "app/views/help/help_sheets.h"
#include "app/views/my_kit/my_kit_dialog.h"

#include <QCoreApplication>
#include <QMenuBar>

namespace bslate::app {
namespace {

// What the menus and the shortcuts of the window do, with the words of the menus.
std::vector<KeyLine> windowKeys(const MainWindow& window) {
    std::vector<KeyLine> lines;
    for (const auto* menu : window.menuBar()->findChildren<QMenu*>())
        for (const auto* action : menu->actions()) {
            QStringList keys;
            for (const auto& key : action->shortcuts())
                keys << key.toString(QKeySequence::PortableText);
            if (!keys.isEmpty())
                lines.push_back({keys.join(QStringLiteral(", ")),
                                 action->text().remove(QLatin1Char('&')).remove(QChar(0x2026))});
        }
    const auto words = [](const char* text) { return QCoreApplication::translate("Help", text); };
    lines.push_back({QStringLiteral("Ctrl+PgDown, Ctrl+PgUp"),
                     words(QT_TRANSLATE_NOOP("Help", "next, previous page of the step"))});
    return lines;
}

} // namespace

std::vector<KeyGroup> keyGroups(const MainWindow& window) {
    std::vector<KeyGroup> groups;
    for (const auto& step : window.steps())
        for (const auto& page : step.pages)
            groups.push_back({step.pages.size() == 1
                                  ? QStringLiteral("%1 (Ctrl+%2)").arg(page.name).arg(step.number)
                                  : QStringLiteral("%1 (Ctrl+%2): %3")
                                        .arg(step.plainName())
                                        .arg(step.number)
                                        .arg(page.name),
                              page.place->page().keys()});
    groups.push_back({QCoreApplication::translate("Help", "Everywhere"), windowKeys(window)});
    return groups;
}

namespace {

QDialog* shown(QDialog* dialog) {
    if (dialog)
        dialog->show();
    return dialog;
}

constexpr Sheet kSheets[] = {
    {"compare", [](MainWindow& w) { return w.compareSetups(); }, "4A"},
    {"clips", [](MainWindow& w) -> QDialog* { return w.checkClips({}); }, "2A"},
    {"card", [](MainWindow& w) { return shown(w.makeCard()); }, "5A"},
    {"pack-list", [](MainWindow& w) { return shown(w.makePackList()); }, nullptr},
    {"bank-card", [](MainWindow& w) { return shown(w.makeBankCard("bank-card")); }, nullptr},
    {"control-card", [](MainWindow& w) { return shown(w.makeBankCard("control-card")); }, nullptr},
    {"preroll-card", [](MainWindow& w) { return shown(w.makeBankCard("preroll-card")); }, "3A"},
    {"record-card", [](MainWindow& w) { return shown(w.makeBankCard("record-card")); }, nullptr},
    {"starting-card", [](MainWindow& w) { return shown(w.makeBankCard("starting-card")); },
     nullptr},
    {"lut", [](MainWindow& w) { return w.askLut(); }, nullptr},
    {"keys", [](MainWindow& w) { return showKeysSheet(&w, keyGroups(w)); }, nullptr},
    {"my-kit", [](MainWindow& w) -> QDialog* { return w.compareWithMine(); }, nullptr},
    {"recipes",
     [](MainWindow& w) -> QDialog* { return w.showView(QStringLiteral("recipes")), nullptr; },
     nullptr},
    {"cautions", [](MainWindow& w) { return showCautionsSheet(&w); }, nullptr},
};

} // namespace

std::span<const Sheet> sheets() {
    return kSheets;
}

const Sheet* findSheet(const QString& name) {
    for (const auto& sheet : kSheets)
        if (name == QLatin1String(sheet.name))
            return &sheet;
    return nullptr;
}

} // namespace bslate::app
