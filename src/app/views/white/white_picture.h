#pragma once

#include "app/style/style.h"
#include "core/facts/white_facts.h"

#include <QString>
#include <QWidget>

#include <optional>
#include <vector>

namespace bslate::app {

/// The lights of a scene as discs over their colour, kelvin in even mired steps across and green
/// above magenta, with the camera's white as a cross on the grid of its dial. Gels are arrows. The
/// cross and the discs are dragged.
class WhitePicture : public QWidget {
    Q_OBJECT

public:
    struct Light {
        QString name;
        SceneLight facts;
        QString gels; ///< names of those on it; empty: none
    };
    struct Proposal {
        std::size_t light = 0;
        ColourPoint to;
        QString gels;
    };
    struct Shown {
        std::vector<Light> lights;
        ColourPoint white;
        QString whiteText;
        WhiteDial dial;
        std::optional<std::size_t> chosen;
        std::optional<Proposal> proposal; ///< what gels of the kit would do
    };

    explicit WhitePicture(const Style& style, QWidget* parent = nullptr);

    void show(Shown shown);
    void clear();
    [[nodiscard]] QPointF place(ColourPoint point) const;
    [[nodiscard]] ColourPoint at(QPointF pixel) const;
    [[nodiscard]] double radius(const SceneLight& light) const;

    QSize sizeHint() const override { return {760, 250}; }
    QSize minimumSizeHint() const override { return {480, 190}; }

signals:
    void dragStarted();
    void whiteDragged(const bslate::ColourPoint& to);
    void lightDragged(std::size_t light, const bslate::ColourPoint& to);
    void lightChosen(std::size_t light);
    void lightTyped(std::size_t light);
    void dragEnded();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;

private:
    struct Range {
        double warm = 400, cool = 100; ///< mired at the left and the right edge
        double green = 0.02;           ///< Duv at the upper edge, magenta as much below
    };
    struct Label {
        QRectF box;
        QString text;
        QColor ink;
        TextRole role;
    };
    enum class Held { Nothing, White, Light };

    [[nodiscard]] QRectF plot() const;
    [[nodiscard]] Range rangeOf(const Shown& shown) const;
    [[nodiscard]] std::optional<std::size_t> lightAt(QPointF pixel) const;
    void paintAxes(QPainter& painter) const;
    void paintDial(QPainter& painter) const;
    void paintLights(QPainter& painter) const;
    void paintGels(QPainter& painter) const;
    [[nodiscard]] std::vector<Label> labels() const;
    [[nodiscard]] QColor behind() const;
    void paintNames(QPainter& painter) const;
    void paintWhite(QPainter& painter) const;
    void arrow(QPainter& painter, QPointF from, QPointF to) const;

    const Style& m_style;
    std::optional<Shown> m_shown;
    Range m_range;
    Held m_held = Held::Nothing;
    std::size_t m_heldLight = 0;
    QPointF m_offset; ///< from the pointer to the middle of what is held
};

} // namespace bslate::app
