#pragma once

#include "app/style/style.h"
#include "core/signal/gamut.h"

#include <QWidget>

#include <optional>

namespace bslate::app {

/// Gamuts as triangles in CIE 1976 u'v', on the outline of all colours.
class GamutPicture : public QWidget {
    Q_OBJECT

public:
    struct Shown {
        QString name;
        Gamut gamut;
    };

    explicit GamutPicture(const Style& style, QWidget* parent = nullptr);

    void show(std::optional<Shown> first, std::optional<Shown> second);

    QSize sizeHint() const override { return {250, 220}; }
    QSize minimumSizeHint() const override { return {200, 180}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] QPointF place(Chromaticity chromaticity) const;
    [[nodiscard]] QPolygonF triangle(const Gamut& gamut) const;

    const Style& m_style;
    std::optional<Shown> m_first, m_second;
};

} // namespace bslate::app
