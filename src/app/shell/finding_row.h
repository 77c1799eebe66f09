#pragma once

#include "app/style/style.h"
#include "core/judgement/finding.h"

#include <QWidget>

class QLabel;
class QLineEdit;
class QPushButton;

namespace bslate::app {

/// One judgement: mark, title, reason, the remedies with what they leave, and a way to accept
/// it on purpose. Rows are reused; show() replaces what a row says.
class FindingRow : public QWidget {
    Q_OBJECT

public:
    explicit FindingRow(const Style& style, QWidget* parent = nullptr);

    void show(const Finding& finding);
    [[nodiscard]] const Finding& finding() const { return m_finding; }
    /// The end of the row's tab chain, for the list to join the next row to.
    [[nodiscard]] QWidget* lastControl() const;

signals:
    void remedyChosen(const QString& name, const bslate::Edit& edit);
    void accepted(const QString& key, const QString& reason);
    void withdrawn(const QString& key);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    static constexpr int kMostRemedies = 4;
    void showRemedies();

    const Style& m_style;
    Finding m_finding;
    QLabel* m_title;
    QLabel* m_reason;
    QPushButton* m_buttons[kMostRemedies];
    QPushButton* m_letGo;
    QLineEdit* m_why;
};

} // namespace bslate::app
