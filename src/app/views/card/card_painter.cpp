#include "app/views/card/card_painter.h"

#include "app/document/text.h"
#include "app/style/style.h"
#include "app/widgets/dial_in_rows.h"
#include "io/files.h"

#include <QBuffer>
#include <QPageSize>
#include <QPdfWriter>

namespace bslate::app {
namespace {

constexpr double kMargin = 30;
constexpr double kRow = 20;

// A heading with wrapped lines; returns the y below. Lines that do not fit are counted instead.
double drawList(QPainter& painter, double y, const QString& heading,
                const std::vector<std::string>& lines, const QColor& colour, bool mono) {
    if (lines.empty() || y > kCardSize.height() - 2 * kMargin)
        return y;
    const auto& t = tokens(Theme::Paper);
    const double width = kCardSize.width() - 2 * kMargin;
    QFont head = Style::font(TextRole::Title);
    head.setPixelSize(11);
    QFont body = Style::font(mono ? TextRole::Value : TextRole::Body);
    body.setPixelSize(10);
    painter.setFont(head);
    painter.setPen(colour);
    painter.drawText(QRectF(kMargin, y, width, 16), Qt::AlignLeft | Qt::AlignVCenter, heading);
    y += 17;
    painter.setFont(body);
    painter.setPen(t.ink);
    for (std::size_t i = 0; i < lines.size(); ++i) {
        const QRectF room(kMargin + 6, y, width - 6, kCardSize.height() - kMargin - y);
        const auto text = toQt(lines[i]);
        const int flags = Qt::AlignLeft | Qt::AlignTop | (mono ? 0 : int(Qt::TextWordWrap));
        const auto box = painter.boundingRect(room, flags, text);
        if (box.bottom() > kCardSize.height() - kMargin - 12) {
            painter.drawText(room, Qt::AlignLeft | Qt::AlignTop,
                             QObject::tr("and %1 more").arg(lines.size() - i));
            return kCardSize.height();
        }
        painter.drawText(box, flags, text);
        y = box.bottom() + 2;
    }
    return y + 6;
}

} // namespace

void paintCard(QPainter& painter, const Card& card) {
    const auto& t = tokens(Theme::Paper);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(QRectF(QPointF(0, 0), kCardSize), t.raised);
    painter.fillRect(QRectF(0, 0, kCardSize.width(), 10), t.ink);
    for (int i = 0; i < 7; ++i) // the slate's sticks
        painter.fillRect(QRectF(20 + i * 60, 0, 26, 10), t.marigold);
    const double width = kCardSize.width() - 2 * kMargin;
    QFont heading = Style::font(TextRole::Head);
    heading.setPixelSize(19);
    painter.setFont(heading);
    painter.setPen(t.ink);
    painter.drawText(QRectF(kMargin, 22, width, 26), Qt::AlignLeft | Qt::AlignVCenter,
                     toQt(card.heading));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(kMargin, 48, width, 18), Qt::AlignLeft | Qt::AlignVCenter,
                     toQt(card.place));
    double y = drawDialInRows(painter, QRectF(kMargin, 74, width, 300), card.dials, kRow, t) + 4;
    if (!card.dials.after.empty()) {
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.marigold);
        painter.drawText(QRectF(kMargin, y, width, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QObject::tr("bar: changed since %1").arg(toQt(card.dials.after)));
    }
    y += 12;
    y = drawList(painter, y, QObject::tr("Where the scene lands (stops viewed, level)"),
                 card.patches, t.sky, true);
    y = drawList(painter, y, QObject::tr("Accepted on purpose"), card.accepted, t.coral, false);
    y = drawList(painter, y, QObject::tr("Still open"), card.open, t.coral, false);
    y = drawList(painter, y, QObject::tr("Tell grading"), card.grading, t.sea, false);
    drawList(painter, y, QObject::tr("Take care"), card.safety, t.marigold, false);
    painter.restore();
}

Outcome writeCardPdf(const Card& card, const QString& path) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    {
        QPdfWriter writer(&buffer);
        writer.setPageSize(QPageSize(QPageSize::A5));
        writer.setPageMargins(QMarginsF(0, 0, 0, 0));
        writer.setResolution(288);
        writer.setTitle(toQt(card.heading));
        QPainter painter(&writer);
        const double scale =
            std::min(writer.width() / kCardSize.width(), writer.height() / kCardSize.height());
        painter.scale(scale, scale);
        paintCard(painter, card);
    }
    return io::writeFileAtomically(fromQt(path),
                                   {bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

} // namespace bslate::app
