#include "app/views/body_test/fit_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>
#include <QPainterPath>
#include <QVariantAnimation>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kLeft = 50, kRight = 12, kTop = 8, kFoot = 20, kGap = 24;
constexpr double kLeast = -8, kMost = 112; // percent
constexpr BitDepth kDepth{10};

} // namespace

FitPicture::FitPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_motion(new QVariantAnimation(this)) {
    setObjectName(QStringLiteral("fit"));
    m_motion->setDuration(500);
    m_motion->setStartValue(0.0);
    m_motion->setEndValue(1.0);
    m_motion->setEasingCurve(QEasingCurve::InOutCubic);
    connect(m_motion, &QVariantAnimation::valueChanged, this, [this](const QVariant& value) {
        m_pulled = value.toDouble();
        update();
    });
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void FitPicture::show(std::vector<SeriesReading> readings, SeriesFit fit, Curve nominal,
                      bool pull) {
    m_why.clear();
    m_shown = Shown{std::move(readings), std::move(fit), std::move(nominal)};
    m_motion->stop();
    m_pulled = 1;
    if (pull && isVisible())
        m_motion->start();
    describe(*this, QAccessible::Graphic, tr("Readings and fitted curve"), words());
    update();
}

void FitPicture::settle() {
    m_motion->stop();
    m_pulled = 1;
    update();
}

void FitPicture::clear(const QString& why) {
    m_shown.reset();
    m_why = why;
    describe(*this, QAccessible::Graphic, tr("Readings and fitted curve"), why);
    update();
}

QString FitPicture::words() const {
    if (!m_shown)
        return m_why;
    return tr("%1 readings, %2 left out, %3 codes rms")
        .arg(m_shown->readings.size())
        .arg(m_shown->fit.outliers())
        .arg(tenBitCodes(m_shown->fit.rms), 0, 'f', 2);
}

StopsAxis FitPicture::axis() const {
    double low = -6, high = 6;
    if (m_shown)
        for (const auto& reading : m_shown->readings) {
            low = std::min(low, std::floor(reading.stops.value()));
            high = std::max(high, std::ceil(reading.stops.value()));
        }
    return {kLeft, width() - kRight, low, high};
}

QRectF FitPicture::levels() const {
    return {kLeft, kTop, width() - kLeft - kRight, (height() - kTop - kFoot - kGap) * 0.72};
}

QRectF FitPicture::misses() const {
    const auto above = levels();
    return {above.left(), above.bottom() + kGap, above.width(),
            height() - kFoot - above.bottom() - kGap};
}

double FitPicture::percent(double signal) const {
    return levelOf(Signal(signal), m_shown->fit.curve.range, kDepth).value();
}

double FitPicture::y(double percent) const {
    const auto area = levels();
    return area.bottom() - (percent - kLeast) / (kMost - kLeast) * area.height();
}

double FitPicture::drawnSignal(Stops stops) const {
    const auto& fit = m_shown->fit;
    const auto at = [&](const Curve& curve) {
        const SceneLinear light =
            linearAt(stops) + (&curve == &fit.curve ? fit.flare : SceneLinear(0));
        return std::min(encode(curve, light), endSignal(curve, kDepth)).value();
    };
    return at(m_shown->nominal) * (1 - m_pulled) + at(fit.curve) * m_pulled;
}

void FitPicture::paintGrid(QPainter& painter) const {
    const auto& t = m_style.colours();
    const auto scale = axis();
    const auto above = levels(), below = misses();
    painter.fillRect(above, t.deep);
    painter.fillRect(below, t.deep);
    painter.setFont(Style::font(TextRole::Secondary));
    for (int stop = static_cast<int>(scale.low); stop <= scale.high; ++stop) {
        const double x = scale.x(Stops(stop));
        painter.setPen(QPen(stop == 0 ? t.sky : t.line, 1));
        painter.drawLine(QPointF(x, above.top()), QPointF(x, above.bottom()));
        painter.drawLine(QPointF(x, below.top()), QPointF(x, below.bottom()));
        painter.setPen(stop == 0 ? t.sky : t.muted);
        painter.drawText(QRectF(x - 20, above.bottom() + 4, 40, 16), Qt::AlignCenter,
                         stop > 0 ? QStringLiteral("+%1").arg(stop) : QString::number(stop));
    }
    for (int level = 0; level <= 100; level += 20) {
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(above.left(), y(level)), QPointF(above.right(), y(level)));
        painter.setPen(t.muted);
        painter.drawText(QRectF(0, y(level) - 8, kLeft - 6, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QStringLiteral("%1 %").arg(level));
    }
}

void FitPicture::paintCurves(QPainter& painter) const {
    const auto& t = m_style.colours();
    const auto scale = axis();
    const auto area = levels();
    const auto trace = [&](auto signalAtStops, const QPen& pen) {
        QPainterPath path;
        for (double x = area.left(); x <= area.right(); x += 2) {
            const QPointF at(x, y(percent(signalAtStops(scale.at(x)))));
            x == area.left() ? path.moveTo(at) : path.lineTo(at);
        }
        painter.setPen(pen);
        painter.drawPath(path);
    };
    painter.setRenderHint(QPainter::Antialiasing);
    trace(
        [&](Stops stops) {
            return std::min(encode(m_shown->nominal, linearAt(stops)),
                            endSignal(m_shown->nominal, kDepth))
                .value();
        },
        QPen(t.muted, 1.2 * t.stroke, Qt::DashLine));
    trace([&](Stops stops) { return drawnSignal(stops); }, QPen(t.ink, 2 * t.stroke));
    painter.setRenderHint(QPainter::Antialiasing, false);
    const auto mark = [&](std::optional<Stops> stops, const QColor& colour, const QString& text,
                          bool right) {
        if (!stops || !scale.shows(*stops))
            return;
        const double x = scale.x(*stops);
        painter.setPen(QPen(colour, 1.4));
        painter.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()));
        painter.drawText(right ? QRectF(x + 4, area.top() + 2, 120, 16)
                               : QRectF(x - 124, area.top() + 2, 120, 16),
                         right ? Qt::AlignLeft : Qt::AlignRight, text);
    };
    mark(m_shown->fit.firstClip(), t.coral,
         m_shown->fit.firstClip() ? tr("clip %1").arg(toQt(print(*m_shown->fit.firstClip())))
                                  : QString(),
         false);
    mark(m_shown->fit.noiseFloor, t.muted,
         m_shown->fit.noiseFloor ? tr("noise %1").arg(toQt(print(*m_shown->fit.noiseFloor)))
                                 : QString(),
         true);
}

void FitPicture::paintReadings(QPainter& painter) const {
    const auto& t = m_style.colours();
    const auto scale = axis();
    painter.setRenderHint(QPainter::Antialiasing);
    for (std::size_t i = 0; i < m_shown->readings.size(); ++i) {
        const auto& reading = m_shown->readings[i];
        const double x = scale.x(reading.stops);
        auto rgb = reading.rgb;
        std::sort(rgb.begin(), rgb.end());
        const double at = y(percent(rgb[1].value()));
        const auto fate = m_shown->fit.fates[i];
        // The thread by which the reading pulls the curve.
        painter.setPen(QPen(t.marigold, 1));
        painter.drawLine(QPointF(x, at), QPointF(x, y(percent(drawnSignal(reading.stops)))));
        if (fate == ReadingFate::Outlier) {
            painter.setPen(QPen(t.coral, 1.8));
            painter.drawLine(QPointF(x - 4, at - 4), QPointF(x + 4, at + 4));
            painter.drawLine(QPointF(x - 4, at + 4), QPointF(x + 4, at - 4));
        } else if (fate == ReadingFate::Clipped) {
            painter.setPen(QPen(t.coral, 1.4));
            painter.setBrush(Qt::NoBrush);
            painter.drawEllipse(QPointF(x, at), 3, 3);
        } else {
            drawDiamond(painter, {x, at}, 3.5, t.marigold, t.ground);
        }
    }
    painter.setRenderHint(QPainter::Antialiasing, false);
}

void FitPicture::paintMisses(QPainter& painter) const {
    const auto& t = m_style.colours();
    const auto scale = axis();
    const auto area = misses();
    double most = 2;
    for (std::size_t i = 0; i < m_shown->fit.misses.size(); ++i)
        if (m_shown->fit.fates[i] == ReadingFate::Used)
            most = std::max(most, std::abs(tenBitCodes(m_shown->fit.misses[i])) * 1.2);
    const double middle = area.center().y();
    painter.setPen(QPen(t.line, 1));
    painter.drawLine(QPointF(area.left(), middle), QPointF(area.right(), middle));
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, area.top() - 4, kLeft - 6, 16), Qt::AlignRight,
                     QStringLiteral("+%1").arg(most, 0, 'f', 0));
    painter.drawText(QRectF(0, area.bottom() - 12, kLeft - 6, 16), Qt::AlignRight,
                     QStringLiteral("\u2212%1").arg(most, 0, 'f', 0));
    painter.drawText(QRectF(area.left(), area.bottom() + 2, area.width(), 16), Qt::AlignLeft,
                     tr("what each reading misses, in codes of 10 bits"));
    for (std::size_t i = 0; i < m_shown->readings.size(); ++i) {
        if (m_shown->fit.fates[i] == ReadingFate::Clipped)
            continue;
        const bool out = m_shown->fit.fates[i] == ReadingFate::Outlier;
        const double miss = std::clamp(tenBitCodes(m_shown->fit.misses[i]) / most, -1.0, 1.0);
        const double x = scale.x(m_shown->readings[i].stops);
        painter.setPen(QPen(out ? t.coral : t.marigold, 3));
        painter.drawLine(QPointF(x, middle),
                         QPointF(x, middle - miss * area.height() / 2 * m_pulled));
    }
}

void FitPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    paintGrid(painter);
    if (!m_shown) {
        painter.setPen(m_style.colours().muted);
        painter.drawText(levels(), Qt::AlignCenter | Qt::TextWordWrap, m_why);
        return;
    }
    paintCurves(painter);
    paintReadings(painter);
    paintMisses(painter);
}

} // namespace bslate::app
