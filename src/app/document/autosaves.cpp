#include "app/document/autosaves.h"

#include <QCryptographicHash>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QSysInfo>
#include <QUuid>

#include <algorithm>
#include <cerrno>
#include <csignal>
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

// What stays the same of a file that is moved.
QString keyOf(const io::FileStamp& stamp) {
    return hashOf(QStringLiteral("%1 %2 %3 %4")
                      .arg(stamp.node)
                      .arg(stamp.size)
                      .arg(stamp.seconds)
                      .arg(stamp.nanoseconds))
        .left(12);
}

// A window that could not lock anything is told by its process: its copies are nobody's to offer
// while it may live, and on another machine it may.
QString unlockedToken() {
    return QStringLiteral("u%1-%2")
        .arg(QString::fromLatin1(QSysInfo::machineUniqueId()).left(8))
        .arg(::getpid());
}

bool mayLive(const QString& unlocked) {
    const QString machine = unlocked.mid(1).section(QLatin1Char('-'), 0, 0);
    const auto process = unlocked.section(QLatin1Char('-'), 1).toLongLong();
    return machine != QString::fromLatin1(QSysInfo::machineUniqueId()).left(8) || process <= 0 ||
           ::kill(static_cast<pid_t>(process), 0) == 0 || errno == EPERM;
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
    (void)io::makeOwnFolder(QDir(m_scratch).filePath(QStringLiteral("windows")).toStdString());
    m_token = QUuid::createUuid().toString(QUuid::Id128).left(12);
    m_lock = lockedFile(lockName(m_token), O_CREAT);
    if (m_lock < 0)
        m_token = unlockedToken();
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

// The stamp of a file goes with it when its folder is renamed or its drive is put in elsewhere.
QString Autosaves::elsewhere(const QString& path, const std::optional<io::FileStamp>& stamp) const {
    QString name = QStringLiteral("elsewhere-") + hashOf(path);
    if (stamp)
        name += QLatin1Char('-') + keyOf(*stamp);
    return QDir(m_scratch).filePath(name + QStringLiteral(".bslate"));
}

QStringList Autosaves::placesFor(const QString& path,
                                 const std::optional<io::FileStamp>& stamp) const {
    const QString own = kAutosave + QLatin1Char('-') + m_token;
    if (path.isEmpty())
        return {QDir(m_scratch).filePath(kUntitled) + own};
    return {path + own, elsewhere(path, stamp) + own};
}

// The names before `.autosave` under which something may have been kept of a shoot.
QStringList Autosaves::basesOf(const QString& path) const {
    if (path.isEmpty())
        return {QDir(m_scratch).filePath(kUntitled)};
    QStringList bases{path};
    const auto there = io::lookAt(path.toStdString());
    const QString key = there && *there ? keyOf(**there) : QStringLiteral("none");
    const QString own = QStringLiteral("elsewhere-") + hashOf(path);
    for (const auto& name :
         QDir(m_scratch).entryList({QStringLiteral("elsewhere-*")}, QDir::Files | QDir::Hidden)) {
        const QString base = name.left(name.indexOf(kAutosave));
        const QString stem = base.chopped(std::min(base.size(), qsizetype{7})); // ".bslate"
        if (stem == own || stem.startsWith(own + QLatin1Char('-')) ||
            stem.endsWith(QLatin1Char('-') + key))
            bases.append(QDir(m_scratch).filePath(base));
    }
    bases.removeDuplicates();
    return bases;
}

QStringList Autosaves::leftBehind(const QString& path) const {
    if (!tellsWhoLives())
        return {};
    const QStringList bases = basesOf(path);
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
            const bool unlocked =
                token.startsWith(QLatin1Char('u')) && token.contains(QLatin1Char('-'));
            const bool dead = unlocked             ? !mayLive(token)
                              : token.size() == 12 ? token != m_token && !isAlive(token)
                                                   : false;
            if (old || dead)
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
