#pragma once

#include "core/clip/clip_facts.h"

namespace bslate::sample {

/// 3840x2160, long group, 10 bits, 4:2:2.
inline ClipFacts clip(const char* file, FrameRate rate, double average, double peak) {
    ClipFacts clip;
    clip.file = file;
    clip.size = DataSize(1e6);
    clip.average = DataRate(average);
    clip.peak = DataRate(peak);
    ClipPicture picture;
    picture.size = {3840, 2160};
    picture.rate = rate;
    picture.gop = Gop::Long;
    picture.depth = BitDepth{10};
    picture.chroma = Chroma::C422;
    clip.picture = picture;
    return clip;
}

} // namespace bslate::sample
