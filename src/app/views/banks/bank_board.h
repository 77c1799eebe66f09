#pragma once

#include "app/document/bank_planner.h"
#include "app/widgets/pick_canvas.h"

#include <QPainterPath>

namespace bslate::app {

/// A camera's memories as slates, its setups below in the order they come up, a thread from each
/// to the bank it recalls, and under it what the hand does after that. A setup, or its thread, is
/// dragged to another slate; what that would cost is shown before it drops.
class BankBoard : public PickCanvas {
    Q_OBJECT

public:
    BankBoard(const BankPlanner& planner, const Style& style, QWidget* parent = nullptr);

    /// Takes over what the planner has.
    void refresh();
    /// The slate the chosen setup could go to; -1 for none.
    [[nodiscard]] int target() const { return m_target; }
    void setTarget(int bank);
    void stepTarget(int by);
    [[nodiscard]] QRectF slateBox(int bank) const;
    [[nodiscard]] QRectF setupBox(std::size_t setup) const;

    /// Setups in the order they come up.
    [[nodiscard]] int itemCount() const override { return static_cast<int>(m_order.size()); }
    [[nodiscard]] QRectF itemBox(int item) const override;
    [[nodiscard]] QString itemWords(int item) const override;
    /// The setup so many places along the day from the chosen one; without one the first.
    [[nodiscard]] std::optional<std::size_t> beside(int by) const;
    /// How many setups the last paint drew: those that are seen.
    [[nodiscard]] int paintedSetups() const { return m_painted; }

    QSize sizeHint() const override { return {800, 266}; }
    QSize minimumSizeHint() const override { return {600, 250}; }

signals:
    void setupChosen(const QString& id);
    void dropped(int bank); ///< the chosen setup onto a slate; -1: beside all of them

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent*) override {} ///< two presses
    void resizeEvent(QResizeEvent* event) override;

private:
    static constexpr double kLeft = 1, kSlateTop = 4, kSlateHeight = 100, kSetupHeight = 32;
    static constexpr double kBelow = 66; ///< under a setup: what the hand does, and the day
    /// "white, iris": what the hand turns, without the values.
    [[nodiscard]] static QString handNames(const BankUse& use);
    [[nodiscard]] int bankAt(QPointF point) const;
    [[nodiscard]] QPointF threadEnd(std::size_t setup) const;
    [[nodiscard]] QPainterPath threadOf(std::size_t setup, int bank) const;
    /// The setup whose thread passes by; none when no thread does.
    [[nodiscard]] std::optional<std::size_t> threadAt(QPointF point) const;
    enum class Mark { None, Changed, Lost };
    struct Foot {
        QString text;
        Mark mark = Mark::None;
    };
    /// What is read on a slate.
    struct Slate {
        double left = 0, width = 0;
        QString title;
        QStringList lines; ///< none while nothing is written
        Foot foot;
    };
    void readOrder();
    void readSlates();
    void arrange();
    void tellAll();
    [[nodiscard]] QString bankName(int bank) const;
    [[nodiscard]] Foot footOf(const Bank& bank, bool recalled) const;
    /// Those of m_order between two places in the window: first and one behind the last.
    [[nodiscard]] std::pair<std::size_t, std::size_t> seen(double left, double right) const;
    void paintThreads(QPainter& painter, std::pair<std::size_t, std::size_t> shown) const;
    void paintSlate(QPainter& painter, int bank) const;
    void paintThread(QPainter& painter, std::size_t setup, int bank, const QColor& colour,
                     double width, Qt::PenStyle line = Qt::SolidLine) const;
    void paintSetup(QPainter& painter, std::size_t setup) const;
    void paintCost(QPainter& painter) const;
    void paintEmpty(QPainter& painter) const;

    const BankPlanner& m_planner;
    std::vector<std::size_t> m_order; ///< setups as they first come up
    std::vector<std::size_t> m_place; ///< by setup: where it stands in that order
    std::vector<int> m_day;           ///< by setup: its first day
    std::vector<Slate> m_slates;
    double m_pitch = 90;
    double m_slateShift = 0, m_setupShift = 0; ///< when not all of them fit
    int m_target = -1;
    int m_painted = 0;
    bool m_dragging = false;
    std::optional<std::size_t> m_held; ///< the setup under the pressed button
    QPointF m_pressed, m_at;
};

} // namespace bslate::app
