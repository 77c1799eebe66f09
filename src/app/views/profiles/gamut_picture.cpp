#include "app/views/profiles/gamut_picture.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QPainter>

#include <algorithm>
#include <array>

namespace bslate::app {
namespace {

// CIE 1931 2-degree chromaticities of the spectrum, 380 to 700 nm (CIE 15:2004 table T.4, from
// memory to three places): an outline to look at, no number is computed from it.
constexpr std::array<Chromaticity, 33> kSpectrum = {
    {{0.174, 0.005}, {0.174, 0.005}, {0.173, 0.005}, {0.173, 0.005}, {0.171, 0.005}, {0.169, 0.007},
     {0.164, 0.011}, {0.157, 0.018}, {0.144, 0.030}, {0.124, 0.058}, {0.091, 0.133}, {0.045, 0.295},
     {0.008, 0.538}, {0.014, 0.750}, {0.074, 0.834}, {0.155, 0.806}, {0.230, 0.754}, {0.302, 0.692},
     {0.373, 0.625}, {0.444, 0.555}, {0.512, 0.487}, {0.575, 0.424}, {0.627, 0.373}, {0.666, 0.334},
     {0.692, 0.308}, {0.708, 0.292}, {0.719, 0.281}, {0.726, 0.274}, {0.730, 0.270}, {0.732, 0.268},
     {0.733, 0.267}, {0.734, 0.266}, {0.735, 0.265}}};

constexpr double kXFrom = -0.02, kXTo = 0.66, kYFrom = -0.03, kYTo = 0.62;

} // namespace

GamutPicture::GamutPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("gamuts"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void GamutPicture::show(std::optional<Shown> first, std::optional<Shown> second) {
    m_first = std::move(first);
    m_second = std::move(second);
    QStringList names;
    for (const auto* shown : {&m_first, &m_second})
        if (*shown)
            names << (*shown)->name;
    describe(*this, QAccessible::Graphic, tr("Gamuts"), names.join(QStringLiteral(", ")));
    update();
}

QPointF GamutPicture::place(Chromaticity chromaticity) const {
    const auto at = uniform(chromaticity);
    const double scale = std::min(width() / (kXTo - kXFrom), (height() - 34) / (kYTo - kYFrom));
    return {(at.u - kXFrom) * scale, height() - 34 - (at.v - kYFrom) * scale};
}

QPolygonF GamutPicture::triangle(const Gamut& gamut) const {
    return QPolygonF{place(gamut.red), place(gamut.green), place(gamut.blue)};
}

void GamutPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setClipRect(QRectF(0, 0, width(), height() - 34)); // wide gamuts reach beyond
    QPolygonF outline;
    for (const auto& point : kSpectrum)
        outline << place(point);
    painter.setPen(QPen(t.line, 1.4));
    painter.setBrush(t.deep);
    painter.drawPolygon(outline);
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(t.muted, 1, Qt::DotLine));
    painter.drawPolygon(triangle(gamutBt709()));
    const auto draw = [&](const Shown& shown, const QColor& colour, Qt::PenStyle line) {
        painter.setPen(QPen(colour, 1.8 * t.stroke, line));
        painter.drawPolygon(triangle(shown.gamut));
        drawDiamond(painter, place(shown.gamut.white), 3.5, colour, t.deep);
    };
    if (m_second)
        draw(*m_second, t.lilac, Qt::DashLine);
    if (m_first)
        draw(*m_first, t.ink, Qt::SolidLine);
    painter.setClipping(false);
    painter.setFont(Style::font(TextRole::Secondary));
    const auto line = [&](const QString& text, const QColor& colour, double y) {
        painter.setPen(colour);
        painter.drawText(QRectF(0, y, width(), 16), Qt::AlignLeft | Qt::AlignVCenter,
                         elided(text, painter.font(), width()));
    };
    if (m_first)
        line(tr("%1   dotted: BT.709").arg(m_first->name), t.ink, height() - 32);
    line(m_second ? m_second->name : tr("CIE 1976 u'v'"), m_second ? t.lilac : t.muted,
         height() - 16);
}

} // namespace bslate::app
