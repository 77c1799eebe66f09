#pragma once

#include "app/style/style.h"
#include "app/views/media/day_rows.h"
#include "core/day/day_edit.h"
#include "core/shoot/shoot.h"

#include <QWidget>

#include <functional>
#include <memory>

namespace bslate::app {

/// The day as a picture that is its own control: takes, cards filling, batteries running down,
/// copies, what is safe, and the light, on one time axis. Takes are dragged sideways, cards from
/// their shelf onto a take.
class DayTimeline : public QWidget {
    Q_OBJECT

public:
    struct Shown {
        std::shared_ptr<const Shoot> shoot;
        DayPlan plan;
        std::vector<int> changedCards, changedPower;
        std::vector<bool> failed;    ///< by card unit
        std::optional<Seconds> now;  ///< up to here it has really happened
        std::optional<Seconds> late; ///< against the plan
    };
    /// Why a card cannot be dropped there; empty when it can.
    using Judge = std::function<QString(CardPlace, int unit)>;

    explicit DayTimeline(const Style& style, QWidget* parent = nullptr);

    void setJudge(Judge judge) { m_judge = std::move(judge); }
    void show(Shown shown);
    void choose(const QString& take, int lane);
    [[nodiscard]] const QString& chosenTake() const { return m_take; }
    [[nodiscard]] int chosenLane() const { return m_lane; } ///< of the cards

    void zoom(double factor);
    void fit();
    [[nodiscard]] const DayGeometry& geometry() const { return m_geometry; }
    /// Where a take's block lies, for dragging it.
    [[nodiscard]] QRectF takeBox(const QString& take) const;

signals:
    void chosen(const QString& take, int lane);
    void takeDragStarted();
    void takeDragged(const QString& take, bslate::Seconds start);
    void takeDragEnded();
    void cardDropped(bslate::CardPlace place, int unit);
    void cardRefused(const QString& why);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    bool event(QEvent* event) override;

private:
    enum class Drag { None, Take, Card, Pan };

    void arrange();
    void tell();
    [[nodiscard]] const DayTake* takeAt(QPointF point) const;
    [[nodiscard]] std::optional<CardPlace> placeAt(QPointF point) const;
    [[nodiscard]] int unitAt(QPointF point) const;
    [[nodiscard]] QString toolTipAt(QPointF point) const;

    // day_timeline_paint.cpp
    void paintGrid(QPainter& painter) const;
    void paintRow(QPainter& painter, const DayRow& row) const;
    void paintTakes(QPainter& painter, const DayRow& row) const;
    void paintLane(QPainter& painter, const DayRow& row, const DayCarriers& carriers,
                   const std::vector<int>& changed, bool runsDown) const;
    void paintUse(QPainter& painter, const DayRow& row, const DayCarriers& carriers,
                  const CarrierUse& use, bool changed, bool runsDown) const;
    void paintShortfalls(QPainter& painter, const DayRow& row, const DayCarriers& carriers,
                         const QString& word) const;
    void paintCharging(QPainter& painter, const DayRow& row) const;
    void paintCopies(QPainter& painter, const DayRow& row) const;
    void paintSafe(QPainter& painter, const DayRow& row) const;
    void paintLight(QPainter& painter, const DayRow& row) const;
    void paintChips(QPainter& painter, const DayRow& row) const;
    void paintNow(QPainter& painter) const;
    void paintDrag(QPainter& painter) const;

    const Style& m_style;
    Shown m_shown;
    DayGeometry m_geometry;
    Judge m_judge;
    QString m_take;
    int m_lane = -1;
    Drag m_drag = Drag::None;
    bool m_moved = false;
    QPointF m_pressed, m_at;
    Seconds m_grip{0}; ///< from the take's start to where it was taken hold of
    int m_unit = -1;   ///< that is dragged
    std::optional<CardPlace> m_over;
    QString m_why; ///< what speaks against dropping it there
};

} // namespace bslate::app
