#include "app/shell/page_holder.h"

#include <QVBoxLayout>

#include <utility>

namespace bslate::app {

PageHolder::PageHolder(const QMetaObject& kind, std::function<StepView*()> make)
    : m_kind(kind)
    , m_make(std::move(make)) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
}

StepView& PageHolder::page() {
    if (!m_make)
        return *m_page;
    const auto make = std::exchange(m_make, nullptr);
    m_page = make();
    setFocusProxy(m_page);
    emit made(*m_page);
    layout()->addWidget(m_page);
    m_page->show(); // with its place, or at once where that is seen already
    layout()->activate();
    return *m_page;
}

void PageHolder::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    page();
}

} // namespace bslate::app
