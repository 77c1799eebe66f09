#include "core/verdict/sentences.h"

namespace bslate {
namespace {

constexpr Sentence kFindings[] = {
    {"setup-incomplete", "This setup cannot be worked out",
     "{where}: \"{what}\" is not there. Needed: {expected}."},
    {"patch-clipped", "{patch} is lost by {over}",
     "It lands at {+place#}; the recording ends at {+clip#} above mid-grey."},
    {"patch-near-clip", "{patch} has {room} before clip",
     "Under a third of a stop is no room for a change of light."},
    {"patch-in-noise", "{patch} is {under} into the noise",
     "The floor at signal-to-noise {snr/10} is {+floor#}; lifting it in the grade lifts grain."},
    {"scene-wider", "The scene is {excess} wider than the camera",
     "{bottom} to {top} spans {scene}; between noise and clip there are {window}."},
    {"scene-fits", "The scene fits",
     "{top} keeps {room} of headroom, {bottom} stands {above} over the noise."},
    {"skin-in-place", "{patch} reads {level}, in its place",
     "{school} wants it at {wanted} on this curve."},
    {"skin-above", "{patch} reads {level}, {off} above its place",
     "{school} wants it at {wanted} on this curve."},
    {"skin-below", "{patch} reads {level}, {off} below its place",
     "{school} wants it at {wanted} on this curve."},
    {"nd-needed", "{by} of light too much",
     "{school} wants less than the scene gives; take it with ND before the shutter. "
     "ND now {nd}."},
    {"nd-left-over", "{by} short, with {nd} of ND on",
     "{school} wants more light than the filters let through."},
    {"light-short", "{by} short of light", "{school} wants more, and no ND is left to take out."},
    {"school-suggested", "{school} would suit this scene",
     "It leaves {+highlights#} above and {+shadows#} over noise; {chosen} leaves "
     "{+mineHighlights#} and {+mineShadows#}."},
    {"meter-calibration", "Incident readings and an 18 % card differ by {difference}",
     "The meter's constants imply {implied/10} % reflectance, not 18 %."},
    {"rated-over", "Grading must pull {by} down",
     "EI {ei} on base {base}: every shot is that much over. The rating LUT undoes it; "
     "{+clip#} above and {+floor#} below mid-grey as viewed."},
    {"rated-under", "Grading must lift {by}",
     "EI {ei} on base {base}: every shot is that much under and noisier. The rating LUT "
     "undoes it; {+clip#} above and {+floor#} below mid-grey as viewed."},
    {"iso-below-minimum", "ISO {ei} is below the profile's minimum",
     "{profile} starts at {limit}."},
    {"iso-above-maximum", "ISO {ei} is above the profile's maximum", "{profile} ends at {limit}."},
    {"base-not-offered", "Base {base} is not offered here",
     "Camera and profile record at base {used}; the numbers use that."},
    {"iso-above-base", "ISO {ei} costs {gain} of shadow",
     "Gain over base {base} lifts the noise floor to {+floor#}; the clip stays at {+clip#}."},
    {"iso-below-base", "ISO {ei} costs {gain} of highlight",
     "The sensor fills before the curve ends: clip falls to {+clip#}. Base is {base}."},
    {"shutter-half-frame", "Shutter {angle} is half the frame",
     "{time} at {rate}; {+off##} stop from 180\u00b0."},
    {"shutter-crisp", "Shutter {angle}: crisp on purpose",
     "A quarter of the frame costs {off} against 180\u00b0 and shows in pans."},
    {"shutter-long", "Shutter {angle} smears more than half the frame",
     "{time} at {rate} is {+off##} stop from 180\u00b0, {steps} steps of the dial."},
    {"shutter-short", "Shutter {angle} is {off} off the half-frame rule",
     "{time} at {rate}, {steps} steps of the dial: motion turns harsh; take light with ND, not "
     "with the shutter."},
    {"shutter-not-crisp", "Shutter {angle} is not a quarter of the frame",
     "{time} at {rate} is {+offQuarter##} stop from 90\u00b0, {steps} steps of the dial."},
    {"shutter-by-hand", "Shutter {angle}, by hand",
     "{time} at {rate}; {+off##} stop from 180\u00b0."},
    {"shutter-left-behind", "The shutter stayed at {time}",
     "{before} had it at {was}; at {rate} it is {angle}, {+off##} stop from 180\u00b0. A bank "
     "keeps the time, not the angle."},
    {"shutter-locked-off", "{angle} is off the half-frame rule for the lamps",
     "{+off##} stop from 180\u00b0, {steps} steps of the dial; motion looks nearly the same."},
    {"rate-near-miss", "{rate} is not {base}",
     "Picture and sound drift apart by {drift} an hour; set one of them everywhere."},
    {"pulsing-visible", "At {shutter} the light pulses at {alias}",
     "Ripple {ripple} of the light, {stops##} stop peak to peak, from lamps at "
     "{frequency}{rolling}."},
    {"pulsing-unspannable", "No shutter here holds the lamps still",
     "At {rate} they pulse at {alias}, {stops##} stop peak to peak. One pulse lasts {period}; the "
     "camera has "
     "no whole number of them. Change the rate or the lamps."},
    {"rolling-bands", "; {bands} bands roll over the frame", ""},
    {"pulsing-drift", "The light breathes once in {round}",
     "{rate} and {frequency} miss each other by {alias}: {stops##} stop peak to peak, slow enough "
     "to be missed on the day."},
    {"bands-standing", "Bands of light may stand in the frame",
     "Every frame meets the {frequency} lamps alike, so nothing pulses; row by row the shutter "
     "gathers light {stops##} stop apart, {bands} bands over the frame."},
    {"pulsing-in-step", "The lamps keep step with the frames",
     "{rate} meets {frequency} alike each time; how bright depends on chance, by {stops##} stop. "
     "Bands "
     "show with a slow readout, which the kit does not tell."},
    {"pulsing-still", "{shutter} holds the light still",
     "{time} spans {pulses} pulses of {frequency}; with the mains 0.4 % off, {worst##} stop "
     "remain."},
    {"pulsing-still-own", "{shutter} holds the light still",
     "{time} spans {pulses} pulses of {frequency}."},
    {"pan-strobes", "A pan at {pan} strobes",
     "At {rate} with this lens no faster than {most}: {crossing} for the width of the frame."},
    {"skew-leans", "Upright edges lean by {skew}",
     "The sensor takes {readout} to read while the subject crosses."},
    {"shutter-longer-than-frame", "The shutter is longer than the frame",
     "{time} does not fit into a frame at {rate}."},
    {"shutter-not-on-dial", "{camera} cannot set {set}",
     "Its nearest is {dial}, {degrees} and {+off##} stop away."},
    {"curve-ends-low", "Nothing above {level} is ever recorded",
     "{profile} ends there, {+clip#} over mid-grey. Do not chase 100 %."},
    {"sensor-ends-low", "Nothing above {level} is ever recorded",
     "The sensor is full at {+clip#}, before {profile} ends. Do not chase 100 %."},
    {"zebra-skin", "Zebra for skin: {level}", "Its place is {exact} on {tap}."},
    {"zebra-guard", "Zebra to guard highlights: {level}",
     "Stripes warn {margin} before clip, measured on {tap}."},
    {"zebra-out-of-reach", "Zebra cannot go where it is needed",
     "The level would be {exact} on {tap}; the camera stops at {level}."},
    {"nd-infrared", "Strong ND may pass infrared",
     "Density {density} without infrared cut tints blacks and cloth: add an IR-cut filter."},
    {"skin-codes", "{bits}-bit keeps {codes} codes in the stop of skin",
     "8-bit would keep {eight}."},
    {"skin-codes-8", "8-bit keeps {eight} codes in the stop of skin",
     "10-bit would keep {ten}: a heavy grade shows steps sooner."},
    {"mode-excluded", "This recording is not possible", "{reason}."},
    {"eight-bit-log", "8 bits on a log curve",
     "The stop of skin keeps {codes} codes, {ten} at 10-bit. Either a ready look (less range), a "
     "normal gamut on the log curve (colour survives), or full log only when light, exposure and "
     "white are nailed."},
    {"profile-locks", "{profile} switches off in-camera image controls",
     "Not available: {list}. The grade has to do it."},
    {"bits-low", "{bits} bits a pixel is thin for this grade",
     "{mode} at {rate} is {bitRate}; a full grade wants {least} or more."},
    {"sound-slowed", "Sound is recorded at {rate}",
     "It plays {slower} times slower with the picture: take it apart if it must be heard."},
    {"sound-lost", "No sound is recorded", "The scene wants it: {mode} is mute at {rate}."},
    {"focus-lost", "No autofocus", "{mode} leaves focus to the hand at {rate}."},
    {"crop-too-tight", "{focal} frames like {equivalent}: too tight",
     "{crop} crop: {view} across, {wanted} wanted with {lens}."},
    {"crop-frames", "{crop} crop: {focal} frames like {equivalent}",
     "{wanted} across on the whole sensor becomes {view}."},
    {"region-switch", "The camera changes its rate region",
     "{before} ran in {was}, this one needs {now}: it {cost}."},
    {"cameras-rate", "{other} does not match in rate",
     "{mine} here, {theirs} there: cuts between them will show it."},
    {"cameras-rate-never", "{other} cannot match in rate",
     "{mine} here; {camera} has no way to record it and runs at {theirs}."},
    {"cameras-depth", "{other} does not match in bit depth",
     "{mine}-bit here, {theirs}-bit there: the weaker one limits the grade."},
    {"cameras-base", "{other} runs at {theirs}, this one at {mine}",
     "They are not the same: {drift} an hour apart. Set both to one of them."},
    {"cameras-depth-never", "{other} cannot match in bit depth",
     "{mine}-bit here; at this rate {camera} has no such mode and records {theirs}-bit."},
    {"cameras-gamut-never", "{other} cannot record this gamut",
     "{mine} here; no profile of {camera} has it, {theirs} there: convert both before matching."},
    {"cameras-gamut", "{other} records another gamut",
     "{mine} here, {theirs} there: convert both before matching."},
    {"clip-limit-short", "Clips end at {limit}, the take lasts {take}",
     "{mode} stops by itself; the take must not be interrupted."},
    {"heat-short", "Heat stops {camera} after {limit}",
     "At {ambient} in this mode; the take lasts {take}. Let a hot body cool, do not cover it."},
    {"card-short", "{card} lasts {time}, the take {take}",
     "One card does not hold the take at {bitRate}."},
    {"card-slow", "No card at hand holds this",
     "It writes up to {need}; the best card guarantees {best}. Frames drop or recording stops."},
    {"too-bright-at-minimum", "ISO {limit} is too much for this light",
     "At the minimum ISO and {iris} the scene is {over} over without ND; none is on."},
    {"power-needed", "Needs external power",
     "{mode} does not start on the internal battery. Mains supplies near water: a licensed "
     "electrician."},
    {"light-estimated", "The light is an estimate",
     "Described, not metered: {low} to {high}, so {off} either way. Meter before the day."},
    {"records-well", "{mode} at {rate}: {bitRate}", "{bits} bits a pixel; {card} lasts {time}."},
    {"slow-motion", "{rate} plays {factor} times slower", "The brief asks for {wanted}."},
    {"slow-motion-off", "{rate} plays {factor} times slower, not {wanted}",
     "Capture at {need} to slow down as the brief asks."},
    {"safety-sun", "Sun in or near the frame",
     "Never look at it through optics; cover the lens between takes: it burns eyes and sensors."},
    {"safety-water", "Work on or beside water",
     "Vests, a lookout and dry hands for cables; mains only by a licensed electrician."},
    {"safety-mains", "Mains lamps in use",
     "Distribution and generators belong to a licensed electrician; local codes decide."},
    {"safety-heights", "Work at a height",
     "Tether camera, lens and filters; nobody below. This plan is no risk assessment."},
};

constexpr Sentence kRemedies[] = {
    {"set-nd", "{stack}, {nd}", ""},
    {"remove-nd", "Take the ND out", ""},
    {"set-iris", "Iris {iris}", ""},
    {"rerate", "Rate EI {ei}", ""},
    {"set-rating", "Set ISO {ei}", ""},
    {"set-base", "Base {ei}", ""},
    {"set-shutter", "Shutter {shutter}", ""},
    {"set-shutter-paid", "Shutter {shutter}: {cost##} stop, {payer} pays", ""},
    {"set-school", "Use {school}", ""},
    {"save-subject", "Save the subject, let {given} go", ""},
    {"save-highlight", "Save the highlight", ""},
    {"set-mode", "{mode}, {rate}", ""},
    {"set-profile", "Profile {profile}", ""},
    {"set-power", "Plug in external power", ""},
    {"set-lens", "{lens}", ""},
    {"set-focal", "Zoom to {focal}", ""},
    {"set-rate", "Capture at {rate}", ""},
    {"change-light", "Fill shadows {fill}", ""},
};

// Why a recording cannot be had, what it costs, and what would open it: one clause each.
constexpr Sentence kReasons[] = {
    {"rate-not-in-container", "{container} has no {rate}", ""},
    {"rate-over-sensor", "{area} reads {fastest} a second at most", ""},
    {"rate-not-in-mode", "{mode} does not offer {rate}", ""},
    {"profile-not-in-mode", "{mode} does not record {profile}", ""},
    {"constraint", "{reason}", ""},
    {"no-card", "no slot holding a card as fast as {need}; the best guarantees {best}", ""},
    {"no-card-fits", "no card at hand fits {slots}", ""},
    {"power", "does not start on the internal battery", ""},
    {"cost-crop", "{crop} crop", ""},
    {"cost-sound", "no sound", ""},
    {"cost-focus", "no autofocus", ""},
    {"cost-clip", "clips end at {time}", ""},
    {"cost-heat", "heat stops it after {time} at {ambient}", ""},
    {"cost-power", "external power", ""},
    {"cost-card", "too fast for {card}", ""},
    {"cost-marginal", "{card} holds it with under a fifth to spare", ""},
    {"cost-region", "another rate region: {cost}", ""},
    {"cost-sensor-rate", "off-speed, written at the sensor's rate", ""},
    {"cost-off-speed", "off-speed, conformed in camera", ""},
    {"open-power", "plug in external power", ""},
    {"open-profile", "record {profile}", ""},
    {"open-card", "a {class} card in {slot}", ""},
    {"open-setting", "{setting} {value}", ""},
    {"open-cell", "nearest open: {mode} at {rate}", ""},
};

} // namespace

const Sentence* findSentence(std::string_view id) {
    for (const auto& sentence : kFindings)
        if (sentence.id == id)
            return &sentence;
    for (const auto& sentence : kReasons)
        if (sentence.id == id)
            return &sentence;
    for (const auto& sentence : kRemedies)
        if (sentence.id == id)
            return &sentence;
    return nullptr;
}

} // namespace bslate
