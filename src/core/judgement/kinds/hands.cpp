#include "core/judgement/kinds/kinds.h"

namespace bslate::kinds {

std::span<const FindingKind> hands() {
    static constexpr FindingKind kKinds[] = {
        {FindingId::StabiliserOnSupport, "stabiliser-on-support", HelpPage::Hands, Topic::Camera,
         kCommonPractice, "The stabiliser is on, the camera stands still",
         "On {support} it moves the picture by itself: off, unless the maker's own test says "
         "otherwise."},
        {FindingId::StabiliserOffInHand, "stabiliser-off-in-hand", HelpPage::Hands, Topic::Camera,
         kCommonPractice, "The stabiliser is off, the camera is held",
         "From {support} small shakes stay in the picture; electronic stabilising crops."},
        {FindingId::WirelessNearRadio, "wireless-near-radio", HelpPage::Hands, Topic::Camera,
         kCommonPractice, "Wireless is on beside a radio microphone",
         "It may be heard as hiss where both share a band."},
        {FindingId::FocusWanted, "focus-wanted", HelpPage::Hands, Topic::Camera, kKitEntry,
         "{mode} does not focus by itself", "At {rate} the hand does; the scene wants {focus}."},
        {FindingId::FocusBright, "focus-bright", HelpPage::Hands, Topic::Camera, kCommonPractice,
         "A picture this bright weakens the camera's focus",
         "Grey is recorded at {+grey}; faces and edges wash out for it."},
        {FindingId::FocusThroughNd, "focus-through-nd", HelpPage::Hands, Topic::Camera,
         kCommonPractice, "Strong ND weakens the camera's focus",
         "{nd} of ND leave it little light where it measures through the lens."},
        {FindingId::FocusWireless, "focus-wireless", HelpPage::Hands, Topic::Camera,
         kCommonPractice, "Wireless is on while the camera focuses",
         "Some bodies give up part of their focusing for it: try yours."},
        {FindingId::AutomaticOn, "automatic-on", HelpPage::Hands, Topic::Camera, kCommonPractice,
         "Left on: {automatic}", "{effect}."},
        {FindingId::AutomaticBounded, "automatic-bounded", HelpPage::Hands, Topic::Camera,
         kCommonPractice, "Left to the camera: {automatic}, from {low} to {high}",
         "A school of its own in changing light. {costs}."},
    };
    return kKinds;
}

} // namespace bslate::kinds
