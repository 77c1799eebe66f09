#include "app/shell/next_bar.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>

namespace bslate::app {

NextBar::NextBar(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_sentence(new QLabel)
    , m_button(new QPushButton) {
    setObjectName(QStringLiteral("next"));
    m_sentence->setWordWrap(true);
    m_sentence->setTextFormat(Qt::PlainText);
    m_button->setObjectName(QStringLiteral("next-do"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(14, 6, 8, 6);
    row->addWidget(m_sentence, 1);
    row->addWidget(m_button);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    connect(m_button, &QPushButton::clicked, this, [this] {
        if (const auto act = m_act)
            act();
    });
    hide();
}

void NextBar::show(Advice advice) {
    m_sentence->setText(advice.sentence);
    m_button->setText(advice.button);
    m_button->setAccessibleDescription(advice.sentence);
    m_act = std::move(advice.act);
    setVisible(true);
}

QString NextBar::sentence() const {
    return isHidden() ? QString() : m_sentence->text();
}

void NextBar::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_style.colours().panel);
    painter.fillRect(QRect(0, 0, 4, height()), m_style.colours().marigold);
}

} // namespace bslate::app
