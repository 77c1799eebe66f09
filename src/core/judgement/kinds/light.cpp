#include "core/judgement/kinds/kinds.h"

namespace bslate::kinds {

std::span<const FindingKind> light() {
    static constexpr FindingKind kKinds[] = {
        {FindingId::SetupIncomplete, "setup-incomplete", HelpPage::Scene, Topic::Camera,
         "the kit and scenes of this shoot", "This setup cannot be worked out",
         "{where}: \"{what}\" is not there. Needed: {expected}."},
        {FindingId::PatchClipped, "patch-clipped", HelpPage::Scene, Topic::Camera,
         "the profile's curve and the sensor's full well", "{patch} is lost by {over}",
         "It lands at {+place#}; the recording ends at {+clip#} above mid-grey."},
        {FindingId::PatchNearClip, "patch-near-clip", HelpPage::Scene, Topic::Camera,
         kCommonPractice, "{patch} has {room} before clip",
         "Under a third of a stop is no room for a change of light."},
        {FindingId::PatchInNoise, "patch-in-noise", HelpPage::Scene, Topic::Camera,
         "photon statistics of the sensor model", "{patch} is {under} into the noise",
         "The floor at signal-to-noise {snr/10} is {+floor#}; lifting it in the grade lifts "
         "grain."},
        {FindingId::SceneWider, "scene-wider", HelpPage::Scene, Topic::Camera,
         "photon statistics of the sensor model", "The scene is {excess} wider than the camera",
         "{bottom} to {top} spans {scene}; between noise and clip there are {window}."},
        {FindingId::SceneFits, "scene-fits", HelpPage::Scene, Topic::Camera,
         "the profile's curve and the sensor's full well", "The scene fits",
         "{top} keeps {room} of headroom, {bottom} stands {above} over the noise."},
        {FindingId::LightClimbsOut, "light-climbs-out", HelpPage::Scene, Topic::Camera,
         "the meter's readings at both ends, straight in stops between",
         "{patch} is lost as the light climbs",
         "The light climbs {by} in {over}; {patch} has {room} of room and is gone after {from}. "
         "{need} more is needed, in steps of ND on the way or from the start."},
        {FindingId::LightFallsAway, "light-falls-away", HelpPage::Scene, Topic::Camera,
         "the meter's readings at both ends, straight in stops between",
         "{patch} drowns as the light falls",
         "The light falls {by} in {over}; {patch} stands {room} over the noise and is in it after "
         "{from}. {need} more light is needed on the way."},
        {FindingId::LightChangeFits, "light-change-fits", HelpPage::Scene, Topic::Camera,
         "the meter's readings at both ends, straight in stops between",
         "The scene fits from one end of its light to the other",
         "{by} in {over}: never less than {room} of headroom, nor {above} over the noise."},
        {FindingId::PlaceOrHighlight, "place-or-highlight", HelpPage::Scene, Topic::Camera,
         kCommonPractice, "The place or {patch}: not both",
         "In its place by {school} the scene puts {patch} {over} over the clip; keeping it leaves "
         "the "
         "scene as much under its place."},
        {FindingId::HighlightKept, "highlight-kept", HelpPage::Scene, Topic::Camera,
         kCommonPractice, "{patch} is kept, the scene is {off} under its place",
         "{school} would put {patch} {over} over the clip."},
        {FindingId::SkinInPlace, "skin-in-place", HelpPage::Scene, Topic::Camera, kCommonPractice,
         "{patch} reads {level}, in its place", "{school} wants it at {wanted} on this curve."},
        {FindingId::SkinAbove, "skin-above", HelpPage::Scene, Topic::Camera, kCommonPractice,
         "{patch} reads {level}, {off} above its place",
         "{school} wants it at {wanted} on this curve."},
        {FindingId::SkinBelow, "skin-below", HelpPage::Scene, Topic::Camera, kCommonPractice,
         "{patch} reads {level}, {off} below its place",
         "{school} wants it at {wanted} on this curve."},
        {FindingId::NdNeeded, "nd-needed", HelpPage::Scene, Topic::Camera,
         "ISO 2720:1974 exposure equation", "{by} of light too much",
         "{school} wants less than the scene gives; take it with ND before the shutter. "
         "ND now {nd}."},
        {FindingId::NdLeftOver, "nd-left-over", HelpPage::Scene, Topic::Camera,
         "ISO 2720:1974 exposure equation", "{by} short, with {nd} of ND on",
         "{school} wants more light than the filters let through."},
        {FindingId::LightShort, "light-short", HelpPage::Scene, Topic::Camera,
         "ISO 2720:1974 exposure equation", "{by} short of light",
         "{school} wants more, and no ND is left to take out."},
        {FindingId::DepthShallow, "depth-shallow", HelpPage::Scene, Topic::Camera,
         "the scene's own wish", "{iris} is {by} wider than wished",
         "The scene asks for {widest} to {narrowest}: less will be sharp."},
        {FindingId::DepthDeep, "depth-deep", HelpPage::Scene, Topic::Camera, "the scene's own wish",
         "{iris} is {by} narrower than wished",
         "The scene asks for {widest} to {narrowest}: more will be sharp."},
        {FindingId::SchoolSuggested, "school-suggested", HelpPage::Scene, Topic::Camera,
         kCommonPractice, "{school} would suit this scene",
         "It leaves {+highlights#} above and {+shadows#} over noise; {chosen} leaves "
         "{+mineHighlights#} and {+mineShadows#}."},
        {FindingId::MeterCalibration, "meter-calibration", HelpPage::Scene, Topic::Camera,
         "ISO 2720:1974", "Incident readings and an 18 % card differ by {difference}",
         "The meter's constants imply {implied/10} % reflectance, not 18 %."},
        {FindingId::LightEstimated, "light-estimated", HelpPage::Scene, Topic::Camera,
         "the description of the light, as the text says", "The light is an estimate",
         "Described, not metered: {low} to {high}, so {off} either way ({source}). Meter before "
         "the day."},
        {FindingId::RatedOver, "rated-over", HelpPage::Rating, Topic::Grading,
         "definition of exposure index; the rating LUT undoes it", "Grading must pull {by} down",
         "EI {ei} on base {base}: every shot is that much over. The rating LUT undoes it; "
         "{+clip#} above and {+floor#} below mid-grey as viewed."},
        {FindingId::RatedUnder, "rated-under", HelpPage::Rating, Topic::Grading,
         "definition of exposure index; the rating LUT undoes it", "Grading must lift {by}",
         "EI {ei} on base {base}: every shot is that much under and noisier. The rating LUT "
         "undoes it; {+clip#} above and {+floor#} below mid-grey as viewed."},
        {FindingId::IsoBelowMinimum, "iso-below-minimum", HelpPage::Rating, Topic::Camera,
         kKitEntry, "ISO {ei} is below the profile's minimum", "{profile} starts at {limit}."},
        {FindingId::IsoAboveMaximum, "iso-above-maximum", HelpPage::Rating, Topic::Camera,
         kKitEntry, "ISO {ei} is above the profile's maximum", "{profile} ends at {limit}."},
        {FindingId::BaseNotOffered, "base-not-offered", HelpPage::Rating, Topic::Camera, kKitEntry,
         "Base {base} is not offered here",
         "Camera and profile record at base {used}; the numbers use that."},
        {FindingId::IsoAboveBase, "iso-above-base", HelpPage::Rating, Topic::Camera,
         "gain before the curve: full well is unchanged", "ISO {ei} costs {gain} of shadow",
         "Gain over base {base} lifts the noise floor to {+floor#}; the clip stays at {+clip#}."},
        {FindingId::IsoBelowBase, "iso-below-base", HelpPage::Rating, Topic::Camera,
         "gain before the curve: full well is unchanged", "ISO {ei} costs {gain} of highlight",
         "The sensor fills before the curve ends: clip falls to {+clip#}. Base is {base}."},
        {FindingId::IsoBelowBaseFree, "iso-below-base-free", HelpPage::Rating, Topic::Camera,
         "gain before the curve: full well is unchanged", "ISO {ei} costs no highlight here",
         "The curve ends at {+clip#} before the sensor does, at base {base} as well; the floor "
         "goes to "
         "{+floor#}."},
        {FindingId::TooBrightAtMinimum, "too-bright-at-minimum", HelpPage::Rating, Topic::Camera,
         kKitEntry, "ISO {limit} is too much for this light",
         "At the minimum ISO and {iris} the scene is {over} over without ND; none is on."},
    };
    return kKinds;
}

} // namespace bslate::kinds
