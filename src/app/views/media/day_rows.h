#pragma once

#include "core/day/day_plan.h"

#include <QRectF>
#include <QString>

#include <optional>
#include <vector>

/// Where everything of a day's picture lies. No painting, no events.
namespace bslate::app {

enum class DayRowKind { Takes, Cards, Power, Copy, Safe, Light, AtHand };

struct DayRow {
    DayRowKind kind = DayRowKind::Takes;
    QString title;
    QString subtitle;
    int lane = -1; ///< of cards or power; reader for Copy
    double top = 0, height = 0;
};

/// Hours across, rows down. The picture shows the times from `from` to `to`.
class DayGeometry {
public:
    /// Lays the rows of a plan out in an area; they shrink to fit, down to a readable least.
    void arrange(const DayPlan& plan, const QRectF& area);

    [[nodiscard]] const std::vector<DayRow>& rows() const { return m_rows; }
    [[nodiscard]] const QRectF& area() const { return m_area; } ///< of the times, without heads
    [[nodiscard]] double x(Seconds time) const;
    [[nodiscard]] Seconds timeAt(double x) const;
    [[nodiscard]] QRectF box(const DayRow& row, Seconds from, Seconds to) const;
    /// The row at a height, or null.
    [[nodiscard]] const DayRow* rowAt(double y) const;
    [[nodiscard]] double bottom() const; ///< under the last row

    /// Zooms by a factor about a time, between the whole day and a minute.
    void zoom(double factor, Seconds about);
    void pan(Seconds by);
    void fit();
    [[nodiscard]] Seconds from() const { return m_from; }
    [[nodiscard]] Seconds to() const { return m_to; }
    /// Keeps a time in view.
    void reveal(Seconds time);

    /// The boxes of the cards that lie ready, by unit.
    [[nodiscard]] QRectF chip(int unit) const;

private:
    void keepInside();

    std::vector<DayRow> m_rows;
    QRectF m_area;
    Seconds m_dayFrom{0}, m_dayTo{86400};
    Seconds m_from{0}, m_to{86400};
    bool m_fitted = true; ///< shows the whole day, whatever that is
    int m_units = 0;
};

} // namespace bslate::app
