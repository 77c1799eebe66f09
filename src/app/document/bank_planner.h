#pragma once

#include "app/document/background_job.h"
#include "app/document/shoot_document.h"
#include "core/banks/banks_verdict.h"
#include "core/banks/preroll.h"

class QTimer;

namespace bslate::app {

/// The banks of the camera that is being looked at, worked out again after every change: at once
/// with the controls as they were, so that a dragged thread never waits, and then on a worker
/// thread with the best banks, the judgements and the day's cards. Nothing is planned while nobody
/// looks.
class BankPlanner : public QObject {
    Q_OBJECT

public:
    explicit BankPlanner(ShootDocument& document, QObject* parent = nullptr);

    void setActive(bool active);
    /// Another camera than that of the selected setup, until another setup is selected.
    void chooseCamera(const QString& id);

    /// Null when the shoot has no camera.
    [[nodiscard]] const Camera* camera() const;
    [[nodiscard]] const CameraPlan& plan() const { return m_plan; }
    [[nodiscard]] const Threads& threads() const { return m_threads; }
    [[nodiscard]] const BankPlan& now() const { return m_now; } ///< of these threads
    [[nodiscard]] const std::vector<Finding>& findings() const { return m_findings; }
    /// True when `plan().best` and the findings are of the value in view.
    [[nodiscard]] bool isSettled() const { return m_settled; }
    /// The pre-roll of the selected setup; empty when it is another camera's.
    [[nodiscard]] const std::vector<Check>& checks() const { return m_checks; }
    /// What the threads would cost with one of them elsewhere; -1: no bank.
    [[nodiscard]] Seconds costWith(std::size_t setup, int bank) const;
    /// The selected setup among those of the camera; none when it is not one of them.
    [[nodiscard]] std::optional<std::size_t> selected() const;

    void settle(); ///< waits for the worker: for pictures and tests

signals:
    void changed();

private:
    struct Settled {
        CameraPlan plan;
        std::vector<Finding> findings;
        std::optional<DayPlan> day;
    };
    void refresh();
    void begin();
    void take(Settled settled);
    void readChecks();

    ShootDocument& m_document;
    bool m_active = false;
    bool m_stale = true;
    bool m_settled = false;
    QString m_camera;
    CameraPlan m_plan;
    Threads m_threads;
    BankPlan m_now;
    std::vector<Finding> m_findings;
    std::vector<Check> m_checks;
    std::optional<DayPlan> m_day; ///< of the selected setup, when it is planned
    QTimer* m_later;
    BackgroundJob m_thorough;
};

} // namespace bslate::app
