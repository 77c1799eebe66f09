#include "app/views/banks/control_plates.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/painted_access.h"
#include "core/words/bank_cards.h"
#include "core/words/body_words.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr double kPlateGap = 8, kPlateHeight = 40, kLeastPlate = 128;

} // namespace

ControlPlates::ControlPlates(const BankPlanner& planner, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_planner(planner)
    , m_style(style) {
    setObjectName(QStringLiteral("control-plates"));
    setFocusPolicy(Qt::StrongFocus);
    QSizePolicy policy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

int ControlPlates::count() const {
    return static_cast<int>(m_planner.plan().controls.uses.size());
}

int ControlPlates::columns(int width) const {
    return std::clamp(static_cast<int>((width + kPlateGap) / (kLeastPlate + kPlateGap)), 1, 12);
}

int ControlPlates::heightForWidth(int width) const {
    const int all = columns(width);
    const int rows = std::max(1, (count() + all - 1) / all);
    return static_cast<int>(rows * (kPlateHeight + kPlateGap) - kPlateGap);
}

void ControlPlates::refresh() {
    m_current = std::clamp(m_current, 0, std::max(0, count() - 1));
    updateGeometry();
    tell();
    update();
}

void ControlPlates::setCurrent(int control) {
    m_current = std::clamp(control, 0, std::max(0, count() - 1));
    tell();
    update();
}

QRectF ControlPlates::plateBox(int control) const {
    const int all = columns(width());
    const double wide = (width() + kPlateGap) / static_cast<double>(all) - kPlateGap;
    return {(control % all) * (wide + kPlateGap), (control / all) * (kPlateHeight + kPlateGap),
            wide, kPlateHeight};
}

QString ControlPlates::wordsOf(int control) const {
    const auto* camera = m_planner.inView().camera;
    if (!camera || control >= count())
        return tr("no controls described");
    const auto& use = m_planner.plan().controls.uses[static_cast<std::size_t>(control)];
    return tr("%1: %2, %3")
        .arg(toQt(camera->body.controls[use.control].label),
             use.function ? toQt(nameOf(*use.function, translator())) : tr("nothing"),
             toQt(reasonOf(use, translator())));
}

void ControlPlates::tell() {
    describe(*this, QAccessible::List, tr("Controls"), wordsOf(m_current),
             tr("Arrows move, Return chooses another function"));
}

void ControlPlates::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    const auto* camera = m_planner.inView().camera;
    if (count() == 0 || !camera) {
        painter.setFont(Style::font(TextRole::Body));
        painter.setPen(t.muted);
        painter.drawText(rect(), Qt::AlignLeft | Qt::AlignVCenter,
                         tr("No controls described: the camera's sheet takes them (Kit)."));
        return;
    }
    for (int i = 0; i < count(); ++i) {
        const auto& use = m_planner.plan().controls.uses[static_cast<std::size_t>(i)];
        const QRectF box = plateBox(i);
        const bool given = use.why == ControlWhy::Needed || use.why == ControlWhy::Chosen;
        const bool focused = hasFocus() && i == m_current;
        drawBlock(painter, box, focused ? t.raised : t.deep, given ? t.marigold : t.line,
                  focused ? 2.5 : 1);
        const double room = box.width() - 16;
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.muted);
        painter.drawText(
            box.adjusted(8, 3, -8, 0), Qt::AlignLeft | Qt::AlignTop,
            elided(toQt(camera->body.controls[use.control].label), painter.font(), room));
        QFont font = Style::font(TextRole::Body);
        font.setBold(given);
        painter.setFont(font);
        painter.setPen(given ? t.marigold : use.function ? t.ink : t.muted);
        painter.drawText(
            box.adjusted(8, 0, -8, -4), Qt::AlignLeft | Qt::AlignBottom,
            elided(use.function ? toQt(nameOf(*use.function, translator())) : tr("free"), font,
                   room));
    }
}

void ControlPlates::keyPressEvent(QKeyEvent* event) {
    if (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier))
        return QWidget::keyPressEvent(event);
    switch (event->key()) {
    case Qt::Key_Left:
        return setCurrent(m_current - 1);
    case Qt::Key_Right:
        return setCurrent(m_current + 1);
    case Qt::Key_Up:
        return setCurrent(m_current - columns(width()));
    case Qt::Key_Down:
        return setCurrent(m_current + columns(width()));
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_Space:
        if (count() > 0)
            emit asked(m_current);
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

void ControlPlates::mousePressEvent(QMouseEvent* event) {
    for (int i = 0; i < count(); ++i)
        if (plateBox(i).contains(event->position())) {
            setCurrent(i);
            emit asked(i);
            return;
        }
}

void ControlPlates::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}

void ControlPlates::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

void ControlPlates::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    if (event->size().width() != event->oldSize().width())
        updateGeometry();
}

bool ControlPlates::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip)
        return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    for (int i = 0; i < count(); ++i)
        if (plateBox(i).contains(help->pos())) {
            QToolTip::showText(help->globalPos(), wordsOf(i), this);
            return true;
        }
    QToolTip::hideText();
    return true;
}

} // namespace bslate::app
