#include "app/document/my_kit.h"

#include "app/document/text.h"
#include "io/json/kit_json.h"
#include "io/system/file_lock.h"
#include "io/system/files.h"

#include <QCoreApplication>
#include <QTimer>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr int kLockMs = 10000;   // another window writes no longer than that
constexpr int kPatienceMs = 300; // nobody has to be told of

QString slow() {
    return MyKit::tr("My kit is on a slow disk, or another window is writing it: waiting \u2026");
}

bool holdsNothing(const Kit& kit) {
    return bslate::besides(kit, {}).empty();
}

// The kit of a file with the stamp of what was read; an empty one where none was ever kept.
Result<Kit> readThere(const std::string& path, std::optional<io::FileStamp>& stamp) {
    stamp.reset();
    if (const auto made = io::makeOwnFolder(std::filesystem::path(path).parent_path()); !made)
        return made.error();
    const auto there = io::lookAt(path);
    if (!there)
        return there.error();
    if (!*there)
        return Kit{};
    const auto text = io::readStamped(path);
    if (!text)
        return text.error();
    stamp = text->stamp;
    return io::readKit(text->bytes, path);
}

} // namespace

QString headingOf(KitPart part) {
    static constexpr ByEnum<KitPart, const char*> kNames{
        QT_TR_NOOP("Cameras"),  QT_TR_NOOP("Lenses"), QT_TR_NOOP("Filters"),
        QT_TR_NOOP("Gels"),     QT_TR_NOOP("Cards"),  QT_TR_NOOP("Batteries"),
        QT_TR_NOOP("Readers"),  QT_TR_NOOP("Drives"), QT_TR_NOOP("Chargers"),
        QT_TR_NOOP("Profiles"), QT_TR_NOOP("Recipes")};
    return MyKit::tr(kNames[part]);
}

QString differingFields(const PartBeside& part) {
    QStringList fields;
    for (const auto& field : part.fields)
        fields << QCoreApplication::translate("Fields", field.c_str()).remove(QLatin1Char('&'));
    return fields.join(QStringLiteral(", "));
}

// What the worker brings back of a change.
struct MyKit::Written {
    Result<Kit> before{Error{ErrorCode::Stopped}},
        after{Error{ErrorCode::Stopped}}; ///< the file as it was, and is
    std::optional<io::FileStamp> stamp;
    std::optional<Error> refused;
};

MyKit::MyKit(KitActions& actions, const QString& path, QObject* parent)
    : QObject(parent)
    , m_actions(actions)
    , m_path(path)
    , m_patience(new QTimer(this)) {
    m_patience->setSingleShot(true);
    m_patience->setInterval(kPatienceMs);
    connect(m_patience, &QTimer::timeout, this, [this] { emit waiting(slow()); });
    look();
}

// Reads, changes and writes the file under its lock; why not, where it could not.
std::optional<Error> MyKit::writeThere(const std::string& path, const Change& change,
                                       Written& written) {
    if (const auto made = io::makeOwnFolder(std::filesystem::path(path).parent_path()); !made)
        return made.error();
    const auto lock = io::FileLock::onFile(path + ".lock", kLockMs);
    if (!lock) {
        written.before = Kit{}; // it was not looked at
        return lock.error();
    }
    written.before = readThere(path, written.stamp);
    if (!written.before)
        return written.before.error();
    written.after = change.edit(*written.before);
    if (!written.after)
        return written.after.error();
    const auto stamp = io::writeOver(path, io::writeKit(*written.after), written.stamp);
    if (!stamp)
        return stamp.error();
    written.stamp = *stamp;
    return std::nullopt;
}

void MyKit::look() {
    m_reading.start([this, path = fromQt(m_path),
                     known = m_stamp](const BackgroundJob::Control&) -> BackgroundJob::Then {
        const auto there = io::lookAt(path);
        if (there && *there == known && known)
            return [] {};
        std::optional<io::FileStamp> stamp;
        const auto kit = readThere(path, stamp);
        return [this, kit, stamp] { tookIn(kit, stamp); };
    });
}

void MyKit::tookIn(const Result<Kit>& kit, const std::optional<io::FileStamp>& stamp) {
    m_stamp = stamp;
    const bool same =
        kit.ok() == m_known.ok() &&
        (kit ? *kit == *m_known : messageOf(kit.error()) == messageOf(m_known.error()));
    if (same)
        return;
    m_known = kit;
    emit changed();
}

void MyKit::settle() {
    while (m_reading.isRunning() || m_changing.isRunning()) {
        m_reading.settle();
        m_changing.settle();
    }
}

const Result<Kit>& MyKit::kit() {
    if (!m_reading.isRunning())
        look();
    return m_known;
}

bool MyKit::isEmpty() {
    const auto& own = kit();
    return own && holdsNothing(*own);
}

Kit MyKit::forNewShoot() {
    look();
    if (!m_reading.letEnd(kPatienceMs))
        emit waiting(slow());
    settle();
    const auto& own = m_known;
    if (!own)
        emit refused(tr("My kit cannot be read, so this shoot begins without it: %1")
                         .arg(messageOf(own.error())));
    auto both = own ? withAllOf(plainKit(), *own) : plainKit();
    return both ? *std::move(both) : *own;
}

std::vector<PartBeside> MyKit::besides() {
    const auto& own = kit();
    return own ? bslate::besides(m_actions.document().shoot().kit, *own)
               : std::vector<PartBeside>();
}

std::optional<PartBeside> MyKit::beside(KitPart part, const QString& id) {
    const auto& own = kit();
    return own ? besideOf(m_actions.document().shoot().kit, *own, part, fromQt(id)) : std::nullopt;
}

QString MyKit::namesOf(const std::vector<Part>& parts) {
    QStringList names;
    for (const auto& [part, id] : parts) {
        const auto found = beside(part, id);
        names << (found ? toQt(found->name) : id);
    }
    return names.join(QStringLiteral(", "));
}

void MyKit::change(Change change) {
    m_waiting.push_back(std::move(change));
    if (!m_writing)
        runNext();
}

void MyKit::tellRefused(const Written& written) {
    const auto& why = *written.refused;
    if (!written.before)
        emit refused(
            tr("My kit is not written over while its file cannot be read: %1").arg(messageOf(why)));
    else if (why.code == ErrorCode::WrittenMeanwhile && why.file.empty())
        emit refused(tr("Another window changed the same parts of My kit since: they stay."));
    else
        emit refused(messageOf(why));
}

void MyKit::runNext() {
    if (m_waiting.empty())
        return;
    m_writing = true;
    m_patience->start();
    const auto next = std::make_shared<Change>(std::move(m_waiting.front()));
    m_waiting.pop_front();
    m_changing.start(
        [this, next, path = fromQt(m_path)](const BackgroundJob::Control&) -> BackgroundJob::Then {
            const auto written = std::make_shared<Written>();
            written->refused = writeThere(path, *next, *written);
            return [this, next, written] { finish(*next, *written); };
        });
}

void MyKit::finish(const Change& change, const Written& written) {
    m_writing = false;
    m_patience->stop();
    if (written.refused) {
        tellRefused(written);
    } else {
        m_last.reset();
        if (!change.takesBack)
            m_last = Step{*written.before, *written.after};
        tookIn(written.after, written.stamp);
        if (change.takesBack)
            emit told(change.done);
        else
            emit kept(change.done);
    }
    runNext();
}

bool MyKit::bring(const Result<Kit>& kit, const QString& step, const QString& done) {
    if (!kit) {
        emit refused(messageOf(kit.error()));
        return false;
    }
    if (!m_actions.change(step, [&](Kit& own) { own = *kit; }))
        return false;
    emit told(done);
    emit changed();
    return true;
}

namespace {

Result<Kit> withEach(Result<Kit> into, const Result<Kit>& from,
                     const std::vector<MyKit::Part>& parts) {
    if (!from)
        return from;
    for (const auto& [part, id] : parts)
        if (into)
            into = withPartOf(*into, *from, part, fromQt(id));
    return into;
}

} // namespace

void MyKit::keep(const std::vector<Part>& parts) {
    change({[from = m_actions.document().shoot().kit, parts](const Kit& own) {
                return withEach(own, from, parts);
            },
            tr("In My kit, for every new shoot: %1.").arg(namesOf(parts))});
}

void MyKit::keepAll() {
    change(
        {[from = m_actions.document().shoot().kit](const Kit& own) { return withAllOf(own, from); },
         tr("Everything of this shoot's kit is in My kit.")});
}

bool MyKit::take(const std::vector<Part>& parts) {
    const QString names = namesOf(parts);
    return bring(withEach(m_actions.document().shoot().kit, kit(), parts),
                 tr("Take %1 from My kit").arg(names),
                 tr("In this shoot as in My kit: %1.").arg(names));
}

bool MyKit::takeAll() {
    const auto& own = kit();
    return bring(own ? withAllOf(m_actions.document().shoot().kit, *own) : own,
                 tr("Take all of My kit"), tr("All of My kit is in this shoot."));
}

void MyKit::forget(const std::vector<Part>& parts) {
    change({[parts](const Kit& own) {
                Result<Kit> left = own;
                for (const auto& [part, id] : parts)
                    if (left)
                        left = withoutPart(*left, part, fromQt(id));
                return left;
            },
            tr("No longer in My kit: %1. Shoots keep theirs.").arg(namesOf(parts))});
}

void MyKit::takeBack() {
    if (!m_last)
        return;
    change({[step = *m_last](const Kit& now) -> Result<Kit> {
                auto back = takenBack(step.before, step.after, now);
                if (back == now)
                    return Error{ErrorCode::WrittenMeanwhile};
                return back;
            },
            tr("My kit is as it was before that; what other windows changed since stays."), true});
}

} // namespace bslate::app
