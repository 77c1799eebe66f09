#include "helper/clips/clip_samples.h"

#include "helper/codec/media_library.h"

#include <algorithm>

namespace bslate::helper {
namespace {

constexpr std::int64_t kMostRead = std::int64_t{256} << 20;
constexpr double kFewestSeconds = 10;
constexpr std::size_t kMostSamples = 20'000'000;

// Of a container that lists its samples.
bool listed(AVStream& stream, ClipSamples& into) {
    const int count = avformat_index_get_entries_count(&stream);
    if (count < 1 || stream.nb_frames < 1 || count < stream.nb_frames)
        return false;
    for (int i = 0; i < count; ++i) {
        const auto* entry = avformat_index_get_entry(&stream, i);
        into.all.push_back({entry->timestamp, entry->size, (entry->flags & AVINDEX_KEYFRAME) != 0});
        into.end = std::max<std::int64_t>(into.end, entry->pos + entry->size);
    }
    return true;
}

// Of the others, from the beginning on.
ClipSamples readFrom(AVFormatContext& clip, const AVStream& stream) {
    ClipSamples samples;
    const MediaPacket packet(av_packet_alloc());
    std::int64_t bytes = 0, first = AV_NOPTS_VALUE;
    for (;;) {
        if (av_read_frame(&clip, packet.get()) < 0)
            return samples;
        bytes += packet->size;
        if (packet->stream_index == stream.index) {
            const auto time = packet->pts != AV_NOPTS_VALUE ? packet->pts : packet->dts;
            if (time != AV_NOPTS_VALUE) {
                if (first == AV_NOPTS_VALUE)
                    first = time;
                samples.all.push_back({time, packet->size, (packet->flags & AV_PKT_FLAG_KEY) != 0});
            }
        }
        av_packet_unref(packet.get());
        const double seconds =
            samples.all.empty()
                ? 0
                : static_cast<double>(samples.all.back().time - first) * av_q2d(stream.time_base);
        if ((bytes > kMostRead && (seconds > kFewestSeconds || bytes > 8 * kMostRead)) ||
            samples.all.size() > kMostSamples) {
            samples.whole = false;
            return samples;
        }
    }
}

} // namespace

ClipSamples samplesOf(AVFormatContext& clip, AVStream& stream) {
    ClipSamples samples;
    return listed(stream, samples) ? samples : readFrom(clip, stream);
}

} // namespace bslate::helper
