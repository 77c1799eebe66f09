#include "core/judgement/kinds/kinds.h"

namespace bslate::kinds {

std::span<const FindingKind> takes() {
    static constexpr FindingKind kKinds[] = {
        {FindingId::CamerasRate, "cameras-rate", HelpPage::Cameras, Topic::Camera, kCommonPractice,
         "{other} does not match in rate",
         "{mine} here, {theirs} there: cuts between them will show it."},
        {FindingId::CamerasRateNever, "cameras-rate-never", HelpPage::Cameras, Topic::Camera,
         kCommonPractice, "{other} cannot match in rate",
         "{mine} here; {camera} has no way to record it and runs at {theirs}."},
        {FindingId::CamerasDepth, "cameras-depth", HelpPage::Cameras, Topic::Camera,
         kCommonPractice, "{other} does not match in bit depth",
         "{mine}-bit here, {theirs}-bit there: the weaker one limits the grade."},
        {FindingId::CamerasBase, "cameras-base", HelpPage::Cameras, Topic::Camera, kCommonPractice,
         "{other} runs at {theirs}, this one at {mine}",
         "They are not the same: {drift} an hour apart. Set both to one of them."},
        {FindingId::CamerasDepthNever, "cameras-depth-never", HelpPage::Cameras, Topic::Camera,
         kCommonPractice, "{other} cannot match in bit depth",
         "{mine}-bit here; at this rate {camera} has no such mode and records {theirs}-bit."},
        {FindingId::CamerasGamutNever, "cameras-gamut-never", HelpPage::Cameras, Topic::Grading,
         kCommonPractice, "{other} cannot record this gamut",
         "{mine} here; no profile of {camera} has it, {theirs} there: convert both before "
         "matching."},
        {FindingId::CamerasGamut, "cameras-gamut", HelpPage::Cameras, Topic::Grading,
         kCommonPractice, "{other} records another gamut",
         "{mine} here, {theirs} there: convert both before matching."},
        {FindingId::ClipLimitShort, "clip-limit-short", HelpPage::Takes, Topic::Camera, kKitEntry,
         "Clips end at {limit}, the take lasts {take}",
         "{mode} stops by itself; the take must not be interrupted."},
        {FindingId::HeatShort, "heat-short", HelpPage::Takes, Topic::Camera, kKitEntry,
         "Heat stops {camera} after {limit}",
         "At {ambient} in this mode{beyond}; the take lasts {take}. Let a hot body cool, do not "
         "cover "
         "it."},
        {FindingId::CardShort, "card-short", HelpPage::Takes, Topic::Camera,
         "capacity over bit rate", "{card} lasts {time}, the take {take}",
         "One card does not hold the take at {bitRate}."},
        {FindingId::CardTight, "card-tight", HelpPage::Takes, Topic::Camera, kCommonPractice,
         "{card} has {spare} to spare",
         "It lasts {time}, the take {take}, which must not be interrupted: takes run over."},
        {FindingId::MirrorShort, "mirror-short", HelpPage::Takes, Topic::Camera,
         "capacity over bit rate", "The copy in {slot} ends after {time}, the take {take}",
         "{card} there does not hold the take at {bitRate}."},
        {FindingId::MirrorSlow, "mirror-slow", HelpPage::Takes, Topic::Camera,
         "the cards' guaranteed speed classes", "{slot} cannot keep up with the copy",
         "It writes up to {need}; {card} guarantees {best} there."},
        {FindingId::FirstSlotSlow, "first-slot-slow", HelpPage::Takes, Topic::Camera,
         "the cards' guaranteed speed classes", "{slot} cannot keep up",
         "It writes up to {need}; {card} guarantees {best} there, and the copy wants the other "
         "slot."},
        {FindingId::MirrorNoCard, "mirror-no-card", HelpPage::Takes, Topic::Camera,
         "the cards' guaranteed speed classes", "No card is at hand for the copy in {slot}",
         "Nothing that fits is left beside the card in the first slot of {camera}."},
        {FindingId::CardClassUnknown, "card-class-unknown", HelpPage::Takes, Topic::Camera,
         "SD Association, buses and speed classes (from memory)",
         "What {card} guarantees in {slot} is not known",
         "Its class is defined for faster buses than this one; {best} is counted on. Test the card "
         "in "
         "this camera."},
        {FindingId::SafetySun, "safety-sun", HelpPage::Safety, Topic::Safety,
         "usual caution; local codes and licensed practice decide", "Sun in or near the frame",
         "Never look at it through optics; cover the lens between takes: it burns eyes and "
         "sensors."},
        {FindingId::SafetyWater, "safety-water", HelpPage::Safety, Topic::Safety,
         "usual caution; local codes and licensed practice decide", "Work on or beside water",
         "Vests, a lookout and dry hands for cables; mains only by a licensed electrician."},
        {FindingId::SafetyMains, "safety-mains", HelpPage::Safety, Topic::Safety,
         "usual caution; local codes and licensed practice decide", "Mains lamps in use",
         "Distribution and generators belong to a licensed electrician; local codes decide."},
        {FindingId::SafetyHeights, "safety-heights", HelpPage::Safety, Topic::Safety,
         "usual caution; local codes and licensed practice decide", "Work at a height",
         "Tether camera, lens and filters; nobody below. This plan is no risk assessment."},
    };
    return kKinds;
}

} // namespace bslate::kinds
