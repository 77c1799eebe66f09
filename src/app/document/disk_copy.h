#pragma once

#include "app/document/shoot_document.h"
#include "io/system/files.h"

#include <QByteArray>
#include <QStringList>

#include <optional>

namespace bslate::app {

/// The open shoot as it was last read from or written to its file, to notice that somebody else has
/// written there since.
class DiskCopy {
public:
    struct Change {
        QStringList differences; ///< in words; empty when the file is no shoot any more
        QString problem;         ///< why it cannot be read; empty when it can
    };

    /// `bytes` are what stands there, with that stamp, and mean `value`.
    void remember(const QString& path, const QByteArray& bytes, const io::FileStamp& stamp,
                  ShootDocument::Value value);
    void forget();

    /// What is different there now, in the shoot or in a kit file that it names. Reads only what
    /// has another stamp. A file that is gone is no change: a save makes it again.
    [[nodiscard]] std::optional<Change> change();
    /// Takes what the last change was told of as known, and no later writing.
    void accept();
    /// The kit that the file names is another one than was read with it.
    [[nodiscard]] bool hasOtherKit() const { return m_otherKit; }

    /// Of the file as it was last read, written or accepted here.
    [[nodiscard]] const std::optional<io::FileStamp>& stamp() const { return m_stamp; }
    /// The folder of the file is no longer there, or on another drive than it was: a drive that was
    /// taken away leaves its place behind.
    [[nodiscard]] bool isHomeLost() const;

private:
    [[nodiscard]] QString kitPath() const;

    QString m_path;
    std::optional<io::FileStamp> m_stamp, m_kitStamp, m_home;
    std::optional<io::FileStamp> m_told, m_kitTold; ///< of the last change
    bool m_otherKit = false;
    QByteArray m_hash;
    ShootDocument::Value m_value;
};

} // namespace bslate::app
