#include "app/views/frame/scope_picture.h"

#include "core/base/enumerated.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kTitle = 20;

// Counts to ink: what is there at all is seen, and ten times as much is not ten times as strong.
int inkFor(std::uint32_t count, double most) {
    if (count == 0)
        return 0;
    const double share = std::log1p(count) / std::log1p(most);
    return static_cast<int>(60 + 195 * std::min(1.0, share));
}

} // namespace

ScopePicture::ScopePicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("scope-picture"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void ScopePicture::show(std::shared_ptr<const FrameImages> images, bool ofGrade, bool channels) {
    m_images = std::move(images);
    m_ofGrade = ofGrade;
    m_channels = channels;
    describe(*this, QAccessible::Chart, tr("Instruments"),
             tr("mean %1").arg(toQt(print(meanLevel(shown(), depth())))));
    update();
}

void ScopePicture::clear() {
    m_images.reset();
    update();
}

const Instruments& ScopePicture::shown() const {
    return m_ofGrade ? m_images->gradedInstruments : m_images->instruments;
}

BitDepth ScopePicture::depth() const {
    return m_ofGrade ? BitDepth{10} : m_images->depth;
}

QColor ScopePicture::inkOf(InstrumentChannel channel) const {
    const auto& t = m_style.colours();
    const ByEnum<InstrumentChannel, QColor> inks{t.ink, t.coral, t.sea, t.sky};
    return inks[channel];
}

double ScopePicture::y(const QRectF& area, Level level) const {
    const Level low = levelOfCode(0, depth());
    const Level high = levelOfCode((1 << depth().bits) - 1, depth());
    return area.bottom() - (level - low).value() / (high - low).value() * area.height();
}

void ScopePicture::paintWave(QPainter& painter, const QRectF& area,
                             InstrumentChannel channel) const {
    const auto& wave = shown().waveform[static_cast<std::size_t>(channel)];
    const double most = static_cast<double>(shown().pixels) / wave.columns / 4;
    QImage image(wave.columns, kWaveLevels, QImage::Format_ARGB32);
    const QColor ink = inkOf(channel);
    for (int level = 0; level < kWaveLevels; ++level) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(kWaveLevels - 1 - level));
        for (int column = 0; column < wave.columns; ++column)
            line[column] =
                qRgba(ink.red(), ink.green(), ink.blue(), inkFor(wave.at(column, level), most));
    }
    painter.drawImage(area, image);
}

// What is told beside the counts: percent, the clip, the camera's zebra.
void ScopePicture::paintLevels(QPainter& painter, const QRectF& area) const {
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    for (int percent = 0; percent <= 100; percent += 25) {
        const double at = y(area, Level(percent));
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(area.left(), at), QPointF(area.right(), at));
        painter.setPen(t.muted);
        painter.drawText(QRectF(area.left() - 30, at - 8, 26, 16),
                         Qt::AlignRight | Qt::AlignVCenter, QString::number(percent));
    }
    const auto line = [&](Level level, const QColor& ink) {
        painter.setPen(QPen(ink, 1.2 * t.stroke, Qt::DashLine));
        painter.drawLine(QPointF(area.left(), y(area, level)),
                         QPointF(area.right(), y(area, level)));
    };
    if (m_ofGrade)
        return;
    line(m_images->clipLevel, t.coral);
    for (const auto& band : m_images->band)
        if (band)
            line(band->from, t.sky);
}

void ScopePicture::paintWaves(QPainter& painter, const QRectF& area) const {
    const QRectF plot = area.adjusted(34, kTitle, -4, -6);
    paintLevels(painter, plot);
    if (!m_channels)
        return paintWave(painter, plot, InstrumentChannel::Luma);
    const double wide = plot.width() / 3;
    for (int i = 0; i < 3; ++i)
        paintWave(painter, QRectF(plot.left() + i * wide, plot.top(), wide - 4, plot.height()),
                  static_cast<InstrumentChannel>(i + 1));
}

void ScopePicture::paintHistogram(QPainter& painter, const QRectF& area) const {
    const auto& t = m_style.colours();
    const QRectF plot = area.adjusted(6, kTitle, -6, -6);
    const auto bars = [&](InstrumentChannel channel, bool filled) {
        const auto& counts = shown().histogram[static_cast<std::size_t>(channel)];
        constexpr std::size_t kBars = 128;
        std::array<double, kBars> sums{};
        for (std::size_t code = 0; code < counts.size(); ++code)
            sums[code * kBars / counts.size()] += counts[code];
        const double most = std::log1p(static_cast<double>(shown().pixels) / 6);
        QPainterPath path(plot.bottomLeft());
        for (std::size_t i = 0; i < kBars; ++i) {
            const double high = std::min(1.0, std::log1p(sums[i]) / most) * plot.height();
            const double x = plot.left() + plot.width() * static_cast<double>(i) / kBars;
            path.lineTo(x, plot.bottom() - high);
            path.lineTo(x + plot.width() / kBars, plot.bottom() - high);
        }
        path.lineTo(plot.bottomRight());
        const QColor ink = inkOf(channel);
        if (filled)
            painter.fillPath(path, ink);
        painter.setPen(QPen(ink, 1.2 * t.stroke));
        if (!filled)
            painter.drawPath(path);
    };
    if (m_channels)
        for (const auto channel :
             {InstrumentChannel::Red, InstrumentChannel::Green, InstrumentChannel::Blue})
            bars(channel, false);
    else
        bars(InstrumentChannel::Luma, true);
    const auto pixels = std::max<std::uint64_t>(1, shown().pixels);
    const auto& clipped = m_images->clippedShare;
    painter.setPen(t.muted);
    painter.setFont(Style::font(TextRole::Secondary));
    const Fraction most = std::max({clipped[0], clipped[1], clipped[2]});
    if (pixels > 1 && most.value() > 0 && !m_ofGrade)
        painter.drawText(QRectF(area.left(), area.top() + 2, area.width() - 8, 16), Qt::AlignRight,
                         tr("clipped %1").arg(toQt(print(most))));
}

void ScopePicture::paintColour(QPainter& painter, const QRectF& area) const {
    const auto& t = m_style.colours();
    const double side = std::min(area.width() - 12, area.height() - kTitle - 6);
    const QRectF plot(area.center().x() - side / 2, area.top() + kTitle, side, side);
    painter.setPen(QPen(t.line, 1.2));
    painter.drawEllipse(plot);
    painter.drawLine(QPointF(plot.center().x(), plot.top()),
                     QPointF(plot.center().x(), plot.bottom()));
    painter.drawLine(QPointF(plot.left(), plot.center().y()),
                     QPointF(plot.right(), plot.center().y()));
    const auto& counts = shown().colour.counts;
    const double most = static_cast<double>(shown().pixels) / 200;
    QImage image(256, 256, QImage::Format_ARGB32);
    for (int r = 0; r < 256; ++r) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(255 - r));
        for (int b = 0; b < 256; ++b) {
            const auto at = static_cast<std::size_t>(r) * 256 + static_cast<std::size_t>(b);
            line[b] = qRgba(t.ink.red(), t.ink.green(), t.ink.blue(), inkFor(counts[at], most));
        }
    }
    // The middle half: recorded colour hardly goes beyond.
    painter.drawImage(plot, image, QRectF(64, 64, 128, 128));
}

void ScopePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = m_style.colours();
    const double colour = height(), gap = 8;
    const double rest = width() - colour - 2 * gap;
    const QRectF parts[] = {{0, 0, rest * 0.66, double(height())},
                            {rest * 0.66 + gap, 0, rest * 0.34, double(height())},
                            {width() - colour, 0, colour, double(height())}};
    const QString names[] = {m_ofGrade ? tr("Waveform of the grade") : tr("Waveform"),
                             tr("Histogram"), tr("Colour")};
    for (int i = 0; i < 3; ++i) {
        drawBlock(painter, parts[i], t.deep, {}, 0);
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.muted);
        painter.drawText(parts[i].adjusted(8, 3, 0, 0), Qt::AlignLeft | Qt::AlignTop, names[i]);
    }
    if (!m_images)
        return;
    paintWaves(painter, parts[0]);
    paintHistogram(painter, parts[1]);
    paintColour(painter, parts[2]);
}

} // namespace bslate::app
