#pragma once

#include "app/style/style.h"
#include "core/advice/openings.h"
#include "core/facts/figures.h"
#include "core/facts/lattice.h"

#include <QWidget>

class QHBoxLayout;
class QLabel;
class QPushButton;

namespace bslate::app {

/// What is known about the cell under the cursor: its costs, or why it cannot be used with what
/// would open it, and what choosing it changes elsewhere, before it is chosen.
class CellDetail : public QWidget {
    Q_OBJECT

public:
    explicit CellDetail(const Style& style, QWidget* parent = nullptr);

    /// `changes` are the consequences of choosing the cell; empty for the one recorded now.
    void show(const ModeCell& cell, bool recordedNow, const std::vector<Difference>& changes,
              const std::vector<Opening>& openings, const QString& problem);
    void showNothing(const QString& why);

signals:
    void chooseRequested();
    void openingRequested(int index); ///< into the openings last shown

private:
    void showButtons(bool choose, const std::vector<Opening>& openings);
    [[nodiscard]] QString changesText(const std::vector<Difference>& changes) const;

    const Style& m_style;
    QLabel* m_title;
    QLabel* m_words;
    QLabel* m_changes;
    QHBoxLayout* m_row;
    QPushButton* m_choose;
    QList<QPushButton*> m_openings;
};

} // namespace bslate::app
