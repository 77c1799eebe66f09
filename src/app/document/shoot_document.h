#pragma once

#include "core/judgement/judge.h"
#include "core/shoot/shoot.h"

#include <QObject>
#include <QString>
#include <QUndoStack>

#include <map>
#include <memory>
#include <optional>

namespace bslate::app {

/// The open shoot: its value, file, undo stack, selected setup, and the verdicts on it. Views
/// listen to changed() and read; edit() is the only way to change anything.
class ShootDocument : public QObject {
    Q_OBJECT

public:
    using Value = std::shared_ptr<const Shoot>;

    explicit ShootDocument(QObject* parent = nullptr);

    [[nodiscard]] const Shoot& shoot() const { return *m_value; }
    [[nodiscard]] const Value& value() const { return m_value; }
    [[nodiscard]] const QString& path() const { return m_path; } ///< empty until first saved
    [[nodiscard]] bool isModified() const { return !m_undo.isClean(); }
    [[nodiscard]] QUndoStack& undoStack() { return m_undo; }

    /// Replaces everything and clears the undo stack. `recovered` leaves it modified.
    void reset(Shoot shoot, const QString& path, bool recovered = false);
    /// After a successful save.
    void markSaved(const QString& path);

    /// One undoable step with a name people read. Steps with the same non-zero `drag` that
    /// follow each other become one; a step that changes nothing is not recorded.
    void edit(const QString& name, Shoot after, int drag = 0);
    /// A fresh number for one drag gesture.
    [[nodiscard]] int beginDrag() { return ++m_lastDrag; }

    /// The selected setup; empty id and null when there is none.
    [[nodiscard]] const QString& setupId() const { return m_setupId; }
    [[nodiscard]] const Setup* setup() const;
    [[nodiscard]] const Scene* scene() const; ///< of the selected setup
    void select(const QString& setupId);
    void selectNeighbour(int step);

    /// The verdict on a setup, computed once per change of what it depends on.
    [[nodiscard]] const Verdict& verdict(const Setup& setup);
    /// Of the selected setup; null when there is none.
    [[nodiscard]] const Verdict* verdict();

signals:
    void changed();          ///< the shoot's value
    void selectionChanged(); ///< the selected setup
    void fileChanged();      ///< path or modified state

private:
    friend class ShootEdit;
    void setValue(Value value, const std::optional<QString>& selected = {});
    void keepSelectionValid();

    struct Cached {
        Setup setup;
        Scene scene;
        std::vector<Setup> neighbours; ///< the others its verdict looks at
        Verdict verdict;
    };

    Value m_value;
    QString m_path;
    QString m_setupId;
    QUndoStack m_undo;
    int m_lastDrag = 0;
    std::map<std::string, Cached, std::less<>> m_verdicts;
    Value m_verdictsFor; ///< the value whose kit, brief and meter the cache was made with
};

} // namespace bslate::app
