#pragma once

#include "app/document/background_job.h"
#include "app/document/kit_actions.h"
#include "core/kit/kit_parts.h"
#include "io/system/files.h"

#include <deque>
#include <functional>

class QTimer;

namespace bslate::app {

/// The kit somebody keeps outside of every shoot: new shoots begin with it, a shoot has its own
/// copy, and what differs goes either way only when it is asked to. A file that cannot be read is
/// told of and never written over, in any way. Several windows may use it: its file is read,
/// changed and written under a lock, and without the lock nothing is written. All of that is done
/// on a worker thread; what is shown is what was read last.
class MyKit : public QObject {
    Q_OBJECT

public:
    MyKit(KitActions& actions, const QString& path, QObject* parent = nullptr);

    [[nodiscard]] const QString& path() const { return m_path; }
    /// As its file was read last, and looks whether it was written since; empty where nothing was
    /// ever kept.
    [[nodiscard]] const Result<Kit>& kit();
    [[nodiscard]] bool isEmpty();
    /// What a new shoot begins with: open standards, and this kit with them, which it waits for. A
    /// file that cannot be read is told of.
    [[nodiscard]] Kit forNewShoot();

    /// Every part of the shoot's kit beside this one; empty when its file cannot be read.
    [[nodiscard]] std::vector<PartBeside> besides();
    [[nodiscard]] std::optional<PartBeside> beside(KitPart part, const QString& id);

    struct Part {
        KitPart part = KitPart::Camera;
        QString id;
    };
    /// From the shoot into this kit, in one step, one after the other; kept() or refused() tells.
    void keep(const std::vector<Part>& parts);
    void keepAll();
    /// From this kit into the shoot, as one undoable step; false after a refusal.
    bool take(const std::vector<Part>& parts);
    bool takeAll();
    void forget(const std::vector<Part>& parts);
    /// What the last change of this window replaced comes back, once, part by part; a part that was
    /// changed since by another window stays, and is told.
    void takeBack();
    [[nodiscard]] bool canTakeBack() const { return m_last.has_value(); }

    /// Looks at the file again, on the worker thread; changed() follows when it was written.
    void look();
    void settle(); ///< waits for what is being read and written: for pictures and tests

signals:
    void changed();
    void refused(const QString& message);
    void told(const QString& message);
    void kept(const QString& message);    ///< this kit was changed, which takeBack() undoes
    void waiting(const QString& message); ///< for longer than anybody expects

private:
    struct Change {
        /// On the worker thread, of the kit as the file has it then.
        std::function<Result<Kit>(const Kit&)> edit;
        QString done;
        bool takesBack = false;
    };
    /// What the last change turned into what.
    struct Step {
        Kit before, after;
    };
    struct Written;

    [[nodiscard]] static std::optional<Error> writeThere(const std::string& path,
                                                         const Change& change, Written& written);
    void change(Change change);
    void runNext();
    void finish(const Change& change, const Written& written);
    void tellRefused(const Written& written);
    void tookIn(const Result<Kit>& kit, const std::optional<io::FileStamp>& stamp);
    bool bring(const Result<Kit>& kit, const QString& step, const QString& done);
    [[nodiscard]] QString namesOf(const std::vector<Part>& parts);

    KitActions& m_actions;
    QString m_path;
    Result<Kit> m_known = Kit{}; ///< as the file was read last
    std::optional<io::FileStamp> m_stamp;
    std::optional<Step> m_last;
    std::deque<Change> m_waiting;
    bool m_writing = false;
    QTimer* m_patience;
    BackgroundJob m_reading;
    BackgroundJob m_changing; ///< the last member: ends before the others go
};

/// The plural of a sort, as heading.
[[nodiscard]] QString headingOf(KitPart part);
/// The fields in which a part differs, as sheets call them.
[[nodiscard]] QString differingFields(const PartBeside& part);

} // namespace bslate::app
