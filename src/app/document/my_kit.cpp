#include "app/document/my_kit.h"

#include "app/document/text.h"
#include "io/json/kit_json.h"
#include "io/system/files.h"

#include <QCoreApplication>
#include <QDir>
#include <QFileInfo>
#include <QLockFile>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr int kLockMs = 2000; // another window writes no longer than that

bool holdsNothing(const Kit& kit) {
    return bslate::besides(kit, {}).empty();
}

} // namespace

QString headingOf(KitPart part) {
    const QString names[] = {MyKit::tr("Cameras"),  MyKit::tr("Lenses"), MyKit::tr("Filters"),
                             MyKit::tr("Gels"),     MyKit::tr("Cards"),  MyKit::tr("Batteries"),
                             MyKit::tr("Readers"),  MyKit::tr("Drives"), MyKit::tr("Chargers"),
                             MyKit::tr("Profiles"), MyKit::tr("Recipes")};
    return names[static_cast<int>(part)];
}

QString differingFields(const PartBeside& part) {
    QStringList fields;
    for (const auto& field : part.fields)
        fields << QCoreApplication::translate("Fields", field.c_str()).remove(QLatin1Char('&'));
    return fields.join(QStringLiteral(", "));
}

MyKit::MyKit(KitActions& actions, const QString& path, QObject* parent)
    : QObject(parent)
    , m_actions(actions)
    , m_path(path) {}

Result<Kit> MyKit::kit() const {
    const auto stamp = io::stampOf(fromQt(m_path));
    if (!stamp) {
        m_read.reset();
        return Kit{};
    }
    if (!m_read || stamp != m_readAt) {
        m_readAt = stamp;
        m_read = io::loadKit(fromQt(m_path));
    }
    return *m_read;
}

bool MyKit::isEmpty() const {
    const auto own = kit();
    return own && holdsNothing(*own);
}

Kit MyKit::forNewShoot() {
    const auto own = kit();
    if (!own)
        emit refused(tr("My kit cannot be read, so this shoot begins without it: %1")
                         .arg(messageOf(own.error())));
    auto both = own ? withAllOf(plainKit(), *own) : plainKit();
    return both ? *std::move(both) : *own;
}

std::vector<PartBeside> MyKit::besides() const {
    const auto own = kit();
    return own ? bslate::besides(m_actions.document().shoot().kit, *own)
               : std::vector<PartBeside>();
}

std::optional<PartBeside> MyKit::beside(KitPart part, const QString& id) const {
    const auto own = kit();
    return own ? besideOf(m_actions.document().shoot().kit, *own, part, fromQt(id)) : std::nullopt;
}

QString MyKit::namesOf(const std::vector<Part>& parts) const {
    QStringList names;
    for (const auto& [part, id] : parts) {
        const auto found = beside(part, id);
        names << (found ? toQt(found->name) : id);
    }
    return names.join(QStringLiteral(", "));
}

bool MyKit::write(const Result<Kit>& kit, const QString& done) {
    const auto before = this->kit();
    if (!kit) {
        emit refused(before ? messageOf(kit.error())
                            : tr("My kit is not written over while its file cannot be read: %1")
                                  .arg(messageOf(before.error())));
        return false;
    }
    if (const auto written = io::writeFileAtomically(fromQt(m_path), io::writeKit(*kit));
        !written) {
        emit refused(messageOf(written.error()));
        return false;
    }
    m_read.reset();
    m_before = *before;
    emit kept(done);
    emit changed();
    return true;
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

// Held while this kit is read, changed and written.
struct Held {
    QLockFile lock;

    explicit Held(const QString& path)
        : lock(path + QStringLiteral(".lock")) {
        QDir().mkpath(QFileInfo(path).absolutePath());
        lock.tryLock(kLockMs);
    }
};

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

bool MyKit::keep(const std::vector<Part>& parts) {
    const Held held(m_path);
    return write(withEach(kit(), m_actions.document().shoot().kit, parts),
                 tr("In My kit, for every new shoot: %1.").arg(namesOf(parts)));
}

bool MyKit::keepAll() {
    const Held held(m_path);
    const auto own = kit();
    return write(own ? withAllOf(*own, m_actions.document().shoot().kit) : own,
                 tr("Everything of this shoot's kit is in My kit."));
}

bool MyKit::take(const std::vector<Part>& parts) {
    const QString names = namesOf(parts);
    return bring(withEach(m_actions.document().shoot().kit, kit(), parts),
                 tr("Take %1 from My kit").arg(names),
                 tr("In this shoot as in My kit: %1.").arg(names));
}

bool MyKit::takeAll() {
    const auto own = kit();
    return bring(own ? withAllOf(m_actions.document().shoot().kit, *own) : own,
                 tr("Take all of My kit"), tr("All of My kit is in this shoot."));
}

bool MyKit::forget(const std::vector<Part>& parts) {
    const Held held(m_path);
    auto left = kit();
    for (const auto& [part, id] : parts)
        if (left)
            left = withoutPart(*left, part, fromQt(id));
    return write(left, tr("No longer in My kit: %1. Shoots keep theirs.").arg(namesOf(parts)));
}

void MyKit::takeBack() {
    const Held held(m_path);
    if (!m_before)
        return;
    if (write(Kit(*m_before), tr("My kit is as it was.")))
        m_before.reset();
}

} // namespace bslate::app
