#include "app/views/kit/body_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr double kLowest = -10, kHighest = 8; // stops from mid-grey
constexpr double kBaseRow = 34, kBaseName = 52, kLine = 18, kBankSide = 20;
constexpr int kMostBanks = 12;

} // namespace

BodyPicture::BodyPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("body-picture"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void BodyPicture::show(const Camera& camera, double snrFloor) {
    m_camera = camera;
    m_snr = snrFloor;
    QStringList words;
    for (const auto& base : camera.bases)
        words << tr("base %1: %2 stops over grey, %3 under")
                     .arg(toQt(print(base.iso)), toQt(printPlain(base.sensor.clip)),
                          toQt(printPlain(noiseFloor(base.sensor, m_snr))));
    for (const auto& slot : camera.cardSlots)
        words << QStringLiteral("%1 %2").arg(toQt(slot.name), toQt(slot.bus));
    words << tr("%1 banks, %2 on the card").arg(camera.banks.internal).arg(camera.banks.onCard);
    describe(*this, QAccessible::Graphic, tr("What %1 has").arg(toQt(camera.name)),
             words.join(QStringLiteral("; ")));
    update();
}

double BodyPicture::paintWindows(QPainter& painter) const {
    const auto& t = m_style.colours();
    const double wide = width() - kBaseName;
    const auto x = [&](Stops stops) {
        return kBaseName + wide * (std::clamp(stops.value(), kLowest, kHighest) - kLowest) /
                               (kHighest - kLowest);
    };
    double y = 0;
    for (const auto& base : m_camera.bases) {
        const Stops floor = noiseFloor(base.sensor, m_snr);
        painter.setPen(t.muted);
        painter.drawText(QRectF(0, y, kBaseName - 8, 16), Qt::AlignVCenter | Qt::AlignLeft,
                         toQt(print(base.iso)));
        const QRectF bar(x(floor), y + 2, x(base.sensor.clip) - x(floor), 12);
        painter.fillRect(QRectF(kBaseName, y + 2, wide, 12), t.deep);
        painter.fillRect(bar, t.muted);
        painter.fillRect(QRectF(x(Stops(0)) - 0.5, y, 1, 16), t.ink);
        painter.drawText(QRectF(kBaseName, y + 15, x(Stops(0)) - kBaseName - 6, 16),
                         Qt::AlignRight | Qt::AlignVCenter,
                         tr("%1 under").arg(toQt(printPlain(floor))));
        painter.drawText(QRectF(x(Stops(0)) + 6, y + 15, width() - x(Stops(0)) - 6, 16),
                         Qt::AlignLeft | Qt::AlignVCenter,
                         tr("%1 over grey").arg(toQt(printPlain(base.sensor.clip))));
        y += kBaseRow;
    }
    return y + 4;
}

double BodyPicture::paintSlots(QPainter& painter, double top) const {
    const auto& t = m_style.colours();
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, top, kBaseName, kLine), Qt::AlignVCenter, tr("slots"));
    for (const auto& slot : m_camera.cardSlots) {
        // A card with its corner cut.
        const QRectF card(kBaseName, top + 2, 12, 14);
        painter.setPen(Qt::NoPen);
        painter.setBrush(t.ink);
        painter.drawPolygon(
            QPolygonF({card.topLeft(), card.topRight() - QPointF(4, 0),
                       card.topRight() + QPointF(0, 4), card.bottomRight(), card.bottomLeft()}));
        painter.setPen(t.ink);
        painter.drawText(QRectF(kBaseName + 20, top, width() - kBaseName - 20, kLine),
                         Qt::AlignVCenter,
                         elided(tr("%1, %2").arg(toQt(slot.name), toQt(slot.bus)), painter.font(),
                                width() - kBaseName - 20));
        top += kLine;
    }
    return (m_camera.cardSlots.empty() ? top + kLine : top) + 6;
}

void BodyPicture::paintBanks(QPainter& painter, double top) const {
    const auto& t = m_style.colours();
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, top, kBaseName, kBankSide), Qt::AlignVCenter, tr("banks"));
    const int all = m_camera.banks.internal + m_camera.banks.onCard;
    double x = kBaseName;
    for (int i = 0; i < std::min(all, kMostBanks); ++i, x += kBankSide + 4) {
        const bool onCard = i >= m_camera.banks.internal;
        const QRectF box(x, top, kBankSide, kBankSide);
        drawBlock(painter, box, t.deep, onCard ? t.muted : t.ink, 1);
        painter.setPen(onCard ? t.muted : t.ink);
        painter.drawText(box, Qt::AlignCenter, QString::number(i + 1));
    }
    painter.setPen(t.muted);
    const QString rest = all == 0                    ? tr("none")
                         : all > kMostBanks          ? tr("and %1 more").arg(all - kMostBanks)
                         : m_camera.banks.onCard > 0 ? tr("grey: on the card, lost with it")
                                                     : QString();
    painter.drawText(QRectF(x + 4, top, width() - x - 4, kBankSide), Qt::AlignVCenter,
                     elided(rest, painter.font(), width() - x - 4));
}

void BodyPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setRenderHint(QPainter::Antialiasing);
    paintBanks(painter, paintSlots(painter, paintWindows(painter)));
}

} // namespace bslate::app
