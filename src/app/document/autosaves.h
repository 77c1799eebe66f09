#pragma once

#include <QString>
#include <QStringList>

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
    /// place first.
    [[nodiscard]] QStringList placesFor(const QString& path) const;

    /// What windows that are no longer alive have kept of it, the newest first.
    [[nodiscard]] QStringList leftBehind(const QString& path) const;

    /// Takes other names: what this window has kept by now is left behind.
    void startOver();

    /// Marks the shoot as open here; false when another window has it open. Of the shoot named
    /// last.
    [[nodiscard]] bool holdOpen(const QString& path);

private:
    [[nodiscard]] QString lockName(const QString& token) const;
    [[nodiscard]] QString elsewhere(const QString& path) const;
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
