#include "app/views/light/target_marks.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/label_rows.h"
#include "core/quantity/print.h"

#include <QCoreApplication>

#include <cmath>

namespace bslate::app {
namespace {

constexpr double kBand = 16; // width of the numbered bands

QString tr(const char* text) {
    return QCoreApplication::translate("Targets", text);
}

QString levels(const ToolTarget& tool) {
    if (tool.high - tool.low < Level(0.5))
        return toQt(print(tool.low));
    return QStringLiteral("%1\u2013%2")
        .arg(std::lround(tool.low.value()))
        .arg(toQt(print(tool.high)));
}

QString nameOf(const ToolTarget& tool) {
    switch (tool.tool) {
    case TargetTool::ZebraLimit:
        return tr("zebra, skin %1").arg(toQt(print(tool.set)));
    case TargetTool::ZebraBand:
        return tr("zebra band %1 \u00b1 %2").arg(toQt(print(tool.set)), toQt(print(tool.range)));
    case TargetTool::ZebraClip:
        return tr("zebra, clip %1").arg(toQt(print(tool.set)));
    case TargetTool::GreyCard:
        return tr("grey card %1").arg(levels(tool));
    case TargetTool::SkinRange:
        return tr("skin %1").arg(levels(tool));
    case TargetTool::WhiteCard:
        return tr("white card %1").arg(levels(tool));
    case TargetTool::HighlightLimit:
        return tr("highlights to %1").arg(levels(tool));
    case TargetTool::HistogramGap:
        return tr("histogram: keep %1 free").arg(levels(tool));
    case TargetTool::BlackLine:
        break;
    }
    return tr("black %1").arg(levels(tool));
}

bool isZebraLine(const ToolTarget& tool) {
    return tool.tool == TargetTool::ZebraLimit || tool.tool == TargetTool::ZebraClip;
}

// What has its own place on the level axis; the rest is told in words.
bool isDrawn(const ToolTarget& tool) {
    if (!tool.inUse || !tool.reachable || tool.tap != ZebraTap::Recorded)
        return false; // not to be set, or on another scale than this picture
    return isZebraLine(tool) || tool.tool == TargetTool::GreyCard ||
           tool.tool == TargetTool::SkinRange || tool.tool == TargetTool::WhiteCard;
}

void drawBands(QPainter& painter, const QRectF& area, const std::vector<StopBand>& bands,
               const std::function<double(Level)>& y, const Tokens& t) {
    QFont small = Style::font(TextRole::Secondary);
    small.setPixelSize(10);
    painter.setFont(small);
    for (const auto& band : bands) {
        const QRectF box(area.right() - kBand, y(band.high), kBand, y(band.low) - y(band.high));
        const bool odd = std::lround(std::abs(band.fromGrey.value())) % 2 == 1;
        painter.fillRect(box, odd ? t.raised : t.line);
        if (band.clipped)
            drawHatch(painter, box, t.coral, 6);
        if (band.noisy)
            drawDots(painter, box, t.muted, 4);
        if (box.height() < 12)
            continue;
        const auto number = std::lround(band.fromGrey.value());
        painter.setPen(t.ink);
        painter.drawText(box, Qt::AlignCenter,
                         number > 0 ? QStringLiteral("+%1").arg(number)
                                    : QString::number(number).replace(u'-', u'\u2212'));
    }
}

} // namespace

void drawTargets(QPainter& painter, const QRectF& area, const SchoolTargets& targets,
                 const std::function<double(Level)>& y, const Tokens& t, bool ghost) {
    const QColor colour = ghost ? t.lilac : t.sky;
    const auto font = Style::font(TextRole::Secondary);
    painter.setRenderHint(QPainter::Antialiasing, false);
    drawBands(painter, area, targets.bands, y, t);
    std::vector<QRectF> boxes;
    std::vector<const ToolTarget*> drawn;
    // Lines first, so that their labels keep the place beside them.
    for (const bool lines : {true, false})
        for (const auto& tool : targets.tools) {
            if (!isDrawn(tool) || isZebraLine(tool) != lines)
                continue;
            const double middle = 0.5 * (y(tool.low) + y(tool.high));
            const double at = lines ? y(tool.set) : middle;
            boxes.emplace_back(area.left() + 18, lines ? at - 16 : at - 8,
                               QFontMetricsF(font).horizontalAdvance(nameOf(tool)) + 4, 15);
            drawn.push_back(&tool);
        }
    spreadBoxes(boxes, area);
    painter.setFont(font);
    for (std::size_t i = 0; i < drawn.size(); ++i) {
        const auto& tool = *drawn[i];
        if (isZebraLine(tool)) {
            painter.setPen(QPen(colour, 1.4 * t.stroke, Qt::DashLine));
            painter.drawLine(QPointF(area.left(), y(tool.set)),
                             QPointF(area.right() - kBand, y(tool.set)));
        } else {
            painter.setPen(QPen(colour, 2 * t.stroke));
            const double top = y(tool.high), bottom = y(tool.low);
            painter.drawLine(QPointF(area.left() + 3, top), QPointF(area.left() + 3, bottom));
            painter.drawLine(QPointF(area.left() + 3, top), QPointF(area.left() + 10, top));
            painter.drawLine(QPointF(area.left() + 3, bottom), QPointF(area.left() + 10, bottom));
            painter.setPen(QPen(colour, 1, Qt::DotLine));
            painter.drawLine(QPointF(area.left() + 10, 0.5 * (top + bottom)),
                             QPointF(boxes[i].left(), boxes[i].center().y()));
        }
        QColor ground = t.deep;
        ground.setAlpha(220);
        painter.fillRect(boxes[i].adjusted(-2, 0, 0, 0), ground);
        painter.setPen(colour);
        painter.drawText(boxes[i], Qt::AlignLeft | Qt::AlignVCenter, nameOf(tool));
    }
}

QString targetWords(const SchoolTargets& targets) {
    QStringList parts;
    for (const auto& tool : targets.tools)
        if (tool.inUse)
            parts << (tool.reachable ? nameOf(tool) : tr("%1 (out of reach)").arg(nameOf(tool)));
    return parts.join(QStringLiteral(", "));
}

} // namespace bslate::app
