#pragma once

#include "core/banks/best_banks.h"
#include "core/day/day_plan.h"

#include <map>
#include <string>

/// A bank on a card, and the formatting of that card.
namespace bslate {

/// Before a setup rolls its card is emptied: what was kept on it is gone.
struct CardFormat {
    int day = 1;
    bool inDay = false; ///< between takes of that day, not in the morning
    std::string ticked; ///< when that was ticked, "2026-05-02 06:10"; empty: not yet
    friend bool operator==(const CardFormat&, const CardFormat&) = default;
};

/// By setup id; setups before any formatting are left out. Cards are formatted on every morning
/// after the shoot's first day, whichever camera had them (common practice, no source), and where
/// the plan of a day renews them before one of its takes. `plan` may be of any day, or null.
using CardFormats = std::map<std::string, CardFormat>;
[[nodiscard]] CardFormats cardFormatsOf(const Shoot& shoot, const CameraWork& work,
                                        const DayPlan* plan);

/// True when a bank on the card, last written as `written`, is not there any more for a setup with
/// this formatting: whatever was written after the formatting was ticked is.
[[nodiscard]] bool isGone(const CardFormat& format, const WrittenBank* written);

/// True when a card of a setup's takes was used before on that day and renewed since.
[[nodiscard]] bool isRenewedFor(const DayPlan& plan, const std::string& setup);

/// What its tick is called.
inline constexpr std::string_view kCardPrepared = "card-prepared";

} // namespace bslate
