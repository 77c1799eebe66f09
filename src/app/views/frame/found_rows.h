#pragma once

#include "app/style/style.h"
#include "app/views/frame/frame_images.h"

#include <QWidget>

#include <memory>

namespace bslate::app {

/// Patches as they were planned and as they were found, the stop bands, and what of the frame is
/// clipped, drowned and in zebra.
class FoundRows : public QWidget {
    Q_OBJECT

public:
    explicit FoundRows(const Style& style, QWidget* parent = nullptr);

    void show(std::shared_ptr<const FrameImages> images);
    void clear();
    [[nodiscard]] QString text() const; ///< the same, to be copied

    QSize sizeHint() const override { return {206, 300}; }
    QSize minimumSizeHint() const override { return {180, 200}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    double paintPatches(QPainter& painter) const;
    double paintBands(QPainter& painter, double top) const;
    [[nodiscard]] QStringList shares() const;

    const Style& m_style;
    std::shared_ptr<const FrameImages> m_images;
};

} // namespace bslate::app
