#pragma once

#include "app/style/style.h"

#include <QWidget>

class QButtonGroup;
class QStackedWidget;

namespace bslate::app {

/// The pages of a step that has more than one: a row of buttons above; Ctrl+PgDown and Ctrl+PgUp go
/// through them. Buttons are called NAME-page-0, NAME-page-1 ...
class StepPages : public QWidget {
    Q_OBJECT

public:
    StepPages(const QString& name, const Style& style, QWidget* parent = nullptr);

    void addPage(const QString& name, QWidget* page);
    void showPage(int page);
    [[nodiscard]] int page() const;

signals:
    void turned(); ///< another page is in view

protected:
    void paintEvent(QPaintEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;

private:
    const Style& m_style;
    QButtonGroup* m_buttons;
    QStackedWidget* m_stack;
};

} // namespace bslate::app
