#pragma once

#include "core/cadence/timecode.h"
#include "core/clip/clip_timing.h"
#include "core/kit/camera.h"

#include <map>
#include <optional>
#include <string>
#include <vector>

/// What a recorded clip says of itself.
namespace bslate {

/// Tags of colour by the names the media library gives the code points of ITU-T H.273; empty where
/// a clip has none.
struct ColourTags {
    std::string primaries, transfer, matrix;
    friend bool operator==(const ColourTags&, const ColourTags&) = default;
};

/// The pictures of a clip.
struct ClipPicture {
    FrameSize size;        ///< as recorded, before it is turned
    int turned = 0;        ///< clockwise degrees for viewing: 0, 90, 180 or 270
    FrameRate rate;        ///< frames a second; the mean where it varies
    bool variable = false; ///< two frames are further apart than two others by more than a tick
    std::optional<RateSpan> varies; ///< frames keep more than one pace, whatever is missing besides
    bool interlaced = false;        ///< every frame is two fields, caught one after the other
    std::string standard; ///< as the media library names it; `mezzanine` for codecs of that kind
    bool readable = true; ///< the media library of this machine can decode it
    Gop gop = Gop::Intra; ///< intra: every picture is a key picture
    std::optional<BitDepth> depth; ///< none here and in chroma: the library cannot tell
    std::optional<Chroma> chroma;
    std::optional<CodeRange> range; ///< none: not told
    ColourTags colour;
    std::int64_t frames = 0;
    Seconds duration;
    int gaps = 0;    ///< places where frames are missing
    int doubled = 0; ///< frames that share their time with another
    friend bool operator==(const ClipPicture&, const ClipPicture&) = default;
};

/// What its pictures are coded by; Other for a standard that this program has no word for.
[[nodiscard]] inline CodecStandard standardOf(const ClipPicture& picture) {
    if (picture.standard.empty())
        return CodecStandard::Untold;
    return codecStandard(picture.standard).value_or(CodecStandard::Other);
}

/// Loudness and levels of a track.
struct SoundLevel {
    Decibels peak;     ///< dBFS of the highest sample; minus infinity: silence
    Decibels truePeak; ///< dBTP, ITU-R BS.1770-4 annex 2
    Decibels mean;     ///< dBFS, root mean square of the loudest channel: a full sine is -3.01
    std::optional<Decibels> loudness; ///< LUFS, integrated, EBU R 128; none: silent or too short
    std::vector<Decibels> channels;   ///< peak of each, dBFS
    friend bool operator==(const SoundLevel&, const SoundLevel&) = default;
};
struct ClipSound {
    int channels = 0;
    int samplesPerSecond = 0;
    std::string standard;
    std::optional<SoundLevel> level; ///< none: not listened to
    friend bool operator==(const ClipSound&, const ClipSound&) = default;
};

struct ClipFacts {
    std::string file; ///< its name alone
    std::string container;
    DataSize size;
    Seconds duration;
    DataRate average; ///< the whole file over its duration
    DataRate peak;    ///< over the second that holds most; no less than the average
    std::optional<ClipPicture> picture;
    std::vector<ClipSound> sound;
    std::optional<Timecode> timecode;         ///< of the first frame
    std::string recordedAt;                   ///< ISO 8601, as written in the file; may be empty
    std::map<std::string, std::string> notes; ///< what the camera wrote besides, as it is there
    bool sampled = false; ///< read in parts, since it is long: frames and rates are of these
    bool cutOff = false;  ///< the file ends before its sound and pictures do
    friend bool operator==(const ClipFacts&, const ClipFacts&) = default;
};

} // namespace bslate
