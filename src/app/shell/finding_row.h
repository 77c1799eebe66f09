#pragma once

#include "app/style/style.h"
#include "core/judgement/finding.h"

#include <QWidget>

class QLabel;
class QLineEdit;
class QPushButton;

namespace bslate::app {

class RemedyButton;

/// One judgement: mark, title, reason, the remedies with what they leave, and a way to accept
/// it on purpose. What is good or a note is its title until it is asked with a click or Return.
/// Rows are reused; show() replaces what a row says.
class FindingRow : public QWidget {
    Q_OBJECT

public:
    explicit FindingRow(const Style& style, QWidget* parent = nullptr);

    /// `group` stands over the first row of several that belong together.
    void show(const Finding& finding, const QString& group = {});
    [[nodiscard]] const Finding& finding() const { return m_finding; }
    /// The end of the row's tab chain, for the list to join the next row to.
    [[nodiscard]] QWidget* lastControl() const;

signals:
    void remedyChosen(const QString& name, const bslate::Edit& edit);
    void accepted(const QStringList& keys, const QString& reason);
    void withdrawn(const QStringList& keys);

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    void showRemedies();
    [[nodiscard]] bool isBrief() const; ///< told by its title alone until asked
    void toggle();

    const Style& m_style;
    Finding m_finding;
    QLabel* m_group;
    QLabel* m_title;
    QLabel* m_reason;
    RemedyButton* m_buttons[kMostRemedies];
    QPushButton* m_letGo;
    QLineEdit* m_why;
};

} // namespace bslate::app
