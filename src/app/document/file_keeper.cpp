#include "app/document/file_keeper.h"

#include "app/document/text.h"
#include "io/kit_json.h"
#include "io/shoot_json.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QSettings>
#include <QTimer>

namespace bslate::app {
namespace {

constexpr int kAutosaveMs = 3000;
constexpr int kMostRecent = 8;
const QString kRecentKey = QStringLiteral("files/recent");

std::string resource(const char* path) {
    QFile file(QString::fromLatin1(path));
    return file.open(QIODevice::ReadOnly) ? file.readAll().toStdString() : std::string();
}

Result<Kit> starterKit() {
    return io::readKit(resource(":/data/slack-water.bskit.json"), "starter kit");
}

} // namespace

FileKeeper::FileKeeper(ShootDocument& document, QSettings& settings, const QString& scratch,
                       QObject* parent)
    : QObject(parent)
    , m_document(document)
    , m_settings(settings)
    , m_scratch(scratch)
    , m_timer(new QTimer(this)) {
    m_writer.setMaxThreadCount(1);
    m_timer->setSingleShot(true);
    m_timer->setInterval(kAutosaveMs);
    connect(m_timer, &QTimer::timeout, this, &FileKeeper::startAutosave);
    connect(&document, &ShootDocument::changed, this, [this] {
        if (!m_timer->isActive())
            m_timer->start();
    });
}

void FileKeeper::startNew() {
    forgetAutosave();
    Shoot shoot;
    shoot.title = fromQt(tr("Untitled shoot"));
    if (auto kit = starterKit())
        shoot.kit = *std::move(kit);
    m_document.reset(std::move(shoot), {});
}

Outcome FileKeeper::openDemo() {
    auto kit = starterKit();
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
    return Done{};
}

Outcome FileKeeper::open(const QString& path) {
    auto shoot = io::loadShoot(fromQt(path));
    if (!shoot)
        return shoot.error();
    forgetAutosave();
    m_document.reset(*std::move(shoot), QFileInfo(path).absoluteFilePath());
    remember(m_document.path());
    return Done{};
}

Outcome FileKeeper::save(const QString& path) {
    const QString target = QFileInfo(path).absoluteFilePath();
    const bool moves =
        QFileInfo(target).absolutePath() != QFileInfo(m_document.path()).absolutePath();
    Shoot shoot = m_document.shoot();
    if (moves)
        shoot.kitFile.reset(); // a relative reference would break: embed the kit
    if (const auto saved = io::saveShoot(shoot, fromQt(target)); !saved)
        return saved.error();
    forgetAutosave();
    m_document.edit(tr("Embed kit"), std::move(shoot));
    m_document.markSaved(target);
    m_timer->stop();
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

QString FileKeeper::autosavePath(const QString& path) const {
    return path.isEmpty() ? QDir(m_scratch).filePath(QStringLiteral("untitled.bslate.autosave"))
                          : path + QStringLiteral(".autosave");
}

std::optional<QString> FileKeeper::leftover(const QString& path) const {
    const QString autosave = autosavePath(path);
    const QString kept = autosave + QStringLiteral(".kept");
    if (QFile::exists(autosave) && autosave != m_written) {
        QFile::remove(kept);
        QFile::rename(autosave, kept);
    }
    return QFile::exists(kept) ? std::optional(kept) : std::nullopt;
}

Outcome FileKeeper::recover(const QString& autosave, const QString& path) {
    auto shoot = io::loadShoot(fromQt(autosave));
    if (!shoot)
        return shoot.error();
    m_document.reset(*std::move(shoot), path, true);
    autosaveNow(); // the recovered state stays safe under its own name ...
    if (QFile::exists(m_written))
        QFile::remove(autosave); // ... before the kept one goes
    return Done{};
}

void FileKeeper::discard(const QString& autosave) {
    QFile::remove(autosave);
}

void FileKeeper::startAutosave() {
    if (!m_document.isModified())
        return;
    m_written = autosavePath(m_document.path());
    m_writer.start([this, value = m_document.value(), target = m_written] {
        QDir().mkpath(QFileInfo(target).absolutePath());
        const auto saved = io::saveShoot(*value, fromQt(target));
        if (!saved)
            emit autosaveFailed(tr("Autosave failed. %1").arg(messageOf(saved.error())));
    });
}

void FileKeeper::autosaveNow() {
    startAutosave();
    m_writer.waitForDone();
}

void FileKeeper::forgetAutosave() {
    m_timer->stop();
    m_writer.waitForDone();
    if (!m_written.isEmpty())
        QFile::remove(m_written);
    m_written.clear();
}

} // namespace bslate::app
