#include "app/views/profiles/curve_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kLeft = 50, kRight = 10, kTop = 22, kFoot = 22, kGap = 26;
constexpr double kLow = -9, kHigh = 8;     // stops
constexpr double kLeast = -8, kMost = 112; // percent

double yOf(const QRectF& area, Level level) {
    return area.bottom() - (level.value() - kLeast) / (kMost - kLeast) * area.height();
}

} // namespace

CurvePicture::CurvePicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("curves"));
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void CurvePicture::show(std::optional<Shown> first, std::optional<Shown> second) {
    m_first = std::move(first);
    m_second = std::move(second);
    setCursorAt(m_cursor);
}

void CurvePicture::setCursorAt(std::optional<Stops> stops) {
    m_cursor = stops;
    describe(*this, QAccessible::Graphic, tr("Recording curves"),
             readingAt(m_cursor.value_or(Stops(0))),
             tr("Left and right move the cursor a third of a stop"));
    update();
}

StopsAxis CurvePicture::axis() const {
    return {kLeft, width() - kRight, kLow, kHigh};
}

QRectF CurvePicture::levels() const {
    const double room = height() - kTop - kFoot - kGap;
    return {kLeft, kTop, width() - kLeft - kRight, room * 0.72};
}

QRectF CurvePicture::codes() const {
    const auto above = levels();
    return {above.left(), above.bottom() + kGap, above.width(),
            height() - kFoot - above.bottom() - kGap};
}

double CurvePicture::mostCodes() const {
    double most = 20;
    for (const auto* shown : {&m_first, &m_second})
        if (*shown)
            for (double stop = kLow; stop <= kHigh; stop += 0.5)
                most = std::max(most, codesInStop((*shown)->curve, Stops(stop), (*shown)->depth));
    return most * 1.12;
}

QString CurvePicture::readingAt(Stops stops) const {
    QStringList parts;
    for (const auto* shown : {&m_first, &m_second})
        if (*shown) {
            const auto& s = **shown;
            parts << tr("%1: %2, code %3, %4 codes in the stop")
                         .arg(s.name, toQt(print(levelAt(s.curve, stops, s.depth))))
                         .arg(codeAt(s.curve, stops, s.depth))
                         .arg(codesInStop(s.curve, stops, s.depth), 0, 'f', 1);
        }
    return parts.isEmpty() ? tr("no profile")
                           : QStringLiteral("%1   %2").arg(toQt(print(stops)),
                                                           parts.join(QStringLiteral("   ")));
}

void CurvePicture::paintGrid(QPainter& painter) const {
    const auto& t = m_style.colours();
    const auto scale = axis();
    const auto above = levels(), below = codes();
    painter.fillRect(above, t.deep);
    painter.fillRect(below, t.deep);
    painter.setFont(Style::font(TextRole::Secondary));
    for (int stop = static_cast<int>(kLow); stop <= kHigh; ++stop) {
        const double x = scale.x(Stops(stop));
        painter.setPen(QPen(stop == 0 ? t.sky : t.line, 1));
        painter.drawLine(QPointF(x, above.top()), QPointF(x, above.bottom()));
        painter.drawLine(QPointF(x, below.top()), QPointF(x, below.bottom()));
        painter.setPen(stop == 0 ? t.sky : t.muted);
        painter.drawText(QRectF(x - 20, above.bottom() + 4, 40, 16), Qt::AlignCenter,
                         stop > 0 ? QStringLiteral("+%1").arg(stop) : QString::number(stop));
    }
    for (int percent = 0; percent <= 100; percent += 20) {
        const double y = yOf(above, Level(percent));
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(above.left(), y), QPointF(above.right(), y));
        painter.setPen(t.muted);
        painter.drawText(QRectF(0, y - 8, kLeft - 6, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QStringLiteral("%1 %").arg(percent));
    }
    painter.setPen(t.muted);
    painter.drawText(QRectF(below.left(), below.bottom() + 3, below.width(), 16), Qt::AlignLeft,
                     tr("slope: codes in each stop"));
    painter.drawText(QRectF(below.left(), below.bottom() + 3, below.width(), 16), Qt::AlignRight,
                     tr("stops of recorded light from mid-grey"));
    painter.drawText(QRectF(0, below.top() - 2, kLeft - 6, 16), Qt::AlignRight,
                     QString::number(std::lround(mostCodes())));
}

void CurvePicture::paintCurve(QPainter& painter, const Shown& shown, bool second) const {
    const auto& t = m_style.colours();
    const auto scale = axis();
    const auto area = levels();
    QPainterPath path;
    for (double x = area.left(); x <= area.right(); x += 1.5) {
        const QPointF at(x, yOf(area, levelAt(shown.curve, scale.at(x), shown.depth)));
        x == area.left() ? path.moveTo(at) : path.lineTo(at);
    }
    if (!second && shown.clip && scale.shows(*shown.clip))
        drawHatch(painter, QRectF(QPointF(scale.x(*shown.clip), area.top()), area.bottomRight()),
                  t.coral);
    if (!second && shown.floor && scale.shows(*shown.floor))
        drawDots(painter, QRectF(area.topLeft(), QPointF(scale.x(*shown.floor), area.bottom())),
                 t.muted);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(
        QPen(second ? t.lilac : t.ink, 2 * t.stroke, second ? Qt::DashLine : Qt::SolidLine));
    painter.drawPath(path);
    painter.setRenderHint(QPainter::Antialiasing, false);
}

void CurvePicture::paintCodes(QPainter& painter, const Shown& shown, bool second) const {
    const auto& t = m_style.colours();
    const auto scale = axis();
    const auto area = codes();
    const double most = mostCodes(), half = scale.pixelsPerStop() * 0.5;
    for (int stop = static_cast<int>(kLow); stop <= kHigh; ++stop) {
        const double count = codesInStop(shown.curve, Stops(stop), shown.depth);
        const double tall = std::max(0.0, count / most) * area.height();
        const double wide = half * 0.7;
        // Beside each other when there are two, over the stop's line when there is one.
        const double x = scale.x(Stops(stop)) + (second ? 1 : m_second ? -wide : -wide / 2);
        const QRectF bar(x, area.bottom() - tall, wide - 1, tall);
        painter.setPen(Qt::NoPen);
        painter.setBrush(second ? QBrush(t.lilac, Qt::Dense4Pattern) : QBrush(t.ink));
        painter.drawRect(bar.intersected(area));
    }
    painter.setBrush(Qt::NoBrush);
}

void CurvePicture::paintCursor(QPainter& painter) const {
    if (!m_cursor)
        return;
    const auto& t = m_style.colours();
    const auto area = levels();
    const double x = axis().x(*m_cursor);
    painter.setPen(QPen(t.marigold, 1));
    painter.drawLine(QPointF(x, area.top()), QPointF(x, codes().bottom()));
    painter.setRenderHint(QPainter::Antialiasing);
    for (const auto* shown : {&m_first, &m_second})
        if (*shown) {
            const double y = yOf(area, levelAt((*shown)->curve, *m_cursor, (*shown)->depth));
            drawDiamond(painter, {x, y}, 5, t.marigold, t.ground);
        }
    painter.setRenderHint(QPainter::Antialiasing, false);
}

void CurvePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    paintGrid(painter);
    if (m_second) {
        paintCurve(painter, *m_second, true);
        paintCodes(painter, *m_second, true);
    }
    if (m_first) {
        paintCurve(painter, *m_first, false);
        paintCodes(painter, *m_first, false);
    }
    paintCursor(painter);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.ink);
    const double room = width() - 8;
    painter.drawText(QRectF(4, 0, room, kTop - 4), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(readingAt(m_cursor.value_or(Stops(0))), painter.font(), room));
    if (hasFocus()) {
        painter.setPen(QPen(t.marigold, 1));
        painter.drawRect(QRectF(levels()).adjusted(-1, -1, 0, 0));
    }
}

void CurvePicture::mouseMoveEvent(QMouseEvent* event) {
    const double x = std::clamp(event->position().x(), kLeft, width() - kRight);
    setCursorAt(axis().at(x));
}

void CurvePicture::leaveEvent(QEvent*) {
    setCursorAt(std::nullopt);
}

void CurvePicture::keyPressEvent(QKeyEvent* event) {
    const double step = event->key() == Qt::Key_Left    ? -1.0 / 3
                        : event->key() == Qt::Key_Right ? 1.0 / 3
                                                        : 0;
    if (step == 0)
        return QWidget::keyPressEvent(event);
    setCursorAt(Stops(std::clamp(m_cursor.value_or(Stops(0)).value() + step, kLow, kHigh)));
}

} // namespace bslate::app
