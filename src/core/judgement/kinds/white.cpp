#include "core/judgement/kinds/kinds.h"

namespace bslate::kinds {

std::span<const FindingKind> white() {
    static constexpr std::string_view kLocus =
        "CIE 15:2004 clause 9.5; what is seen is common practice, no source";
    static constexpr std::string_view kChannels =
        "photon statistics of the sensor model, gains by the camera's primaries";
    static constexpr FindingKind kKinds[] = {
        {FindingId::WhiteFits, "white-fits", HelpPage::White, Topic::Camera, kLocus,
         "White fits {light}", "{white} against {colour}: {mired} and {duv#} of Duv off."},
        {FindingId::WhiteOff, "white-off", HelpPage::White, Topic::Camera, kLocus,
         "White is {off} off {light}",
         "{white} against {colour}: under it skin turns {,turns}. {kept}."},
        {FindingId::LightsApart, "lights-apart", HelpPage::White, Topic::Camera, kLocus,
         "{light} and {other} are {mired} apart",
         "At {white}, what {other} lights turns {,turns}, what {light} lights turns {,keyTurns}. A "
         "gel brings them together, a white between shares it, or it stays on purpose."},
        {FindingId::LightsShared, "lights-shared", HelpPage::White, Topic::Camera, kLocus,
         "White stands between {light} and {other}",
         "They are {mired} apart; at {white}, what {other} lights turns {,turns}, what {light} "
         "lights turns {,keyTurns}."},
        {FindingId::LightGreen, "light-green", HelpPage::White, Topic::Camera, kLocus,
         "{light} is green: Duv {duv}",
         "{how} {colour}, {off#} of Duv off white light as warm; skin shows 0.005. Tint "
         "answers it for the whole frame, "
         "a gel on the light alone."},
        {FindingId::LightMagenta, "light-magenta", HelpPage::White, Topic::Camera, kLocus,
         "{light} is magenta: Duv {duv}",
         "{how} {colour}, {off#} of Duv off white light as warm; skin shows 0.005. Tint "
         "answers it for the whole frame, "
         "a gel on the light alone."},
        {FindingId::WhiteCamerasDiffer, "white-cameras-differ", HelpPage::White, Topic::Grading,
         kCommonPractice, "{camera} is set {mired} away",
         "{setup} stands at {other}, this one at {white}: one scene in two whites."},
        {FindingId::WhiteCutsDiffer, "white-cuts-differ", HelpPage::White, Topic::Grading,
         kCommonPractice, "{setup} cuts with this, {mired} away",
         "It stands at {other}, this one at {white}."},
        {FindingId::ChannelClips, "channel-clips", HelpPage::White, Topic::Camera, kChannels,
         "{channel} clips on {patch} by {by}",
         "Its light is {colour}. By luminance it keeps {left} of room, but the colour goes with "
         "the first "
         "channel."},
        {FindingId::ChannelDrowns, "channel-drowns", HelpPage::White, Topic::Camera, kChannels,
         "{channel} drowns on {patch} by {by}",
         "Its light is {colour}, which has little {ofChannel}. By luminance it stands {above} over "
         "the noise."},
        {FindingId::WhiteWantedElsewhere, "white-wanted-elsewhere", HelpPage::White, Topic::Grading,
         kChannels, "Baked at {white}, wanted at {wanted}",
         "In the grade {ofChannel} is lifted by {gain}, its grain with it, and highlights lose "
         "{lost}; what clipped stays clipped."},
        {FindingId::WhiteBeforeNd, "white-before-nd", HelpPage::White, Topic::Camera,
         kCommonPractice, "White was measured before the ND",
         "{nd} of ND now, {then} when the card was measured: strong ND has a tint of its own."},
        {FindingId::FiltersShift, "filters-shift", HelpPage::White, Topic::Camera,
         "the filters' kit entries", "The filters turn every light {,turns}",
         "They move it by {mired} and Duv {duv}, with {nd} of ND on. White is judged by what comes "
         "through them: measure the card with the filters on{;how}."},
        {FindingId::WhiteWanders, "white-wanders", HelpPage::White, Topic::Camera, kLocus,
         "{light} changes by {mired} in the take",
         "From {from} to {to}; at the end it turns {,turns}."},
        {FindingId::WhiteMidway, "white-midway", HelpPage::White, Topic::Camera, kLocus,
         "White stands midway of {light}'s change",
         "From {from} to {to}; at the end it turns "
         "{,turns}."},
        {FindingId::WhiteOffDial, "white-off-dial", HelpPage::White, Topic::Camera, kKitEntry,
         "The camera sets {white}, not {wanted}", "The nearest its dial has."},
        {FindingId::RatioOff, "ratio-off", HelpPage::White, Topic::Camera,
         "metered patches of both sides", "{which} {measured}, wanted {wanted}",
         "{stops} as metered; {off} away."},
        {FindingId::RatioMet, "ratio-met", HelpPage::White, Topic::Camera,
         "metered patches of both sides", "{which} {measured}, as wanted",
         "{stops} as metered, {wanted} wanted."},
    };
    return kKinds;
}

} // namespace bslate::kinds
