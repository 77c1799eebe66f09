#pragma once

#include "app/document/autosaves.h"
#include "app/document/background_job.h"
#include "app/document/disk_copy.h"
#include "app/document/shoot_document.h"
#include "core/base/result.h"
#include "io/json/shoot_json.h"

#include <QElapsedTimer>
#include <QObject>
#include <QStringList>

#include <atomic>
#include <functional>
#include <memory>
#include <optional>

class QSettings;
class QTimer;

namespace bslate::app {

/// Files of the open shoot: opening, atomic saving, the recent list, and autosave with recovery.
/// Shows nothing itself; failures leave the document as it was.
class FileKeeper : public QObject {
    Q_OBJECT

public:
    /// `settings` holds the recent list; `scratch` is the folder for autosaves of shoots that
    /// were never saved, or whose own folder cannot be written to.
    FileKeeper(ShootDocument& document, QSettings& settings, const QString& scratch,
               QObject* parent = nullptr);

    /// What empty shoots begin with; open standards alone until it is set.
    void setKitForNew(std::function<Kit()> kit) { m_kitForNew = std::move(kit); }
    /// Starts an empty shoot with that kit as its own.
    void startNew();
    /// The demo shoot, as a document that was never saved.
    Outcome openDemo();
    /// Fails with FileElsewhere, untouched, for a kit outside of the shoot's folder that was not
    /// agreed to.
    Outcome open(const QString& path);
    /// From now on the kit that a shoot names so may be read wherever it is; remembered.
    void agreeToKit(const QString& path, const QString& named);
    /// Never waits for an autosave. Fails with WrittenMeanwhile, the file untouched, when another
    /// program wrote it since it was read or asked about; into a folder that is gone nothing is
    /// written, and none is made.
    Outcome save(const QString& path);
    /// Replaces the kit by one from a file; undoable.
    Outcome useKit(const QString& path);

    [[nodiscard]] QStringList recent() const;
    /// False when another window of this user has the same file open.
    [[nodiscard]] bool isAlone() const { return m_alone; }

    /// What somebody else has written into the open shoot's file since it was read or saved here.
    [[nodiscard]] std::optional<DiskCopy::Change> changeOnDisk() {
        return m_saving ? std::nullopt : m_disk.change();
    }
    /// Lets this window's shoot count as the newer one; a kit file that was changed is no longer
    /// its kit.
    void keepMine();
    /// Reads the file again; unsaved changes are left behind as an autosave, to be offered. Fails,
    /// with everything as it was, when they cannot be kept.
    Outcome loadTheirs();

    /// What crashes left of this path (empty: of never-saved shoots), the newest first. Each stays
    /// until it is recovered or discarded.
    [[nodiscard]] QStringList leftovers(const QString& path) const;
    /// Opens one as a modified shoot; unsaved changes that were open are left behind in turn.
    Outcome recover(const QString& autosave, const QString& path);
    void discard(const QString& autosave);

    /// Waits until no autosave is being written any more.
    void waitForDisk();
    /// Writes the autosave now if there are unsaved changes, on this thread: before something that
    /// may end the program.
    void autosaveNow();
    /// The same on a worker thread: a slow disk must not stop a drag. The value is immutable, so
    /// nothing is copied or locked.
    void startAutosave();
    /// The clean way out: no autosave stays behind.
    void forgetAutosave();

signals:
    void autosaveFailed(const QString& message); ///< again after every try that failed
    void autosaved(const QString& place);
    /// Unsaved changes are kept where the message says, because the folder of the shoot is gone.
    void homeLost(const QString& message);
    /// Nothing is offered of what crashed windows kept, because the message's folder has no locks.
    void livesUntold(const QString& message);
    void waitingForDisk(); ///< the calling thread waits for a write that takes longer than usual

private:
    [[nodiscard]] Outcome leaveBehind();
    [[nodiscard]] QStringList places() const; ///< of what is unsaved now
    void tellHome(bool lost);
    void waitFor(BackgroundJob& writing);
    [[nodiscard]] io::AgreeToKit agreedFor(const QString& path) const;
    void follow(const QString& path);
    void tell(const Result<QString>& kept, bool homeLost);
    void remember(const QString& path);

    ShootDocument& m_document;
    QSettings& m_settings;
    Autosaves m_autosaves;
    DiskCopy m_disk;
    QTimer* m_timer;
    bool m_alone = true;
    bool m_saving = false;
    bool m_homeLost = false;    ///< it was told
    QElapsedTimer m_unkept;     ///< since the first change that is not kept; invalid: none
    bool m_livesUntold = false; ///< it was told
    std::function<Kit()> m_kitForNew;
    QStringList m_written; ///< where this window may have kept the present shoot
    /// Set when what is being written of the present shoot is not to be kept.
    std::shared_ptr<std::atomic<bool>> m_obsolete;
    BackgroundJob m_autosaving; ///< the last member: ends before the others go
};

} // namespace bslate::app
