#pragma once

#include "core/base/enumerated.h"
#include "core/facts/evaluation.h"
#include "core/facts/reason.h"
#include "core/facts/setup_context.h"
#include "core/kit/body.h"
#include "core/shoot/handling_of.h"

#include <span>

/// Everything that is set for a setup, one row a setting: what goes in, what it records, how it
/// sees, then the lens and what warns. Cards, banks, records and the command line read their values
/// here, so that no two of them can say different things.
namespace bslate {

/// What is set, in the order hands go over a body.
enum class DialInField {
    Camera,
    Card,
    SecondSlot,
    Region,
    Rate,
    Recording,
    Sound,
    Profile,
    Base,
    Rating,
    White,
    Gel,
    Shutter,
    Nd,
    Iris,
    Focus,
    Stabiliser,
    ZebraSkin,
    ZebraClip,
    Bank
};

/// What the values are found from.
struct Dialling {
    const SetupContext& context;
    const Evaluation& at;
    Handling handling;
};

/// One value, said twice.
struct Dialled {
    std::optional<Reason> card; ///< on the dial-in card; none: it says nothing of it
    std::string body;           ///< as it is read on the body; empty: the setup leaves it open
};

struct SettingRow {
    DialInField field;
    std::string_view key;              ///< on the command line
    const char* name;                  ///< on the card, English
    std::optional<BodySetting> onBody; ///< what a bank or a record knows it as
    std::vector<Dialled> (*values)(const Dialling&);
};

/// A row for each field, in the order of the enumeration.
[[nodiscard]] const ByEnum<DialInField, SettingRow>& settingTable();

/// What is in front of the lens or the sensor, "ND0.6 + ND0.3"; "none" without a filter.
[[nodiscard]] std::string filterNames(const SetupContext& context);

} // namespace bslate
