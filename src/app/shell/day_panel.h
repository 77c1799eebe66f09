#pragma once

#include "app/document/day_actions.h"
#include "app/shell/finding_list.h"
#include "app/widgets/value_rows.h"

namespace bslate::app {

/// Beside the Media step: the verdict on the day, and under it what to pack and what waits tonight.
class DayPanel : public QWidget {
    Q_OBJECT

public:
    DayPanel(DayActions& actions, const Style& style, QWidget* parent = nullptr);

    [[nodiscard]] FindingList& findings() { return *m_findings; }

private:
    void refresh();

    DayActions& m_actions;
    FindingList* m_findings;
    ValueRows* m_totals;
};

} // namespace bslate::app
