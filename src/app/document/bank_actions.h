#pragma once

#include "app/document/bank_planner.h"

namespace bslate::app {

/// What a person does to the banks, controls and checks of the camera that is being looked at, as
/// named undoable edits. Refused entries change nothing and are told through refused().
class BankActions : public QObject {
    Q_OBJECT

public:
    BankActions(ShootDocument& document, BankPlanner& planner, QObject* parent = nullptr);

    [[nodiscard]] ShootDocument& document() { return m_document; }
    [[nodiscard]] BankPlanner& planner() { return m_planner; }

    /// The selected setup to a bank, -1 to none.
    void put(int bank);
    /// The bank as it is typed: its label, empty for none.
    void putNamed(const QString& label);
    /// At once, or as soon as they are found, unless something is changed meanwhile.
    void putBest();
    void putSchool(BankSchool school);
    /// Notes that a bank was written into the camera now, as the plan has it.
    void noteWritten(int bank);
    /// What is outside of the banks, one setting a line; false after a refusal.
    bool noteSettings(const QString& lines);
    /// What a bank was found to hold on the body, likewise.
    bool noteHeld(const QString& label, const QString& lines);
    [[nodiscard]] QString plannedBank(std::size_t bank) const; ///< what it would be written as
    [[nodiscard]] QString plannedSettings() const;             ///< the same as the plan has it
    void tick(const Check& check);
    /// The same of the starting point of a borrowed body, on the record of the camera.
    void tickStart(const Check& check);
    void beginStartAgain();
    void beginNextTake(); ///< what is ticked for one take is open again
    /// What a control does; none: as the plan says.
    void choose(std::size_t control, std::optional<Function> function);
    void readRecord(const QString& path);
    void writeRecord(const QString& path); ///< CSV, or JSON by its name

    void apply(const QString& name, const Edit& edit);
    void accept(const QStringList& findings, const QString& reason);
    void withdraw(const QStringList& findings);

    /// The time that is noted, `2026-05-01 07:40`; tests put their own in.
    void setClock(std::function<QString()> clock) { m_clock = std::move(clock); }

signals:
    void refused(const QString& message);
    void told(const QString& message);

private:
    void putThreads(const QString& name, const Threads& threads);
    [[nodiscard]] const Camera* cameraOrTell();
    /// Whether the plan is of the document as it is; tells where it is not.
    [[nodiscard]] bool isReady();
    /// The record of the camera, or a new one, changed.
    template<class Change>
    bool changeRecord(const QString& name, Change change);

    ShootDocument& m_document;
    BankPlanner& m_planner;
    std::function<QString()> m_clock;
    bool m_bestWanted = false; ///< once they are found
};

} // namespace bslate::app
