#pragma once

#include "app/style/style.h"
#include "app/widgets/stops_axis.h"
#include "core/signal/exposure_series.h"

#include <QWidget>

#include <optional>
#include <vector>

class QVariantAnimation;

namespace bslate::app {

/// The readings of an exposure series pulled onto a curve: from the nominal one to the one that
/// fits them, with what each still misses underneath.
class FitPicture : public QWidget {
    Q_OBJECT

public:
    explicit FitPicture(const Style& style, QWidget* parent = nullptr);

    /// `pull` lets the curve move from the nominal one to the fitted one; else it is there at once.
    void show(std::vector<SeriesReading> readings, SeriesFit fit, Curve nominal, bool pull);
    void clear(const QString& why);
    /// Without waiting for the curve to be pulled into its place.
    void settle();
    [[nodiscard]] QString words() const;

    QSize sizeHint() const override { return {560, 420}; }
    QSize minimumSizeHint() const override { return {400, 300}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    struct Shown {
        std::vector<SeriesReading> readings;
        SeriesFit fit;
        Curve nominal;
    };

    [[nodiscard]] StopsAxis axis() const;
    [[nodiscard]] QRectF levels() const;
    [[nodiscard]] QRectF misses() const;
    [[nodiscard]] double drawnSignal(Stops stops) const;
    [[nodiscard]] double percent(double signal) const;
    [[nodiscard]] double y(double percent) const;
    void paintGrid(QPainter& painter) const;
    void paintCurves(QPainter& painter) const;
    void paintReadings(QPainter& painter) const;
    void paintMisses(QPainter& painter) const;

    const Style& m_style;
    QVariantAnimation* m_motion;
    std::optional<Shown> m_shown;
    QString m_why;
    double m_pulled = 1; ///< 0: the nominal curve, 1: the fitted one
};

} // namespace bslate::app
