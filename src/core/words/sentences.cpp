#include "core/words/sentences.h"

#include <span>

namespace bslate {
namespace {

struct Sentence {
    std::string_view id;
    const char* english;
};

// Why a recording cannot be had, what it costs, and what would open it: one clause each.
constexpr Sentence kReasons[] = {
    {"rolling-bands", "{bands} bands roll over the frame"},
    {"other-lamps", "lamps at {frequency} pulse at {alias} too"},
    {"mains-let-go", "with the mains 0.4 % off they creep, once round in {round}"},
    {"mains-off", "with the mains 0.4 % off it is {worst##} stop"},
    {"heat-beyond", ", hotter than the kit tells: at the latest"},
    {"filters-on", "{on} on"},
    {"filters-out", "{out} out"},
    {"filters-swapped", "{on} in place of {out}"},
    {"also-light", "light {+by}"},
    {"also-iris", "{iris}"},
    {"also-shutter", "shutter {shutter}"},
    {"also-rate", "{rate} frames a second"},
    {"also-base", "base {ei}"},
    {"also-rating", "EI {ei}"},
    {"also-profile", "profile {profile}"},
    {"also-mode", "{mode}"},
    {"also-lens", "{lens}"},
    {"also-focal", "{focal}"},
    {"also-power", "external power"},
    {"rate-not-in-container", "{container} has no {rate}"},
    {"rate-over-sensor", "{area} reads {fastest} a second at most"},
    {"rate-not-in-mode", "{mode} does not offer {rate}"},
    {"profile-not-in-mode", "{mode} does not record {profile}"},
    {"constraint", "{reason}"},
    {"eight-enough", "The noise of this scene hides every step: 8 bits bear this grade"},
    {"eight-normal-gamut",
     "No step shows, but the wide gamut stretches colour {gain} times: a normal gamut on the log "
     "curve, or a ready look"},
    {"eight-nailed",
     "Steps show from {+from#} to {+to#}, where this scene has nothing: only when light, exposure "
     "and white are nailed"},
    {"eight-never",
     "Steps show from {+from#} to {+to#}, inside this scene: take a ready look (less range), or 10 "
     "bits"},
    {"no-card", "no slot holding a card as fast as {need}; the best guarantees {best}"},
    {"no-card-fits", "no card at hand fits {slots}"},
    {"power", "does not start on the internal battery"},
    {"cost-crop", "{crop} crop"},
    {"cost-sound", "no sound"},
    {"cost-focus", "no autofocus"},
    {"cost-clip", "clips end at {time}"},
    {"cost-heat", "heat stops it after {time} at {ambient}"},
    {"cost-power", "external power"},
    {"cost-card", "too fast for {card}"},
    {"cost-marginal", "{card} holds it with under a fifth to spare"},
    {"cost-region", "another rate region: {cost}"},
    {"cost-sensor-rate", "off-speed, written at the sensor's rate"},
    {"cost-off-speed", "off-speed, conformed in camera"},
    {"open-power", "plug in external power"},
    {"open-no-proxy", "no proxy beside it"},
    {"open-profile", "record {profile}"},
    {"open-card", "a {class} card in {slot}"},
    {"open-setting", "{setting} {value}"},
    {"open-cell", "nearest open: {mode} at {rate}"},
};

// Why a card cannot be put there, and what a remedy leaves of a day.
constexpr Sentence kDayReasons[] = {
    {"card-no-setup", "the setup of this take is not complete"},
    {"card-form", "{card} fits no slot of {camera} that this mode records to"},
    {"card-too-slow", "{card} guarantees {best} there, the mode writes up to {need}"},
    {"card-too-small", "it holds {size}, the take needs {need} without a break"},
    {"card-busy", "{card} is in {camera} then"},
    {"card-copying", "{card} is being copied and checked until {back}"},
    {"card-no-room", "{card} is full by then, or there is no time to put it into {camera}"},
    {"day-effect", "faults {faults}, changes {changes}, safe {safe}"},
    {"day-effect-unsafe", "faults {faults}, changes {changes}"},
};

// A figure of a setup.
constexpr Sentence kFigures[] = {
    {"figure-none", "\u2013"},
    {"figure", "{value}"},
    {"figure-stops", "{+value#}"},
    {"figure-shutter", "{angle}  {time}"},
    {"figure-pulsing", "{stops##} stop, {alias}"},
    {"figure-range", "{from} \u2013 {to}"},
    {"figure-ms", "{value/10} ms"},
    {"figure-card", "{card} in {slot}"},
    {"figure-speed", "{percent} % speed"},
    {"figure-nd", "{value#} stops"},
    {"figure-on", "on"},
    {"figure-off", "off"},
    {"figure-by-hand", "by hand"},
    {"figure-possible", "possible"},
    {"figure-not", "none"},
    {"figure-external", "external"},
    {"figure-battery", "battery"},
};

// What is set on a dial.
constexpr Sentence kDials[] = {
    {"named", "{name}"},
    {"dial-angle", "{angle}  ({time})"},
    {"dial-time", "{time}  ({angle})"},
    {"dial-iso", "ISO {ei}"},
    {"dial-ei", "EI {ei}"},
    {"dial-ei-note", "EI {ei}  (note)"},
    {"dial-rate", "{rate} p"},
    {"dial-rate-for", "{rate} p for {delivery}"},
    {"dial-or", "{name} or {other}"},
    {"dial-no-card", "none fits"},
    {"dial-card", "{card}, {slot}"},
    {"dial-card-slow", "{card}, {slot} (too slow)"},
    {"dial-no-filter", "none"},
    {"dial-unused", "not used"},
    {"dial-mirror", "mirror"},
    {"dial-relay", "relay"},
    {"dial-proxy", "proxy"},
    {"dial-out-of-reach", "out of reach"},
    {"dial-level", "{level}"},
    {"dial-white", "{white}"},
    {"dial-iris", "{iris}"},
    {"dial-no-sound", "off in this mode"},
    {"dial-bank", "{bank}"},
};

} // namespace

const char* findSentence(std::string_view id) {
    for (const auto& table :
         {std::span<const Sentence>(kReasons), std::span<const Sentence>(kDayReasons),
          std::span<const Sentence>(kFigures), std::span<const Sentence>(kDials)})
        for (const auto& sentence : table)
            if (sentence.id == id)
                return sentence.english;
    return nullptr;
}

} // namespace bslate
