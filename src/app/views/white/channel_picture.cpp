#include "app/views/white/channel_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kHead = 150;
constexpr double kRow = 28;

} // namespace

QString nameOfChannel(std::size_t channel) {
    const QString names[] = {ChannelPicture::tr("Red"), ChannelPicture::tr("Green"),
                             ChannelPicture::tr("Blue")};
    return names[channel];
}

ChannelPicture::ChannelPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("channel-picture"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void ChannelPicture::show(const WhiteFacts& white, const QString& note) {
    m_white = white;
    m_note = note;
    m_low = -9;
    m_high = 8;
    QStringList told;
    for (std::size_t c = 0; c < 3; ++c) {
        const auto& channel = white.channels[c];
        m_low = std::min(m_low, std::floor(channel.floor.value() - 1));
        m_high = std::max(m_high, std::ceil(std::max(channel.end, channel.well).value() + 1));
        told << tr("%1: gain %2, noise %3, clip %4")
                    .arg(nameOfChannel(c), toQt(print(channel.gain)), toQt(print(channel.floor)),
                         toQt(print(channel.end)));
    }
    describe(*this, QAccessible::Chart, tr("Channels after white"), told.join(QStringLiteral("; ")),
             note);
    setToolTip(tr("Under the light that the white is set for. Noise: where it stands after the "
                  "gain. Clip: where the channel ends. The short line: where its photosites are "
                  "full."));
    update();
}

void ChannelPicture::clear() {
    m_white.reset();
    update();
}

double ChannelPicture::x(Stops stops) const {
    const double share = (stops.value() - m_low) / (m_high - m_low);
    return kHead + std::clamp(share, 0.0, 1.0) * (width() - kHead - 8);
}

void ChannelPicture::paintChannel(QPainter& painter, const QRectF& row, std::size_t channel) const {
    const auto& t = m_style.colours();
    const auto& facts = m_white->channels[channel];
    const QColor inks[] = {t.coral, t.sea, t.sky};
    painter.fillRect(QRectF(8, row.top() + 3, 5, row.height() - 6), inks[channel]);
    painter.setFont(Style::font(TextRole::Body));
    painter.setPen(t.ink);
    painter.drawText(QRectF(20, row.top(), kHead - 28, row.height()), Qt::AlignVCenter,
                     QStringLiteral("%1 %2").arg(nameOfChannel(channel), toQt(print(facts.gain))));
    const double from = x(facts.floor), to = x(facts.end), full = x(facts.well);
    const double left = x(Stops(m_low)), right = x(Stops(m_high));
    painter.fillRect(QRectF(left, row.top(), right - left, row.height()), t.deep);
    painter.fillRect(QRectF(from, row.top(), to - from, row.height()), t.line);
    drawDots(painter, QRectF(left, row.top(), from - left, row.height()), t.muted);
    drawHatch(painter, QRectF(to, row.top(), right - to, row.height()), t.coral, 8);
    painter.setPen(QPen(t.ink, 1.4 * t.stroke));
    painter.drawLine(QPointF(full, row.top() - 2), QPointF(full, row.bottom() + 2));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.drawText(QRectF(from + 6, row.top(), 60, row.height()), Qt::AlignVCenter,
                     toQt(print(facts.floor)));
    painter.drawText(QRectF(std::min(to, full) - 66, row.top(), 60, row.height()),
                     Qt::AlignVCenter | Qt::AlignRight, toQt(print(facts.end)));
}

void ChannelPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    if (!m_white)
        return;
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = m_style.colours();
    QFont bold = Style::font(TextRole::Secondary);
    bold.setBold(true);
    painter.setFont(bold);
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, 0, kHead, 18), Qt::AlignLeft, tr("Channels after white"));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(m_note.isEmpty() ? t.muted : t.ink);
    const QString note = m_note.isEmpty() ? tr("stops from mid-grey") : m_note;
    painter.drawText(QRectF(kHead, 0, width() - kHead - 8, 18), Qt::AlignRight,
                     elided(note, painter.font(), width() - kHead - 8));
    for (std::size_t c = 0; c < 3; ++c)
        paintChannel(painter, QRectF(0, 22 + static_cast<double>(c) * kRow, width(), kRow - 6), c);
}

} // namespace bslate::app
