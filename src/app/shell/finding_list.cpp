#include "app/shell/finding_list.h"

#include "app/shell/finding_row.h"
#include "app/style/marks.h"
#include "core/day/day_verdict.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include <algorithm>
#include <optional>

namespace bslate::app {
namespace {

constexpr std::size_t kRowsAtOnce = 60;

QString counted(int count, const QString& one, const QString& many) {
    return QStringLiteral("%1 %2").arg(count).arg(count == 1 ? one : many);
}

// Without what is shown at the point of use, notes by whom they are for.
std::vector<Finding> inGroups(const std::vector<Finding>& findings) {
    std::vector<Finding> list;
    for (const auto& finding : findings)
        if (kindOf(finding.id).topic != Topic::Safety)
            list.push_back(finding);
    std::stable_sort(list.begin(), list.end(), [](const Finding& a, const Finding& b) {
        const auto place = [](const Finding& one) {
            const bool note = one.severity == Severity::Note;
            return std::pair(one.severity, note ? kindOf(one.id).topic : Topic::Camera);
        };
        return place(a) < place(b);
    });
    return list;
}

} // namespace

FindingList::FindingList(const Style& style, const QString& heading, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_counts(new QLabel)
    , m_line(new QLabel)
    , m_scroll(new QScrollArea)
    , m_list(new QWidget)
    , m_column(new QVBoxLayout(m_list))
    , m_more(new QPushButton)
    , m_most(kRowsAtOnce) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(12, 10, 4, 8);
    auto* head = new QHBoxLayout;
    auto* title = new QLabel(heading);
    title->setFont(Style::font(TextRole::Head));
    m_counts->setFont(Style::font(TextRole::Secondary));
    m_counts->setForegroundRole(QPalette::PlaceholderText);
    head->addWidget(title);
    head->addStretch(1);
    head->addWidget(m_counts);
    head->addSpacing(8);
    column->addLayout(head);
    m_line->setFont(Style::font(TextRole::Secondary));
    m_line->setForegroundRole(QPalette::PlaceholderText);
    column->addWidget(m_line);
    m_column->setContentsMargins(0, 0, 4, 0);
    m_column->setSpacing(2);
    m_column->addWidget(m_more);
    m_column->addStretch(1);
    m_more->setProperty("leading", true);
    m_more->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
    m_more->hide();
    connect(m_more, &QPushButton::clicked, this, [this] {
        m_most += kRowsAtOnce;
        const auto all = std::move(m_all);
        showRows(all);
    });
    m_scroll->setWidget(m_list);
    m_scroll->setWidgetResizable(true);
    m_scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_scroll->setAccessibleName(tr("Findings"));
    m_scroll->viewport()->setAutoFillBackground(false);
    m_list->setAutoFillBackground(false);
    column->addWidget(m_scroll, 1);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

FindingRow* FindingList::row(std::size_t index) {
    while (static_cast<std::size_t>(m_rows.size()) <= index) {
        auto* row = new FindingRow(m_style, m_list);
        m_column->insertWidget(static_cast<int>(m_rows.size()), row);
        // Rows come late; without this Tab would visit them after everything else.
        QWidget* before =
            m_rows.isEmpty() ? static_cast<QWidget*>(m_scroll) : m_rows.last()->lastControl();
        for (auto* control : row->findChildren<QWidget*>()) {
            if (control->focusPolicy() & Qt::TabFocus) {
                setTabOrder(before, control);
                before = control;
            }
        }
        m_rows.append(row);
        connect(row, &FindingRow::remedyChosen, this, &FindingList::remedyChosen);
        connect(row, &FindingRow::accepted, this, &FindingList::accepted);
        connect(row, &FindingRow::withdrawn, this, &FindingList::withdrawn);
    }
    return m_rows[static_cast<qsizetype>(index)];
}

QList<FindingRow*> FindingList::rows() const {
    QList<FindingRow*> shown;
    for (auto* row : m_rows)
        if (!row->isHidden())
            shown.append(row);
    return shown;
}

void FindingList::show(const std::vector<Finding>* findings, const QString& line) {
    if (!findings || findings->size() <= kRowsAtOnce)
        m_most = kRowsAtOnce;
    if (findings) {
        m_counts->setText(
            tr("%1 \u00b7 %2 \u00b7 %3 good")
                .arg(counted(countOf(*findings, Severity::Fault), tr("fault"), tr("faults")),
                     counted(countOf(*findings, Severity::Caution), tr("caution"), tr("cautions")))
                .arg(countOf(*findings, Severity::Good)));
    } else {
        m_counts->setText(tr("nothing to judge"));
    }
    m_line->setText(line);
    m_line->setVisible(!line.isEmpty());
    showRows(findings ? *findings : std::vector<Finding>());
}

void FindingList::showRows(const std::vector<Finding>& findings) {
    std::size_t used = 0, left = 0;
    std::optional<Topic> group;
    for (const auto& finding : inGroups(findings)) {
        if (used >= m_most) {
            ++left;
            continue;
        }
        QString heading;
        const auto topic = kindOf(finding.id).topic;
        if (finding.severity == Severity::Note && group != topic) {
            group = topic;
            heading = topic == Topic::Grading ? tr("For grading") : tr("For the camera");
        }
        row(used++)->show(finding, heading);
    }
    m_all = left > 0 ? findings : std::vector<Finding>();
    m_more->setVisible(left > 0);
    m_more->setText(tr("%1 more: show the next").arg(left));
    for (auto i = static_cast<qsizetype>(used); i < m_rows.size(); ++i)
        m_rows[i]->hide();
}

void FindingList::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    drawBlock(painter, rect(), m_style.colours().panel, {}, 0);
}

} // namespace bslate::app
