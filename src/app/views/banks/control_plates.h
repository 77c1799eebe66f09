#pragma once

#include "app/document/bank_planner.h"
#include "app/widgets/pick_canvas.h"

namespace bslate::app {

/// The controls of a body as plates: what each is called, what it does in this plan, and a mark
/// where the plan gave it that. Picking one asks for another function.
class ControlPlates : public PickCanvas {
    Q_OBJECT

public:
    ControlPlates(const BankPlanner& planner, const Style& style, QWidget* parent = nullptr);

    void refresh() { itemsChanged(current()); }

    [[nodiscard]] int itemCount() const override;
    [[nodiscard]] QRectF itemBox(int control) const override;
    [[nodiscard]] QString itemWords(int control) const override;

    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override;
    QSize sizeHint() const override { return {800, heightForWidth(800)}; }
    QSize minimumSizeHint() const override { return {400, heightForWidth(std::max(width(), 400))}; }

protected:
    [[nodiscard]] QString emptyWords() const override { return tr("no controls described"); }
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    [[nodiscard]] int columnsIn(int width) const;

    const BankPlanner& m_planner;
};

} // namespace bslate::app
