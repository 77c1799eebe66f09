#pragma once

#include "app/document/bank_actions.h"
#include "app/shell/finding_list.h"
#include "app/widgets/value_rows.h"

namespace bslate::app {

/// Beside the Banks step: the verdict on the camera's banks and controls, and under it how the
/// pre-roll of the chosen setup stands.
class BanksPanel : public QWidget {
    Q_OBJECT

public:
    BanksPanel(BankActions& actions, const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] FindingList& findings() { return *m_findings; }

private:
    void refresh();

    BankActions& m_actions;
    FindingList* m_findings;
    ValueRows* m_preroll;
};

} // namespace bslate::app
