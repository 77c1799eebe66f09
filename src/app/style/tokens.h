#pragma once

#include <QColor>

/// The one place where colours live. Meaning is never carried by colour alone; marks.h has the
/// shapes, hatches and dots that go with them.
namespace bslate::app {

enum class Theme {
    Slate, ///< chalk on slate
    Paper  ///< dark ink on warm white, heavier strokes, for direct sun
};

struct Tokens {
    QColor ground, deep, panel, raised; ///< surfaces
    QColor line;                        ///< hairlines and grids
    QColor ink, muted, faint;           ///< text; faint is decoration only
    QColor marigold;                    ///< yours to move, selected, just changed
    QColor coral;                       ///< lost, fault
    QColor sea;                         ///< good
    QColor sky;                         ///< guides: zebra, markers
    QColor lilac;                       ///< comparison
    double stroke = 1.0;                ///< multiplies every pen width
};

[[nodiscard]] const Tokens& tokens(Theme theme);

/// WCAG 2.1 contrast ratio of two opaque colours, 1 to 21.
[[nodiscard]] double contrast(const QColor& a, const QColor& b);

} // namespace bslate::app
