#pragma once

#include "app/style/style.h"
#include "core/judgement/finding.h"

#include <QWidget>

#include <vector>

class QLabel;
class QPushButton;
class QScrollArea;
class QVBoxLayout;

namespace bslate::app {

class FindingRow;

/// A panel of judgements, worst first, with a heading, how many there are, and a line under it.
/// Rows are reused; of many, the first are shown, and more when they are asked for.
class FindingList : public QWidget {
    Q_OBJECT

public:
    FindingList(const Style& style, const QString& heading, QWidget* parent = nullptr);

    /// Nothing to judge when null. Findings that are shown at the point of use (safety-) are left
    /// out.
    void show(const std::vector<Finding>* findings, const QString& line = {});
    /// Rows in use, in order.
    [[nodiscard]] QList<FindingRow*> rows() const;
    [[nodiscard]] QLabel& line() { return *m_line; }

signals:
    void remedyChosen(const QString& name, const bslate::Edit& edit);
    void accepted(const QStringList& keys, const QString& reason);
    void withdrawn(const QStringList& keys);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    FindingRow* row(std::size_t index);
    void showRows(const std::vector<Finding>& findings);

    const Style& m_style;
    QLabel* m_counts;
    QLabel* m_line;
    QScrollArea* m_scroll;
    QWidget* m_list;
    QVBoxLayout* m_column;
    QList<FindingRow*> m_rows;
    QPushButton* m_more;
    std::size_t m_most;         ///< rows shown at most
    std::vector<Finding> m_all; ///< kept only where some are not shown
};

} // namespace bslate::app
