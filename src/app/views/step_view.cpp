#include "app/views/step_view.h"

#include "app/style/marks.h"

#include <QLabel>
#include <QPainter>
#include <QVBoxLayout>

namespace bslate::app {

StepView::StepView(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_panelStyle(style) {}

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
