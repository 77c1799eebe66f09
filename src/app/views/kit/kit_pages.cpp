#include "app/views/kit/kit_pages.h"

#include "app/style/marks.h"

#include <QButtonGroup>
#include <QPainter>
#include <QPushButton>
#include <QShortcut>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace bslate::app {

KitPages::KitPages(const Style& style, QWidget* gear, QWidget* profiles, QWidget* bodyTest,
                   QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_buttons(new QButtonGroup(this))
    , m_stack(new QStackedWidget) {
    setObjectName(QStringLiteral("kit-pages"));
    setAccessibleName(tr("Kit"));
    setFocusPolicy(Qt::StrongFocus);
    auto* bar = new QHBoxLayout;
    bar->setContentsMargins(16, 8, 16, 0);
    bar->setSpacing(4);
    const std::pair<QString, QWidget*> pages[] = {
        {tr("Gear"), gear}, {tr("Profiles"), profiles}, {tr("Body test"), bodyTest}};
    int id = 0;
    for (const auto& [name, widget] : pages) {
        auto* button = new QPushButton(name);
        button->setObjectName(QStringLiteral("kit-page-%1").arg(id));
        button->setCheckable(true);
        m_buttons->addButton(button, id++);
        bar->addWidget(button);
        m_stack->addWidget(widget);
    }
    bar->addStretch(1);
    m_buttons->button(Gear)->setChecked(true);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addLayout(bar);
    column->addWidget(m_stack, 1);
    connect(m_buttons, &QButtonGroup::idClicked, this, &KitPages::showPage);
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

void KitPages::showPage(int page) {
    m_stack->setCurrentIndex(page);
    m_buttons->button(page)->setChecked(true);
    m_stack->currentWidget()->setFocus();
}

int KitPages::page() const {
    return m_stack->currentIndex();
}

void KitPages::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    m_stack->currentWidget()->setFocus();
}

void KitPages::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    drawBlock(painter, rect(), m_style.colours().panel, {}, 0);
}

} // namespace bslate::app
