#pragma once

#include "app/document/field_rows.h"
#include "core/kit/gear.h"

namespace bslate::app {

/// One field of a lens, filter, card or battery, to be changed in the kit by itself.
struct GearRow {
    RowLook look;
    QString text;                                  ///< as it is now
    std::function<Outcome(const QString&)> check;  ///< what of a text cannot be
    std::function<void(Kit&, const QString&)> put; ///< with a text the check accepted
};

/// The fields of an item; empty when it is not there, and for what has a sheet or a step of its
/// own.
[[nodiscard]] std::vector<GearRow> gearRows(const Kit& kit, KitPart kind, const QString& id);

/// Items of a kind as id and name.
[[nodiscard]] std::vector<RowChoice> itemsOf(const Kit& kit, KitPart kind);

} // namespace bslate::app
