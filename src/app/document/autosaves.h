#pragma once

#include "io/system/files.h"

#include <QString>
#include <QStringList>

#include <optional>

namespace bslate::app {

/// The names under which unsaved changes are kept. Each window has names of its own, and a lock
/// that says it is alive, so that no window ever writes over what another one keeps or a crash
/// left. Touches no shoot itself.
class Autosaves {
public:
    /// `scratch`: a folder of the user, for shoots that were never saved and for folders that
    /// cannot be written to.
    explicit Autosaves(const QString& scratch);
    ~Autosaves();
    Autosaves(const Autosaves&) = delete;
    Autosaves& operator=(const Autosaves&) = delete;

    /// Where this window may keep changes to a shoot (empty: one that was never saved), the best
    /// place first; the last is never beside it. `stamp` tells the file again where it was moved
    /// to.
    [[nodiscard]] QStringList placesFor(const QString& path,
                                        const std::optional<io::FileStamp>& stamp = {}) const;

    /// What windows that are no longer alive have kept of it, under this name or one it had before,
    /// the newest first. Nothing while it cannot be told who lives: see tellsWhoLives().
    [[nodiscard]] QStringList leftBehind(const QString& path) const;
    /// False without a folder for the locks of windows: a window that lives looks like a dead one.
    [[nodiscard]] bool tellsWhoLives() const { return m_lock >= 0; }
    [[nodiscard]] const QString& scratch() const { return m_scratch; }

    /// Takes other names: what this window has kept by now is left behind.
    void startOver();

    /// Marks the shoot as open here; false when another window has it open. Of the shoot named
    /// last.
    [[nodiscard]] bool holdOpen(const QString& path);

private:
    [[nodiscard]] QString lockName(const QString& token) const;
    [[nodiscard]] QString elsewhere(const QString& path,
                                    const std::optional<io::FileStamp>& stamp) const;
    [[nodiscard]] QStringList basesOf(const QString& path) const;
    [[nodiscard]] bool isAlive(const QString& token) const;
    void lock();
    void release();
    void letGo();

    QString m_scratch;
    QString m_token;
    int m_lock = -1; ///< a locked file; -1 when the scratch folder cannot be written to
    int m_open = -1; ///< likewise, of the open shoot
    QString m_openName;
};

} // namespace bslate::app
