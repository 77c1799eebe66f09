#pragma once

#include <QString>

class QWidget;

namespace bslate::app {

struct SaveWish {
    QString title;       ///< of the dialog
    QString name;        ///< proposed; made a plain name when there is no `folder`
    QString filter;      ///< as QFileDialog takes it
    QString suffix;      ///< added to a name without one, without the dot: "bslate"
    bool always = false; ///< added to a name with another one too
    QString folder = {}; ///< to start in, with a name that stands there already
};

/// Asks where to save. Whatever would be replaced is asked about under the name that will really be
/// written. Empty when it was cancelled.
[[nodiscard]] QString askSavePath(QWidget* parent, const SaveWish& wish);

/// Asks whether a file that is read-only, somebody else's or has other names may be replaced; true
/// at once when nothing speaks against it. That it is there is not asked again.
[[nodiscard]] bool mayReplace(QWidget* parent, const QString& path);

} // namespace bslate::app
