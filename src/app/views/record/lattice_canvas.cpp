#include "app/views/record/lattice_canvas.h"

#include "app/document/text.h"
#include "app/style/cost_marks.h"
#include "app/style/marks.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kRowHead = 156;
constexpr double kHeader = 26;
constexpr double kCellHeight = 52;
constexpr double kGap = 4;
constexpr double kLeastWidth = 76, kMostWidth = 168; // of a cell
constexpr double kMark = 12;

// One word for why a cell is closed; the sentence is in the detail below the picture.
QString closedWord(const ModeCell& cell) {
    const auto id = cell.reasons.front().id;
    if (id == "rate-not-in-container")
        return LatticeCanvas::tr("container");
    if (id == "rate-over-sensor")
        return LatticeCanvas::tr("sensor");
    if (id == "profile-not-in-mode")
        return LatticeCanvas::tr("profile");
    if (id == "no-card" || id == "no-card-fits")
        return LatticeCanvas::tr("card");
    if (id == "power")
        return LatticeCanvas::tr("power");
    if (id == "constraint")
        return LatticeCanvas::tr("rule");
    return LatticeCanvas::tr("no rate");
}

// Record times in a cell: minutes up to 99, then hours and minutes.
QString shortTime(Seconds time) {
    const double minutes = std::floor(time.value() / 60);
    if (minutes < 1)
        return toQt(printDuration(time));
    if (minutes < 100)
        return LatticeCanvas::tr("%1 min").arg(minutes);
    const double hours = std::floor(minutes / 60);
    const double rest = minutes - hours * 60;
    return rest > 0 ? LatticeCanvas::tr("%1 h %2").arg(hours).arg(rest)
                    : LatticeCanvas::tr("%1 h").arg(hours);
}

} // namespace

QString cellText(const ModeCell& cell) {
    QStringList parts;
    parts << LatticeCanvas::tr("%1 at %2").arg(toQt(cell.mode->name), toQt(print(cell.rate)));
    for (const auto& reason : cell.reasons)
        parts << toQt(reasonOf(reason, translator()));
    if (cell.available()) {
        parts << toQt(print(cell.bitRate))
              << LatticeCanvas::tr("%1 bits a pixel").arg(toQt(print(cell.bitsPerPixel)));
        if (cell.recordTime)
            parts << LatticeCanvas::tr("%1 on %2")
                         .arg(toQt(printDuration(*cell.recordTime)), toQt(cell.card.card->name));
        for (const auto& [kind, reason] : cell.costs)
            parts << toQt(reasonOf(reason, translator()));
    }
    return parts.join(QStringLiteral(", "));
}

LatticeCanvas::LatticeCanvas(const Style& style, QWidget* parent)
    : PickCanvas(style, "lattice", Order::Grid, Click::Moves,
                 {QT_TRANSLATE_NOOP("Help", "choose a way of recording"),
                  QT_TRANSLATE_NOOP("Help", "move")},
                 parent) {
    addPick({Qt::Key_Return}, QT_TRANSLATE_NOOP("Help", "record this way"),
            QT_TRANSLATE_NOOP("Help", "record this way"));
    connect(this, &PickCanvas::moved, this, &LatticeCanvas::holdCursor);
    setSpoken(QAccessible::Table, tr("Ways of recording"),
              tr("Arrows move, Return records this way, L changes the sensor area"));
}

void LatticeCanvas::show(const Lattice* lattice, const Camera* camera, const std::string& mode,
                         FrameRate rate, bool keepCursor) {
    // The old lattice may be gone already: only what holdCursor() noted is asked for.
    const std::string heldMode = keepCursor && !m_heldMode.empty() ? m_heldMode : mode;
    const FrameRate heldRate = keepCursor && !m_heldMode.empty() ? m_heldRate : rate;
    m_lattice = lattice;
    m_camera = camera;
    m_mode = mode;
    m_rate = rate;
    if (camera && !m_layer.empty() && !findArea(*camera, m_layer))
        m_layer.clear();
    arrange();
    updateGeometry();
    setCurrent(placeOf(heldMode, heldRate));
}

int LatticeCanvas::placeOf(const std::string& mode, FrameRate rate) const {
    int place = 0;
    for (int item = 0; item < itemCount(); ++item) {
        const auto* here = cell(item);
        if (!here || here->rate != rate)
            continue;
        const auto& all = m_lattice->rows[m_rows[static_cast<std::size_t>(item / columns())]]
                              .cells[m_columns[static_cast<std::size_t>(item % columns())]];
        if (std::any_of(all.begin(), all.end(), [&](const auto& c) { return c.mode->id == mode; }))
            place = item;
    }
    return place;
}

void LatticeCanvas::arrange() {
    m_rows.clear();
    m_columns.clear();
    if (!m_lattice)
        return;
    const auto open = [&](std::size_t row, std::size_t column) {
        const auto* shown = shownCell(m_lattice->rows[row], column, m_layer);
        return shown && (!m_onlyOpen || shown->available());
    };
    for (std::size_t row = 0; row < m_lattice->rows.size(); ++row) {
        bool any = false;
        for (std::size_t column = 0; column < m_lattice->rates.size(); ++column)
            any = any || open(row, column);
        if (any)
            m_rows.push_back(row);
    }
    for (std::size_t column = 0; column < m_lattice->rates.size(); ++column)
        if (std::any_of(m_rows.begin(), m_rows.end(),
                        [&](std::size_t row) { return open(row, column); }))
            m_columns.push_back(column);
}

int LatticeCanvas::itemCount() const {
    return static_cast<int>(m_rows.size() * m_columns.size());
}

const ModeCell* LatticeCanvas::cell(int item) const {
    if (item < 0 || item >= itemCount())
        return nullptr;
    return shownCell(m_lattice->rows[m_rows[static_cast<std::size_t>(item / columns())]],
                     m_columns[static_cast<std::size_t>(item % columns())], m_layer);
}

void LatticeCanvas::setLayer(const std::string& area) {
    const int row = current() / std::max(1, columns()), column = current() % std::max(1, columns());
    m_layer = area;
    arrange();
    updateGeometry();
    const int lastRow = static_cast<int>(m_rows.size()) - 1;
    setCurrent(std::clamp(row, 0, std::max(0, lastRow)) * columns() +
               std::clamp(column, 0, std::max(0, columns() - 1)));
}

void LatticeCanvas::nextLayer() {
    if (!m_camera)
        return;
    const auto& areas = m_camera->areas;
    for (std::size_t i = 0; i < areas.size(); ++i)
        if (areas[i].id == m_layer)
            return setLayer(i + 1 < areas.size() ? areas[i + 1].id : std::string());
    setLayer(areas.empty() ? std::string() : areas.front().id);
}

void LatticeCanvas::setOnlyOpen(bool on) {
    m_onlyOpen = on;
    setLayer(m_layer);
}

QRectF LatticeCanvas::itemBox(int item) const {
    const int count = std::max(1, columns());
    const double width = std::clamp((this->width() - kRowHead) / count, kLeastWidth, kMostWidth);
    const int row = item / count;
    return {kRowHead + (item % count) * width, kHeader + row * (kCellHeight + kGap), width - kGap,
            kCellHeight};
}

QRectF LatticeCanvas::boxOf(const std::string& mode, FrameRate rate) const {
    for (int item = 0; item < itemCount(); ++item)
        if (const auto* here = cell(item); here && here->mode->id == mode && here->rate == rate)
            return itemBox(item);
    return {};
}

QString LatticeCanvas::itemWords(int item) const {
    const auto* here = cell(item);
    return here ? cellText(*here) : emptyWords();
}

QString LatticeCanvas::emptyWords() const {
    return tr("nothing can be used in this layer");
}

QSize LatticeCanvas::sizeHint() const {
    return {700,
            static_cast<int>(kHeader + (kCellHeight + kGap) * static_cast<double>(m_rows.size()))};
}

QSize LatticeCanvas::minimumSizeHint() const {
    return {static_cast<int>(kRowHead + kLeastWidth * static_cast<double>(m_columns.size())),
            sizeHint().height()};
}

void LatticeCanvas::holdCursor() {
    const auto* here = cursor();
    m_heldMode = here ? here->mode->id : std::string();
    m_heldRate = here ? here->rate : FrameRate{};
}

void LatticeCanvas::paintHeader(QPainter& painter) const {
    const auto& t = style().colours();
    for (int column = 0; column < static_cast<int>(m_columns.size()); ++column) {
        const auto rate = m_lattice->rates[m_columns[static_cast<std::size_t>(column)]];
        const QRectF area = itemBox(column);
        painter.setFont(Style::font(TextRole::Title));
        painter.setPen(rate == m_rate ? t.marigold : t.ink);
        painter.drawText(QRectF(area.left(), 0, area.width(), kHeader - 4), Qt::AlignCenter,
                         toQt(print(rate)));
    }
}

void LatticeCanvas::paintRowHead(QPainter& painter, int row) const {
    const auto& t = style().colours();
    const auto& shown = m_lattice->rows[m_rows[static_cast<std::size_t>(row)]];
    const QRectF area(0, itemBox(row * columns()).top(), kRowHead - 8, kCellHeight);
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(t.ink);
    painter.drawText(area.adjusted(0, 6, 0, 0), Qt::AlignLeft | Qt::AlignTop,
                     elided(toQt(shown.name), Style::font(TextRole::Body), area.width()));
    QString size = toQt(print(shown.frame)).remove(QLatin1Char(' '));
    painter.setFont(Style::font(TextRole::Secondary));
    // Whole or not at all: half of a name is none.
    for (const auto& more : shown.codec ? std::vector<std::string>{wordOf(shown.codec->standard),
                                                                   shown.codec->container}
                                        : std::vector<std::string>()) {
        const QString with = size + QStringLiteral(" \u00b7 ") + toQt(more);
        if (!more.empty() && painter.fontMetrics().horizontalAdvance(with) <= area.width())
            size = with;
    }
    painter.setPen(t.muted);
    painter.drawText(area.adjusted(0, 26, 0, 0), Qt::AlignLeft | Qt::AlignTop,
                     elided(size, Style::font(TextRole::Secondary), area.width()));
}

void LatticeCanvas::paintOpen(QPainter& painter, const QRectF& area, const ModeCell& shown,
                              bool now) const {
    const auto& t = style().colours();
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(now ? t.marigold : t.ink);
    const QRectF text = area.adjusted(7, 3, -4, -3);
    painter.drawText(text, Qt::AlignLeft | Qt::AlignTop,
                     toQt(fixedText(shown.bitRate.value() / 1e6, 0)));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(text, Qt::AlignRight | Qt::AlignTop, toQt(print(shown.bitsPerPixel)));
    if (shown.recordTime)
        painter.drawText(text.adjusted(0, 17, 0, 0), Qt::AlignLeft | Qt::AlignTop,
                         shortTime(*shown.recordTime));
    QRectF mark(area.left() + 6, area.bottom() - kMark - 3, kMark, kMark);
    for (const auto& [kind, reason] : shown.costs) {
        if (mark.right() > area.right() - 2)
            break;
        drawCost(painter, mark, kind, t);
        mark.translate(kMark + 2, 0);
    }
}

void LatticeCanvas::paintCell(QPainter& painter, int item) const {
    const auto* shown = cell(item);
    if (!shown)
        return;
    const auto& t = style().colours();
    const QRectF area = itemBox(item);
    const bool now = shown->mode->id == m_mode && shown->rate == m_rate;
    const bool here = item == current();
    drawBlock(painter, area, now ? t.raised : t.deep, now ? t.marigold : t.line, now ? 1.6 : 0);
    if (shown->available()) {
        paintOpen(painter, area, *shown, now);
    } else {
        drawHatch(painter, area, now ? t.coral : t.line, 8);
        painter.setFont(Style::font(TextRole::Secondary));
        const QString word = closedWord(*shown);
        const QRectF plate = QFontMetricsF(painter.font())
                                 .boundingRect(word)
                                 .translated(0, 0)
                                 .adjusted(-4, -1, 4, 1);
        QRectF centred(0, 0, plate.width(), plate.height());
        centred.moveCenter(area.center());
        painter.fillRect(centred, t.deep);
        painter.setPen(now ? t.coral : t.muted);
        painter.drawText(area, Qt::AlignCenter, word);
    }
    if (here)
        drawBlock(painter, area.adjusted(-2, -2, 2, 2), Qt::transparent,
                  hasFocus() ? t.marigold : t.muted, hasFocus() ? 2.4 : 1.4);
}

void LatticeCanvas::paintEvent(QPaintEvent*) {
    if (!m_lattice)
        return;
    QPainter painter(this);
    paintHeader(painter);
    for (int row = 0; row < static_cast<int>(m_rows.size()); ++row)
        paintRowHead(painter, row);
    for (int item = 0; item < itemCount(); ++item)
        paintCell(painter, item);
}

} // namespace bslate::app
