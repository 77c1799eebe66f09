#include "app/document/file_keeper.h"

#include "app/document/text.h"
#include "core/kit/kit_parts.h"
#include "io/json/kit_json.h"
#include "io/json/shoot_json.h"
#include "io/system/files.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QSettings>
#include <QThread>
#include <QTimer>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr int kAtRestMs = 500;     // without a change, after which it is kept
constexpr int kAtLongestMs = 1000; // while changes go on
constexpr int kTryAgainMs = 10000;
constexpr int kPaintMs = 20;
constexpr int kUnnoticedMs = 100; // what nobody has to be told about
constexpr int kMostRecent = 8;
constexpr int kMostKits = 50;
const QString kRecentKey = QStringLiteral("files/recent");
const QString kKitsKey = QStringLiteral("files/kits-elsewhere");

std::string resource(const char* path) {
    QFile file(QString::fromLatin1(path));
    return file.open(QIODevice::ReadOnly) ? file.readAll().toStdString() : std::string();
}

Result<Kit> demoKit() {
    return io::readKit(resource(":/data/slack-water.bskit.json"), "demo kit");
}

// A program killed in the moment between making the lock of its settings and writing into it leaves
// a lock that others would wait half a minute for.
void clearBrokenLock(const QString& settings) {
    const QString lock = settings + QStringLiteral(".lock");
    const auto empty = [&] { return QFileInfo::exists(lock) && QFileInfo(lock).size() == 0; };
    if (!empty())
        return;
    QThread::msleep(kUnnoticedMs); // somebody may be about to write it
    if (empty())
        QFile::remove(lock);
}

// Written into the first place that takes it; what an earlier one kept elsewhere goes. In a folder
// that is lost nothing is tried, nor made.
Result<QString> keep(const Shoot& shoot, const QStringList& places, const QString& document,
                     bool homeLost, const KeepGoing& wanted = {}) {
    const std::string text = io::writeShoot(shoot);
    std::optional<Error> problem;
    for (const auto& place : places) {
        if (homeLost && place != places.back())
            continue;
        if (place == places.back()) // a folder of this program's
            (void)io::makeOwnFolder(fromQt(QFileInfo(place).absolutePath()));
        const auto kept = io::writePrivately(fromQt(place), text, fromQt(document), wanted);
        if (!kept && kept.error().code == ErrorCode::Stopped)
            return kept.error();
        if (!kept) {
            problem = problem ? problem : std::optional(kept.error());
            continue;
        }
        for (const auto& other : places)
            if (other != place)
                QFile::remove(other);
        return place;
    }
    return *problem;
}

} // namespace

FileKeeper::FileKeeper(ShootDocument& document, QSettings& settings, const QString& scratch,
                       QObject* parent)
    : QObject(parent)
    , m_document(document)
    , m_settings(settings)
    , m_autosaves(scratch)
    , m_timer(new QTimer(this)) {
    clearBrokenLock(settings.fileName());
    m_timer->setSingleShot(true);
    connect(m_timer, &QTimer::timeout, this, &FileKeeper::startAutosave);
    connect(&document, &ShootDocument::changed, this, [this] {
        if (!m_unkept.isValid())
            m_unkept.start();
        m_timer->start(
            std::clamp(kAtLongestMs - static_cast<int>(m_unkept.elapsed()), 0, kAtRestMs));
    });
    // Undone to what is saved: what was kept in between is older than that.
    connect(&document.undoStack(), &QUndoStack::cleanChanged, this, [this](bool clean) {
        if (clean)
            forgetAutosave();
    });
}

void FileKeeper::startNew() {
    forgetAutosave();
    Shoot shoot;
    shoot.title = fromQt(tr("Untitled shoot"));
    shoot.kit = m_kitForNew ? m_kitForNew() : plainKit();
    m_document.reset(std::move(shoot), {});
    m_disk.forget();
    m_alone = m_autosaves.holdOpen({});
}

Outcome FileKeeper::openDemo() {
    auto kit = demoKit();
    if (!kit)
        return kit.error();
    // The demo refers to its kit by file; here both live in the application.
    std::string text = resource(":/data/slack-water.bslate");
    const std::string reference = "\"slack-water.bskit.json\"";
    if (const auto at = text.find(reference); at != std::string::npos)
        text.replace(at, reference.size(), io::writeKit(*kit));
    auto shoot = io::readShoot(text, "demo shoot", {});
    if (!shoot)
        return shoot.error();
    forgetAutosave();
    m_document.reset(*std::move(shoot), {});
    m_disk.forget();
    m_alone = m_autosaves.holdOpen({});
    return Done{};
}

Outcome FileKeeper::open(const QString& path) {
    const QString target = QFileInfo(path).absoluteFilePath();
    const auto text = io::readStamped(fromQt(target));
    if (!text)
        return text.error();
    auto shoot = io::readShoot(text->bytes, fromQt(target),
                               fromQt(QFileInfo(target).absolutePath()), agreedFor(target));
    if (!shoot)
        return shoot.error();
    forgetAutosave();
    m_document.reset(*std::move(shoot), target);
    m_disk.remember(target, QByteArray::fromStdString(text->bytes), text->stamp,
                    m_document.value());
    m_homeLost = false;
    m_alone = m_autosaves.holdOpen(target);
    remember(target);
    return Done{};
}

namespace {
QString agreement(const QString& path, const QString& named) {
    return path + QLatin1Char('\n') + named;
}
} // namespace

void FileKeeper::agreeToKit(const QString& path, const QString& named) {
    QStringList list = m_settings.value(kKitsKey).toStringList();
    list.removeAll(agreement(path, named));
    list.append(agreement(path, named));
    m_settings.setValue(kKitsKey, list.mid(std::max(0, int(list.size()) - kMostKits)));
}

io::AgreeToKit FileKeeper::agreedFor(const QString& path) const {
    return [list = m_settings.value(kKitsKey).toStringList(), path](const std::string& named) {
        return list.contains(agreement(path, toQt(named)));
    };
}

Outcome FileKeeper::loadTheirs() {
    if (auto left = leaveBehind(); !left)
        return left;
    return open(m_document.path());
}

Outcome FileKeeper::save(const QString& path) {
    const QString target = QFileInfo(path).absoluteFilePath();
    const bool moves =
        QFileInfo(target).absolutePath() != QFileInfo(m_document.path()).absolutePath();
    Shoot shoot = m_document.shoot();
    if (moves)
        shoot.kitFile.reset(); // a relative reference would break: embed the kit
    const std::string text = io::writeShoot(shoot);
    const bool again = target == m_document.path();
    if (again && m_disk.isHomeLost())
        return Error{ErrorCode::FileUnwritable,
                     fromQt(target),
                     {},
                     {},
                     "its folder, which is gone or on a drive that is away; Save as puts it "
                     "elsewhere"};
    Result<io::FileStamp> saved = Error{};
    BackgroundJob writing;
    writing.start([&, seen = m_disk.stamp()](const BackgroundJob::Control&) {
        const auto there = io::lookAt(fromQt(target));
        // A file that is gone is made again; what is saved under another name was asked about.
        saved =
            !there ? Result<io::FileStamp>(Error{
                         ErrorCode::FileUnwritable, fromQt(target), {}, {}, there.error().expected})
                   : io::writeOver(fromQt(target), text, again && *there ? seen : *there);
        return [] {};
    });
    m_saving = true; // what is found on the disk meanwhile is this window's own
    waitFor(writing);
    m_saving = false;
    if (!saved)
        return saved.error();
    forgetAutosave();
    m_document.edit(tr("Embed kit"), std::move(shoot));
    m_document.markSaved(target);
    m_timer->stop();
    m_disk.remember(target, QByteArray::fromStdString(text), *saved, m_document.value());
    m_homeLost = false;
    m_alone = m_autosaves.holdOpen(target);
    remember(target);
    return Done{};
}

Outcome FileKeeper::useKit(const QString& path) {
    auto kit = io::loadKit(fromQt(path));
    if (!kit)
        return kit.error();
    Shoot after = m_document.shoot();
    after.kit = *std::move(kit);
    after.kitFile.reset();
    m_document.edit(tr("Use kit %1").arg(QFileInfo(path).fileName()), std::move(after));
    return Done{};
}

QStringList FileKeeper::recent() const {
    return m_settings.value(kRecentKey).toStringList();
}

void FileKeeper::remember(const QString& path) {
    QStringList list = recent();
    list.removeAll(path);
    list.prepend(path);
    while (list.size() > kMostRecent)
        list.removeLast();
    m_settings.setValue(kRecentKey, list);
}

QStringList FileKeeper::leftovers(const QString& path) const {
    return m_autosaves.leftBehind(path);
}

QStringList FileKeeper::places() const {
    return m_autosaves.placesFor(m_document.path(), m_disk.stamp());
}

void FileKeeper::keepMine() {
    const bool otherKit = m_disk.hasOtherKit();
    m_disk.accept();
    if (!otherKit)
        return;
    Shoot shoot = m_document.shoot();
    shoot.kitFile.reset();
    m_document.edit(tr("Keep this kit"), std::move(shoot));
}

// Said once, and again when the folder was back in between.
void FileKeeper::tellHome(bool lost) {
    if (lost && !m_homeLost)
        emit homeLost(tr("The folder of %1 is gone, or its drive is away. Unsaved changes are kept "
                         "in %2 meanwhile; Save as puts the shoot elsewhere.")
                          .arg(QFileInfo(m_document.path()).fileName(), m_autosaves.scratch()));
    m_homeLost = lost;
    if (!m_autosaves.tellsWhoLives() && !m_livesUntold)
        emit livesUntold(tr("Windows cannot be told apart, since %1 takes no locks: what a crashed "
                            "one kept is not offered here.")
                             .arg(m_autosaves.scratch()));
    m_livesUntold = !m_autosaves.tellsWhoLives();
}

// Under the names it has; the next ones are others.
Outcome FileKeeper::leaveBehind() {
    waitForDisk();
    m_timer->stop();
    if (m_document.isModified()) {
        const auto kept =
            keep(m_document.shoot(), places(), m_document.path(), m_disk.isHomeLost());
        if (!kept)
            return kept.error();
    }
    m_autosaves.startOver();
    m_written.clear();
    m_obsolete.reset();
    return Done{};
}

Outcome FileKeeper::recover(const QString& autosave, const QString& path) {
    const auto text = io::readFile(fromQt(autosave));
    if (!text)
        return text.error();
    // A kit named by file is named from where the shoot stands.
    const QString home = QFileInfo(path.isEmpty() ? autosave : path).absolutePath();
    auto shoot = io::readShoot(*text, fromQt(autosave), fromQt(home), agreedFor(path));
    if (!shoot)
        return shoot.error();
    if (auto left = leaveBehind(); !left)
        return left;
    if (path != m_document.path())
        follow(path);
    m_document.reset(*std::move(shoot), path, true);
    m_timer->stop();
    // The recovered state stays safe under this window's name before the kept one goes.
    m_written = m_autosaves.placesFor(path, m_disk.stamp());
    const auto kept = keep(m_document.shoot(), m_written, path, m_disk.isHomeLost());
    if (kept)
        QFile::remove(autosave);
    tell(kept, m_disk.isHomeLost());
    return Done{};
}

// What stands in a file that is about to be the open one, without opening it.
void FileKeeper::follow(const QString& path) {
    m_alone = m_autosaves.holdOpen(path);
    m_disk.forget();
    const auto text = io::readStamped(fromQt(path));
    const auto shoot = text ? io::readShoot(text->bytes, fromQt(path),
                                            fromQt(QFileInfo(path).absolutePath()), agreedFor(path))
                            : Result<Shoot>(text.error());
    if (shoot)
        m_disk.remember(path, QByteArray::fromStdString(text->bytes), text->stamp,
                        std::make_shared<const Shoot>(*shoot));
}

void FileKeeper::discard(const QString& autosave) {
    QFile::remove(autosave);
}

void FileKeeper::tell(const Result<QString>& kept, bool homeLost) {
    tellHome(homeLost);
    if (kept) {
        emit autosaved(*kept);
        return;
    }
    m_timer->start(kTryAgainMs);
    emit autosaveFailed(tr("Unsaved changes are kept nowhere: %1").arg(messageOf(kept.error())));
}

void FileKeeper::startAutosave() {
    if (!m_document.isModified())
        return;
    m_written = places();
    m_unkept.invalidate();
    if (!m_obsolete)
        m_obsolete = std::make_shared<std::atomic<bool>>(false);
    m_autosaving.start([this, obsolete = m_obsolete, value = m_document.value(), places = m_written,
                        document = m_document.path(),
                        disk = m_disk](const BackgroundJob::Control&) -> BackgroundJob::Then {
        if (*obsolete)
            return [] {};
        const bool lost = disk.isHomeLost();
        const auto kept =
            keep(*value, places, document, lost, [obsolete](double) { return !*obsolete; });
        if (kept && *obsolete)
            QFile::remove(*kept);
        return [this, obsolete, kept, lost] {
            if (!*obsolete)
                tell(kept, lost);
        };
    });
}

// The window is painted meanwhile, and hears no key and no mouse.
void FileKeeper::waitFor(BackgroundJob& writing) {
    if (writing.letEnd(kUnnoticedMs))
        return;
    emit waitingForDisk();
    while (!writing.letEnd(kPaintMs))
        QCoreApplication::processEvents(QEventLoop::ExcludeUserInputEvents);
}

void FileKeeper::waitForDisk() {
    m_autosaving.stopUnlessBegun();
    waitFor(m_autosaving);
}

// Also when the display is gone and nothing can be painted.
void FileKeeper::autosaveNow() {
    m_autosaving.stopUnlessBegun();
    m_autosaving.letEnd();
    if (!m_document.isModified())
        return;
    m_timer->stop();
    m_unkept.invalidate();
    m_written = places();
    const bool lost = m_disk.isHomeLost();
    tell(keep(m_document.shoot(), m_written, m_document.path(), lost), lost);
}

// A write that is on its way removes what it wrote itself, so nobody waits for it.
void FileKeeper::forgetAutosave() {
    m_timer->stop();
    m_unkept.invalidate();
    m_autosaving.stop();
    if (m_obsolete)
        *m_obsolete = true;
    m_obsolete.reset();
    for (const auto& place : m_written)
        QFile::remove(place);
    m_written.clear();
}

} // namespace bslate::app
