#pragma once

#include "app/document/bank_planner.h"
#include "app/style/style.h"

#include <QWidget>

namespace bslate::app {

/// The controls of a body as plates: what each is called, what it does in this plan, and a mark
/// where the plan gave it that. Arrows move, Return or a click asks for another function.
class ControlPlates : public QWidget {
    Q_OBJECT

public:
    ControlPlates(const BankPlanner& planner, const Style& style, QWidget* parent = nullptr);

    void refresh();
    [[nodiscard]] int current() const { return m_current; }
    void setCurrent(int control);
    [[nodiscard]] QRectF plateBox(int control) const;

    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override;
    QSize sizeHint() const override { return {800, heightForWidth(800)}; }
    QSize minimumSizeHint() const override { return {400, heightForWidth(std::max(width(), 400))}; }

signals:
    void asked(int control); ///< for another function

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool event(QEvent* event) override;

private:
    [[nodiscard]] int count() const;
    [[nodiscard]] int columns(int width) const;
    [[nodiscard]] QString wordsOf(int control) const;
    void tell();

    const BankPlanner& m_planner;
    const Style& m_style;
    int m_current = 0;
};

} // namespace bslate::app
