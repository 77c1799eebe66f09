#include "app/views/banks/control_plates.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "core/words/bank_cards.h"
#include "core/words/body_words.h"

#include <QPainter>
#include <QResizeEvent>

#include <algorithm>

namespace bslate::app {
namespace {

constexpr double kPlateGap = 8, kPlateHeight = 40, kLeastPlate = 128;

} // namespace

ControlPlates::ControlPlates(const BankPlanner& planner, const Style& style, QWidget* parent)
    : PickCanvas(style, "control-plates", Order::Across, Click::Picks,
                 {QT_TRANSLATE_NOOP("Help", "choose a control, after Tab")}, parent)
    , m_planner(planner) {
    QSizePolicy policy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
    addPick({Qt::Key_Return, Qt::Key_Space},
            QT_TRANSLATE_NOOP("Help", "choose another function for the control"));
    setSpoken(QAccessible::List, tr("Controls"),
              tr("Arrows move, Return chooses another function"));
}

int ControlPlates::itemCount() const {
    const auto& plan = m_planner.plan();
    return m_planner.inView().camera ? static_cast<int>(plan.controls.uses.size()) : 0;
}

int ControlPlates::columnsIn(int width) const {
    return std::clamp(static_cast<int>((width + kPlateGap) / (kLeastPlate + kPlateGap)), 1, 12);
}

int ControlPlates::heightForWidth(int width) const {
    const int all = columnsIn(width);
    const int rows = std::max(1, (itemCount() + all - 1) / all);
    return static_cast<int>(rows * (kPlateHeight + kPlateGap) - kPlateGap);
}

QRectF ControlPlates::itemBox(int control) const {
    const int all = columnsIn(width());
    const double wide = (width() + kPlateGap) / static_cast<double>(all) - kPlateGap;
    const int row = control / all;
    return {(control % all) * (wide + kPlateGap), row * (kPlateHeight + kPlateGap), wide,
            kPlateHeight};
}

QString ControlPlates::itemWords(int control) const {
    const auto* camera = m_planner.inView().camera;
    const auto& use = m_planner.plan().controls.uses[static_cast<std::size_t>(control)];
    return tr("%1: %2, %3")
        .arg(toQt(camera->body.controls[use.control].label),
             use.function ? toQt(nameOf(*use.function, translator())) : tr("nothing"),
             toQt(reasonOf(use, translator())));
}

void ControlPlates::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = style().colours();
    const auto* camera = m_planner.inView().camera;
    if (itemCount() == 0) {
        painter.setFont(Style::font(TextRole::Body));
        painter.setPen(t.muted);
        painter.drawText(rect(), Qt::AlignLeft | Qt::AlignVCenter,
                         tr("No controls described: the camera's sheet takes them (Kit)."));
        return;
    }
    for (int i = 0; i < itemCount(); ++i) {
        const auto& use = m_planner.plan().controls.uses[static_cast<std::size_t>(i)];
        const QRectF box = itemBox(i);
        const bool given = use.why == ControlWhy::Needed || use.why == ControlWhy::Chosen;
        const bool focused = hasFocus() && i == current();
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

void ControlPlates::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    if (event->size().width() != event->oldSize().width())
        updateGeometry();
}

} // namespace bslate::app
