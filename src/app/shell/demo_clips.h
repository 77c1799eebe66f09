#pragma once

#include <QStringList>

class QTemporaryDir;

namespace bslate::app {

class MainWindow;

/// Clips of setups of the open shoot, small ones, written into the folder: one as it was meant, one
/// at a wrong rate, one under its lamps. For pictures; those that cannot be made are left out.
[[nodiscard]] QStringList makeDemoClips(MainWindow& window, const QTemporaryDir& folder);

} // namespace bslate::app
