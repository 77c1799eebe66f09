#include "app/document/disk_copy.h"

#include "app/document/text.h"
#include "core/shoot/differences.h"
#include "io/json/kit_json.h"
#include "io/json/shoot_json.h"

#include <QCryptographicHash>
#include <QDir>
#include <QFileInfo>

namespace bslate::app {
namespace {

QByteArray hashOf(const QByteArray& bytes) {
    return QCryptographicHash::hash(bytes, QCryptographicHash::Sha256);
}

// None for nothing, and for what cannot be told.
std::optional<io::FileStamp> stampAt(const QString& path) {
    const auto there = io::lookAt(fromQt(path));
    return there ? *there : std::nullopt;
}

} // namespace

void DiskCopy::remember(const QString& path, const QByteArray& bytes, const io::FileStamp& stamp,
                        ShootDocument::Value value) {
    m_path = path;
    m_stamp = m_told = stamp;
    m_hash = hashOf(bytes);
    m_value = std::move(value);
    m_home = stampAt(QFileInfo(path).absolutePath());
    m_otherKit = false;
    m_kitStamp.reset();
    if (const auto kit = kitPath(); !kit.isEmpty()) {
        // Written again between the reading of the shoot and now, it is no longer the shoot's.
        const auto before = stampAt(kit);
        const auto read = io::loadKit(fromQt(kit));
        if (read && *read == m_value->kit)
            m_kitStamp = before;
    }
    m_kitTold = m_kitStamp;
}

void DiskCopy::forget() {
    *this = DiskCopy();
}

QString DiskCopy::kitPath() const {
    return m_value && m_value->kitFile
               ? QFileInfo(m_path).absoluteDir().absoluteFilePath(toQt(*m_value->kitFile))
               : QString();
}

bool DiskCopy::isHomeLost() const {
    if (m_path.isEmpty())
        return false;
    const auto now = stampAt(QFileInfo(m_path).absolutePath());
    return !now || (m_home && now->device != m_home->device);
}

std::optional<DiskCopy::Change> DiskCopy::change() {
    if (m_path.isEmpty())
        return std::nullopt;
    const auto stamp = stampAt(m_path);
    const auto kit = kitPath();
    const auto kitStamp = kit.isEmpty() ? std::nullopt : stampAt(kit);
    const bool otherKit = !kit.isEmpty() && kitStamp && kitStamp != m_kitStamp;
    if (!stamp || (stamp == m_stamp && !otherKit))
        return std::nullopt;
    const auto text = io::readStamped(fromQt(m_path));
    if (!text)
        return Change{{}, messageOf(text.error())};
    m_told = text->stamp;
    m_kitTold = kitStamp;
    const auto hash = hashOf(QByteArray::fromStdString(text->bytes));
    if (hash == m_hash && !otherKit) {
        m_stamp = m_told;
        return std::nullopt;
    }
    // The kit it had when it was opened was agreed to; another one was not.
    const auto theirs = io::loadShoot(
        fromQt(m_path), [this](const std::string& named) { return named == m_value->kitFile; });
    if (!theirs)
        return Change{{}, messageOf(theirs.error())};
    Change change;
    for (const auto& difference : differencesBetween(*m_value, *theirs))
        change.differences.append(toQt(difference));
    m_otherKit = otherKit && !(theirs->kit == m_value->kit);
    if (change.differences.isEmpty()) { // the same shoot, written in another way
        accept();
        m_hash = hash;
        return std::nullopt;
    }
    return change;
}

void DiskCopy::accept() {
    m_stamp = m_told;
    m_kitStamp = m_kitTold;
    m_otherKit = false;
}

} // namespace bslate::app
