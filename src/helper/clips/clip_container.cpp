#include "helper/clips/clip_container.h"

#include "helper/clips/clip_samples.h"
#include "helper/clips/listed_samples.h"
#include "helper/codec/media_library.h"
#include "io/doors/shut_doors.h"
#include "io/json/clip_json.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <filesystem>
#include <set>
#include <string_view>

extern "C" {
#include <libavutil/display.h>
}

namespace bslate::helper {
namespace {

constexpr std::size_t kMostNotes = 64, kLongestNote = 400;

// Containers in which cameras and recorders write, and no lists of other files.
constexpr const char* kContainers = "mov,matroska,webm,mxf,avi,mpegts,mpeg,mpegvideo,h264,hevc,dv,"
                                    "asf,flv,nut,wav,w64,aiff,flac,ogg,mp3,aac,au";

Error refusedClip(std::string got, std::string expected) {
    return {ErrorCode::WrongFormat, {}, {}, std::move(got), std::move(expected)};
}

std::string wordOf(const AVDictionary* dictionary, const char* key) {
    const auto* entry = av_dict_get(dictionary, key, nullptr, 0);
    return entry ? entry->value : std::string();
}

std::optional<FrameRate> rateFrom(AVRational rate) {
    if (rate.num < 1 || rate.den < 1)
        return std::nullopt;
    return FrameRate{Rational(rate.num, rate.den)};
}

Chroma chromaOf(const AVPixFmtDescriptor& format) {
    if (format.flags & AV_PIX_FMT_FLAG_BAYER)
        return Chroma::Raw;
    if (format.log2_chroma_w == 0)
        return Chroma::C444;
    return format.log2_chroma_h == 0 ? Chroma::C422 : Chroma::C420;
}

std::string tagOf(const char* name) {
    const std::string_view word = name ? name : "";
    return word == "unknown" || word == "reserved" ? std::string() : std::string(word);
}

int turnOf(const AVStream& stream) {
    const auto* matrix = av_stream_get_side_data(&stream, AV_PKT_DATA_DISPLAYMATRIX, nullptr);
    if (!matrix)
        return 0;
    const double against = av_display_rotation_get(reinterpret_cast<const std::int32_t*>(matrix));
    if (!std::isfinite(against))
        return 0;
    const auto quarters = std::lround(-against / 90);
    return static_cast<int>(((quarters % 4) + 4) % 4) * 90;
}

// All that one picture tells.
ClipPicture pictureOf(const AVStream& stream) {
    const auto& told = *stream.codecpar;
    ClipPicture picture;
    picture.size = {told.width, told.height};
    picture.turned = turnOf(stream);
    picture.standard = isMezzanine(told.codec_id) ? "mezzanine" : avcodec_get_name(told.codec_id);
    picture.readable = avcodec_find_decoder(told.codec_id) != nullptr;
    picture.interlaced =
        told.field_order != AV_FIELD_UNKNOWN && told.field_order != AV_FIELD_PROGRESSIVE;
    if (const auto* format = av_pix_fmt_desc_get(static_cast<AVPixelFormat>(told.format))) {
        picture.depth = BitDepth{format->comp[0].depth};
        picture.chroma = chromaOf(*format);
    }
    // A mezzanine codec has no tag for it; what its decoder says is a guess.
    if (isMezzanine(told.codec_id))
        picture.range.reset();
    else if (told.color_range == AVCOL_RANGE_MPEG)
        picture.range = CodeRange::Legal;
    else if (told.color_range == AVCOL_RANGE_JPEG)
        picture.range = CodeRange::Full;
    picture.colour = {tagOf(av_color_primaries_name(told.color_primaries)),
                      tagOf(av_color_transfer_name(told.color_trc)),
                      tagOf(av_color_space_name(told.color_space))};
    return picture;
}

AVStream* pictureStream(AVFormatContext& clip) {
    for (unsigned i = 0; i < clip.nb_streams; ++i) {
        auto* stream = clip.streams[i];
        if (stream->codecpar->codec_type == AVMEDIA_TYPE_VIDEO &&
            !(stream->disposition & AV_DISPOSITION_ATTACHED_PIC) && stream->codecpar->width > 0)
            return stream;
    }
    return nullptr;
}

std::optional<Timecode> timecodeFrom(const std::string& text) {
    Timecode code;
    char before = 0;
    if (std::sscanf(text.c_str(), "%d:%d:%d%c%d", &code.hours, &code.minutes, &code.seconds,
                    &before, &code.frames) != 5)
        return std::nullopt;
    code.drop = before == ';' || before == '.';
    return code;
}

void takeNotes(const AVDictionary* from, ClipFacts& facts) {
    static const std::set<std::string_view> kKnown = {
        "major_brand", "minor_version", "compatible_brands", "language", "handler_name",
        "vendor_id",   "timecode",      "creation_time",     "duration"};
    const AVDictionaryEntry* entry = nullptr;
    while ((entry = av_dict_get(from, "", entry, AV_DICT_IGNORE_SUFFIX)))
        if (!kKnown.contains(entry->key) && facts.notes.size() < kMostNotes)
            facts.notes.emplace(entry->key, std::string(entry->value).substr(0, kLongestNote));
}

void takeWords(const AVFormatContext& clip, ClipFacts& facts) {
    takeNotes(clip.metadata, facts);
    std::string code = wordOf(clip.metadata, "timecode");
    facts.recordedAt = wordOf(clip.metadata, "creation_time");
    for (unsigned i = 0; i < clip.nb_streams; ++i) {
        const auto* words = clip.streams[i]->metadata;
        takeNotes(words, facts);
        if (code.empty())
            code = wordOf(words, "timecode");
        if (facts.recordedAt.empty())
            facts.recordedAt = wordOf(words, "creation_time");
    }
    facts.timecode = timecodeFrom(code);
}

// Rate, group and gaps from the times of pictures; the peak of what all of them weigh, with sound
// that is as heavy all the time.
Outcome takeTiming(AVFormatContext& clip, AVStream& stream, ClipFacts& facts) {
    const auto samples = samplesOf(clip, stream);
    const Rational tick(stream.time_base.num, stream.time_base.den);
    const auto timing = timingOf(samples.all, tick, rateFrom(stream.avg_frame_rate));
    if (!timing)
        return timing.error();
    auto& picture = *facts.picture;
    picture.rate = timing->rate;
    picture.variable = timing->variable;
    picture.varies = timing->varies;
    picture.gop = timing->everyKey ? Gop::Intra : Gop::Long;
    picture.gaps = timing->gaps;
    picture.doubled = timing->doubled;
    picture.duration = timing->duration;
    picture.frames = static_cast<std::int64_t>(samples.all.size());
    facts.sampled = !samples.whole;
    facts.cutOff = samples.end > static_cast<std::int64_t>(facts.size.value()) ||
                   (samples.whole && facts.duration - timing->duration > Seconds(1));
    if (facts.duration <= Seconds(0))
        facts.duration = timing->duration;
    if (facts.sampled) {
        picture.duration = facts.duration;
        picture.frames = std::llround(facts.duration.value() * picture.rate.perSecond.toDouble());
    }
    double weight = 0;
    for (const auto& sample : samples.all)
        weight += static_cast<double>(sample.bytes);
    facts.average = DataRate(8 * facts.size.value() / facts.duration.value());
    const DataRate pictures(8 * weight / timing->duration.value());
    const auto sound = std::max(DataRate(0), facts.average - pictures);
    facts.peak = std::max(facts.average, peakRate(samples.all, tick, timing->duration) + sound);
    return Done{};
}

// Why the library found no recording in what begins so.
Error refusalOf(std::string_view head, const std::string& reason) {
    if (head.empty())
        return refusedClip("an empty file", "a recorded clip");
    const auto box = head.size() < 8 ? std::string_view() : head.substr(4, 4);
    if (box == "ftyp" || box == "mdat")
        return refusedClip("no index", "a recording that was closed: this one was cut off, and the "
                                       "camera may still mend it");
    return refusedClip(reason, "a recorded clip");
}

// The container in the bytes; they are its own from here on.
int openContainer(AVFormatContext*& opened, AVIOContext* bytes, const std::string& name) {
    opened = avformat_alloc_context();
    if (!opened || !bytes) {
        avformat_free_context(opened);
        endBytes(bytes);
        return AVERROR(ENOMEM);
    }
    opened->pb = bytes;
    opened->max_streams = kMostTracks;
    AVDictionary* options = nullptr;
    av_dict_set(&options, "format_whitelist", kContainers, 0);
    const int failed = avformat_open_input(&opened, name.c_str(), nullptr, &options);
    av_dict_free(&options);
    if (failed < 0)
        endBytes(bytes); // which the library leaves to whom it belongs
    return failed;
}

} // namespace

Result<FormatContext> openedClip(const std::string& path) {
    auto input = openedInput(path);
    if (!input)
        return input.error();
    io::shutDoors();
    if (auto problem = problemWithLists(*input))
        return *std::move(problem);
    std::string head(12, '\0');
    head.resize(readAt(*input, 0, head.data(), head.size()));
    AVFormatContext* opened = nullptr;
    const auto name = std::filesystem::path(path).filename().string();
    const int failed = openContainer(opened, openedBytes(*std::move(input)), name);
    if (failed < 0) {
        char reason[AV_ERROR_MAX_STRING_SIZE] = {};
        av_strerror(failed, reason, sizeof reason);
        return refusalOf(head, reason);
    }
    FormatContext clip(opened);
    if (avformat_find_stream_info(clip.get(), nullptr) < 0)
        return refusalOf(head, "streams that tell nothing");
    return clip;
}

std::vector<AVStream*> soundStreams(AVFormatContext& clip) {
    std::vector<AVStream*> found;
    for (unsigned i = 0; i < clip.nb_streams; ++i)
        if (clip.streams[i]->codecpar->codec_type == AVMEDIA_TYPE_AUDIO)
            found.push_back(clip.streams[i]);
    return found;
}

Result<ClipFacts> factsOf(AVFormatContext& clip) {
    ClipFacts facts;
    facts.container = clip.iformat->name;
    facts.size = DataSize(static_cast<double>(std::max<std::int64_t>(0, avio_size(clip.pb))));
    if (clip.duration > 0)
        facts.duration = Seconds(static_cast<double>(clip.duration) / AV_TIME_BASE);
    takeWords(clip, facts);
    for (const auto* stream : soundStreams(clip))
        facts.sound.push_back(
            {std::clamp(stream->codecpar->ch_layout.nb_channels, 0, io::kMostChannels),
             std::max(0, stream->codecpar->sample_rate),
             avcodec_get_name(stream->codecpar->codec_id), std::nullopt});
    if (auto* stream = pictureStream(clip)) {
        facts.picture = pictureOf(*stream);
        if (const auto timed = takeTiming(clip, *stream, facts); !timed)
            return timed.error();
    } else if (facts.sound.empty()) {
        return refusedClip("neither pictures nor sound", "a recorded clip");
    } else if (facts.duration > Seconds(0)) {
        facts.average = facts.peak = DataRate(8 * facts.size.value() / facts.duration.value());
    }
    return facts;
}

} // namespace bslate::helper
