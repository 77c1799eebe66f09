#include "app/views/light/target_marks.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/label_rows.h"
#include "core/quantity/print.h"

#include <QCoreApplication>

#include <cmath>

namespace bslate::app {
namespace {

constexpr double kBracket = 8; // at the edge of the recording

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
        const QRectF box(area.left(), y(band.high), area.width(), y(band.low) - y(band.high));
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

void drawTargets(QPainter& painter, const TargetPlaces& places, const SchoolTargets& targets,
                 const std::function<double(Level)>& y, const Tokens& t, bool ghost) {
    const QColor colour = ghost ? t.lilac : t.sky;
    const auto font = Style::font(TextRole::Secondary);
    const double edge = places.labels.right() - 3;
    painter.setRenderHint(QPainter::Antialiasing, false);
    drawBands(painter, places.bands, targets.bands, y, t);
    std::vector<QRectF> boxes;
    std::vector<const ToolTarget*> drawn;
    // Lines first, so that their labels keep the place beside them.
    for (const bool lines : {true, false})
        for (const auto& tool : targets.tools) {
            if (!isDrawn(tool) || isZebraLine(tool) != lines)
                continue;
            const double at = lines ? y(tool.set) : 0.5 * (y(tool.low) + y(tool.high));
            boxes.emplace_back(places.labels.left(), at - 8, places.labels.width() - kBracket - 8,
                               15);
            drawn.push_back(&tool);
        }
    spreadBoxes(boxes, places.labels);
    painter.setFont(font);
    for (std::size_t i = 0; i < drawn.size(); ++i) {
        const auto& tool = *drawn[i];
        const double from = boxes[i].right() + 2, beside = boxes[i].center().y();
        if (isZebraLine(tool)) {
            painter.setPen(QPen(colour, 1.4 * t.stroke, Qt::DashLine));
            painter.drawLine(QPointF(places.recording.left(), y(tool.set)),
                             QPointF(places.recording.right(), y(tool.set)));
            painter.setPen(QPen(colour, 1, Qt::DotLine));
            painter.drawLine(QPointF(from, beside), QPointF(places.recording.left(), y(tool.set)));
        } else {
            painter.setPen(QPen(colour, 2 * t.stroke));
            const double top = y(tool.high), bottom = y(tool.low);
            painter.drawLine(QPointF(edge, top), QPointF(edge, bottom));
            painter.drawLine(QPointF(edge - kBracket + 3, top), QPointF(edge, top));
            painter.drawLine(QPointF(edge - kBracket + 3, bottom), QPointF(edge, bottom));
            painter.setPen(QPen(colour, 1, Qt::DotLine));
            painter.drawLine(QPointF(from, beside),
                             QPointF(edge - kBracket + 3, 0.5 * (top + bottom)));
        }
        painter.setPen(colour);
        painter.drawText(boxes[i], Qt::AlignRight | Qt::AlignVCenter,
                         elided(nameOf(tool), font, boxes[i].width()));
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
