#pragma once

#include "app/document/actions.h"
#include "app/style/style.h"

#include <QWidget>

class QLabel;
class QScrollArea;
class QTimer;
class QVBoxLayout;

namespace bslate::app {

class FindingRow;

/// What is lost, risky or good in the selected setup, worst first. Follows changes once the
/// event queue is drained, so that a drag never waits for it.
class VerdictPanel : public QWidget {
    Q_OBJECT

public:
    VerdictPanel(Actions& actions, const Style& style, QWidget* parent = nullptr);

    /// Rows in use, in order.
    [[nodiscard]] QList<FindingRow*> rows() const;
    void refresh();

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    FindingRow* row(std::size_t index);

    Actions& m_actions;
    const Style& m_style;
    QLabel* m_title;
    QLabel* m_counts;
    QLabel* m_source; ///< of the curve
    QScrollArea* m_scroll;
    QWidget* m_list;
    QVBoxLayout* m_column;
    QList<FindingRow*> m_rows;
    QTimer* m_later;
};

} // namespace bslate::app
