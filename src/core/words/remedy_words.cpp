#include "core/words/remedy_words.h"

#include <array>

namespace bslate {
namespace {

struct RemedyWords {
    RemedyId id;
    std::string_view key;
    const char* title;
};

constexpr std::array kRemedies = {
    RemedyWords{RemedyId::SetNd, "set-nd", "{on} on, {nd} of ND"},
    RemedyWords{RemedyId::SwapNd, "swap-nd", "{on} in place of {out}, {nd} of ND"},
    RemedyWords{RemedyId::RemoveNd, "remove-nd", "Take {out} out"},
    RemedyWords{RemedyId::SetIris, "set-iris", "Iris {iris}"},
    RemedyWords{RemedyId::Rerate, "rerate", "Rate EI {ei}"},
    RemedyWords{RemedyId::SetRating, "set-rating", "Set ISO {ei}"},
    RemedyWords{RemedyId::SetBase, "set-base", "Base {ei}"},
    RemedyWords{RemedyId::SetShutter, "set-shutter", "Shutter {shutter}"},
    RemedyWords{RemedyId::SetShutterPaid, "set-shutter-paid",
                "Shutter {shutter}: {cost##:stop|stops}, {payer} pays"},
    RemedyWords{RemedyId::SetSchool, "set-school", "Use {school}"},
    RemedyWords{RemedyId::SaveSubject, "save-subject", "Save the subject, let {given} go"},
    RemedyWords{RemedyId::SaveHighlight, "save-highlight", "Save the highlight"},
    RemedyWords{RemedyId::SetMode, "set-mode", "{mode}, {rate}"},
    RemedyWords{RemedyId::SetProfile, "set-profile", "Profile {profile}"},
    RemedyWords{RemedyId::SetPower, "set-power", "Plug in external power"},
    RemedyWords{RemedyId::NoProxy, "no-proxy", "No proxy in the second slot"},
    RemedyWords{RemedyId::SetLens, "set-lens", "{lens} at {focal}"},
    RemedyWords{RemedyId::SetFocal, "set-focal", "Zoom to {focal}"},
    RemedyWords{RemedyId::SetRate, "set-rate", "Capture at {rate}"},
    RemedyWords{RemedyId::SetRateShutter, "set-rate-shutter",
                "Capture at {rate}, shutter {shutter}"},
    RemedyWords{RemedyId::ChangeLight, "change-light", "Fill shadows {fill}"},
    RemedyWords{RemedyId::DayRelay, "day-relay", "Relay to the second slot, {camera}"},
    RemedyWords{RemedyId::DayProxy, "day-proxy", "Proxy instead of mirror, {camera}"},
    RemedyWords{RemedyId::DayMirrorOff, "day-mirror-off", "No mirror on {camera}"},
    RemedyWords{RemedyId::DayLendCard, "day-lend-card", "One more {name}"},
    RemedyWords{RemedyId::DayLendCards, "day-lend-cards", "{count} more {name}"},
    RemedyWords{RemedyId::DayLendBattery, "day-lend-battery", "One more {name}"},
    RemedyWords{RemedyId::DayLendBatteries, "day-lend-batteries", "{count} more of {name}"},
    RemedyWords{RemedyId::DayLendReader, "day-lend-reader", "One more {reader}"},
    RemedyWords{RemedyId::DayLendCharger, "day-lend-charger", "One more {charger}"},
    RemedyWords{RemedyId::DayLendDrive, "day-lend-drive", "One more {drive}, {size}"},
    RemedyWords{RemedyId::DayLargerDrives, "day-larger-drives", "Drives of {size}"},
    RemedyWords{RemedyId::DayExternal, "day-external", "External power for {camera}"},
    RemedyWords{RemedyId::DayMode, "day-mode", "{camera}: {mode}, {bitRate}"},
    RemedyWords{RemedyId::DayWait, "day-wait", "Begin at {start}, {by} later"},
    RemedyWords{RemedyId::DayLetStop, "day-let-stop", "Let {take} be interrupted"},
    RemedyWords{RemedyId::StabiliserOff, "stabiliser-off", "Stabiliser off"},
    RemedyWords{RemedyId::StabiliserOn, "stabiliser-on", "Stabiliser on"},
    RemedyWords{RemedyId::WirelessOff, "wireless-off", "Wireless off"},
    RemedyWords{RemedyId::FocusByHand, "focus-by-hand", "Focus by hand"},
    RemedyWords{RemedyId::AutomaticOff, "automatic-off", "Switch off {automatic}"},
    RemedyWords{RemedyId::MoveBank, "move-bank", "{setups} to bank {bank}"},
    RemedyWords{RemedyId::NoBank, "no-bank", "{setups} by hand, no bank"},
    RemedyWords{RemedyId::BestBanks, "best-banks", "The banks that cost least"},
    RemedyWords{RemedyId::PutBack, "put-back", "{function} back on {control}"},
    RemedyWords{RemedyId::KeepClear, "keep-clear", "{,given}"},
    RemedyWords{RemedyId::WriteBank, "write-bank", "Write bank {bank} as {setup} and note it"},
    RemedyWords{RemedyId::SetWhite, "set-white", "White {white}"},
    RemedyWords{RemedyId::WhiteBetween, "white-between", "White between, {white}"},
    RemedyWords{RemedyId::WhiteAs, "white-as", "White {white}, as {setup}"},
    RemedyWords{RemedyId::GelLamp, "gel-lamp", "{gels} on {lamp}"},
    RemedyWords{RemedyId::MeasureWhite, "measure-white", "Measured again through the ND"},
    RemedyWords{RemedyId::MoveLight, "move-light", "{lamp} by {+by}"},
};

constexpr bool inOrder() {
    for (std::size_t i = 0; i < kRemedies.size(); ++i)
        if (kRemedies[i].id != static_cast<RemedyId>(i))
            return false;
    return true;
}
static_assert(inOrder());

} // namespace

std::string_view keyOf(RemedyId id) {
    return kRemedies[static_cast<std::size_t>(id)].key;
}

const char* titleOf(RemedyId id) {
    return kRemedies[static_cast<std::size_t>(id)].title;
}

} // namespace bslate
