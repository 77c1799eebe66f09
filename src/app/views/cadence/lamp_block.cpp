#include "app/views/cadence/lamp_block.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QKeyEvent>
#include <QPainter>

namespace bslate::app {
namespace {

constexpr int kPixelsPerHertz = 3;

QString factsOf(const PulsedLight& light) {
    const QString share = LampBlock::tr("%1 of light").arg(toQt(print(light.share)));
    if (light.waveform == Waveform::Steady)
        return LampBlock::tr("steady \u00b7 %1").arg(share);
    QString depth = QStringLiteral("\u00b1%1").arg(toQt(print(light.depth)));
    if (light.waveform == Waveform::Pwm)
        depth = LampBlock::tr("on %1").arg(toQt(print(light.duty)));
    if (light.waveform == Waveform::Harmonics)
        depth = LampBlock::tr("%1 harmonics").arg(light.harmonics.size());
    return QStringLiteral("%1 \u00b7 %2 \u00b7 %3").arg(toQt(print(light.frequency)), depth, share);
}

} // namespace

LampBlock::LampBlock(const Style& style, QuantityEdit::Check check, QWidget* parent)
    : DragField(style, std::move(check), kPixelsPerHertz, parent) {
    edit().keepRefused();
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    edit().setObjectName(QStringLiteral("lamp-line"));
    edit().setAccessibleName(tr("Lamp"));
}

void LampBlock::show(const QString& name, const QString& line, const PulsedLight& light) {
    m_name = name;
    m_line = line;
    m_facts = factsOf(light);
    setToolTip(name + QStringLiteral("\n") + m_facts +
               tr("\nDrag or arrows: frequency and depth; Return: type; Delete"));
    describe(*this, QAccessible::SpinBox, tr("Lamp %1").arg(name), m_facts);
    setVisible(true);
    update();
}

void LampBlock::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = style().colours();
    const bool active = isActive();
    drawBlock(painter, rect(), active ? t.raised : t.deep, active ? t.marigold : t.line,
              active ? 2.0 : 1.2);
    painter.setPen(t.ink);
    painter.setFont(Style::font(TextRole::Title));
    painter.drawText(QRect(10, 6, width() - 18, 20), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(m_name, painter.font(), width() - 18));
    painter.setPen(t.muted);
    painter.setFont(Style::font(TextRole::Secondary));
    painter.drawText(QRect(10, 26, width() - 18, 18), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(m_facts, painter.font(), width() - 18));
}

void LampBlock::keyPressEvent(QKeyEvent* event) {
    if (event->modifiers() & Qt::ControlModifier) {
        DragField::keyPressEvent(event);
        return;
    }
    const int many = event->modifiers() & Qt::ShiftModifier ? 10 : 1;
    switch (event->key()) {
    case Qt::Key_Right:
        return emit frequencyStepped(many);
    case Qt::Key_Left:
        return emit frequencyStepped(-many);
    case Qt::Key_Up:
        return emit depthStepped(5);
    case Qt::Key_Down:
        return emit depthStepped(-5);
    case Qt::Key_Delete:
        return emit deleteRequested();
    default:
        DragField::keyPressEvent(event);
    }
}

} // namespace bslate::app
