#pragma once

#include "app/document/shoot_document.h"
#include "core/base/result.h"

#include <QObject>
#include <QStringList>
#include <QThreadPool>

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
    /// were never saved.
    FileKeeper(ShootDocument& document, QSettings& settings, const QString& scratch,
               QObject* parent = nullptr);

    /// Starts an empty shoot with the starter kit embedded.
    void startNew();
    /// The demo shoot, as a document that was never saved.
    Outcome openDemo();
    Outcome open(const QString& path);
    Outcome save(const QString& path);
    /// Replaces the kit by one from a file; undoable.
    Outcome useKit(const QString& path);

    [[nodiscard]] QStringList recent() const;

    /// The autosave left behind by a crash for this path (empty: a never-saved shoot), if any. It
    /// is put aside as NAME.autosave.kept first, so that nothing overwrites it until it is
    /// recovered or discarded.
    [[nodiscard]] std::optional<QString> leftover(const QString& path) const;
    Outcome recover(const QString& autosave, const QString& path);
    void discard(const QString& autosave);

    /// Writes the autosave now if there are unsaved changes, and waits for it.
    void autosaveNow();
    /// The clean way out: no autosave stays behind.
    void forgetAutosave();

signals:
    void autosaveFailed(const QString& message);

private:
    /// The same on a worker thread: a slow disk must not stop a drag. The value is immutable, so
    /// nothing is copied or locked.
    void startAutosave();
    [[nodiscard]] QString autosavePath(const QString& path) const;
    void remember(const QString& path);

    ShootDocument& m_document;
    QSettings& m_settings;
    QString m_scratch;
    QTimer* m_timer;
    QThreadPool m_writer;
    QString m_written; ///< the autosave this run wrote, if any; no other is ever removed
};

} // namespace bslate::app
