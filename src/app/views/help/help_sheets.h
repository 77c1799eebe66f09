#pragma once

#include <QString>

class QWidget;

namespace bslate::app {

/// The key list ("?"), one non-modal sheet.
void showKeysSheet(QWidget* parent);

/// The cautions panel: what can hurt someone on a shoot, and who decides.
void showCautionsSheet(QWidget* parent);

/// The texts, also used by tests and screenshots.
[[nodiscard]] QString keysHtml();
[[nodiscard]] QString cautionsHtml();

} // namespace bslate::app
