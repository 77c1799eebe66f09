#include "app/views/step_view.h"

#include "app/style/marks.h"

#include <QLabel>
#include <QPainter>
#include <QVBoxLayout>

namespace bslate::app {

StepView::StepView(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_panelStyle(style) {}

std::vector<KeyLine> StepView::keys() const {
    auto lines = m_keys.lines();
    for (auto& line : accessKeys(*this))
        lines.push_back(std::move(line));
    return lines;
}

QLabel* StepView::hintLabel() const {
    auto* hint = new QLabel(m_keys.hint());
    hint->setFont(Style::font(TextRole::Secondary));
    hint->setForegroundRole(QPalette::PlaceholderText);
    hint->setMinimumWidth(0);
    return hint;
}

void StepView::keyPressEvent(QKeyEvent* event) {
    if (!m_keys.press(*event))
        QWidget::keyPressEvent(event);
}

void StepView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    drawBlock(painter, rect(), m_panelStyle.colours().panel, {}, 0);
}

QLayout* pageHead(QLabel& title, QLabel& subtitle) {
    title.setFont(Style::font(TextRole::Head));
    title.setTextFormat(Qt::PlainText);
    subtitle.setForegroundRole(QPalette::PlaceholderText);
    subtitle.setTextFormat(Qt::PlainText);
    subtitle.setWordWrap(true);
    auto* titles = new QVBoxLayout;
    titles->setSpacing(2);
    titles->addWidget(&title);
    titles->addWidget(&subtitle);
    titles->addStretch(1);
    return titles;
}

} // namespace bslate::app
