#pragma once

#include "app/widgets/key_table.h"

#include <QString>

#include <vector>

class QDialog;
class QWidget;

namespace bslate::app {

/// Keys under a heading of their own: those of the window, or of a page.
struct KeyGroup {
    QString name;
    std::vector<KeyLine> keys;
};

/// The key list ("?"), one non-modal sheet.
QDialog* showKeysSheet(QWidget* parent, const std::vector<KeyGroup>& pages);

/// The cautions panel: what can hurt someone on a shoot, and who decides.
QDialog* showCautionsSheet(QWidget* parent);

/// The texts, also used by tests.
[[nodiscard]] QString keysHtml(const std::vector<KeyGroup>& pages);
[[nodiscard]] QString cautionsHtml();

} // namespace bslate::app
