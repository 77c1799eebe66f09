#include "app/document/disk_copy.h"

#include "app/document/text.h"
#include "core/shoot/differences.h"
#include "io/json/shoot_json.h"

#include <QCryptographicHash>

namespace bslate::app {
namespace {

QByteArray hashOf(const QByteArray& bytes) {
    return QCryptographicHash::hash(bytes, QCryptographicHash::Sha256);
}

} // namespace

void DiskCopy::remember(const QString& path, const QByteArray& bytes, ShootDocument::Value value) {
    m_path = path;
    m_stamp = path.isEmpty() ? std::nullopt : io::stampOf(fromQt(path));
    m_hash = hashOf(bytes);
    m_value = std::move(value);
}

std::optional<DiskCopy::Change> DiskCopy::change() {
    if (m_path.isEmpty())
        return std::nullopt;
    const auto stamp = io::stampOf(fromQt(m_path));
    if (!stamp || stamp == m_stamp)
        return std::nullopt;
    const auto text = io::readFile(fromQt(m_path));
    if (!text)
        return Change{{}, messageOf(text.error())};
    if (hashOf(QByteArray::fromStdString(*text)) == m_hash) {
        m_stamp = stamp;
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
    if (change.differences.isEmpty()) { // the same shoot, written in another way
        m_stamp = stamp;
        m_hash = hashOf(QByteArray::fromStdString(*text));
        return std::nullopt;
    }
    return change;
}

void DiskCopy::accept() {
    m_stamp = io::stampOf(fromQt(m_path));
    if (const auto text = io::readFile(fromQt(m_path)))
        m_hash = hashOf(QByteArray::fromStdString(*text));
}

} // namespace bslate::app
