#pragma once

#include "app/document/background_job.h"
#include "app/document/banks_in_view.h"
#include "app/document/shoot_document.h"

class QTimer;

namespace bslate::app {

/// The banks of the camera that is being looked at, worked out again after every change, never on
/// the window's thread: first with the controls as they were, for which the window waits a moment
/// so that what is quick is there at once, then with the best banks, the judgements and the day's
/// cards. Until then what was in view stays. Nothing is planned while nobody looks.
class BankPlanner : public QObject {
    Q_OBJECT

public:
    explicit BankPlanner(ShootDocument& document, QObject* parent = nullptr);

    void setActive(bool active);
    /// Another camera than that of the selected setup, until another setup is selected.
    void chooseCamera(const QString& id);

    /// Of the document as it is now; null when the shoot has no camera.
    [[nodiscard]] const Camera* camera() const;
    /// What was worked out last, perhaps of an earlier value of the document.
    [[nodiscard]] const BanksInView& inView() const { return *m_view; }
    [[nodiscard]] const CameraPlan& plan() const { return m_view->plan; }
    [[nodiscard]] const Threads& threads() const { return m_view->threads; }
    [[nodiscard]] const BankPlan& now() const { return m_view->now; } ///< of these threads
    [[nodiscard]] const std::vector<Finding>& findings() const { return m_view->findings; }
    /// True when `plan().best` and the findings are of the value in view.
    [[nodiscard]] bool isSettled() const { return m_view->settled; }
    /// The selected setup among those in view; none when it is not one of them.
    [[nodiscard]] std::optional<std::size_t> selected() const;
    /// The pre-roll of the selected setup; empty when it is another camera's, or not yet known.
    [[nodiscard]] const std::vector<Check>& checks() const;
    /// What the threads would cost with the selected setup at a bank, -1 for none; not known
    /// where none is selected, or not yet.
    [[nodiscard]] std::optional<Seconds> costWith(int bank) const;

    /// Waits so long for what is in view to be of the document as it is; false when it is not.
    bool catchUp(int mostMs);
    /// The same for the best banks and all that goes with them.
    bool settleWithin(int mostMs);
    void settle(); ///< waits for the workers: for pictures and tests

signals:
    void changed();

private:
    void follow();
    void refresh();
    void begin();
    void take(std::shared_ptr<const BanksInView> view);
    [[nodiscard]] bool isOfSelected() const;

    ShootDocument& m_document;
    bool m_active = false;
    bool m_stale = true;
    QString m_camera;
    std::shared_ptr<const BanksInView> m_view;
    QTimer* m_later;
    BackgroundJob m_quick, m_thorough;
};

} // namespace bslate::app
