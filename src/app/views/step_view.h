#pragma once

#include "app/style/style.h"
#include "app/widgets/key_table.h"
#include "core/judgement/finding.h"

#include <QWidget>

class QLabel;
class QLayout;

#include <vector>

namespace bslate::app {

/// A page of a step: what the window shows in its middle. shell/steps.cpp lists them all.
class StepView : public QWidget {
    Q_OBJECT

public:
    explicit StepView(const Style& style, QWidget* parent = nullptr);

    /// What works while it has the focus, for the key sheet.
    [[nodiscard]] std::vector<KeyLine> keys() const;
    /// Finishes what is under way, so that a picture shows it as it will be.
    virtual void settle() {}

signals:
    void refused(const QString& message);
    void told(const QString& message);
    /// A sheet of the window, by its name (shell/sheets.h).
    void sheetRequested(const QString& name);
    /// What this page has to say beside the verdict; nothing when it is left.
    void found(const std::vector<bslate::Finding>& findings);

protected:
    [[nodiscard]] KeyTable& keyTable() { return m_keys; }
    /// The hint at the foot of the page.
    [[nodiscard]] QLabel* hintLabel() const;
    void keyPressEvent(QKeyEvent* event) override;
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_panelStyle;
    KeyTable m_keys;
};

/// The head of a page: what it is of, and a line of its own below that may wrap.
[[nodiscard]] QLayout* pageHead(QLabel& title, QLabel& subtitle);

} // namespace bslate::app
