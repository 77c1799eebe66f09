#include "core/judgement/kinds/kinds.h"

namespace bslate::kinds {

std::span<const FindingKind> frame() {
    static constexpr std::string_view kDrawn =
        "the scene drawn from its patches and recorded by the sensor model";
    static constexpr FindingKind kKinds[] = {
        {FindingId::FrameClips, "frame-clips", HelpPage::Frame, Topic::Camera, kDrawn,
         "{,channels} ended over {share} of the frame",
         "Red {red}, green {green}, blue {blue}. Colour is wrong where the first channel ends."},
        {FindingId::FrameDrowns, "frame-drowns", HelpPage::Frame, Topic::Camera, kDrawn,
         "{,channels} drowned over {share} of the frame",
         "Red {red}, green {green}, blue {blue} of it lie under the noise floor."},
        {FindingId::FrameSkinZebra, "frame-skin-zebra", HelpPage::Frame, Topic::Camera, kDrawn,
         "Skin zebra stands on {share} of {patch}",
         "It marks {from} to {to}; what is brighter or darker on the skin stays without."},
        {FindingId::FrameNoiseEaten, "frame-noise-eaten", HelpPage::Frame, Topic::Grading,
         "an encoder of the standard at the mode's bit rate, by share of its pixels",
         "The codec keeps {kept} of the noise",
         "{standard} at {rate}. Fine texture goes where noise goes: a hard grade shows it as "
         "smearing and blocks."},
        {FindingId::FrameNotCoded, "frame-not-coded", HelpPage::Frame, Topic::Camera,
         "the encoders of this machine", "Shown without its codec",
         "What is drawn is what the codec is given: {why}."},
        {FindingId::FrameBands, "frame-bands", HelpPage::Frame, Topic::Grading, kCommonPractice,
         "Banding over {area} of the frame",
         "Steps of {step:display code|display codes} where light is smooth and noise does not hide "
         "them. "
         "{instead}."},
        {FindingId::FrameLookEnds, "frame-look-ends", HelpPage::Frame, Topic::Grading,
         "the curve's own end against the sensor model's",
         "The look ends {share} of the frame that the sensor kept",
         "{profile} ends {room} under the sensor."},
        {FindingId::FrameOffPlan, "frame-off-plan", HelpPage::Frame, Topic::Camera, kCommonPractice,
         "{patch} is found {by} from plan", "Planned {planned}, found {found}."},
        {FindingId::FrameAsPlanned, "frame-as-planned", HelpPage::Frame, Topic::Camera,
         kCommonPractice, "Found as planned", "Patches within a third of a stop: {count}."},
    };
    return kKinds;
}

} // namespace bslate::kinds
