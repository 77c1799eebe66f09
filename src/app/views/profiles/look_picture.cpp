#include "app/views/profiles/look_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <cmath>

namespace bslate::app {
namespace {

constexpr double kHead = 20, kName = 18, kLevel = 18;

QColor colourOf(const Rgb& rgb) {
    return QColor::fromRgbF(static_cast<float>(rgb[0]), static_cast<float>(rgb[1]),
                            static_cast<float>(rgb[2]));
}

QString hueName(Hue hue) {
    const QString names[] = {LookPicture::tr("red"),   LookPicture::tr("yellow"),
                             LookPicture::tr("green"), LookPicture::tr("cyan"),
                             LookPicture::tr("blue"),  LookPicture::tr("magenta")};
    return names[static_cast<std::size_t>(hue)];
}

} // namespace

LookPicture::LookPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("looks"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void LookPicture::show(std::vector<LookSample> samples, const QString& first,
                       const QString& second) {
    m_samples = std::move(samples);
    m_first = first;
    m_second = second;
    describe(*this, QAccessible::Graphic, tr("Two looks on the same scene"), words());
    update();
}

QString LookPicture::words() const {
    QStringList parts;
    for (const auto& sample : m_samples)
        parts << tr("%1: %2 and %3")
                     .arg(sample.name.empty() ? hueName(sample.hue) : toQt(sample.name),
                          toQt(print(sample.level[0])), toQt(print(sample.level[1])));
    return parts.join(QStringLiteral("; "));
}

void LookPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.ink);
    painter.drawText(QRectF(0, 0, width(), kHead), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(tr("left half: %1   right half: %2").arg(m_first, m_second),
                            painter.font(), width()));
    if (m_samples.empty())
        return;
    const auto columns = static_cast<double>((m_samples.size() + 1) / 2);
    const double wide = width() / columns, tall = (height() - kHead) / 2;
    for (std::size_t i = 0; i < m_samples.size(); ++i) {
        const auto& sample = m_samples[i];
        const double x = std::fmod(static_cast<double>(i), columns) * wide;
        const double y = kHead + std::floor(static_cast<double>(i) / columns) * tall;
        painter.setPen(t.muted);
        painter.drawText(QRectF(x, y, wide - 6, kName), Qt::AlignLeft | Qt::AlignVCenter,
                         elided(sample.name.empty() ? hueName(sample.hue) : toQt(sample.name),
                                painter.font(), wide - 6));
        for (std::size_t side = 0; side < 2; ++side) {
            const QRectF half(x + static_cast<double>(side) * (wide - 6) / 2, y + kName,
                              (wide - 6) / 2, tall - kName - kLevel - 4);
            painter.fillRect(half, colourOf(sample.shown[side]));
            if (sample.lost[side])
                drawHatch(painter, half, t.coral);
            painter.setPen(sample.lost[side] ? t.coral : t.ink);
            painter.drawText(QRectF(half.left(), half.bottom() + 1, half.width(), kLevel),
                             Qt::AlignCenter, toQt(print(sample.level[side])));
        }
    }
}

} // namespace bslate::app
