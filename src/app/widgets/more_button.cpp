#include "app/widgets/more_button.h"

#include <QMenu>

namespace bslate::app {

MoreButton::MoreButton(const char* name, QWidget* parent)
    : QPushButton(tr("More"), parent) {
    setObjectName(QString::fromLatin1(name));
    setMenu(new QMenu(this));
}

void MoreButton::entry(const QString& text, const char* name, std::function<void()> act) {
    auto* made = menu()->addAction(text);
    made->setObjectName(QString::fromLatin1(name));
    connect(made, &QAction::triggered, this, std::move(act));
}

} // namespace bslate::app
