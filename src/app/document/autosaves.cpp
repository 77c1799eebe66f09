#include "app/document/autosaves.h"

#include <QCryptographicHash>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QUuid>

#include <algorithm>
#include <fcntl.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

namespace bslate::app {
namespace {

const QString kUntitled = QStringLiteral("untitled.bslate");
const QString kAutosave = QStringLiteral(".autosave");

QString hashOf(const QString& path) {
    const auto hash = QCryptographicHash::hash(path.toUtf8(), QCryptographicHash::Sha256);
    return QString::fromLatin1(hash.toHex().left(24));
}

// Opens and locks; -1 when somebody has it or it cannot be made. A file that was taken away
// between the two is made again.
int lockedFile(const QString& name, int flags) {
    const QByteArray path = QFile::encodeName(name);
    for (;;) {
        const int file = ::open(path.constData(), O_RDWR | O_CLOEXEC | O_NOFOLLOW | flags, 0600);
        if (file < 0)
            return -1;
        struct stat status {};
        if (::flock(file, LOCK_EX | LOCK_NB) != 0) {
            ::close(file);
            return -1;
        }
        if (::fstat(file, &status) == 0 && status.st_nlink > 0)
            return file;
        ::close(file);
    }
}

} // namespace

Autosaves::Autosaves(const QString& scratch)
    : m_scratch(scratch) {
    lock();
}

Autosaves::~Autosaves() {
    release();
    letGo();
}

QString Autosaves::lockName(const QString& token) const {
    return QDir(m_scratch).filePath(QStringLiteral("windows/%1.lock").arg(token));
}

void Autosaves::lock() {
    QDir().mkpath(QDir(m_scratch).filePath(QStringLiteral("windows")));
    m_token = QUuid::createUuid().toString(QUuid::Id128).left(12);
    m_lock = lockedFile(lockName(m_token), O_CREAT);
}

void Autosaves::release() {
    if (m_lock < 0)
        return;
    QFile::remove(lockName(m_token));
    ::close(m_lock);
    m_lock = -1;
}

void Autosaves::startOver() {
    release();
    lock();
}

void Autosaves::letGo() {
    if (m_open < 0)
        return;
    QFile::remove(m_openName);
    ::close(m_open);
    m_open = -1;
}

bool Autosaves::holdOpen(const QString& path) {
    letGo();
    if (path.isEmpty() || m_lock < 0)
        return true;
    m_openName = lockName(QStringLiteral("open-") + hashOf(path));
    m_open = lockedFile(m_openName, O_CREAT);
    return m_open >= 0;
}

// A lock that can be had has lost its window; it is taken away.
bool Autosaves::isAlive(const QString& token) const {
    const QString name = lockName(token);
    if (!QFile::exists(name))
        return false;
    const int file = lockedFile(name, 0);
    if (file < 0)
        return QFile::exists(name);
    QFile::remove(name);
    ::close(file);
    return false;
}

QString Autosaves::elsewhere(const QString& path) const {
    return QDir(m_scratch).filePath(QStringLiteral("elsewhere-%1.bslate").arg(hashOf(path)));
}

QStringList Autosaves::placesFor(const QString& path) const {
    const QString own = kAutosave + QLatin1Char('-') + m_token;
    if (path.isEmpty())
        return {QDir(m_scratch).filePath(kUntitled) + own};
    return {path + own, elsewhere(path) + own};
}

QStringList Autosaves::leftBehind(const QString& path) const {
    const QStringList bases = path.isEmpty() ? QStringList{QDir(m_scratch).filePath(kUntitled)}
                                             : QStringList{path, elsewhere(path)};
    QFileInfoList found;
    for (const auto& base : bases) {
        const QFileInfo about(base + kAutosave);
        const auto entries = about.absoluteDir().entryInfoList(
            QDir::Files | QDir::Hidden | QDir::NoSymLinks, QDir::NoSort);
        for (const auto& entry : entries) {
            if (!entry.fileName().startsWith(about.fileName()))
                continue;
            // Older versions knew only one name, and one that was put aside.
            const QString rest = entry.fileName().mid(about.fileName().size());
            const QString token = rest.startsWith(QLatin1Char('-')) ? rest.mid(1) : QString();
            const bool old = rest.isEmpty() || rest == QStringLiteral(".kept");
            if (old || (token.size() == 12 && token != m_token && !isAlive(token)))
                found.append(entry);
        }
    }
    std::sort(found.begin(), found.end(), [](const QFileInfo& a, const QFileInfo& b) {
        return a.lastModified() > b.lastModified();
    });
    QStringList names;
    for (const auto& entry : found)
        names.append(entry.absoluteFilePath());
    return names;
}

} // namespace bslate::app
