#pragma once

#include "app/document/shoot_document.h"
#include "core/kit/gear.h"

#include <QObject>

#include <functional>

namespace bslate::app {

/// What a person can do to the kit, as named undoable edits. An edit that would leave the kit with
/// a broken reference is refused and told through refused(). A kit that came from a file beside
/// the shoot is kept inside the shoot from the first edit on.
class KitActions : public QObject {
    Q_OBJECT

public:
    explicit KitActions(ShootDocument& document, QObject* parent = nullptr);

    [[nodiscard]] ShootDocument& document() { return m_document; }

    /// False after a refusal.
    bool change(const QString& name, const std::function<void(Kit&)>& change);

    /// The id of the new item, empty after a refusal.
    QString add(KitPart kind);
    QString duplicate(KitPart kind, const QString& id);
    void remove(KitPart kind, const QString& id);
    /// Changes the kit so that parts go; measurements that go with them are told.
    void removeFrom(const QString& name, const std::function<void(Kit&)>& removal);

    /// A camera that is not in the kit yet, to be described: one area, base and mode, the ready
    /// profiles of the kit.
    [[nodiscard]] Camera freshCamera() const;
    /// Puts a camera in the place of the one with its id, or at the end.
    bool putCamera(const Camera& camera);

    void importFile(const QString& path);
    /// One item, a camera with what it needs; the whole kit when there is no such item.
    void exportFile(const QString& path, KitPart kind, const QString& id);

signals:
    void refused(const QString& message);
    void told(const QString& message);

private:
    ShootDocument& m_document;
};

/// The singular name of a kind, translated.
[[nodiscard]] QString nameOf(KitPart kind);

} // namespace bslate::app
