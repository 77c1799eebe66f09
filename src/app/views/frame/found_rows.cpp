#include "app/views/frame/found_rows.h"

#include "core/base/enumerated.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kLine = 19;
constexpr int kNumbers = 70;    // the room of both columns
constexpr Stops kAway{1.0 / 3}; // common practice, no source

bool isAway(const FoundPatch& patch) {
    return std::abs((patch.foundStops - patch.plannedStops).value()) > kAway.value();
}

// "56-60", "from 90".
QString bandText(const ZebraBand& band) {
    const auto text = [](Level level) { return QString::number(std::lround(level.value())); };
    return band.to > Level(109) ? FoundRows::tr("from %1 %").arg(text(band.from))
                                : FoundRows::tr("%1\u2013%2 %").arg(text(band.from), text(band.to));
}

QString percent(Level level) {
    return QString::number(std::lround(level.value()));
}

} // namespace

FoundRows::FoundRows(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("found-rows"));
    setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Expanding);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void FoundRows::show(std::shared_ptr<const FrameImages> images) {
    m_images = std::move(images);
    describe(*this, QAccessible::Table, tr("Planned and found"), text());
    update();
}

void FoundRows::clear() {
    m_images.reset();
    update();
}

QString FoundRows::text() const {
    if (!m_images)
        return {};
    QStringList lines;
    for (const auto& patch : m_images->patches)
        lines << tr("%1: planned %2 %, found %3 %")
                     .arg(toQt(patch.name), percent(patch.planned), percent(patch.found));
    if (m_images->toLight)
        lines << tr("grade to light %1").arg(textOf(*m_images->toLight));
    return (lines + shares()).join(QLatin1Char('\n'));
}

QStringList FoundRows::shares() const {
    QStringList lines;
    const auto each = [&](const std::array<Fraction, 3>& shares, const QString& what) {
        if (std::any_of(shares.begin(), shares.end(),
                        [](Fraction one) { return one.value() > 0.0005; }))
            lines << tr("%1: R %2, G %3, B %4 %")
                         .arg(what, toQt(fixedText(100 * shares[0].value(), 1)),
                              toQt(fixedText(100 * shares[1].value(), 1)),
                              toQt(fixedText(100 * shares[2].value(), 1)));
    };
    each(m_images->clippedShare, tr("clipped"));
    each(m_images->drownedShare, tr("noise"));
    for (const auto use : {ZebraUse::Skin, ZebraUse::Clip}) {
        const auto index = static_cast<std::size_t>(use);
        if (m_images->band[index])
            lines << tr("zebra, %1 %2: %3")
                         .arg(use == ZebraUse::Skin ? tr("skin") : tr("clip"),
                              bandText(*m_images->band[index]),
                              toQt(print(m_images->zebraShare[index])));
    }
    if (!m_images->still.isEmpty())
        return lines; // the light is not known, only what became of it
    const ByEnum<MeterKind, QString> meters{tr("spot meter"), tr("centre meter"),
                                            tr("frame meter")};
    for (const auto& meter : m_images->meters) {
        lines << tr("%1: %2").arg(meters[meter.kind], toQt(print(meter.change)));
        if (std::abs(meter.byLamps.value()) >= 0.1)
            lines.back() += tr(", lamps %1").arg(toQt(print(meter.byLamps)));
    }
    return lines;
}

double FoundRows::paintPatches(QPainter& painter) const {
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    const auto row = [&](double top, const QString& name, const QString& planned,
                         const QString& found, const QColor& ink) {
        painter.setPen(t.muted);
        painter.drawText(QRectF(0, top, width() - kNumbers, kLine), Qt::AlignVCenter,
                         elided(name, painter.font(), width() - kNumbers));
        painter.drawText(QRectF(0, top, width() - 40, kLine), Qt::AlignVCenter | Qt::AlignRight,
                         planned);
        painter.setPen(ink);
        painter.drawText(QRectF(0, top, width() - 2, kLine), Qt::AlignVCenter | Qt::AlignRight,
                         found);
    };
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, 0, width(), kLine), Qt::AlignVCenter, tr("Percent"));
    painter.drawText(QRectF(0, 0, width() - 2, kLine), Qt::AlignVCenter | Qt::AlignRight,
                     tr("planned  found"));
    double top = kLine;
    for (const auto& patch : m_images->patches) {
        row(top, toQt(patch.name), percent(patch.planned), percent(patch.found),
            isAway(patch) ? t.coral : t.ink);
        if (isAway(patch)) {
            painter.setPen(QPen(t.coral, 2));
            painter.drawLine(QPointF(width() - 1, top + 3), QPointF(width() - 1, top + kLine - 3));
        }
        top += kLine;
    }
    return top + 10;
}

double FoundRows::paintBands(QPainter& painter, double top) const {
    const auto& t = m_style.colours();
    constexpr int kLow = -7, kHigh = 6;
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, top, width(), kLine), Qt::AlignVCenter, tr("Stops from grey"));
    const double step = static_cast<double>(width() - 2) / (kHigh - kLow + 1);
    for (int stop = kLow; stop <= kHigh; ++stop) {
        const QRectF box((stop - kLow) * step, top + kLine, step, 16);
        painter.fillRect(box, QColor::fromRgb(stopColour(stop, m_style.theme())));
        if (stop % 2 == 0) {
            painter.setPen(t.muted);
            painter.drawText(QRectF(box.left() - 10, box.bottom() + 1, step + 20, 15),
                             Qt::AlignCenter, QString::number(stop));
        }
    }
    return top + kLine + 40;
}

void FoundRows::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (!m_images)
        return;
    const auto& t = m_style.colours();
    double top = paintBands(painter, paintPatches(painter));
    painter.setPen(t.ink);
    painter.setFont(Style::font(TextRole::Secondary));
    for (const auto& line : shares()) {
        if (top + kLine > height())
            return;
        painter.drawText(QRectF(0, top, width(), kLine), Qt::AlignVCenter,
                         elided(line, painter.font(), width()));
        top += kLine;
    }
}

} // namespace bslate::app
