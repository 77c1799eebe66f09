#pragma once

#include "app/style/style.h"

#include <QWidget>

class QButtonGroup;
class QStackedWidget;

namespace bslate::app {

/// The pages of the Kit step: what there is, its profiles, and testing one's own body. A row of
/// buttons above; Ctrl+PgDown and Ctrl+PgUp go through them.
class KitPages : public QWidget {
    Q_OBJECT

public:
    enum Page { Gear, Profiles, BodyTest };

    KitPages(const Style& style, QWidget* gear, QWidget* profiles, QWidget* bodyTest,
             QWidget* parent = nullptr);

    void showPage(int page);
    [[nodiscard]] int page() const;

protected:
    void paintEvent(QPaintEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;

private:
    const Style& m_style;
    QButtonGroup* m_buttons;
    QStackedWidget* m_stack;
};

} // namespace bslate::app
