#include "app/shell/banks_panel.h"

#include "app/document/text.h"

#include <QVBoxLayout>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr std::size_t kMostRows = 9;

// What a check is filed under in the short list.
QString groupOf(const Check& check) {
    if (check.id == "recall")
        return BanksPanel::tr("Recall");
    return check.id.starts_with("hand-") ? BanksPanel::tr("By hand") : BanksPanel::tr("Check");
}

std::vector<ValueRow> rowsOf(const Setup& setup, const std::vector<Check>& checks) {
    std::vector<ValueRow> rows;
    const auto add = [&](const Check& check) {
        const QString group = groupOf(check);
        const bool told = std::any_of(rows.begin(), rows.end(),
                                      [&](const ValueRow& row) { return row.name == group; });
        rows.push_back(
            {told ? QString() : group, toQt(reasonOf(check.text, translator())),
             stateOf(setup.ticks, check) == TickState::Stale || check.id.starts_with("hand-")});
    };
    // The bank and the hand first; then what is still open.
    for (const auto& check : checks)
        if (check.id == "recall" || check.id.starts_with("hand-"))
            add(check);
    std::size_t left = 0;
    for (const auto& check : checks) {
        if (check.id == "recall" || check.id.starts_with("hand-") ||
            stateOf(setup.ticks, check) == TickState::Ticked)
            continue;
        if (rows.size() < kMostRows)
            add(check);
        else
            ++left;
    }
    if (left > 0)
        rows.push_back({{}, BanksPanel::tr("and %1 more").arg(left), false});
    return rows;
}

} // namespace

BanksPanel::BanksPanel(BankActions& actions, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_findings(new FindingList(style, tr("Verdict")))
    , m_preroll(new ValueRows(style, "preroll-rows")) {
    setObjectName(QStringLiteral("banks-panel"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(8);
    column->addWidget(m_findings, 1);
    column->addWidget(m_preroll);
    connect(&actions.planner(), &BankPlanner::changed, this, &BanksPanel::refresh);
    connect(m_findings, &FindingList::remedyChosen, &actions, &BankActions::apply);
    connect(m_findings, &FindingList::accepted, &actions, &BankActions::accept);
    connect(m_findings, &FindingList::withdrawn, &actions, &BankActions::withdraw);
}

void BanksPanel::refresh() {
    const auto& planner = m_actions.planner();
    const auto* camera = planner.inView().camera;
    m_findings->show(camera && planner.isSettled() ? &planner.findings() : nullptr,
                     camera ? tr("on the banks of %1").arg(toQt(camera->name)) : QString());
    const auto* setup = m_actions.document().setup();
    const bool own = setup && !planner.checks().empty();
    m_preroll->show(own ? tr("Pre-roll \u00b7 %1").arg(toQt(setup->number)) : tr("Pre-roll"),
                    own ? rowsOf(*setup, planner.checks()) : std::vector<ValueRow>{});
}

} // namespace bslate::app
