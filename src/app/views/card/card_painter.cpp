#include "app/views/card/card_painter.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/style/style.h"
#include "app/widgets/dial_in_rows.h"
#include "io/system/files.h"

#include <QBuffer>
#include <QImage>
#include <QPageSize>
#include <QPdfWriter>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr double kMargin = 30;
constexpr double kRow = 19;

// The card laid out on a page of this width; every call returns the y below what it drew.
class CardLayout {
public:
    CardLayout(QPainter& painter, const Card& card, double width)
        : m_painter(painter)
        , m_card(card)
        , m_width(width - 2 * kMargin) {}

    double draw() {
        double y = drawHead();
        y = drawDialInRows(m_painter, QRectF(kMargin, y, m_width, 300), m_card.dials, kRow, m_t);
        if (!m_card.dials.after.empty()) {
            text(QRectF(kMargin, y + 4, m_width, 16), Style::font(TextRole::Secondary),
                 m_t.marigold, QObject::tr("bar: changed since %1").arg(toQt(m_card.dials.after)),
                 Qt::AlignRight | Qt::AlignVCenter);
            y += 14;
        }
        y += 10;
        y = list(y, QObject::tr("Where the scene lands (stops viewed, level)"), m_card.patches,
                 m_t.sky);
        for (const auto& more : m_card.lists)
            y = list(y, toQt(more.heading), more.lines, m_t.sky);
        y = list(y, QObject::tr("Accepted on purpose"), m_card.accepted, m_t.coral);
        y = list(y, QObject::tr("Still open"), m_card.open, m_t.coral);
        y = list(y, QObject::tr("Tell grading"), m_card.grading, m_t.sea);
        return list(y, QObject::tr("Take care"), m_card.safety, m_t.marigold);
    }

private:
    void text(const QRectF& box, const QFont& font, const QColor& colour, const QString& words,
              int flags) {
        m_painter.setFont(font);
        m_painter.setPen(colour);
        m_painter.drawText(box, flags, words);
    }

    double drawHead() {
        const double full = m_width + 2 * kMargin;
        m_painter.fillRect(QRectF(0, 0, full, 10), m_t.ink);
        for (double x = 20; x + 26 < full; x += 60) // the slate's sticks
            m_painter.fillRect(QRectF(x, 0, 26, 10), m_t.marigold);
        QFont heading = Style::font(TextRole::Head);
        heading.setPixelSize(19);
        text(QRectF(kMargin, 22, m_width, 26), heading, m_t.ink,
             elided(toQt(m_card.heading), heading, m_width), Qt::AlignLeft | Qt::AlignVCenter);
        const auto small = Style::font(TextRole::Secondary);
        text(QRectF(kMargin, 48, m_width, 18), small, m_t.muted,
             elided(toQt(m_card.place), small, m_width), Qt::AlignLeft | Qt::AlignVCenter);
        return 72;
    }

    double list(double y, const QString& heading, const std::vector<std::string>& lines,
                const QColor& colour) {
        if (lines.empty())
            return y;
        QFont head = Style::font(TextRole::Title);
        head.setPixelSize(11);
        QFont body = Style::font(TextRole::Body);
        body.setPixelSize(10);
        text(QRectF(kMargin, y, m_width, 16), head, colour, heading,
             Qt::AlignLeft | Qt::AlignVCenter);
        y += 17;
        const auto columns = columnsOf(lines, body);
        for (const auto& line : lines)
            y = row(y, cellsOf(line), columns, body);
        return y + 6;
    }

    // Where each column begins and the last one ends: as wide as their widest cells, and where that
    // is too much the widest ones give, and wrap.
    [[nodiscard]] std::vector<double> columnsOf(const std::vector<std::string>& lines,
                                                const QFont& font) const {
        const QFontMetricsF metrics(font);
        std::vector<double> widths;
        for (const auto& line : lines) {
            const auto cells = cellsOf(line);
            widths.resize(std::max(widths.size(), cells.size()));
            for (std::size_t i = 0; i < cells.size(); ++i)
                widths[i] = std::max(widths[i], metrics.horizontalAdvance(toQt(cells[i])) + 14);
        }
        const double room = m_width - 6;
        const auto sum = [&](double most) {
            double all = 0;
            for (const double width : widths)
                all += std::min(width, most);
            return all;
        };
        double most = room;
        while (widths.size() > 1 && sum(most) > room && most > 20)
            most -= 4;
        std::vector<double> columns = {kMargin + 6};
        for (const double width : widths)
            columns.push_back(columns.back() + std::min(width, most));
        columns.back() = kMargin + m_width;
        return columns;
    }

    double row(double y, const std::vector<std::string>& cells, const std::vector<double>& columns,
               const QFont& font) {
        constexpr int flags = int(Qt::AlignLeft) | int(Qt::AlignTop) | int(Qt::TextWordWrap);
        double bottom = y;
        m_painter.setFont(font);
        for (std::size_t i = 0; i < cells.size(); ++i) {
            const double left = columns[i];
            // An earlier cell that stands alone on its line may go on to the end.
            const bool last = i + 1 == cells.size();
            const double right = last ? kMargin + m_width : columns[i + 1] - 6;
            const QRectF room(left, y, right - left, 4000);
            const auto box = m_painter.boundingRect(room, flags, toQt(cells[i]));
            text(box, font, m_t.ink, toQt(cells[i]), flags);
            bottom = std::max(bottom, box.bottom());
        }
        return bottom + 2;
    }

    QPainter& m_painter;
    const Card& m_card;
    double m_width;
    const Tokens& m_t = tokens(Theme::Paper);
};

// How much larger than kCardSize the layout must be so that everything fits: nothing is dropped
// from a card, a full one is printed smaller.
double layoutScale(const Card& card) {
    QImage scratch(8, 8, QImage::Format_ARGB32_Premultiplied);
    QPainter painter(&scratch);
    for (double scale = 1.0; scale < 4.0; scale *= 1.08)
        if (CardLayout(painter, card, kCardSize.width() * scale).draw() <=
            kCardSize.height() * scale - kMargin / 2)
            return scale;
    return 4.0;
}

} // namespace

void paintCard(QPainter& painter, const Card& card) {
    const double scale = layoutScale(card);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(QRectF(QPointF(0, 0), kCardSize), tokens(Theme::Paper).raised);
    painter.scale(1 / scale, 1 / scale);
    CardLayout(painter, card, kCardSize.width() * scale).draw();
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
