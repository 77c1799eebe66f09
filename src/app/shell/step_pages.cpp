#include "app/shell/step_pages.h"

#include "app/style/marks.h"

#include <QButtonGroup>
#include <QPainter>
#include <QPushButton>
#include <QShortcut>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace bslate::app {

StepPages::StepPages(const QString& name, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_buttons(new QButtonGroup(this))
    , m_stack(new QStackedWidget) {
    setObjectName(name.toLower());
    setAccessibleName(name);
    setFocusPolicy(Qt::StrongFocus);
    auto* bar = new QHBoxLayout;
    bar->setContentsMargins(16, 8, 16, 0);
    bar->setSpacing(4);
    bar->addStretch(1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addLayout(bar);
    column->addWidget(m_stack, 1);
    connect(m_buttons, &QButtonGroup::idClicked, this, &StepPages::showPage);
    const auto turn = [this](const QKeySequence& keys, int step) {
        auto* shortcut = new QShortcut(keys, this);
        shortcut->setContext(Qt::WidgetWithChildrenShortcut);
        connect(shortcut, &QShortcut::activated, this,
                [this, step] { showPage((page() + step + m_stack->count()) % m_stack->count()); });
    };
    turn(QKeySequence(QStringLiteral("Ctrl+PgDown")), 1);
    turn(QKeySequence(QStringLiteral("Ctrl+PgUp")), -1);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void StepPages::addPage(const QString& name, QWidget* page) {
    const int id = m_stack->count();
    auto* button = new QPushButton(name);
    button->setObjectName(QStringLiteral("%1-page-%2").arg(objectName()).arg(id));
    button->setCheckable(true);
    button->setChecked(id == 0);
    m_buttons->addButton(button, id);
    static_cast<QHBoxLayout*>(layout()->itemAt(0)->layout())->insertWidget(id, button);
    m_stack->addWidget(page);
}

void StepPages::showPage(int page) {
    m_stack->setCurrentIndex(page);
    m_buttons->button(page)->setChecked(true);
    m_stack->currentWidget()->setFocus();
    emit turned();
}

int StepPages::page() const {
    return m_stack->currentIndex();
}

void StepPages::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    m_stack->currentWidget()->setFocus();
}

void StepPages::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    drawBlock(painter, rect(), m_style.colours().panel, {}, 0);
}

} // namespace bslate::app
