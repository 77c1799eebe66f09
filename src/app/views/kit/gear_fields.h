#pragma once

#include "app/document/kit_actions.h"
#include "app/widgets/quantity_edit.h"

#include <QString>

#include <functional>
#include <vector>

namespace bslate::app {

/// One typed field of a lens, filter, card or battery.
struct GearField {
    QString label;
    QString text; ///< as it is now
    QuantityEdit::Check check;
    std::function<void(Kit&, const QString&)> apply; ///< with a text the check accepted
};

/// The fields of an item; empty when it is not there, and for cameras, which have a sheet.
[[nodiscard]] std::vector<GearField> fieldsOf(const Kit& kit, GearKind kind, const QString& id);

/// Items of a kind as id and name.
[[nodiscard]] std::vector<std::pair<QString, QString>> itemsOf(const Kit& kit, GearKind kind);

} // namespace bslate::app
