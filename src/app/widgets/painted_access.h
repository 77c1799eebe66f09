#pragma once

#include <QAccessibleWidget>
#include <QWidget>

namespace bslate::app {

/// What a painted control tells assistive technology. Set again whenever it changes; listeners
/// are told.
void describe(QWidget& widget, QAccessible::Role role, const QString& name, const QString& value,
              const QString& help = {});

/// What was described, as assistive technology asks for it.
class PaintedAccess : public QAccessibleWidget {
public:
    explicit PaintedAccess(QWidget* widget)
        : QAccessibleWidget(widget) {}

    QAccessible::Role role() const override;
    QString text(QAccessible::Text kind) const override;
};

/// Makes describe()d widgets answer with their role and value. Call once before any window.
void installPaintedAccess();

} // namespace bslate::app
