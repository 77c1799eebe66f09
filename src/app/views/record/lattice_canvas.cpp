#include "app/views/record/lattice_canvas.h"

#include "app/document/text.h"
#include "app/style/cost_marks.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

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
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("lattice"));
    setFocusPolicy(Qt::StrongFocus);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void LatticeCanvas::show(const Lattice* lattice, const Camera* camera, const std::string& mode,
                         FrameRate rate, bool keepCursor) {
    // The old lattice may be gone already: only what tellCursor() noted is asked for.
    const std::string heldMode = keepCursor && !m_heldMode.empty() ? m_heldMode : mode;
    const FrameRate heldRate = keepCursor && !m_heldMode.empty() ? m_heldRate : rate;
    m_lattice = lattice;
    m_camera = camera;
    m_mode = mode;
    m_rate = rate;
    if (camera && !m_layer.empty() && !findArea(*camera, m_layer))
        m_layer.clear();
    arrange();
    m_row = m_column = 0;
    for (int row = 0; row < static_cast<int>(m_rows.size()); ++row)
        for (int column = 0; column < static_cast<int>(m_columns.size()); ++column) {
            const auto* here = cell(row, column);
            if (!here || here->rate != heldRate)
                continue;
            const auto& all = m_lattice->rows[m_rows[static_cast<std::size_t>(row)]]
                                  .cells[m_columns[static_cast<std::size_t>(column)]];
            if (std::any_of(all.begin(), all.end(),
                            [&](const auto& c) { return c.mode->id == heldMode; })) {
                m_row = row;
                m_column = column;
            }
        }
    updateGeometry();
    tellCursor();
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

const ModeCell* LatticeCanvas::cell(int row, int column) const {
    if (row < 0 || column < 0 || row >= static_cast<int>(m_rows.size()) ||
        column >= static_cast<int>(m_columns.size()))
        return nullptr;
    return shownCell(m_lattice->rows[m_rows[static_cast<std::size_t>(row)]],
                     m_columns[static_cast<std::size_t>(column)], m_layer);
}

const ModeCell* LatticeCanvas::current() const {
    return cell(m_row, m_column);
}

void LatticeCanvas::setLayer(const std::string& area) {
    m_layer = area;
    arrange();
    m_row = std::clamp(m_row, 0, std::max(0, static_cast<int>(m_rows.size()) - 1));
    m_column = std::clamp(m_column, 0, std::max(0, static_cast<int>(m_columns.size()) - 1));
    updateGeometry();
    tellCursor();
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

QRectF LatticeCanvas::box(int row, int column) const {
    const double count = std::max<double>(1, static_cast<double>(m_columns.size()));
    const double width = std::clamp((this->width() - kRowHead) / count, kLeastWidth, kMostWidth);
    return {kRowHead + column * width, kHeader + row * (kCellHeight + kGap), width - kGap,
            kCellHeight};
}

QRectF LatticeCanvas::boxOf(const std::string& mode, FrameRate rate) const {
    for (int row = 0; row < static_cast<int>(m_rows.size()); ++row)
        for (int column = 0; column < static_cast<int>(m_columns.size()); ++column)
            if (const auto* here = cell(row, column);
                here && here->mode->id == mode && here->rate == rate)
                return box(row, column);
    return {};
}

QSize LatticeCanvas::sizeHint() const {
    return {700,
            static_cast<int>(kHeader + (kCellHeight + kGap) * static_cast<double>(m_rows.size()))};
}

QSize LatticeCanvas::minimumSizeHint() const {
    return {static_cast<int>(kRowHead + kLeastWidth * static_cast<double>(m_columns.size())),
            sizeHint().height()};
}

void LatticeCanvas::moveTo(int row, int column) {
    const int lastRow = static_cast<int>(m_rows.size()) - 1;
    const int lastColumn = static_cast<int>(m_columns.size()) - 1;
    if (lastRow < 0 || lastColumn < 0)
        return;
    m_row = std::clamp(row, 0, lastRow);
    m_column = std::clamp(column, 0, lastColumn);
    tellCursor();
}

void LatticeCanvas::tellCursor() {
    const auto* here = current();
    m_heldMode = here ? here->mode->id : std::string();
    m_heldRate = here ? here->rate : FrameRate{};
    describe(*this, QAccessible::Table, tr("Ways of recording"),
             here ? cellText(*here) : tr("nothing can be used in this layer"),
             tr("Arrows move, Return records this way, L changes the sensor area"));
    update();
    emit moved();
    if (here)
        emit cursorAt(box(m_row, m_column).toAlignedRect().adjusted(0, -30, 0, 8));
}

void LatticeCanvas::keyPressEvent(QKeyEvent* event) {
    if (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier))
        return QWidget::keyPressEvent(event);
    switch (event->key()) {
    case Qt::Key_Left:
        return moveTo(m_row, m_column - 1);
    case Qt::Key_Right:
        return moveTo(m_row, m_column + 1);
    case Qt::Key_Up:
        return moveTo(m_row - 1, m_column);
    case Qt::Key_Down:
        return moveTo(m_row + 1, m_column);
    case Qt::Key_Home:
        return moveTo(m_row, 0);
    case Qt::Key_End:
        return moveTo(m_row, static_cast<int>(m_columns.size()) - 1);
    case Qt::Key_PageUp:
        return moveTo(0, m_column);
    case Qt::Key_PageDown:
        return moveTo(static_cast<int>(m_rows.size()) - 1, m_column);
    case Qt::Key_Return:
    case Qt::Key_Enter:
        emit chosen();
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

QPoint LatticeCanvas::cellUnder(QPointF point) const {
    for (int row = 0; row < static_cast<int>(m_rows.size()); ++row)
        for (int column = 0; column < static_cast<int>(m_columns.size()); ++column)
            if (box(row, column).contains(point))
                return {column, row};
    return {-1, -1};
}

void LatticeCanvas::mousePressEvent(QMouseEvent* event) {
    const auto at = cellUnder(event->position());
    if (at.x() >= 0)
        moveTo(at.y(), at.x());
}

void LatticeCanvas::mouseDoubleClickEvent(QMouseEvent* event) {
    if (cellUnder(event->position()).x() >= 0)
        emit chosen();
}

bool LatticeCanvas::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(event);
        const auto at = cellUnder(help->pos());
        const auto* here = cell(at.y(), at.x());
        if (here)
            QToolTip::showText(help->globalPos(), cellText(*here), this);
        else
            QToolTip::hideText();
        return true;
    }
    return QWidget::event(event);
}

void LatticeCanvas::paintHeader(QPainter& painter) const {
    const auto& t = m_style.colours();
    for (int column = 0; column < static_cast<int>(m_columns.size()); ++column) {
        const auto rate = m_lattice->rates[m_columns[static_cast<std::size_t>(column)]];
        const QRectF area = box(0, column);
        painter.setFont(Style::font(TextRole::Title));
        painter.setPen(rate == m_rate ? t.marigold : t.ink);
        painter.drawText(QRectF(area.left(), 0, area.width(), kHeader - 4), Qt::AlignCenter,
                         toQt(print(rate)));
    }
}

void LatticeCanvas::paintRowHead(QPainter& painter, int row) const {
    const auto& t = m_style.colours();
    const auto& shown = m_lattice->rows[m_rows[static_cast<std::size_t>(row)]];
    const QRectF area(0, box(row, 0).top(), kRowHead - 8, kCellHeight);
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
    const auto& t = m_style.colours();
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

void LatticeCanvas::paintCell(QPainter& painter, int row, int column) const {
    const auto* shown = cell(row, column);
    if (!shown)
        return;
    const auto& t = m_style.colours();
    const QRectF area = box(row, column);
    const bool now = shown->mode->id == m_mode && shown->rate == m_rate;
    const bool here = row == m_row && column == m_column;
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
    for (int row = 0; row < static_cast<int>(m_rows.size()); ++row) {
        paintRowHead(painter, row);
        for (int column = 0; column < static_cast<int>(m_columns.size()); ++column)
            paintCell(painter, row, column);
    }
}

} // namespace bslate::app
