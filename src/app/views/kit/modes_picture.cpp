#include "app/views/kit/modes_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/light/optics.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>
#include <cmath>
#include <set>

namespace bslate::app {
namespace {

constexpr double kModeRow = 24, kModeHead = 22;         // a row is taller where there is room
constexpr double kNames = 148, kCrop = 70, kAngle = 54; // columns before the rates
constexpr double kWidestColumn = 110;

DataRate most(const Camera& camera) {
    DataRate rate{1};
    for (const auto& mode : camera.modes)
        for (const auto& option : mode.rates)
            rate = std::max(rate, option.bitRate);
    return rate;
}

} // namespace

ModesPicture::ModesPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("modes-picture"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void ModesPicture::show(const Camera& camera, std::optional<Millimetres> focal) {
    m_camera = camera;
    m_focal = focal;
    QStringList words;
    for (const auto& mode : camera.modes) {
        QStringList rates;
        for (const auto& option : mode.rates)
            rates << tr("%1 at %2").arg(toQt(print(option.rate)), toQt(print(option.bitRate)));
        words << QStringLiteral("%1: %2").arg(toQt(mode.name), rates.join(QStringLiteral(", ")));
    }
    describe(*this, QAccessible::Graphic, tr("Recording modes of %1").arg(toQt(camera.name)),
             words.join(QStringLiteral("; ")));
    update();
}

std::vector<FrameRate> ModesPicture::columns() const {
    std::set<FrameRate> rates;
    for (const auto& mode : m_camera.modes)
        for (const auto& option : mode.rates)
            rates.insert(option.rate);
    return {rates.begin(), rates.end()};
}

void ModesPicture::paintMode(QPainter& painter, const RecordingMode& mode,
                             const QRectF& row) const {
    const auto& t = m_style.colours();
    painter.setPen(t.ink);
    painter.drawText(QRectF(row.left(), row.top(), kNames, row.height()), Qt::AlignVCenter,
                     elided(toQt(mode.name), painter.font(), kNames - 6));
    if (const auto* area = findArea(m_camera, mode.area)) {
        const auto crop = frameCrop(m_camera, *area, mode.frame);
        const bool cropped = crop.value() > 1.005;
        painter.setPen(t.muted);
        painter.drawText(QRectF(row.left() + kNames, row.top(), kCrop, row.height()),
                         Qt::AlignVCenter,
                         cropped ? tr("%1 crop").arg(toQt(print(crop))) : tr("full"));
        if (m_focal)
            painter.drawText(
                QRectF(row.left() + kNames + kCrop, row.top(), kAngle - 14, row.height()),
                Qt::AlignVCenter | Qt::AlignRight,
                toQt(print(angleOfView(recordedArea(*area, mode.frame).width, *m_focal))));
    }
    const auto rates = columns();
    const double left = row.left() + kNames + kCrop + kAngle;
    const double wide =
        std::min(kWidestColumn, (row.right() - left) / std::max<double>(1, double(rates.size())));
    for (std::size_t i = 0; i < rates.size(); ++i) {
        const QRectF cell(left + double(i) * wide + 1, row.top() + 2, wide - 2, row.height() - 4);
        painter.fillRect(cell, t.deep);
        DataRate rate{0};
        for (const auto& option : mode.rates)
            if (option.rate == rates[i])
                rate = std::max(rate, option.bitRate);
        if (rate.value() <= 0)
            continue;
        // A quarter of the cell is the least that is seen; the rest is the bit rate.
        const double share = 0.25 + 0.75 * rate.value() / most(m_camera).value();
        painter.fillRect(cell.adjusted(0, cell.height() * (1 - share), 0, 0), t.muted);
    }
}

void ModesPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (m_camera.modes.empty())
        return;
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    const auto rates = columns();
    const double left = kNames + kCrop + kAngle;
    const double wide =
        std::min(kWidestColumn, (width() - left) / std::max<double>(1, double(rates.size())));
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, 0, left, kModeHead), Qt::AlignVCenter,
                     elided(tr("bars: bit rates up to %1").arg(toQt(print(most(m_camera)))),
                            painter.font(), left - 8));
    for (std::size_t i = 0; i < rates.size(); ++i)
        painter.drawText(QRectF(left + double(i) * wide, 0, wide, kModeHead), Qt::AlignCenter,
                         elided(toQt(print(rates[i])), painter.font(), wide - 2));
    const auto rows =
        std::max<std::size_t>(1, static_cast<std::size_t>((height() - kModeHead) / kModeRow));
    const double high = std::clamp((height() - kModeHead) / double(m_camera.modes.size()), kModeRow,
                                   1.7 * kModeRow);
    for (std::size_t i = 0; i < m_camera.modes.size(); ++i) {
        const QRectF row(0, kModeHead + double(i) * high, width(), high);
        if (i + 1 == rows && m_camera.modes.size() > rows) {
            painter.setPen(t.muted);
            painter.drawText(row, Qt::AlignVCenter,
                             tr("and %1 more").arg(m_camera.modes.size() - i));
            return;
        }
        paintMode(painter, m_camera.modes[i], row);
    }
}

} // namespace bslate::app
