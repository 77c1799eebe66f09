#pragma once

#include "app/document/bank_planner.h"
#include "app/style/style.h"

#include <QWidget>

namespace bslate::app {

/// The checks of a setup in two columns, ticked in place: a ringed tick for what was looked at, an
/// open box for what was not, a triangle for what has changed since.
class PrerollList : public QWidget {
    Q_OBJECT

public:
    PrerollList(const BankPlanner& planner, const ShootDocument& document, const Style& style,
                QWidget* parent = nullptr);

    void refresh();
    [[nodiscard]] int current() const { return m_current; }
    void setCurrent(int check);
    [[nodiscard]] QRectF rowBox(int check) const;

    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return {400, sizeHint().height()}; }

signals:
    void ticked(int check);
    void currentAt(QRect row); ///< to be kept in view

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
    [[nodiscard]] int besideOf(int check, int by) const; ///< in the other column
    void arrange(int width);
    [[nodiscard]] QString wordsOf(int check) const;
    void paintMark(QPainter& painter, const QRectF& box, TickState state) const;
    void tell();

    const BankPlanner& m_planner;
    const ShootDocument& m_document;
    const Style& m_style;
    int m_current = 0;
    std::vector<QRectF> m_boxes; ///< two lines high where a text needs them
    double m_height = 0;
};

} // namespace bslate::app
