#pragma once

#include "app/style/style.h"
#include "core/banks/preroll.h"

#include <QWidget>

namespace bslate::app {

/// What a list of checks says, and what of it is ticked.
struct CheckListContent {
    QString name;  ///< of the list, as it is read out
    QString empty; ///< said where there are no checks
    std::vector<Check> checks;
    std::vector<Tick> ticks;
    bool restarts = false; ///< it is another list than before: its first check is the current one
};

/// Checks in two columns, ticked in place: a ringed tick for what was looked at, an open box for
/// what was not, a triangle for what has changed since.
class CheckList : public QWidget {
    Q_OBJECT

public:
    explicit CheckList(const Style& style, QWidget* parent = nullptr);

    void show(CheckListContent content);
    [[nodiscard]] const CheckListContent& content() const { return m_content; }
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

    const Style& m_style;
    CheckListContent m_content;
    int m_current = 0;
    std::vector<QRectF> m_boxes; ///< two lines high where a text needs them
    double m_height = 0;
};

} // namespace bslate::app
