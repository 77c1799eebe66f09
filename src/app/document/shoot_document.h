#pragma once

#include "app/document/verdicts.h"
#include "core/shoot/revision.h"

#include <QObject>
#include <QString>
#include <QUndoStack>

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
    /// follow each other become one; a step that changes nothing is not recorded. What no file
    /// could hold or nobody could open again is refused: false, told through refused(), nothing
    /// changed.
    bool edit(const QString& name, Shoot after, int drag = 0);
    /// A fresh number for one drag gesture.
    [[nodiscard]] int beginDrag() { return ++m_lastDrag; }

    /// The selected setup; empty id and null when there is none.
    [[nodiscard]] const QString& setupId() const { return m_setupId; }
    [[nodiscard]] const Setup* setup() const;
    [[nodiscard]] const Scene* scene() const; ///< of the selected setup
    void select(const QString& setupId);
    void selectNeighbour(int step);

    [[nodiscard]] Verdicts& verdicts() { return m_verdicts; }
    /// Numbers and judgements of the selected setup, at once; null when there is none, or, for the
    /// numbers, when it names something missing.
    [[nodiscard]] const Evaluation* evaluation();
    [[nodiscard]] const Verdict* verdict();

signals:
    void revisedBy(const Revision& revision); ///< what is new in the value; before changed()
    void changed();                           ///< the shoot's value
    void refused(const QString& message);     ///< an edit
    void selectionChanged();                  ///< the selected setup
    void fileChanged();                       ///< path or modified state

private:
    friend class ShootEdit;
    void setValue(Value value, const Revision& revision,
                  const std::optional<QString>& selected = {});
    void keepSelectionValid();

    Value m_value;
    QString m_path;
    QString m_setupId;
    QUndoStack m_undo;
    int m_lastDrag = 0;
    Verdicts m_verdicts;
};

} // namespace bslate::app
