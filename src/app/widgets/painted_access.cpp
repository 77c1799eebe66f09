#include "app/widgets/painted_access.h"

#include <QAccessibleWidget>
#include <QVariant>

namespace bslate::app {
namespace {

constexpr const char* kRole = "bslateRole";
constexpr const char* kValue = "bslateValue";

class PaintedAccess : public QAccessibleWidget {
public:
    explicit PaintedAccess(QWidget* widget)
        : QAccessibleWidget(widget,
                            static_cast<QAccessible::Role>(widget->property(kRole).toInt())) {}

    QString text(QAccessible::Text kind) const override {
        if (kind == QAccessible::Value)
            return widget()->property(kValue).toString();
        return QAccessibleWidget::text(kind);
    }
};

QAccessibleInterface* makeInterface(const QString&, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    if (!widget || !widget->property(kRole).isValid())
        return nullptr;
    return new PaintedAccess(widget);
}

} // namespace

void describe(QWidget& widget, QAccessible::Role role, const QString& name, const QString& value,
              const QString& help) {
    widget.setProperty(kRole, static_cast<int>(role));
    if (widget.accessibleName() != name)
        widget.setAccessibleName(name);
    if (!help.isEmpty())
        widget.setAccessibleDescription(help);
    if (widget.property(kValue).toString() == value)
        return;
    widget.setProperty(kValue, value);
    if (QAccessible::isActive()) {
        QAccessibleValueChangeEvent event(&widget, value);
        QAccessible::updateAccessibility(&event);
    }
}

void installPaintedAccess() {
    static const bool once = [] {
        QAccessible::installFactory(makeInterface);
        return true;
    }();
    Q_UNUSED(once);
}

} // namespace bslate::app
