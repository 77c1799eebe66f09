#pragma once

#include "app/style/style.h"
#include "core/kit/camera_colour.h"

#include <QWidget>

#include <optional>

namespace bslate::app {

/// What it costs to move white in the grade: grain of the channel that is lifted most, and what
/// highlights lose where white is baked, over every white that may be wanted.
class LaterPicture : public QWidget {
    Q_OBJECT

public:
    struct Shown {
        CameraColour camera;
        WhiteDial dial;
        ColourPoint shot;
        QString shotText;
        std::optional<Kelvin> wanted;
        bool baked = true;
        std::optional<RecordedIn> recorded; ///< none: nothing is told of codes
    };

    explicit LaterPicture(const Style& style, QWidget* parent = nullptr);

    void show(Shown shown);
    void clear();

    QSize sizeHint() const override { return {760, 124}; }
    QSize minimumSizeHint() const override { return {480, 110}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] QRectF plot() const;
    [[nodiscard]] double x(Kelvin kelvin) const;
    [[nodiscard]] LaterWhite laterAt(Kelvin kelvin) const;
    [[nodiscard]] QString wordsOf(Kelvin wanted) const;
    void paintCurve(QPainter& painter, double mostStops, bool highlights) const;

    const Style& m_style;
    std::optional<Shown> m_shown;
};

} // namespace bslate::app
