#include "app/views/profiles/ramp_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/facts/evaluate.h"
#include "core/quantity/print.h"

#include <QPainter>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr std::array kDepths = {8, 10, 12};
constexpr int kWidth = 480, kHeight = 40;

QString answerText(EightBitAnswer answer) {
    switch (answer) {
    case EightBitAnswer::Enough:
        return RampPicture::tr("8 bits bear this grade: noise hides every step");
    case EightBitAnswer::NormalGamut:
        return RampPicture::tr("8 bits: no steps, but the gamut stretches colour");
    case EightBitAnswer::OnlyIfNailed:
        return RampPicture::tr("8 bits: steps only outside this scene's range");
    case EightBitAnswer::Never:
        break;
    }
    return RampPicture::tr("8 bits: steps inside this scene's range");
}

// The ramp's first line as a waveform over it, the whole height from its darkest to its lightest:
// steps too small to see on this screen are plain in it.
void drawTrace(QPainter& painter, const QRectF& strip, const QImage& image) {
    if (image.isNull())
        return;
    const auto* line = image.constScanLine(0);
    const auto [low, high] = std::minmax_element(line, line + image.width());
    const double range = std::max(1, *high - *low);
    QPolygonF trace;
    for (int x = 0; x < image.width(); ++x)
        trace << QPointF(strip.left() + x * strip.width() / (image.width() - 1.0),
                         strip.bottom() - 3 - (line[x] - *low) / range * (strip.height() - 6));
    painter.setPen(QPen(QColor(20, 24, 28), 1.2));
    painter.drawPolyline(trace);
}

} // namespace

RampPicture::RampPicture(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QStringLiteral("ramps"));
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void RampPicture::show(const SetupContext& context) {
    m_why.clear();
    const auto at = evaluate(context);
    m_own = at.depth.bits;
    const auto grade = context.shoot->brief.grade;
    const auto eight = eightBits(context, grade);
    m_answer = answerText(eight.answer);
    m_shape = worstRamp(eight.graded, at);
    m_shape.width = kWidth;
    m_shape.height = kHeight;
    for (std::size_t i = 0; i < kDepths.size(); ++i) {
        const auto pixels = rampOf(context, BitDepth{kDepths[i]}, m_shape, grade);
        m_strips[i] =
            QImage(pixels.data(), kWidth, kHeight, kWidth, QImage::Format_Grayscale8).copy();
        m_precision[i] = precisionOf(context, BitDepth{kDepths[i]});
    }
    describe(*this, QAccessible::Graphic, tr("What the recording bears in the grade"), words());
    update();
}

void RampPicture::clear(const QString& why) {
    m_why = why;
    m_strips = {};
    describe(*this, QAccessible::Graphic, tr("What the recording bears in the grade"), why);
    update();
}

QString RampPicture::words() const {
    if (!m_why.isEmpty())
        return m_why;
    const auto& gain = m_precision[0].chromaGain;
    const double worst = *std::max_element(gain.begin(), gain.end());
    return tr("%1; colour steps x%2, %3 colour samples a pixel")
        .arg(m_answer)
        .arg(worst, 0, 'f', 2)
        .arg(m_precision[0].chromaSamples);
}

void RampPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    painter.setFont(Style::font(TextRole::Secondary));
    if (!m_why.isEmpty()) {
        painter.setPen(t.muted);
        painter.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, m_why);
        return;
    }
    painter.setPen(t.muted);
    painter.drawText(QRectF(0, 0, width(), 16), Qt::AlignLeft,
                     elided(tr("Grey from %1 to %2 stops, after the grade")
                                .arg(toQt(print(m_shape.low)), toQt(print(m_shape.high))),
                            painter.font(), width()));
    const double head = 54, top = 20, foot = 36;
    const double tall = (height() - top - foot) / 3.0;
    for (std::size_t i = 0; i < kDepths.size(); ++i) {
        const QRectF strip(head, top + static_cast<double>(i) * tall, width() - head, tall - 4);
        painter.drawImage(strip, m_strips[i]);
        drawTrace(painter, strip, m_strips[i]);
        const bool own = kDepths[i] == m_own;
        painter.setPen(QPen(own ? t.marigold : t.line, own ? 2 : 1));
        painter.drawRect(strip);
        painter.setPen(own ? t.marigold : t.muted);
        painter.drawText(QRectF(0, strip.top(), head - 6, strip.height()),
                         Qt::AlignLeft | Qt::AlignVCenter, tr("%1 bits").arg(kDepths[i]));
    }
    painter.setPen(t.ink);
    painter.drawText(QRectF(0, height() - foot + 2, width(), foot - 2),
                     Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap, words());
}

} // namespace bslate::app
