#include "app/widgets/painted_access.h"

#include <QVariant>

namespace bslate::app {
namespace {

constexpr const char* kRole = "bslateRole";
constexpr const char* kValue = "bslateValue";

// Asked once for an object, maybe before it was described: so all of our own plain widgets get
// the interface, and it looks the role up when asked. Subclasses of Qt's controls keep theirs.
QAccessibleInterface* makeInterface(const QString& className, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    if (!widget || !className.startsWith(QStringLiteral("bslate::app::")))
        return nullptr;
    const auto* base = widget->metaObject()->superClass();
    while (QByteArrayView(base->className()).startsWith("bslate::app::"))
        base = base->superClass();
    return base == &QWidget::staticMetaObject ? new PaintedAccess(widget) : nullptr;
}

} // namespace

QAccessible::Role PaintedAccess::role() const {
    const auto role = widget()->property(kRole);
    return role.isValid() ? static_cast<QAccessible::Role>(role.toInt())
                          : QAccessibleWidget::role();
}

QString PaintedAccess::text(QAccessible::Text kind) const {
    return kind == QAccessible::Value ? widget()->property(kValue).toString()
                                      : QAccessibleWidget::text(kind);
}

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
