#pragma once

#include "app/widgets/pick_canvas.h"
#include "core/banks/preroll.h"

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
/// what was not, a triangle for what has changed since. Picking one ticks it.
class CheckList : public PickCanvas {
    Q_OBJECT

public:
    explicit CheckList(const Style& style, QWidget* parent = nullptr);

    void show(CheckListContent content);
    [[nodiscard]] const CheckListContent& content() const { return m_content; }

    [[nodiscard]] int itemCount() const override;
    [[nodiscard]] QRectF itemBox(int check) const override;
    [[nodiscard]] QString itemWords(int check) const override;

    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return {400, sizeHint().height()}; }

protected:
    [[nodiscard]] QString emptyWords() const override { return m_content.empty; }
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    void arrange(int width);
    void paintMark(QPainter& painter, const QRectF& box, TickState state) const;
    void paintCheck(QPainter& painter, const QRectF& row, const Check& check) const;

    CheckListContent m_content;
    std::vector<QRectF> m_boxes; ///< two lines high where a text needs them
    double m_height = 0;
};

} // namespace bslate::app
