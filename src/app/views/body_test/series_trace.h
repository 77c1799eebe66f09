#pragma once

#include "app/style/style.h"
#include "core/clip/region_series.h"

#include <QWidget>

namespace bslate::app {

/// What the card read over the frames of the clips, with the exposures that were held marked.
class SeriesTrace : public QWidget {
    Q_OBJECT

public:
    explicit SeriesTrace(const Style& style, QWidget* parent = nullptr);

    /// Places of plateaus are of these frames.
    void show(std::vector<RegionFrame> frames, std::vector<Plateau> plateaus);

    QSize sizeHint() const override { return {560, 150}; }
    QSize minimumSizeHint() const override { return {320, 110}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    const Style& m_style;
    std::vector<RegionFrame> m_frames;
    std::vector<Plateau> m_plateaus;
};

} // namespace bslate::app
