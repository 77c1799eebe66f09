#include "app/shell/step_bar.h"

#include "app/style/marks.h"

#include <QPainter>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

class StepButton : public QAbstractButton {
public:
    StepButton(const Style& style, int number, const QString& name, const QString& help,
               QWidget* parent)
        : QAbstractButton(parent)
        , m_style(style)
        , m_number(number) {
        setText(name);
        setCheckable(true);
        setAutoExclusive(true);
        setFixedHeight(58);
        setFocusPolicy(Qt::TabFocus);
        setAccessibleName(QObject::tr("Step %1, %2").arg(number).arg(name));
        setAccessibleDescription(help);
        setToolTip(QStringLiteral("Ctrl+%1: %2").arg(number).arg(help));
        setObjectName(QStringLiteral("step-%1").arg(number));
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        const auto& t = m_style.colours();
        if (isChecked()) {
            painter.fillRect(rect(), t.raised);
            painter.fillRect(QRect(0, 0, 3, height()), t.marigold);
        }
        if (hasFocus())
            drawBlock(painter, rect().adjusted(4, 2, -2, -2), Qt::transparent, t.marigold, 1.5);
        painter.setPen(isChecked() ? t.marigold : t.ink);
        painter.setFont(Style::font(TextRole::Head));
        painter.drawText(QRect(0, 8, width(), 24), Qt::AlignCenter, QString::number(m_number));
        painter.setPen(isChecked() ? t.ink : t.muted);
        painter.setFont(Style::font(TextRole::Secondary));
        painter.drawText(QRect(0, 32, width(), 18), Qt::AlignCenter, text());
    }

private:
    const Style& m_style;
    int m_number;
};

} // namespace

StepBar::StepBar(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setFixedWidth(76);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 8, 0, 8);
    column->setSpacing(4);
    column->addStretch(1);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void StepBar::addStep(int number, const QString& name, const QString& help) {
    auto* button = new StepButton(m_style, number, name, help, this);
    auto* column = static_cast<QVBoxLayout*>(layout());
    column->insertWidget(column->count() - 1, button);
    button->setProperty("step", number);
    m_buttons.append(button);
    connect(button, &QAbstractButton::clicked, this, [this, number] { emit chosen(number); });
}

void StepBar::setCurrent(int number) {
    m_current = number;
    for (auto* button : m_buttons)
        button->setChecked(button->property("step").toInt() == number);
}

void StepBar::leave() {
    for (auto* button : m_buttons) { // of exclusive ones, one stays checked
        button->setAutoExclusive(false);
        button->setChecked(false);
        button->setAutoExclusive(true);
    }
}

void StepBar::paintEvent(QPaintEvent*) {
    QPainter(this).fillRect(rect(), m_style.colours().deep);
}

} // namespace bslate::app
