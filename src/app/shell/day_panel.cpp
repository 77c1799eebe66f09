#include "app/shell/day_panel.h"

#include "app/document/text.h"
#include "core/quantity/print.h"

#include <QVBoxLayout>

#include <map>
#include <set>

namespace bslate::app {
namespace {

// "2 of 4 SD V60 128 GB" for each kind in use.
QStringList used(const DayCarriers& carriers, const auto& items) {
    std::map<int, std::set<int>> units;
    for (const auto& use : carriers.plan.uses)
        units[carriers.problem.kindOf(use.unit)].insert(use.unit);
    QStringList words;
    for (const auto& [kind, all] : units) {
        const auto& item = items[static_cast<std::size_t>(kind)];
        words << QStringLiteral("%1/%2 %3").arg(all.size()).arg(item.count).arg(toQt(item.name));
    }
    return words;
}

std::vector<ValueRow> rowsOf(const Shoot& shoot, const DayPlan& plan) {
    std::vector<ValueRow> rows;
    const auto add = [&](const QString& name, const QStringList& values) {
        for (qsizetype i = 0; i < values.size(); ++i)
            rows.push_back({i == 0 ? name : QString(), values[i]});
    };
    add(DayPanel::tr("Cards"), used(plan.cards, shoot.kit.cards));
    add(DayPanel::tr("Power"), used(plan.power, shoot.kit.batteries));
    rows.push_back(
        {DayPanel::tr("Tonight"), plan.recorded.value() <= 0 ? DayPanel::tr("nothing to copy")
                                  : plan.safe                ? DayPanel::tr("safe %1\u00d7 at %2")
                                                    .arg(plan.copies)
                                                    .arg(toQt(printClock(*plan.safe, true)))
                                              : DayPanel::tr("not safe")});
    rows.push_back({DayPanel::tr("Today"),
                    DayPanel::tr("%1 \u00d7 %2").arg(toQt(print(plan.recorded))).arg(plan.copies)});
    rows.push_back(
        {DayPanel::tr("Project"),
         DayPanel::tr("%1 \u00d7 %2").arg(toQt(print(plan.projectBytes))).arg(plan.copies)});
    return rows;
}

} // namespace

DayPanel::DayPanel(DayActions& actions, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_findings(new FindingList(style, tr("Verdict")))
    , m_totals(new ValueRows(style, "day-totals")) {
    setObjectName(QStringLiteral("day-panel"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(8);
    column->addWidget(m_findings, 1);
    column->addWidget(m_totals);
    connect(&actions.planner(), &DayPlanner::changed, this, &DayPanel::refresh);
    connect(m_findings, &FindingList::remedyChosen, &actions, &DayActions::apply);
    connect(m_findings, &FindingList::accepted, &actions, &DayActions::accept);
    connect(m_findings, &FindingList::withdrawn, &actions, &DayActions::withdraw);
}

void DayPanel::refresh() {
    const auto& planner = m_actions.planner();
    m_findings->show(planner.plan().takes.empty() ? nullptr : &planner.findings(),
                     tr("on day %1").arg(planner.plan().day));
    m_totals->show(tr("Pack and tonight"), rowsOf(m_actions.document().shoot(), planner.plan()));
}

} // namespace bslate::app
