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

    /// `bytes` are what stands there, and mean `value`. An empty path forgets.
    void remember(const QString& path, const QByteArray& bytes, ShootDocument::Value value);

    /// What is different there now. Reads the file only when its stamp has changed. A file that is
    /// gone is no change: a save makes it again.
    [[nodiscard]] std::optional<Change> change();
    /// Takes what stands there now as known, whatever it is.
    void accept();

private:
    QString m_path;
    std::optional<io::FileStamp> m_stamp;
    QByteArray m_hash;
    ShootDocument::Value m_value;
};

} // namespace bslate::app
