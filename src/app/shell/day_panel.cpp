#include "app/shell/day_panel.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>
#include <QVBoxLayout>

#include <map>
#include <set>

namespace bslate::app {
namespace {

constexpr double kRow = 22;
constexpr double kTop = 40;

using Row = std::pair<QString, QString>;

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

class Totals : public QWidget {
public:
    explicit Totals(const Style& style)
        : m_style(style) {
        setObjectName(QStringLiteral("day-totals"));
        setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
        QObject::connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    }

    void show(std::vector<Row> rows) {
        m_rows = std::move(rows);
        QStringList spoken;
        for (const auto& [name, value] : m_rows)
            spoken << QStringLiteral("%1 %2").arg(name, value);
        describe(*this, QAccessible::List, DayPanel::tr("Pack and tonight"),
                 spoken.join(QStringLiteral("; ")));
        updateGeometry();
        update();
    }

    QSize sizeHint() const override {
        return {300, static_cast<int>(kTop + kRow * static_cast<double>(m_rows.size()) + 8)};
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        const auto& t = m_style.colours();
        drawBlock(painter, rect(), t.panel, {}, 0);
        painter.setFont(Style::font(TextRole::Head));
        painter.setPen(t.ink);
        painter.drawText(QRectF(14, 8, width() - 28.0, 26), Qt::AlignLeft | Qt::AlignVCenter,
                         DayPanel::tr("Pack and tonight"));
        double y = kTop;
        for (const auto& [name, value] : m_rows) {
            painter.setPen(QPen(t.line, 1));
            painter.drawLine(QPointF(14, y + kRow - 1), QPointF(width() - 14.0, y + kRow - 1));
            painter.setFont(Style::font(TextRole::Secondary));
            painter.setPen(t.muted);
            painter.drawText(QRectF(14, y, 70, kRow), Qt::AlignLeft | Qt::AlignVCenter, name);
            painter.setFont(Style::font(TextRole::Value));
            painter.setPen(t.ink);
            const double left = 84;
            painter.drawText(QRectF(left, y, width() - left - 14, kRow),
                             Qt::AlignLeft | Qt::AlignVCenter,
                             elided(value, painter.font(), width() - left - 14));
            y += kRow;
        }
    }

private:
    const Style& m_style;
    std::vector<Row> m_rows;
};

std::vector<Row> rowsOf(const Shoot& shoot, const DayPlan& plan) {
    std::vector<Row> rows;
    const auto add = [&](const QString& name, const QStringList& values) {
        for (qsizetype i = 0; i < values.size(); ++i)
            rows.emplace_back(i == 0 ? name : QString(), values[i]);
    };
    add(DayPanel::tr("Cards"), used(plan.cards, shoot.kit.cards));
    add(DayPanel::tr("Power"), used(plan.power, shoot.kit.batteries));
    rows.emplace_back(DayPanel::tr("Tonight"),
                      plan.recorded.value() <= 0 ? DayPanel::tr("nothing to copy")
                      : plan.safe                ? DayPanel::tr("safe %1\u00d7 at %2")
                                        .arg(plan.copies)
                                        .arg(toQt(printClock(*plan.safe, true)))
                                  : DayPanel::tr("not safe"));
    rows.emplace_back(
        DayPanel::tr("Today"),
        DayPanel::tr("%1 \u00d7 %2").arg(toQt(print(plan.recorded))).arg(plan.copies));
    rows.emplace_back(
        DayPanel::tr("Project"),
        DayPanel::tr("%1 \u00d7 %2").arg(toQt(print(plan.projectBytes))).arg(plan.copies));
    return rows;
}

} // namespace

DayPanel::DayPanel(DayActions& actions, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_findings(new FindingList(style, tr("Verdict")))
    , m_totals(new Totals(style)) {
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
    static_cast<Totals*>(m_totals)->show(rowsOf(m_actions.document().shoot(), planner.plan()));
}

} // namespace bslate::app
