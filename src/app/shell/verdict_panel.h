#pragma once

#include "app/document/actions.h"
#include "app/shell/finding_list.h"

namespace bslate::app {

/// What is lost, risky or good in the selected setup, worst first. Follows changes once the
/// event queue is drained, so that a drag never waits for it.
class VerdictPanel : public FindingList {
    Q_OBJECT

public:
    VerdictPanel(Actions& actions, const Style& style, QWidget* parent = nullptr);

    void refresh();
    /// What a page says of the selected setup, until it or the value is another.
    void showBeside(const std::vector<Finding>& findings);

private:
    Actions& m_actions;
    ShootDocument::Value m_shown; ///< whose findings are in view
    std::vector<Finding> m_beside;
    QString m_besideOf; ///< id of the setup
};

} // namespace bslate::app
