#pragma once

#include "app/style/style.h"
#include "app/views/frame/frame_images.h"

#include <QWidget>

#include <memory>

namespace bslate::app {

/// The instruments side by side: waveform, histogram and colour picture of the recorded signal.
class ScopePicture : public QWidget {
    Q_OBJECT

public:
    explicit ScopePicture(const Style& style, QWidget* parent = nullptr);

    /// Of the recording, or of the grade; luma alone, or red, green and blue beside it.
    void show(std::shared_ptr<const FrameImages> images, bool ofGrade, bool channels);
    void clear();

    QSize sizeHint() const override { return {760, 170}; }
    QSize minimumSizeHint() const override { return {480, 150}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void paintWaves(QPainter& painter, const QRectF& area) const;
    void paintWave(QPainter& painter, const QRectF& area, InstrumentChannel channel) const;
    void paintLevels(QPainter& painter, const QRectF& area) const;
    void paintHistogram(QPainter& painter, const QRectF& area) const;
    void paintColour(QPainter& painter, const QRectF& area) const;
    [[nodiscard]] const Instruments& shown() const;
    [[nodiscard]] BitDepth depth() const;
    [[nodiscard]] QColor inkOf(InstrumentChannel channel) const;
    [[nodiscard]] double y(const QRectF& area, Level level) const;

    const Style& m_style;
    std::shared_ptr<const FrameImages> m_images;
    bool m_channels = false, m_ofGrade = false;
};

} // namespace bslate::app
