#pragma once

#include "app/style/style.h"
#include "core/kit/kit.h"

#include <QWidget>

#include <optional>

namespace bslate::app {

/// Every recording mode of a camera as a row: how tight it frames, and over its rates a bar as
/// tall as its bit rate. Rates that differ by less than half a frame share a column.
class ModesPicture : public QWidget {
    Q_OBJECT

public:
    explicit ModesPicture(const Style& style, QWidget* parent = nullptr);

    /// `focal` is that of the lens at hand; none leaves the angles out.
    void show(const Camera& camera, std::optional<Millimetres> focal);

    QSize sizeHint() const override { return {560, 240}; }
    QSize minimumSizeHint() const override { return {360, 120}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] std::vector<FrameRate> columns() const;
    void paintMode(QPainter& painter, const RecordingMode& mode, const QRectF& row) const;

    const Style& m_style;
    Camera m_camera;
    std::optional<Millimetres> m_focal;
};

} // namespace bslate::app
