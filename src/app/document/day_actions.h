#pragma once

#include "app/document/day_planner.h"
#include "core/day/day_edit.h"

namespace bslate::app {

/// What a person can do to the day that is being looked at, as named undoable edits. Refused
/// entries change nothing and are told through refused().
class DayActions : public QObject {
    Q_OBJECT

public:
    DayActions(ShootDocument& document, DayPlanner& planner, QObject* parent = nullptr);

    [[nodiscard]] ShootDocument& document() { return m_document; }
    [[nodiscard]] DayPlanner& planner() { return m_planner; }

    /// The id of the new take, empty after a refusal. It comes after `after`, or last.
    QString addTake(const QString& line, const QString& after = {});
    void rewriteTake(const QString& take, const QString& line);
    void removeTake(const QString& take);
    void moveTake(const QString& take, Seconds start, int drag = 0);
    void toggleWhole(const QString& take);
    /// `13:04 75min`, or `75min` when it began as planned; empty: it has not happened.
    void happened(const QString& take, const QString& text);
    /// A card fixed in a place; -1 lets the plan choose.
    void putCard(CardPlace place, int unit);
    /// A card out of use from a time on, or in use again.
    void failCard(int unit, Seconds at);
    void fillFromScenes();
    void setStart(Seconds start);
    void setSafeBy(std::optional<Seconds> by);
    void setCopies(int copies);
    void setFinished(Seconds length); ///< of what is delivered; 0: not known
    void apply(const QString& name, const Edit& edit);
    void accept(const QStringList& findings, const QString& reason);
    void withdraw(const QStringList& findings);

    /// Why the card cannot go there, in words; empty when it can.
    [[nodiscard]] QString refusal(CardPlace place, int unit) const;

signals:
    void refused(const QString& message);

private:
    bool edit(const QString& name, const ShootDay& day, int drag = 0);
    template<class Change>
    void changeTake(const QString& name, const QString& take, Change change);

    ShootDocument& m_document;
    DayPlanner& m_planner;
};

} // namespace bslate::app
