#pragma once

#include "app/document/kit_actions.h"
#include "core/kit/kit_parts.h"
#include "io/system/files.h"

namespace bslate::app {

/// The kit somebody keeps outside of every shoot: new shoots begin with it, a shoot has its own
/// copy, and what differs goes either way only when it is asked to. A file that cannot be read is
/// told of and never written over. Several windows may use it: it is read anew before every change.
class MyKit : public QObject {
    Q_OBJECT

public:
    MyKit(KitActions& actions, const QString& path, QObject* parent = nullptr);

    [[nodiscard]] const QString& path() const { return m_path; }
    /// As its file is now; empty where nothing was ever kept.
    [[nodiscard]] Result<Kit> kit() const;
    [[nodiscard]] bool isEmpty() const;
    /// What a new shoot begins with: open standards, and this kit with them. A file that cannot be
    /// read is told of.
    [[nodiscard]] Kit forNewShoot();

    /// Every part of the shoot's kit beside this one; empty when its file cannot be read.
    [[nodiscard]] std::vector<PartBeside> besides() const;
    [[nodiscard]] std::optional<PartBeside> beside(KitPart part, const QString& id) const;

    struct Part {
        KitPart part = KitPart::Camera;
        QString id;
    };
    /// From the shoot into this kit, in one step; false after a refusal, with nothing changed.
    bool keep(const std::vector<Part>& parts);
    bool keepAll();
    /// From this kit into the shoot, as one undoable step.
    bool take(const std::vector<Part>& parts);
    bool takeAll();
    bool forget(const std::vector<Part>& parts);
    /// What the last change here replaced comes back; once.
    void takeBack();
    [[nodiscard]] bool canTakeBack() const { return m_before.has_value(); }

signals:
    void changed();
    void refused(const QString& message);
    void told(const QString& message);
    void kept(const QString& message); ///< this kit was changed, which takeBack() undoes

private:
    bool write(const Result<Kit>& kit, const QString& done);
    bool bring(const Result<Kit>& kit, const QString& step, const QString& done);
    [[nodiscard]] QString namesOf(const std::vector<Part>& parts) const;

    KitActions& m_actions;
    QString m_path;
    std::optional<Kit> m_before;
    // What was read last, and of which state of the file.
    mutable std::optional<Result<Kit>> m_read;
    mutable std::optional<io::FileStamp> m_readAt;
};

/// The plural of a sort, as heading.
[[nodiscard]] QString headingOf(KitPart part);
/// The fields in which a part differs, as sheets call them.
[[nodiscard]] QString differingFields(const PartBeside& part);

} // namespace bslate::app
