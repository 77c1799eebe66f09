#pragma once

#include "app/document/bank_actions.h"
#include "app/style/style.h"
#include "app/views/banks/bank_board.h"
#include "app/views/banks/check_list.h"
#include "app/views/banks/control_plates.h"
#include "app/views/step_view.h"
#include "app/widgets/quantity_edit.h"
#include "core/words/card_text.h"

class QLabel;
class QMenu;
class QPushButton;
class QScrollArea;

namespace bslate::app {

class MoreButton;

/// The Banks step: what the memories of a camera hold for its setups, what its controls do, and
/// what is checked before a setup rolls. One camera at a time, that of the chosen setup.
class BanksView : public StepView {
    Q_OBJECT

public:
    BanksView(BankActions& actions, const Style& style, QWidget* parent = nullptr);

    void settle() override;

    [[nodiscard]] BankBoard& board() { return *m_board; }
    [[nodiscard]] ControlPlates& plates() { return *m_plates; }
    [[nodiscard]] CheckList& checks() { return *m_checks; }

    /// The cards of the camera in view, and of the chosen setup; none when there is nothing to say.
    [[nodiscard]] std::optional<Card> bankCard() const;
    [[nodiscard]] std::optional<Card> controlCard() const;
    [[nodiscard]] std::optional<Card> prerollCard() const;
    [[nodiscard]] std::optional<Card> recordCard() const;
    [[nodiscard]] std::optional<Card> startingCard() const;

    /// The functions a control can be given, as a menu.
    [[nodiscard]] QMenu* functionMenu(int control);
    void editRecord();
    void askReadRecord();
    void askWriteRecord();

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void addKeys();
    [[nodiscard]] const BanksInView* settled() const;
    void layOut();
    void layOutLower();
    void wire();
    void addMore(MoreButton& more);
    void refresh();
    void fitLower(); ///< what the checks do not need is the threads'
    void typeBank();
    void stepSetup(int by);
    void stepCamera(int by);
    void putTarget(int bank);
    [[nodiscard]] QString costLine() const;
    void refreshChecks();
    void tick(int check);
    void beginAgain();
    [[nodiscard]] QString prerollHeading() const; ///< with the take it is for
    [[nodiscard]] QString startHeading() const;   ///< with how much of it is done
    [[nodiscard]] QString schoolLine() const;

    BankActions& m_actions;
    const Style& m_style;
    QLabel *m_title, *m_summary, *m_cost, *m_controlsHead, *m_prerollHead, *m_caution;
    QuantityEdit* m_bank;
    BankBoard* m_board;
    ControlPlates* m_plates;
    CheckList* m_checks;
    QPushButton* m_borrowed; ///< whether the starting point stands in the place of the pre-roll
    QString m_listed;        ///< what the checks are of
    QScrollArea* m_scroll;
};

} // namespace bslate::app
