#include "app/views/cadence/lamp_block.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/quantity/print.h"

#include <QKeyEvent>
#include <QMouseEvent>
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
    : QWidget(parent)
    , m_style(style)
    , m_edit(new QuantityEdit(std::move(check), this)) {
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::SizeHorCursor);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    m_edit->setObjectName(QStringLiteral("lamp-line"));
    m_edit->setAccessibleName(tr("Lamp"));
    m_edit->hide();
    const auto close = [this] {
        m_edit->hide();
        setFocus();
    };
    connect(m_edit, &QuantityEdit::entered, this, [this, close](const QString& text) {
        close();
        emit typed(text);
    });
    connect(m_edit, &QuantityEdit::refused, this, [this, close](const QString& message) {
        close();
        emit refused(message);
    });
    connect(m_edit, &QuantityEdit::leftUnchanged, this, close);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
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

void LampBlock::type() {
    m_edit->setGeometry(rect().adjusted(3, 3, -3, -3));
    m_edit->showValue(m_line);
    m_edit->setText(m_line);
    m_edit->setModified(false);
    m_edit->show();
    m_edit->raise();
    m_edit->selectAll();
    m_edit->setFocus();
}

void LampBlock::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    const bool active = hasFocus() || m_dragging;
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

void LampBlock::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    m_pressedAt = static_cast<int>(event->globalPosition().x());
    m_lastHertz = 0;
    m_dragging = true;
    emit dragStarted();
    update();
}

void LampBlock::mouseMoveEvent(QMouseEvent* event) {
    if (!m_dragging)
        return;
    const int hertz =
        (static_cast<int>(event->globalPosition().x()) - m_pressedAt) / kPixelsPerHertz;
    if (hertz == m_lastHertz)
        return;
    m_lastHertz = hertz;
    emit draggedHertz(hertz);
}

void LampBlock::mouseReleaseEvent(QMouseEvent*) {
    if (!m_dragging)
        return;
    m_dragging = false;
    emit dragEnded();
    update();
}

void LampBlock::mouseDoubleClickEvent(QMouseEvent*) {
    m_dragging = false;
    type();
}

void LampBlock::keyPressEvent(QKeyEvent* event) {
    if (event->modifiers() & Qt::ControlModifier) {
        QWidget::keyPressEvent(event);
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
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_F2:
        return type();
    case Qt::Key_Delete:
        return emit deleteRequested();
    default:
        QWidget::keyPressEvent(event);
    }
}

} // namespace bslate::app
