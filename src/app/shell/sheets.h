#pragma once

#include "app/views/help/help_sheets.h"

#include <QString>

#include <span>

class QDialog;

namespace bslate::app {

class MainWindow;

/// A dialog of the window, by the name `--view` and views ask for it with.
struct Sheet {
    const char* name;
    QDialog* (*show)(MainWindow& window); ///< null when there is nothing to show, which it tells
    const char* shot;                     ///< setup of its picture in docs/screenshots; null: none
};

[[nodiscard]] std::span<const Sheet> sheets();
/// The keys of every page, for the key sheet.
[[nodiscard]] std::vector<KeyGroup> keyGroups(const MainWindow& window);
/// Null for a name that is none.
[[nodiscard]] const Sheet* findSheet(const QString& name);

} // namespace bslate::app
