#include "core/clip/clip_print.h"

#include "core/kit/mode_fields.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "core/words/wording.h"

#include <cmath>

namespace bslate {
namespace {

std::string countOf(int count, const char* one, const char* many) {
    return counted(std::to_string(count), one, many);
}

} // namespace

std::string printDbfs(Decibels level) {
    return std::isfinite(level.value()) ? fixedText(level.value(), 1) + " dBFS" : "silence";
}

std::string printFormat(std::optional<BitDepth> depth, std::optional<Chroma> chroma) {
    const std::string bits =
        depth ? std::to_string(depth->bits) + "-bit" : std::string("unknown depth");
    return chroma ? bits + " " + std::string(nameIn<Chroma>(kChromaNames, *chroma)) : bits;
}

std::string print(const ClipPicture& picture) {
    std::string text = std::to_string(picture.size.width) + "x" +
                       std::to_string(picture.size.height) + ", " + print(picture.rate) +
                       (picture.interlaced ? " frames of two fields, " : " p, ") +
                       picture.standard + (picture.readable ? " " : " (cannot be read here) ") +
                       std::string(nameIn<Gop>(kGopNames, picture.gop)) + " " +
                       printFormat(picture.depth, picture.chroma);
    if (picture.range)
        text += *picture.range == CodeRange::Legal ? " legal" : " full";
    if (picture.variable)
        text += ", variable rate";
    if (picture.gaps > 0)
        text += ", " + countOf(picture.gaps, "gap", "gaps");
    if (picture.doubled > 0)
        text += ", " + countOf(picture.doubled, "frame doubled", "frames doubled");
    if (picture.turned != 0)
        text += ", turned " + std::to_string(picture.turned);
    return text;
}

std::string print(const ClipSound& sound) {
    std::string text = countOf(sound.channels, "channel", "channels") + ", " +
                       trimmed(sound.samplesPerSecond / 1000.0, 1) + " kHz";
    if (!sound.level)
        return text;
    text += ", peak " + printDbfs(sound.level->peak);
    if (sound.level->loudness)
        text += ", " + fixedText(sound.level->loudness->value(), 1) + " LUFS";
    return text;
}

std::string print(const ClipFacts& clip) {
    std::string text = clip.picture ? print(*clip.picture) : std::string("no pictures");
    if (clip.average > DataRate(0))
        text += ", " + print(clip.average) + ", peak " + print(clip.peak);
    text += ", " + print(clip.duration);
    if (clip.timecode)
        text += ", from " + print(*clip.timecode);
    if (clip.cutOff)
        text += ", cut off";
    if (clip.sampled)
        text += ", read in parts";
    return text;
}

} // namespace bslate
