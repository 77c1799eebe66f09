#include "helper/clips/sound_levels.h"

#include "helper/codec/media_library.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include <ebur128.h>

extern "C" {
#include <libswresample/swresample.h>
}

namespace bslate::helper {
namespace {

constexpr double kWholeSeconds = 600, kPartSeconds = 15;
constexpr int kParts = 40;

struct EndsMeter {
    void operator()(ebur128_state* state) const { ebur128_destroy(&state); }
};
struct EndsConverter {
    void operator()(SwrContext* context) const { swr_free(&context); }
};

Decibels decibels(double amplitude) {
    return Decibels(amplitude > 0 ? 20 * std::log10(amplitude)
                                  : -std::numeric_limits<double>::infinity());
}

// Takes frames as the decoder gives them.
class Listener {
public:
    Listener(int channels, int rate)
        : m_channels(static_cast<std::size_t>(channels))
        , m_rate(rate)
        , m_meter(ebur128_init(static_cast<unsigned>(channels), static_cast<unsigned long>(rate),
                               EBUR128_MODE_I | EBUR128_MODE_TRUE_PEAK | EBUR128_MODE_SAMPLE_PEAK))
        , m_squares(m_channels) {}

    bool hear(const AVFrame& frame) {
        if (!m_meter || frame.ch_layout.nb_channels != static_cast<int>(m_channels) ||
            frame.sample_rate != m_rate)
            return false;
        if (!m_converter) {
            SwrContext* made = nullptr;
            AVChannelLayout layout = frame.ch_layout; // not const in older libraries
            swr_alloc_set_opts2(&made, &layout, AV_SAMPLE_FMT_FLT, m_rate, &layout,
                                static_cast<AVSampleFormat>(frame.format), m_rate, 0, nullptr);
            m_converter.reset(made);
            if (!made || swr_init(made) < 0)
                return false;
        }
        const auto count = static_cast<std::size_t>(frame.nb_samples);
        m_samples.resize(count * m_channels);
        auto* into = reinterpret_cast<std::uint8_t*>(m_samples.data());
        if (swr_convert(m_converter.get(), &into, frame.nb_samples,
                        const_cast<const std::uint8_t**>(frame.extended_data),
                        frame.nb_samples) != frame.nb_samples)
            return false;
        for (std::size_t i = 0; i < m_samples.size(); ++i) {
            const double value = std::isfinite(m_samples[i]) ? m_samples[i] : 0;
            m_samples[i] = static_cast<float>(value);
            m_squares[i % m_channels] += value * value;
        }
        m_count += count;
        return ebur128_add_frames_float(m_meter.get(), m_samples.data(), count) == EBUR128_SUCCESS;
    }

    [[nodiscard]] std::optional<SoundLevel> heard() const {
        if (m_count == 0)
            return std::nullopt;
        double peak = 0, truePeak = 0;
        std::vector<Decibels> channels;
        for (unsigned c = 0; c < m_channels; ++c) {
            double one = 0;
            ebur128_sample_peak(m_meter.get(), c, &one);
            peak = std::max(peak, one);
            channels.push_back(decibels(one));
            ebur128_true_peak(m_meter.get(), c, &one);
            truePeak = std::max(truePeak, one);
        }
        SoundLevel level{decibels(peak), decibels(truePeak), {}, std::nullopt, std::move(channels)};
        level.mean = decibels(std::sqrt(*std::max_element(m_squares.begin(), m_squares.end()) /
                                        static_cast<double>(m_count)));
        double loudness = 0;
        if (ebur128_loudness_global(m_meter.get(), &loudness) == EBUR128_SUCCESS &&
            std::isfinite(loudness))
            level.loudness = Decibels(loudness);
        return level;
    }

private:
    std::size_t m_channels;
    int m_rate;
    std::unique_ptr<ebur128_state, EndsMeter> m_meter;
    std::unique_ptr<SwrContext, EndsConverter> m_converter;
    std::vector<float> m_samples;
    std::vector<double> m_squares;
    std::size_t m_count = 0;
};

// From where the container stands, for so many seconds.
bool hearPart(AVFormatContext& clip, const AVStream& stream, AVCodecContext& decoder,
              double seconds, Listener& listener) {
    const MediaPacket packet(av_packet_alloc());
    const MediaFrame frame(av_frame_alloc());
    double heard = 0;
    bool more = true;
    while (more && heard < seconds) {
        more = av_read_frame(&clip, packet.get()) >= 0;
        const bool ours = more && packet->stream_index == stream.index;
        if (ours || !more)
            avcodec_send_packet(&decoder, more ? packet.get() : nullptr);
        if (more)
            av_packet_unref(packet.get());
        while ((ours || !more) && avcodec_receive_frame(&decoder, frame.get()) >= 0) {
            heard += static_cast<double>(frame->nb_samples) / std::max(1, frame->sample_rate);
            if (!listener.hear(*frame))
                return false;
        }
    }
    return true;
}

CodecContext decoderOf(const AVStream& stream) {
    const auto* codec = avcodec_find_decoder(stream.codecpar->codec_id);
    CodecContext decoder(codec ? avcodec_alloc_context3(codec) : nullptr);
    if (!decoder || avcodec_parameters_to_context(decoder.get(), stream.codecpar) < 0)
        return nullptr;
    decoder->pkt_timebase = stream.time_base;
    return avcodec_open2(decoder.get(), codec, nullptr) < 0 ? nullptr : std::move(decoder);
}

} // namespace

std::optional<SoundLevel> levelOf(AVFormatContext& clip, AVStream& stream, bool& sampled) {
    const auto decoder = decoderOf(stream);
    const int channels = stream.codecpar->ch_layout.nb_channels;
    if (!decoder || channels < 1 || channels > 64 || stream.codecpar->sample_rate < 1)
        return std::nullopt;
    for (unsigned i = 0; i < clip.nb_streams; ++i)
        clip.streams[i]->discard = clip.streams[i] == &stream ? AVDISCARD_DEFAULT : AVDISCARD_ALL;
    Listener listener(channels, stream.codecpar->sample_rate);
    const double whole = static_cast<double>(clip.duration) / AV_TIME_BASE;
    const bool parts = whole > kWholeSeconds;
    for (int part = 0; part < (parts ? kParts : 1); ++part) {
        const auto to = static_cast<std::int64_t>(whole * AV_TIME_BASE * part / kParts);
        if (avformat_seek_file(&clip, -1, INT64_MIN, to, INT64_MAX, 0) < 0 && part > 0)
            break;
        avcodec_flush_buffers(decoder.get());
        if (!hearPart(clip, stream, *decoder, parts ? kPartSeconds : 1e9, listener))
            break;
    }
    sampled = sampled || parts;
    return listener.heard();
}

} // namespace bslate::helper
