#pragma once

#include "app/document/background_job.h"
#include "app/document/shoot_document.h"
#include "core/day/day_verdict.h"
#include "core/day/drop_chances.h"

class QTimer;

namespace bslate::app {

/// The day that is being looked at, worked out again after every change: at once by repairing the
/// last plan, so that a drag never waits, and then thoroughly on a worker thread, with the remedies
/// tried out. Nothing is planned while nobody looks.
class DayPlanner : public QObject {
    Q_OBJECT

public:
    explicit DayPlanner(ShootDocument& document, QObject* parent = nullptr);

    void setActive(bool active);
    void chooseDay(int number);

    [[nodiscard]] const ShootDay& day() const { return m_day; }
    [[nodiscard]] const DayPlan& plan() const { return m_plan; }
    [[nodiscard]] const std::vector<Finding>& findings() const { return m_findings; }
    /// Uses that are elsewhere than before the last change: indices into the plan's uses.
    [[nodiscard]] const std::vector<int>& changedCards() const { return m_changedCards; }
    [[nodiscard]] const std::vector<int>& changedPower() const { return m_changedPower; }

    /// The thorough search is under way; before it there is a rest of the hand.
    [[nodiscard]] bool isSearching() const { return m_thorough.isRunning(); }
    /// The share of the thorough search that is done, once it has taken half a second.
    [[nodiscard]] std::optional<double> progress() const { return m_thorough.progress(); }
    void stop();   ///< ends the thorough search with the best it has
    void settle(); ///< waits for it: for pictures and tests

signals:
    void changed();
    void progressed();

private:
    void refresh();
    void begin();
    void take(DayPlan plan, std::vector<Finding> findings);
    void mark();

    ShootDocument& m_document;
    bool m_active = false;
    bool m_stale = true;
    int m_number = 1;
    ShootDay m_day;
    DayPlan m_plan;
    std::optional<DayPlan> m_settled;   ///< the last thorough plan of this day
    std::optional<DayPlan> m_reference; ///< what changes are marked against
    std::vector<Finding> m_findings;
    std::vector<int> m_changedCards, m_changedPower;
    DropChances m_chances; ///< of the window's own quick judgements
    QTimer* m_later;
    BackgroundJob m_thorough;
};

} // namespace bslate::app
