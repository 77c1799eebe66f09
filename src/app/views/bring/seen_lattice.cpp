#include "app/views/bring/seen_lattice.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "core/clip/clip_print.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "core/quantity/print_gear.h"

#include <QPainter>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr double kNames = 132, kHead = 22, kRow = 48, kWidest = 92;

std::optional<DataRate> bitRateAt(const ModeLine& mode, FrameRate rate) {
    for (const auto& option : mode.rates)
        if (option.rate == rate)
            return option.bitRate;
    return std::nullopt;
}

QString formatOf(const ModeLine& mode) {
    const QString group = mode.gop == Gop::Raw     ? SeenLattice::tr("raw")
                          : mode.gop == Gop::Intra ? SeenLattice::tr("intra")
                                                   : SeenLattice::tr("long");
    const auto standard = toQt(wordOf(mode.standard));
    return QStringLiteral("%1%2 %3").arg(
        standard.isEmpty() ? standard : standard + QLatin1Char(' '), group,
        toQt(printFormat(mode.depth, mode.gop == Gop::Raw ? std::optional<Chroma>()
                                                          : std::optional<Chroma>(mode.chroma))));
}

// The row and the rate a cell is at once it was edited.
std::pair<ModeLine, FrameRate> placeOf(const LatticeEdit& edit) {
    if (const auto* typed = std::get_if<TypedCell>(&edit))
        return {typed->mode, typed->rate};
    if (const auto* added = std::get_if<AddedRow>(&edit))
        return {added->mode, added->mode.rates.front().rate};
    const auto& marked = std::get<MarkedCell>(edit);
    ModeLine mode = marked.mode;
    mode.crop = marked.marks.crop;
    mode.sound = marked.marks.sound;
    mode.autofocus = marked.marks.autofocus;
    mode.clipLimit = marked.marks.clipLimit;
    return {mode, marked.rate};
}

// What recording so costs, under the format.
QString costsOf(const ModeLine& mode) {
    QStringList costs;
    if (mode.crop.value() > 1.005)
        costs << SeenLattice::tr("%1 crop").arg(toQt(print(mode.crop)));
    if (!mode.sound)
        costs << SeenLattice::tr("no sound");
    if (!mode.autofocus)
        costs << SeenLattice::tr("manual focus");
    if (mode.clipLimit)
        costs << SeenLattice::tr("to %1").arg(toQt(printDuration(*mode.clipLimit)));
    return costs.join(QStringLiteral(" \u00b7 "));
}

} // namespace

SeenLattice::SeenLattice(const Style& style, QWidget* parent)
    : PickCanvas(style, "seen-lattice", Order::Grid, Click::Moves,
                 {QT_TRANSLATE_NOOP("Help", "choose a cell")}, parent) {
    addPick({Qt::Key_Return}, QT_TRANSLATE_NOOP("Help", "type the bit rate of the cell"));
    setSpoken(QAccessible::Table, tr("Recording modes found"),
              tr("Arrow keys choose a cell, Return types its bit rate"));
}

void SeenLattice::show(OwnLattice lattice) {
    auto wanted = rate();
    auto row = static_cast<std::size_t>(current() / std::max(1, columns()));
    auto column = static_cast<std::size_t>(current() % std::max(1, columns()));
    m_own = std::move(lattice);
    if (m_follow) {
        const auto [mode, at] = placeOf(*m_follow);
        wanted = at;
        for (std::size_t r = 0; r < m_own.modes.size(); ++r)
            if (areOfOneFormat(m_own.modes[r].line, mode) &&
                marksOf(m_own.modes[r].line) == marksOf(mode))
                row = r;
    }
    for (std::size_t c = 0; c < m_own.rates.size(); ++c)
        if (wanted == m_own.rates[c])
            column = c;
    m_follow.reset();
    row = std::min(row, m_own.modes.empty() ? 0 : m_own.modes.size() - 1);
    column = std::min(column, m_own.rates.empty() ? 0 : m_own.rates.size() - 1);
    setMinimumHeight(
        static_cast<int>(kHead + kRow * std::max<double>(3, double(m_own.modes.size()))));
    setCurrent(static_cast<int>(row * m_own.rates.size() + column));
}

const SeenMode* SeenLattice::mode() const {
    return itemCount() == 0 ? nullptr
                            : &m_own.modes[static_cast<std::size_t>(current() / columns())];
}

std::optional<FrameRate> SeenLattice::rate() const {
    return itemCount() == 0 ? std::optional<FrameRate>()
                            : m_own.rates[static_cast<std::size_t>(current() % columns())];
}

int SeenLattice::itemCount() const {
    return static_cast<int>(m_own.modes.size() * m_own.rates.size());
}

QString SeenLattice::itemWords(int item) const {
    const auto& line = m_own.modes[static_cast<std::size_t>(item / columns())].line;
    const auto rate = m_own.rates[static_cast<std::size_t>(item % columns())];
    const auto bits = bitRateAt(line, rate);
    return tr("%1 %2 at %3: %4")
        .arg(toQt(print(line.frame)), formatOf(line), toQt(print(rate)),
             bits ? toQt(print(*bits)) : tr("not recorded"));
}

QRectF SeenLattice::itemBox(int item) const {
    const int count = std::max(1, columns());
    const double wide = std::min(kWidest, (width() - kNames) / count);
    const int row = item / count;
    return {kNames + (item % count) * wide + 1, kHead + row * kRow + 1, wide - 2, kRow - 2};
}

QString SeenLattice::groundText(const CellGround& ground) const {
    if (ground.typed)
        return tr("typed");
    if (ground.clips > 0)
        return ground.clips == 1 ? tr("1 clip") : tr("%1 clips").arg(ground.clips);
    return ground.table    ? tr("printed")
           : ground.camera ? tr("as it was")
           : ground.kind   ? tr("usual")
                           : QString();
}

void SeenLattice::paintCell(QPainter& painter, int item) const {
    const auto& t = style().colours();
    const auto r = static_cast<std::size_t>(item / columns()),
               c = static_cast<std::size_t>(item % columns());
    const bool chosen = item == current();
    const auto box = itemBox(item);
    drawBlock(painter, box, t.deep, chosen ? (hasFocus() ? t.marigold : t.muted) : QColor(),
              chosen ? 2 : 0);
    const auto bits = bitRateAt(m_own.modes[r].line, m_own.rates[c]);
    if (!bits) {
        painter.setPen(t.line);
        painter.drawText(box, Qt::AlignCenter, QStringLiteral("\u2013"));
        return;
    }
    const auto& ground = m_own.grounds[r][c];
    painter.setPen(ground.typed ? t.marigold : t.ink);
    painter.setFont(Style::font(TextRole::Body));
    painter.drawText(
        box.adjusted(2, 3, -2, -19), Qt::AlignCenter,
        elided(toQt(trimmed(bits->value() / 1e6, 1)), painter.font(), box.width() - 4));
    painter.setPen(t.muted);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.drawText(box.adjusted(2, 20, -2, -2), Qt::AlignCenter,
                     elided(groundText(ground), painter.font(), box.width() - 4));
}

void SeenLattice::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = style().colours();
    if (m_own.modes.empty()) {
        painter.setPen(t.muted);
        painter.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                         tr("The modes that clips and lines make appear here."));
        return;
    }
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, 0, kNames - 8, kHead), Qt::AlignVCenter, tr("Mb/s"));
    for (std::size_t c = 0; c < m_own.rates.size(); ++c) {
        auto head = itemBox(static_cast<int>(c));
        head.setRect(head.left(), 0, head.width(), kHead);
        painter.drawText(head, Qt::AlignCenter, toQt(print(m_own.rates[c])));
    }
    for (std::size_t r = 0; r < m_own.modes.size(); ++r)
        paintRow(painter, r);
    for (int item = 0; item < itemCount(); ++item)
        paintCell(painter, item);
}

void SeenLattice::paintRow(QPainter& painter, std::size_t row) const {
    const auto& t = style().colours();
    const auto& line = m_own.modes[row].line;
    const double top = kHead + double(row) * kRow;
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(t.ink);
    const QString costs = costsOf(line);
    const double lift = costs.isEmpty() ? 0 : 6;
    painter.drawText(QRectF(0, top + 6 - lift, kNames - 8, 18), Qt::AlignVCenter,
                     elided(toQt(print(line.frame)), painter.font(), kNames - 8));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, top + 24 - lift * 1.4, kNames - 8, 18), Qt::AlignVCenter,
                     elided(formatOf(line), painter.font(), kNames - 8));
    painter.setPen(t.marigold);
    painter.drawText(QRectF(0, top + 31, kNames - 8, 14), Qt::AlignVCenter,
                     elided(costs, painter.font(), kNames - 8));
}

} // namespace bslate::app
