#include "core/verdict/wording.h"

#include "core/quantity/print.h"

#include <cmath>

namespace bslate {
namespace {

struct Sentence {
    std::string_view id;
    const char* title;
    const char* text;
};

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
     "{time} at {rate} is {+off##} stop from 180\u00b0."},
    {"shutter-short", "Shutter {angle} is {off} off the half-frame rule",
     "{time} at {rate}: motion turns harsh; take light with ND, not with the shutter."},
    {"shutter-longer-than-frame", "The shutter is longer than the frame",
     "{time} does not fit into a frame at {rate}."},
    {"shutter-not-on-dial", "{camera} cannot set {set}",
     "Its nearest is {dial}, {+off##} stop away."},
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
    {"set-school", "Use {school}", ""},
    {"save-subject", "Save the subject, let {given} go", ""},
    {"save-highlight", "Save the highlight", ""},
    {"change-light", "Fill shadows {fill}", ""},
};

constexpr const char* kEffect = "{highlights#} above, {shadows#} to noise";
constexpr const char* kEffectWorse = "{highlights#} above, {shadows#} to noise; loses {worse}";

const Sentence* findSentence(std::string_view id) {
    for (const auto& sentence : kFindings)
        if (sentence.id == id)
            return &sentence;
    for (const auto& sentence : kRemedies)
        if (sentence.id == id)
            return &sentence;
    return nullptr;
}

std::string translated(const char* english, const Translator& translate) {
    return translate ? translate(english) : std::string(english);
}

std::string stopsText(Stops stops, bool sign, bool bare, bool fine) {
    if (fine)
        return (stops > Stops(0.0) ? "+" : "") + fixedText(stops.value(), 2);
    const bool negative = bare && stops < Stops(0.0); // must not read as room
    const std::string number = sign || negative ? print(stops) : printPlain(stops);
    if (bare)
        return number;
    return number + (std::abs(stops.value()) > 1.049 ? " stops" : " stop");
}

struct Filler {
    const Translator& translate;
    bool sign = false;
    bool bare = false;
    bool fine = false;

    std::string operator()(Stops value) const { return stopsText(value, sign, bare, fine); }
    std::string operator()(const std::string& value) const { return value; }
    std::string operator()(int value) const { return std::to_string(value); }
    std::string operator()(const Shutter& value) const { return print(value); }
    std::string operator()(School value) const { return nameOf(value, translate); }
    std::string operator()(Density value) const { return fixedText(value.value(), 1); }
    std::string operator()(ZebraTap value) const {
        return translated(value == ZebraTap::Recorded ? "the recorded signal" : "the viewing LUT",
                          translate);
    }
    template<class Q>
    std::string operator()(Q value) const {
        return print(value);
    }
};

std::string placeText(std::string_view key, const Facts& facts, const Translator& translate) {
    Filler filler{translate};
    if (!key.empty() && key.front() == '+') {
        filler.sign = true;
        key.remove_prefix(1);
    }
    bool tenths = false;
    if (key.ends_with("##")) {
        filler.fine = true;
        key.remove_suffix(2);
    } else if (key.ends_with("#")) {
        filler.bare = true;
        key.remove_suffix(1);
    } else if (key.ends_with("/10")) {
        tenths = true;
        key.remove_suffix(3);
    }
    for (const auto& fact : facts) {
        if (fact.name != key)
            continue;
        if (tenths)
            return fixedText(std::get<int>(fact.value) / 10.0, 1);
        return std::visit(filler, fact.value);
    }
    return "{" + std::string(key) + "}";
}

std::string fill(const char* english, const Facts& facts, const Translator& translate) {
    const std::string form = translated(english, translate);
    std::string text;
    for (std::size_t at = 0; at < form.size(); ++at) {
        const auto close = form[at] == '{' ? form.find('}', at) : std::string::npos;
        if (close == std::string::npos) {
            text += form[at];
            continue;
        }
        const std::string_view key(form.data() + at + 1, close - at - 1);
        text += placeText(key, facts, translate);
        at = close;
    }
    return text;
}

} // namespace

std::string titleOf(const Finding& finding, const Translator& translate) {
    const auto* sentence = findSentence(finding.id);
    return sentence ? fill(sentence->title, finding.facts, translate) : std::string(finding.id);
}

std::string reasonOf(const Finding& finding, const Translator& translate) {
    const auto* sentence = findSentence(finding.id);
    return sentence ? fill(sentence->text, finding.facts, translate) : std::string();
}

std::string titleOf(const Remedy& remedy, const Translator& translate) {
    const auto* sentence = findSentence(remedy.id);
    if (!sentence)
        return std::string(remedy.id);
    std::string title = fill(sentence->title, remedy.facts, translate);
    if (remedy.id.starts_with("save-")) {
        // The school names the aim; the lever that reaches it follows.
        for (const auto& fact : remedy.facts) {
            if (fact.name == "iris")
                title += ": " + std::visit(Filler{translate}, fact.value);
            if (fact.name == "stack")
                title += ": " + std::visit(Filler{translate}, fact.value);
        }
    }
    return title;
}

std::string effectOf(const Remedy& remedy, const Translator& translate) {
    const Facts facts = {
        {"highlights", remedy.highlights}, {"shadows", remedy.shadows}, {"worse", remedy.worse}};
    return fill(remedy.worse > 0 ? kEffectWorse : kEffect, facts, translate);
}

std::string nameOf(School school, const Translator& translate) {
    constexpr const char* names[] = {"Nominal", "Rated", "To the right", "Guard the highlights",
                                     "Raw thinking"};
    return translated(names[static_cast<int>(school)], translate);
}

std::string nameOf(Payer payer, const Translator& translate) {
    constexpr const char* names[] = {"ND", "Iris", "Light", "Rating", "Nobody"};
    return translated(names[static_cast<int>(payer)], translate);
}

std::string nameOf(PatchRole role, const Translator& translate) {
    constexpr const char* names[] = {"Grey card",  "Skin, light",       "Skin, medium",
                                     "Skin, dark", "Highlight to keep", "Shadow to keep",
                                     "White card", "May be lost"};
    return translated(names[static_cast<int>(role)], translate);
}

std::string nameOf(IsoBehaviour behaviour, const Translator& translate) {
    constexpr const char* names[] = {"ISO is recorded", "EI changes the view only",
                                     "ISO is a note (raw)"};
    return translated(names[static_cast<int>(behaviour)], translate);
}

std::string nameOf(DialInField field, const Translator& translate) {
    constexpr const char* names[] = {"Camera",      "Recording",    "Rate",  "Shutter", "Profile",
                                     "Base",        "Rating",       "White", "Iris",    "ND",
                                     "Zebra, skin", "Zebra, guard", "Bank"};
    return translated(names[static_cast<int>(field)], translate);
}

bool hasWording(std::string_view id) {
    return findSentence(id) != nullptr;
}

} // namespace bslate
