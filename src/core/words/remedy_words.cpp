#include "core/words/remedy_words.h"

#include "core/base/enumerated.h"

namespace bslate {
namespace {

struct RemedyWords {
    std::string_view key;
    const char* title;
};

constexpr auto kRemedies = tableOf<RemedyWords, RemedyId>(
    {{RemedyId::SetNd, {"set-nd", "{on} on, {nd} of ND"}},
     {RemedyId::SwapNd, {"swap-nd", "{on} in place of {out}, {nd} of ND"}},
     {RemedyId::RemoveNd, {"remove-nd", "Take {out} out"}},
     {RemedyId::SetIris, {"set-iris", "Iris {iris}"}},
     {RemedyId::Rerate, {"rerate", "Rate EI {ei}"}},
     {RemedyId::SetRating, {"set-rating", "Set ISO {ei}"}},
     {RemedyId::SetBase, {"set-base", "Base {ei}"}},
     {RemedyId::SetShutter, {"set-shutter", "Shutter {shutter}"}},
     {RemedyId::SetShutterPaid,
      {"set-shutter-paid", "Shutter {shutter}: {cost##:stop|stops}, {payer} pays"}},
     {RemedyId::SetSchool, {"set-school", "Use {school}"}},
     {RemedyId::SaveSubject, {"save-subject", "Save the subject, let {given} go"}},
     {RemedyId::SaveHighlight, {"save-highlight", "Save the highlight"}},
     {RemedyId::SetMode, {"set-mode", "{mode}, {rate}"}},
     {RemedyId::SetProfile, {"set-profile", "Profile {profile}"}},
     {RemedyId::SetPower, {"set-power", "Plug in external power"}},
     {RemedyId::NoProxy, {"no-proxy", "No proxy in the second slot"}},
     {RemedyId::SetLens, {"set-lens", "{lens} at {focal}"}},
     {RemedyId::SetFocal, {"set-focal", "Zoom to {focal}"}},
     {RemedyId::SetRate, {"set-rate", "Capture at {rate}"}},
     {RemedyId::SetRateShutter, {"set-rate-shutter", "Capture at {rate}, shutter {shutter}"}},
     {RemedyId::ChangeLight, {"change-light", "Fill shadows {fill}"}},
     {RemedyId::DayRelay, {"day-relay", "Relay to the second slot, {camera}"}},
     {RemedyId::DayProxy, {"day-proxy", "Proxy instead of mirror, {camera}"}},
     {RemedyId::DayMirrorOff, {"day-mirror-off", "No mirror on {camera}"}},
     {RemedyId::DayLendCard, {"day-lend-card", "One more {name}"}},
     {RemedyId::DayLendCards, {"day-lend-cards", "{count} more {name}"}},
     {RemedyId::DayLendBattery, {"day-lend-battery", "One more {name}"}},
     {RemedyId::DayLendBatteries, {"day-lend-batteries", "{count} more of {name}"}},
     {RemedyId::DayLendReader, {"day-lend-reader", "One more {reader}"}},
     {RemedyId::DayLendCharger, {"day-lend-charger", "One more {charger}"}},
     {RemedyId::DayLendDrive, {"day-lend-drive", "One more {drive}, {size}"}},
     {RemedyId::DayLargerDrives, {"day-larger-drives", "Drives of {size}"}},
     {RemedyId::DayExternal, {"day-external", "External power for {camera}"}},
     {RemedyId::DayMode, {"day-mode", "{camera}: {mode}, {bitRate}"}},
     {RemedyId::DayWait, {"day-wait", "Begin at {start}, {by} later"}},
     {RemedyId::DayLetStop, {"day-let-stop", "Let {take} be interrupted"}},
     {RemedyId::StabiliserOff, {"stabiliser-off", "Stabiliser off"}},
     {RemedyId::StabiliserOn, {"stabiliser-on", "Stabiliser on"}},
     {RemedyId::WirelessOff, {"wireless-off", "Wireless off"}},
     {RemedyId::FocusByHand, {"focus-by-hand", "Focus by hand"}},
     {RemedyId::AutomaticOff, {"automatic-off", "Switch off {automatic}"}},
     {RemedyId::MoveBank, {"move-bank", "{setups} to bank {bank}"}},
     {RemedyId::NoBank, {"no-bank", "{setups} by hand, no bank"}},
     {RemedyId::BestBanks, {"best-banks", "The banks that cost least"}},
     {RemedyId::PutBack, {"put-back", "{function} back on {control}"}},
     {RemedyId::KeepClear, {"keep-clear", "{,given}"}},
     {RemedyId::WriteBank, {"write-bank", "Write bank {bank} as {setup} and note it"}},
     {RemedyId::SetWhite, {"set-white", "White {white}"}},
     {RemedyId::WhiteBetween, {"white-between", "White between, {white}"}},
     {RemedyId::WhiteAs, {"white-as", "White {white}, as {setup}"}},
     {RemedyId::GelLamp, {"gel-lamp", "{gels} on {lamp}"}},
     {RemedyId::MeasureWhite, {"measure-white", "Measured again through the ND"}},
     {RemedyId::MoveLight, {"move-light", "{lamp} by {+by}"}}});

} // namespace

std::string_view keyOf(RemedyId id) {
    return kRemedies[id].key;
}

const char* titleOf(RemedyId id) {
    return kRemedies[id].title;
}

} // namespace bslate
