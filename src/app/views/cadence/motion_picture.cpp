#include "app/views/cadence/motion_picture.h"

#include "app/views/cadence/row_head.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QMouseEvent>
#include <QPainter>
#include <QScreen>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr int kWords = 18;          // the line under the frame
constexpr double kBarWidth = 0.024; // of the frame
constexpr int kStillBars = 9;       // about this many frames are drawn at once
constexpr double kField = 0.10;     // linear light of the wall behind the bar
constexpr double kBar = 0.85;       // and of the bar

// A linear light as a grey a display shows (gamma 2.2).
QColor grey(double linear) {
    const double value = std::pow(std::clamp(linear, 0.0, 1.0), 1 / 2.2);
    return QColor::fromRgbF(static_cast<float>(value), static_cast<float>(value),
                            static_cast<float>(value));
}

} // namespace

MotionPicture::MotionPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("motion-picture"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    m_timer.setTimerType(Qt::PreciseTimer);
    m_timer.setInterval(16);
    connect(&m_timer, &QTimer::timeout, this, qOverload<>(&QWidget::update));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void MotionPicture::show(Shown shown) {
    const bool startsToFlash =
        m_state == State::Playing && !shown.still && m_shown && m_shown->still;
    m_shown = std::move(shown);
    if (startsToFlash)
        enter(State::Caution);
    enter(m_state);
}

void MotionPicture::clear() {
    m_shown.reset();
    enter(State::Still);
}

void MotionPicture::enter(State state) {
    m_state = state;
    const bool plays = state == State::Playing;
    if (plays && !m_timer.isActive()) {
        m_clock.start();
        m_timer.start();
    } else if (!plays) {
        m_timer.stop();
    }
    const QString value = plays                     ? tr("playing; Space stops")
                          : state == State::Caution ? tr("caution: the picture may flash; Space "
                                                         "plays, Escape keeps it still")
                                                    : tr("drawn still; Space plays it");
    describe(*this, QAccessible::Graphic, tr("A moving bar as it is recorded"), value,
             m_shown ? m_shown->facts : QString());
    update();
}

void MotionPicture::advance() {
    if (!m_shown)
        return;
    switch (m_state) {
    case State::Still:
        // Warned once, a steady picture plays at once; a flashing one always asks.
        return enter(m_warned && m_shown->still ? State::Playing : State::Caution);
    case State::Caution:
        m_warned = true;
        return enter(State::Playing);
    case State::Playing:
        return enter(State::Still);
    }
}

void MotionPicture::stop() {
    enter(State::Still);
}

void MotionPicture::hideEvent(QHideEvent* event) {
    QWidget::hideEvent(event);
    enter(State::Still);
}

void MotionPicture::mousePressEvent(QMouseEvent*) {
    advance();
}

QRectF MotionPicture::frameArea() const {
    return QRectF(kRowHead, 0, width() - kRowHead, height() - kWords);
}

double MotionPicture::brightness(std::int64_t n) const {
    const Seconds start(static_cast<double>(n) / m_shown->capture.toDouble());
    return gathered(m_shown->lights, start, m_shown->exposure);
}

// An upright bar smeared by its movement: a box of light widened by a box of time, which is a
// trapezium; the rows read later show it further on.
void MotionPicture::paintBar(QPainter& painter, const QRectF& area, double centre,
                             double light) const {
    const double bar = kBarWidth * area.width();
    const double blur =
        std::max(0.5, m_shown->speed.value() * m_shown->exposure.value() * area.width());
    const double peak = std::min(1.0, bar / blur); // a blur wider than the bar thins its light
    const double lean = m_shown->speed.value() * m_shown->readout.value() * area.width();
    const double outer = (bar + blur) / 2, inner = std::abs(bar - blur) / 2;
    QLinearGradient gradient(centre - outer, 0, centre + outer, 0);
    const QColor field = grey(kField * light);
    const QColor full = grey((kField + (kBar - kField) * peak) * light);
    // The ramp in linear light, in steps close enough for the eye.
    for (int i = 0; i <= 8; ++i) {
        const double part = i / 8.0;
        const double edge = (outer - inner) / (2 * outer) * part;
        const QColor colour = grey((kField + (kBar - kField) * peak * part) * light);
        gradient.setColorAt(edge, colour);
        gradient.setColorAt(1 - edge, colour);
    }
    gradient.setColorAt(0, field);
    gradient.setColorAt(1, field);
    gradient.setColorAt(0.5, full);
    painter.save();
    painter.setClipRect(area);
    painter.translate(0, area.center().y());
    // The strip shows the frame's width but only some of its height; angles stay true.
    const double height = area.width() * m_shown->frame.height / m_shown->frame.width;
    painter.shear(lean / height, 0);
    painter.fillRect(QRectF(centre - outer, -area.height() / 2, 2 * outer, area.height()),
                     gradient);
    painter.restore();
}

void MotionPicture::paintStill(QPainter& painter, const QRectF& area) const {
    painter.fillRect(area, grey(kField));
    const double perFrame = m_shown->speed.value() / m_shown->capture.toDouble(); // widths
    const auto every = std::max<std::int64_t>(
        1, static_cast<std::int64_t>(std::lround(1.0 / kStillBars / std::max(perFrame, 1e-6))));
    const double spacing = perFrame * static_cast<double>(every);
    const double columns = std::min(spacing, 1.0);
    for (std::int64_t i = 0; i < 64; ++i) {
        const double at = columns / 2 + static_cast<double>(i) * spacing;
        if (at > 1)
            break;
        const double light = brightness(i * every);
        const QRectF column(area.left() + (at - columns / 2) * area.width(), area.top(),
                            columns * area.width(), area.height());
        painter.fillRect(column.intersected(area), grey(kField * light));
        paintBar(painter, area, area.left() + at * area.width(), light);
    }
}

void MotionPicture::paintPlaying(QPainter& painter, const QRectF& area) const {
    const double seconds = static_cast<double>(m_clock.nsecsElapsed()) * 1e-9;
    const auto n = static_cast<std::int64_t>(seconds * m_shown->base.toDouble());
    const double light = brightness(n);
    painter.fillRect(area, grey(kField * light));
    const double travelled =
        static_cast<double>(n) * m_shown->speed.value() / m_shown->capture.toDouble();
    const double at = std::fmod(travelled, 1.2) - 0.1;
    paintBar(painter, area, area.left() + at * area.width(), light);
}

void MotionPicture::paintCaution(QPainter& painter, const QRectF& area) const {
    const auto& t = m_style.colours();
    drawBlock(painter, area, t.deep, t.marigold, 1.5);
    drawSeverity(painter, QRectF(area.left() + 14, area.top() + 12, 18, 18), Severity::Caution,
                 false, t);
    painter.setPen(t.ink);
    painter.setFont(Style::font(TextRole::Body));
    painter.drawText(area.adjusted(44, 8, -12, -6), Qt::TextWordWrap | Qt::AlignVCenter,
                     m_shown->still
                         ? tr("A moving bar can disturb photosensitive viewers. Space plays it, "
                              "Escape keeps it still.")
                         : tr("This picture will flash. Flashing light can trigger seizures in "
                              "photosensitive people: play it only when nobody near the screen is "
                              "at risk. Space plays it, Escape keeps it still."));
}

void MotionPicture::paintWords(QPainter& painter) const {
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, 4, kRowHead - 6, 18), Qt::AlignLeft, tr("Motion"));
    const QString speed = toQt(print(m_shown->speed));
    painter.drawText(QRectF(0, 20, kRowHead - 6, 18), Qt::AlignLeft, speed);
    if (m_shown->assumedSpeed)
        painter.drawText(QRectF(0, 36, kRowHead - 6, 18), Qt::AlignLeft, tr("assumed"));
    const QRectF line(kRowHead, height() - kWords + 2, width() - kRowHead, kWords - 2);
    QString how = tr("drawn still; Space plays it");
    if (m_state == State::Playing) {
        const double refresh = screen() ? screen()->refreshRate() : 60.0;
        how = tr("real time, %1 frames a second on a %2 Hz screen; Space stops")
                  .arg(toQt(print(m_shown->base)))
                  .arg(refresh, 0, 'f', 0);
    }
    painter.drawText(line, Qt::AlignLeft | Qt::AlignVCenter, how);
    painter.setPen(t.ink);
    const double left = QFontMetricsF(painter.font()).horizontalAdvance(how) + 16;
    painter.drawText(line, Qt::AlignRight | Qt::AlignVCenter,
                     elided(m_shown->facts, painter.font(), line.width() - left));
}

void MotionPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    ++m_paints;
    if (!m_shown)
        return;
    const QRectF area = frameArea();
    if (m_state == State::Caution)
        paintCaution(painter, area);
    else if (m_state == State::Playing)
        paintPlaying(painter, area);
    else
        paintStill(painter, area);
    paintWords(painter);
}

} // namespace bslate::app
