// The drawing half of LightCanvas.
#include "app/views/light/light_canvas.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/views/light/target_marks.h"
#include "app/widgets/label_rows.h"
#include "core/facts/schools.h"
#include "core/quantity/print.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kLabelHeight = 16;

void drawText(QPainter& painter, const QRectF& box, int flags, const QColor& colour,
              const QFont& font, const QString& text) {
    painter.setFont(font);
    painter.setPen(colour);
    painter.drawText(box, flags, text);
}

QFont bold(TextRole role) {
    QFont font = Style::font(role);
    font.setBold(true);
    return font;
}

} // namespace

void LightCanvas::paintEvent(QPaintEvent*) {
    QElapsedTimer timer;
    timer.start();
    QPainter painter(this);
    if (!m_at || !m_context) {
        painter.fillRect(rect(), m_style.colours().panel);
        drawEmpty(painter);
        return;
    }
    const auto g = geometry();
    drawBackdrop(painter, g);
    drawGhost(painter, g);
    drawDots(painter, g);
    drawScene(painter, g);
    m_lastPaintMs = static_cast<double>(timer.nsecsElapsed()) / 1e6;
}

void LightCanvas::drawBackdrop(QPainter& painter, const Geometry& g) {
    const Backdrop wanted{g.axis,
                          size(),
                          devicePixelRatioF(),
                          m_style.theme(),
                          m_at->clip,
                          m_at->noiseFloor,
                          m_at->ratingOffset,
                          m_at->white.firstClip,
                          m_at->white.firstFloor,
                          m_at->depth,
                          m_context->profile->curve,
                          m_targets->tools,
                          m_ghost.has_value()};
    if (m_backdrop.isNull() || !(wanted == m_backdropOf)) {
        m_backdropOf = wanted;
        m_backdrop = QPixmap(size() * devicePixelRatioF());
        m_backdrop.setDevicePixelRatio(devicePixelRatioF());
        m_backdrop.fill(m_style.colours().panel);
        QPainter once(&m_backdrop);
        drawGrid(once, g);
        drawSensor(once, g);
        drawRecording(once, g);
    }
    painter.drawPixmap(0, 0, m_backdrop);
}

void LightCanvas::drawEmpty(QPainter& painter) const {
    const auto& t = m_style.colours();
    if (!m_actions.document().setup())
        return; // the window says what comes first
    const QString text = tr("This setup cannot be worked out; the verdict says what is missing. "
                            "Ctrl+E opens its sheet.");
    drawText(painter, QRectF(rect()).adjusted(40, 40, -40, -40), Qt::AlignCenter | Qt::TextWordWrap,
             t.muted, Style::font(TextRole::Body), text);
}

void LightCanvas::drawGrid(QPainter& painter, const Geometry& g) const {
    const auto& t = m_style.colours();
    painter.fillRect(g.recording, t.deep);
    painter.setPen(QPen(t.line, 1));
    for (int stop = static_cast<int>(std::ceil(g.axis.low)); stop <= g.axis.high; ++stop) {
        const double x = std::round(g.axis.x(Stops(stop))) + 0.5;
        painter.drawLine(QPointF(x, g.recording.top()), QPointF(x, g.recording.bottom()));
        painter.drawLine(QPointF(x, g.sceneLine), QPointF(x, g.sceneLine + 5));
    }
    const auto small = Style::font(TextRole::Secondary);
    for (int percent = 0; percent <= 100; percent += 20) {
        const double y = std::round(g.y(Level(percent))) + 0.5;
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(g.recording.left(), y), QPointF(g.recording.right(), y));
        // Left: what an instrument reads at the same level keeps clear of it.
        drawText(painter, QRectF(0, y - 8, g.instruments.left() - 6, 16),
                 Qt::AlignLeft | Qt::AlignVCenter, t.muted, small,
                 QStringLiteral("%1 %").arg(percent));
        const double code = codeOf(signalAt(Level(percent), CodeRange::Legal, m_at->depth),
                                   CodeRange::Legal, m_at->depth);
        drawText(painter, QRectF(g.bands.right() + 6, y - 8, 48, 16),
                 Qt::AlignLeft | Qt::AlignVCenter, t.muted, small,
                 QString::number(std::lround(code)));
    }
    drawText(painter, QRectF(g.bands.right() + 6, g.recording.top() - 18, 50, 16),
             Qt::AlignLeft | Qt::AlignVCenter, t.muted, small, tr("%1-bit").arg(m_at->depth.bits));
    const auto title = bold(TextRole::Secondary);
    const auto heading = [&](double y, const QString& text, const QString& sub) {
        drawText(painter, QRectF(0, y, kLabelHeight * 5.5, 16), Qt::AlignLeft, t.muted, title,
                 text);
        drawText(painter, QRectF(0, y + 16, kLabelHeight * 5.5, 32), Qt::AlignLeft, t.muted, small,
                 sub);
    };
    heading(g.sceneLine - 16, tr("SCENE"), tr("stops from\nmid-grey"));
    heading(g.sensor.top(), tr("SENSOR"),
            tr("%1 stops").arg(toQt(printPlain(m_at->clip - m_at->noiseFloor))));
    heading(g.recording.top() - 18, tr("RECORDING"), QString());
    drawText(painter, QRectF(g.axis.left, g.recording.bottom() + 4, 200, 18), Qt::AlignLeft,
             t.muted, small, tr("deep shadow"));
    drawText(painter, QRectF(g.axis.right - 200, g.recording.bottom() + 4, 200, 18), Qt::AlignRight,
             t.muted, small, tr("highlights"));
    const double zero = g.axis.x(Stops(0));
    drawText(painter, QRectF(zero - 100, g.recording.bottom() + 4, 200, 18), Qt::AlignHCenter,
             t.sky, small, tr("mid-grey as viewed"));
}

void LightCanvas::drawScene(QPainter& painter, const Geometry& g) const {
    const auto& t = m_style.colours();
    painter.setPen(QPen(t.line, 1.2));
    painter.drawLine(QPointF(g.axis.left, g.sceneLine), QPointF(g.axis.right, g.sceneLine));
    const auto small = Style::font(TextRole::Secondary);
    for (int stop = static_cast<int>(std::ceil(g.axis.low)); stop <= g.axis.high; ++stop) {
        const auto text = stop > 0 ? QStringLiteral("+%1").arg(stop) : QString::number(stop);
        const double x = g.axis.x(Stops(stop));
        drawText(painter, QRectF(x - 20, g.sceneLine + 12, 40, 16), Qt::AlignHCenter,
                 stop == 0 ? t.sky : t.muted, small, text);
    }
    const auto font = bold(TextRole::Secondary);
    std::vector<AxisLabel> labels;
    for (const auto& patch : m_at->patches)
        labels.push_back({toQt(patch.name),
                          std::clamp(g.axis.x(patch.viewed), g.axis.left, g.axis.right),
                          {},
                          {}});
    staggerLabels(labels, font, g.axis.left - 40, width() - 4.0, g.sceneLine - 12, kLabelHeight, 3);
    for (std::size_t i = 0; i < labels.size(); ++i) {
        if (labels[i].box.isEmpty())
            continue;
        const auto& patch = m_at->patches[i];
        const bool lost = patch.state == PatchState::Clipped;
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(labels[i].x, labels[i].box.bottom()),
                         QPointF(labels[i].x, g.sceneLine - 8));
        drawText(painter, labels[i].box, Qt::AlignCenter, lost ? t.coral : t.ink, font,
                 labels[i].shown);
    }
}

// Where the first channel of grey under the key ends or drowns, when that is not with the others.
void LightCanvas::drawFirstChannels(QPainter& painter, const Geometry& g) const {
    const auto& t = m_style.colours();
    const QRectF& band = g.sensor;
    const auto mark = [&](Stops at, std::size_t channel, double side) {
        const QColor inks[] = {t.coral, t.sea, t.sky};
        const QString letters[] = {tr("R"), tr("G"), tr("B")};
        const double x = g.axis.x(at + m_at->ratingOffset);
        if (x < g.axis.left || x > g.axis.right)
            return;
        painter.setPen(QPen(inks[channel], 2 * t.stroke, Qt::DashLine));
        painter.drawLine(QPointF(x, band.top()), QPointF(x, band.bottom()));
        drawText(painter, QRectF(side < 0 ? x - 16 : x + 3, band.top(), 13, band.height()),
                 (side < 0 ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter, t.ink,
                 Style::font(TextRole::Secondary), letters[channel]);
    };
    constexpr Stops kApart{0.1};
    const auto& white = m_at->white;
    if (m_at->clip - white.firstClip > kApart)
        mark(white.firstClip, white.clipsFirst, -1);
    if (white.firstFloor - m_at->noiseFloor > kApart)
        mark(white.firstFloor, white.drownsFirst, 1);
}

void LightCanvas::drawSensor(QPainter& painter, const Geometry& g) const {
    const auto& t = m_style.colours();
    const auto small = Style::font(TextRole::Secondary);
    const Stops floor = m_at->noiseFloor + m_at->ratingOffset;
    const Stops clip = m_at->clip + m_at->ratingOffset;
    const double noiseX = std::clamp(g.axis.x(floor), g.axis.left, g.axis.right);
    const double clipX = std::clamp(g.axis.x(clip), g.axis.left, g.axis.right);
    const QRectF& band = g.sensor;
    painter.fillRect(band, t.deep);
    painter.fillRect(QRectF(noiseX, band.top(), clipX - noiseX, band.height()), t.line);
    for (const auto& area : {QRectF(band.left(), band.top(), noiseX - band.left(), band.height()),
                             QRectF(g.recording.left(), g.recording.top(),
                                    noiseX - g.recording.left(), g.recording.height())})
        bslate::app::drawDots(painter, area, t.muted, area.height() > 40 ? 9.0 : 6.0);
    for (const auto& area :
         {QRectF(clipX, band.top(), band.right() - clipX, band.height()),
          QRectF(clipX, g.recording.top(), g.recording.right() - clipX, g.recording.height())})
        drawHatch(painter, area, t.coral, area.height() > 40 ? 14.0 : 8.0);
    painter.setPen(QPen(t.ink, 1.6 * m_style.colours().stroke));
    painter.drawLine(QPointF(noiseX, band.top() - 4), QPointF(noiseX, band.bottom() + 4));
    painter.setPen(QPen(t.coral, 1.8 * m_style.colours().stroke));
    painter.drawLine(QPointF(clipX, band.top() - 4), QPointF(clipX, band.bottom() + 4));
    drawText(painter, QRectF(noiseX - 60, band.top() - 19, 120, 15), Qt::AlignHCenter, t.muted,
             small, tr("noise %1").arg(toQt(print(floor))));
    drawText(painter, QRectF(clipX - 60, band.top() - 19, 120, 15), Qt::AlignHCenter, t.coral,
             small, tr("clip %1").arg(toQt(print(clip))));
    drawFirstChannels(painter, g);
    const double zero = std::clamp(g.axis.x(Stops(0)), noiseX, clipX);
    const auto roomText = [&](double from, double to, const QString& text) {
        if (to - from > 80)
            drawText(painter, QRectF(from, band.top(), to - from, band.height()), Qt::AlignCenter,
                     t.ink, small, text);
    };
    roomText(noiseX, zero, tr("%1 below").arg(toQt(printPlain(floor))));
    roomText(zero, clipX, tr("%1 above").arg(toQt(printPlain(clip))));
    painter.setPen(QPen(t.sky, 1.4));
    painter.drawLine(QPointF(g.axis.x(Stops(0)), band.top()),
                     QPointF(g.axis.x(Stops(0)), g.recording.bottom()));
}

void LightCanvas::drawCurve(QPainter& painter, const Geometry& g, Stops offset,
                            const QPen& pen) const {
    QPainterPath path;
    const double left = g.recording.left(), right = g.recording.right();
    for (double x = left; x <= right; x += 3.0) {
        const Stops recorded = std::min(g.axis.at(x) - offset, m_at->clip);
        const double y = g.y(levelAt(m_context->profile->curve, recorded, m_at->depth));
        if (x == left)
            path.moveTo(x, y);
        else
            path.lineTo(x, y);
    }
    painter.setPen(pen);
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(path);
}

void LightCanvas::drawRecording(QPainter& painter, const Geometry& g) const {
    const auto& t = m_style.colours();
    drawTargets(
        painter, {g.recording, g.instruments, g.bands}, *m_targets,
        [&](Level level) { return g.y(level); }, t, m_ghost.has_value());
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setClipRect(g.recording.adjusted(-6, -6, 6, 6));
    if (std::abs(m_at->ratingOffset.value()) > 0.01)
        drawCurve(painter, g, Stops(0), QPen(t.muted, 1.2, Qt::DashLine));
    drawCurve(painter, g, m_at->ratingOffset, QPen(t.ink, 2.2 * t.stroke));
    painter.restore();
}

void LightCanvas::drawDots(QPainter& painter, const Geometry& g) const {
    const auto& t = m_style.colours();
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    const auto font = bold(TextRole::Secondary);
    const QFontMetricsF metrics(font);
    std::vector<QRectF> boxes;
    std::vector<QString> texts;
    for (const auto& patch : m_at->patches) {
        const double x = g.axis.x(patch.viewed);
        const double y = g.y(patch.level);
        const bool lost = patch.state == PatchState::Clipped;
        painter.setPen(QPen(lost ? t.coral : t.muted, 1.1 * t.stroke, Qt::DotLine));
        painter.drawLine(QPointF(x, g.sceneLine + 30), QPointF(x, y));
        painter.setPen(QPen(t.deep, 1.5));
        painter.setBrush(lost ? t.coral : t.ink);
        painter.drawEllipse(QPointF(x, y), 5, 5);
        QString text = toQt(print(patch.level));
        if (lost)
            text = tr("lost %1").arg(toQt(printPlain(patch.headroom)));
        if (patch.state == PatchState::Noise)
            text = tr("noise %1").arg(toQt(printPlain(patch.aboveNoise)));
        texts.push_back(text);
        const double w = metrics.horizontalAdvance(text) + 6;
        const bool left = x + 10 + w > g.recording.right();
        boxes.emplace_back(left ? x - 10 - w : x + 9, y + (lost ? -22 : 4), w, 16);
    }
    spreadBoxes(boxes, g.recording.adjusted(-40, -10, 50, 0));
    for (std::size_t i = 0; i < boxes.size(); ++i) {
        const auto state = m_at->patches[i].state;
        const QColor colour = state == PatchState::Clipped ? t.coral
                              : state == PatchState::Noise ? t.muted
                                                           : t.ink;
        QColor ground = t.deep;
        ground.setAlpha(200);
        painter.fillRect(boxes[i], ground);
        drawText(painter, boxes[i], Qt::AlignCenter, colour, font, texts[i]);
    }
    painter.restore();
}

void LightCanvas::drawGhost(QPainter& painter, const Geometry& g) const {
    if (!m_ghost)
        return;
    const auto target = targetOf(*m_ghost, *m_context, *m_at);
    const auto& t = m_style.colours();
    const auto font = bold(TextRole::Secondary);
    const QString name = toQt(nameOf(*m_ghost, translator()));
    const QRectF box(g.recording.right() - 330, g.recording.bottom() - 24, 320, 18);
    QColor ground = t.deep;
    ground.setAlpha(220);
    painter.fillRect(box.adjusted(-4, 0, 4, 0), ground);
    if (!target) {
        drawText(painter, box, Qt::AlignRight, t.lilac, font,
                 tr("%1: needs a grey card or skin").arg(name));
        return;
    }
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(t.lilac, 1.6 * t.stroke));
    painter.setBrush(Qt::NoBrush);
    for (const auto& patch : m_at->patches) {
        const Stops recorded = patch.recorded + target->shift;
        const Stops viewed = patch.viewed + target->shift;
        const Level level =
            levelAt(m_context->profile->curve, std::min(recorded, m_at->clip), m_at->depth);
        const QPointF point(g.axis.x(viewed), g.y(level));
        if (g.axis.shows(viewed)) {
            painter.drawEllipse(point, 6, 6);
            painter.drawLine(QPointF(point.x(), g.sceneLine - 5),
                             QPointF(point.x(), g.sceneLine + 5));
        }
    }
    painter.restore();
    drawText(painter, box, Qt::AlignRight, t.lilac, font,
             tr("%1: %2 stops, leaves %3 above, %4 over noise")
                 .arg(name, toQt(print(target->shift)), toQt(print(target->highlights)),
                      toQt(print(target->shadows))));
}

} // namespace bslate::app
