#include "core/judgement/kinds/kinds.h"

namespace bslate::kinds {

std::span<const FindingKind> clips() {
    static constexpr std::string_view kStamps = "time stamps of the file";
    static constexpr std::string_view kStream = "what the file says of itself";
    static constexpr FindingKind kKinds[] = {
        {FindingId::ClipRate, "clip-rate", HelpPage::Clips, Topic::Grading, kStamps,
         "{clip} runs at {rate}, planned was {planned}",
         "{,effect}. Set the camera back and shoot it again, or tell post to conform it."},
        {FindingId::ClipFramesMissing, "clip-frames-missing", HelpPage::Clips, Topic::Grading,
         kStamps, "{clip} has gaps: frames are missing",
         "Places without a frame: {gaps}; frames at the time of another: {doubled}. The card or "
         "the "
         "body did not keep up: shoot it again on another card."},
        {FindingId::ClipVariable, "clip-variable", HelpPage::Clips, Topic::Grading, kStamps,
         "The rate of {clip} varies from {slowest} to {fastest}",
         "Planned was {planned} throughout. Sound drifts and cuts slip in editing: have it brought "
         "to one rate first."},
        {FindingId::ClipSize, "clip-size", HelpPage::Clips, Topic::Grading, kStream,
         "{clip} is {size}, planned was {planned}",
         "It is scaled beside the others, or framed differently: check the recording mode."},
        {FindingId::ClipDepth, "clip-depth", HelpPage::Clips, Topic::Grading, kStream,
         "{clip} is {format}, planned was {planned}",
         "A recording that keeps less breaks sooner in the grade: check the codec that is set."},
        {FindingId::ClipDepthMore, "clip-depth-more", HelpPage::Clips, Topic::Grading, kStream,
         "{clip} is {format}, planned was {planned}",
         "It keeps more than planned: the grade gains, cards and drives fill sooner."},
        {FindingId::ClipInterlaced, "clip-interlaced", HelpPage::Clips, Topic::Grading, kStream,
         "{clip} is interlaced, planned were whole frames",
         "Two fields make each of its {rate} frames a second: what moves combs. Set the camera to "
         "whole frames; post has to part the fields of this one."},
        {FindingId::ClipTurned, "clip-turned", HelpPage::Clips, Topic::Grading, kStream,
         "{clip} is tagged to be turned by {angle}",
         "The camera believed it was held upright: what reads the tag shows it turned."},
        {FindingId::ClipGop, "clip-gop", HelpPage::Clips, Topic::Camera, kStream,
         "{clip} is {gop}, planned was {planned}",
         "Bit rate, time on a card and what motion costs are not those of the plan."},
        {FindingId::ClipCodec, "clip-codec", HelpPage::Clips, Topic::Camera, kStream,
         "{clip} is coded in {codec}, planned was {planned}",
         "At one bit rate standards keep more or less of the picture, and not every editor reads "
         "both: check the codec that is set."},
        {FindingId::ClipUnreadable, "clip-unreadable", HelpPage::Clips, Topic::Camera, kStream,
         "The pictures of {clip} cannot be read here",
         "The media library of this machine has no decoder for {codec}: what the file says of "
         "itself is checked, exposure, flicker and repeats are not."},
        {FindingId::ClipRange, "clip-range", HelpPage::Clips, Topic::Grading, kStream,
         "{clip} is tagged {range} range, {profile} is {planned}",
         "Read by its tag, black and white come out shifted: tell post which is true."},
        {FindingId::ClipCurveTag, "clip-curve-tag", HelpPage::Clips, Topic::Grading,
         "ITU-T H.273, transfer characteristics", "The curve tag of {clip} is {tag}",
         "{profile} was planned: a player or an editor that trusts the tag shows it wrongly."},
        {FindingId::ClipBitRateLow, "clip-bit-rate-low", HelpPage::Clips, Topic::Camera,
         kCommonPractice, "{clip} has {rate} of {planned}",
         "The recording mode promises more{;why}. Look at the slot, the card and the mode."},
        {FindingId::ClipPeakHigh, "clip-peak-high", HelpPage::Clips, Topic::Camera,
         "the second of the file that holds most", "{clip} writes up to {peak}",
         "More than the {planned} the kit counts with: cards are to hold this much."},
        {FindingId::ClipNoPicture, "clip-no-picture", HelpPage::Clips, Topic::Camera, kStream,
         "{clip} holds no pictures", "Sound alone is in the file."},
        {FindingId::ClipNoSound, "clip-no-sound", HelpPage::Clips, Topic::Camera, kStream,
         "{clip} has no sound", "It was planned with sound: check that the mode records it."},
        {FindingId::ClipSoundSilent, "clip-sound-silent", HelpPage::Clips, Topic::Camera,
         "samples of the track", "Track {track} of {clip} is silent",
         "Every sample is zero: look at the plug, the input that is chosen and its level."},
        {FindingId::ClipSoundEnds, "clip-sound-ends", HelpPage::Clips, Topic::Camera,
         "samples of the track", "Track {track} of {clip} clips",
         "Its peak is {peak}: what was louder is gone. Lower the input, and switch the limiter "
         "on."},
        {FindingId::ClipSoundWeak, "clip-sound-weak", HelpPage::Clips, Topic::Camera,
         kCommonPractice, "Track {track} of {clip} is weak",
         "Its peak is {peak}, tone stands at {tone} dBFS: raised later, the noise comes with it."},
        {FindingId::ClipSoundDead, "clip-sound-dead", HelpPage::Clips, Topic::Camera,
         "samples of the track", "Channel {channel} of track {track} of {clip} is dead",
         "Its peak is {peak} beside one of {loudest}: look at the plug, the input and its level."},
        {FindingId::ClipCutOff, "clip-cut-off", HelpPage::Clips, Topic::Camera, kStream,
         "{clip} ends before its pictures do",
         "The file or its copy is not whole: copy it again, and keep the card until it is."},
        {FindingId::ClipAtLimit, "clip-at-limit", HelpPage::Clips, Topic::Camera,
         "the camera's kit entry", "{clip} ran into the limit of {limit}",
         "The camera may have stopped by itself: see whether the take went on."},
        {FindingId::ClipShort, "clip-short", HelpPage::Clips, Topic::Camera,
         "the take as it was planned", "{clip} lasts {length} of {planned}",
         "The take was not to be interrupted{;joined}: look for its other parts."},
        {FindingId::ClipPartsApart, "clip-parts-apart", HelpPage::Clips, Topic::Grading, kStamps,
         "{clip} does not join {before}",
         "Parts of a take are {frames:frame|frames} off by timecode: picture or sound is missing "
         "or "
         "doubled there."},
        {FindingId::ClipFramesRepeat, "clip-frames-repeat", HelpPage::Clips, Topic::Grading,
         "how pictures differ beside those around them; thresholds are common practice, no source",
         "{clip} repeats pictures",
         "Of {looked} that were looked at {repeated} are the one before again: a body, a converter "
         "or a copy filled gaps. Look for the original, or shoot it again."},
        {FindingId::ClipPulses, "clip-pulses", HelpPage::Clips, Topic::Camera,
         "discrete Fourier transform of the picture's light", "{clip} flickers at {alias}",
         "{stops##:stop|stops} peak to peak from frame to frame{;lamps}. Change the shutter or the "
         "rate, "
         "or the lamps; what is shot can only be softened in post."},
        {FindingId::ClipBandsStand, "clip-bands-stand", HelpPage::Clips, Topic::Camera,
         "integral of the waveform over the exposure, found in the picture",
         "Bands of light stand in {clip}",
         "{stops##:stop|stops} from light to dark, {bands:band|bands} over the height: lamps at "
         "{frequency} keep step with {rate}. Another shutter takes them away."},
        {FindingId::ClipExposure, "clip-exposure", HelpPage::Clips, Topic::Grading,
         "the profile's curve", "{patch} in {clip} lies {by} from the plan",
         "It is recorded at {+seen#}, planned was {+planned#} from mid-grey. Set it right with "
         "iris "
         "or ND, or tell the grade."},
        {FindingId::ClipChannelEnds, "clip-channel-ends", HelpPage::Clips, Topic::Grading,
         "the profile's curve and the sensor's full well",
         "{patch} in {clip} has lost: {,channels}",
         "It had to be kept, and {share} of it is at the end of the recording. Shoot it again with "
         "less light on it, or with the white moved."},
        {FindingId::ClipGuessed, "clip-guessed", HelpPage::Clips, Topic::Camera, kStream,
         "{clip} is taken for {setup}: a guess",
         "Its format fits {others} as well, and neither its name nor its time tells which."},
        {FindingId::ClipAsPlanned, "clip-as-planned", HelpPage::Clips, Topic::Grading, kStream,
         "{clip} is what {setup} was to be", "Rate, size, depth, tags and sound agree{;codec}."},
    };
    return kKinds;
}

} // namespace bslate::kinds
