#pragma once

#include "app/style/plain_style.h"
#include "app/style/tokens.h"

class QStyleOptionButton;
class QStyleOptionMenuItem;

namespace bslate::app {

/// Draws the standard controls - buttons, menus, fields, choices - as this application's blocks, in
/// the colours of a theme. Nothing is matched against widgets by rules: a change of theme is
/// another palette and a repaint. Two properties of a button change its look: `quiet`, words
/// without a block until it is pointed at, and `leading`, words that begin at its left edge.
class ControlStyle : public PlainStyle {
    Q_OBJECT

public:
    explicit ControlStyle(const Tokens& tokens);

    /// What is drawn from now on; the tokens must outlive this, as tokens() does.
    void setTokens(const Tokens& tokens) { m_tokens = &tokens; }

    void drawPrimitive(PrimitiveElement element, const QStyleOption* option, QPainter* painter,
                       const QWidget* widget) const override;
    void drawControl(ControlElement element, const QStyleOption* option, QPainter* painter,
                     const QWidget* widget) const override;
    void drawComplexControl(ComplexControl control, const QStyleOptionComplex* option,
                            QPainter* painter, const QWidget* widget) const override;
    QSize sizeFromContents(ContentsType type, const QStyleOption* option, const QSize& contents,
                           const QWidget* widget) const override;
    QRect subElementRect(SubElement element, const QStyleOption* option,
                         const QWidget* widget) const override;
    QRect subControlRect(ComplexControl control, const QStyleOptionComplex* option, SubControl part,
                         const QWidget* widget) const override;
    int pixelMetric(PixelMetric metric, const QStyleOption* option,
                    const QWidget* widget) const override;
    int styleHint(StyleHint hint, const QStyleOption* option, const QWidget* widget,
                  QStyleHintReturn* returned) const override;

private:
    void drawButton(QPainter& painter, const QStyleOption& option, const QWidget* widget) const;
    void drawButtonWords(QPainter& painter, const QStyleOptionButton& option,
                         const QWidget* widget) const;
    void drawField(QPainter& painter, const QStyleOption& option) const;
    void drawMenuEntry(QPainter& painter, const QStyleOptionMenuItem& option,
                       const QWidget* widget) const;
    void drawMenuHead(QPainter& painter, const QStyleOptionMenuItem& option) const;
    void drawTick(QPainter& painter, const QStyleOption& option) const;
    void drawDown(QPainter& painter, QPointF centre, bool enabled) const;

    const Tokens* m_tokens;
};

} // namespace bslate::app
