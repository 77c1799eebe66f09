#include "helper/codec/clip_writer.h"

#include "helper/codec/encoder.h"

#include <algorithm>
#include <cmath>
#include <cstring>
#include <numbers>

namespace bslate::helper {
namespace {

constexpr int kSamplesPerSecond = 48'000, kPacketSamples = 1024;
constexpr double kToneHertz = 1000;

} // namespace

void ClipWriter::EndsOutput::operator()(AVFormatContext* context) const {
    if (context->pb) {
        std::uint8_t* bytes = nullptr;
        avio_close_dyn_buf(context->pb, &bytes);
        av_free(bytes);
    }
    avformat_free_context(context);
}

Result<ClipWriter> ClipWriter::open(const MadeClipTask& task) {
    auto encoder = openedEncoder(task.coding, true);
    if (!encoder)
        return encoder.error();
    ClipWriter writer(task);
    writer.m_encoder = *std::move(encoder);
    writer.m_frame = frameFor(task.coding);
    writer.m_packet.reset(av_packet_alloc());
    AVFormatContext* made = nullptr;
    avformat_alloc_output_context2(&made, nullptr, "mov", nullptr);
    writer.m_file.reset(made);
    if (!writer.m_frame || !made || avio_open_dyn_buf(&made->pb) < 0 || !writer.addStreams() ||
        avformat_write_header(made, nullptr) < 0)
        return cannotBeEncoded(task.coding);
    return writer;
}

bool ClipWriter::addStreams() {
    m_file->flags |= AVFMT_FLAG_BITEXACT;
    for (const auto& [key, value] : m_task.notes)
        av_dict_set(&m_file->metadata, key.c_str(), value.c_str(), 0);
    m_pictures = avformat_new_stream(m_file.get(), nullptr);
    if (!m_pictures || avcodec_parameters_from_context(m_pictures->codecpar, m_encoder.get()) < 0)
        return false;
    // Else a 10-bit intra recording is taken for one whose header no decoder is told.
    if (m_encoder->codec_id == AV_CODEC_ID_H264)
        m_pictures->codecpar->codec_tag = MKTAG('a', 'v', 'c', '1');
    else if (m_encoder->codec_id == AV_CODEC_ID_HEVC)
        m_pictures->codecpar->codec_tag = MKTAG('h', 'v', 'c', '1');
    m_pictures->time_base = m_encoder->time_base;
    m_pictures->avg_frame_rate = m_encoder->framerate;
    av_dict_set(&m_pictures->metadata, "timecode", print(m_task.timecode).c_str(), 0);
    if (!m_task.tone)
        return true;
    m_sound = avformat_new_stream(m_file.get(), nullptr);
    if (!m_sound)
        return false;
    auto& of = *m_sound->codecpar;
    of.codec_type = AVMEDIA_TYPE_AUDIO;
    of.codec_id = AV_CODEC_ID_PCM_S16LE;
    of.format = AV_SAMPLE_FMT_S16;
    of.sample_rate = kSamplesPerSecond;
    of.bits_per_coded_sample = 16;
    of.block_align = 2;
    of.bit_rate = std::int64_t{kSamplesPerSecond} * 16;
    av_channel_layout_default(&of.ch_layout, 1);
    m_sound->time_base = {1, kSamplesPerSecond};
    return true;
}

Outcome ClipWriter::add(const YcbcrFrame& frame) {
    if (!putFrame(frame, m_task.coding, *m_frame))
        return cannotBeEncoded(m_task.coding);
    m_frame->pts = m_next++;
    if (avcodec_send_frame(m_encoder.get(), m_frame.get()) < 0)
        return cannotBeEncoded(m_task.coding);
    return receivePackets();
}

Outcome ClipWriter::receivePackets() {
    while (avcodec_receive_packet(m_encoder.get(), m_packet.get()) >= 0) {
        m_packet->stream_index = m_pictures->index;
        m_packet->duration = 1;
        av_packet_rescale_ts(m_packet.get(), m_encoder->time_base, m_pictures->time_base);
        if (av_interleaved_write_frame(m_file.get(), m_packet.get()) < 0)
            return cannotBeEncoded(m_task.coding);
    }
    return Done{};
}

Outcome ClipWriter::addTone() {
    const double amplitude = 32767 * std::pow(10, m_task.tone->value() / 20);
    const double seconds = m_task.coding.frames / m_task.coding.rate.toDouble();
    const auto all = static_cast<std::int64_t>(std::llround(seconds * kSamplesPerSecond));
    for (std::int64_t at = 0; at < all; at += kPacketSamples) {
        const int count = static_cast<int>(std::min<std::int64_t>(kPacketSamples, all - at));
        if (av_new_packet(m_packet.get(), count * 2) < 0)
            return cannotBeEncoded(m_task.coding);
        for (int i = 0; i < count; ++i) {
            const double turn = 2 * std::numbers::pi * kToneHertz * double(at + i);
            const auto value = static_cast<std::int16_t>(
                std::lround(amplitude * std::sin(turn / kSamplesPerSecond)));
            std::memcpy(m_packet->data + std::ptrdiff_t{2} * i, &value, 2);
        }
        m_packet->stream_index = m_sound->index;
        m_packet->pts = m_packet->dts = at;
        m_packet->duration = count;
        m_packet->flags |= AV_PKT_FLAG_KEY;
        av_packet_rescale_ts(m_packet.get(), {1, kSamplesPerSecond}, m_sound->time_base);
        if (av_interleaved_write_frame(m_file.get(), m_packet.get()) < 0)
            return cannotBeEncoded(m_task.coding);
    }
    return Done{};
}

Result<std::string> ClipWriter::finish() {
    avcodec_send_frame(m_encoder.get(), nullptr);
    if (const auto last = receivePackets(); !last)
        return last.error();
    if (m_sound)
        if (const auto tone = addTone(); !tone)
            return tone.error();
    if (av_write_trailer(m_file.get()) < 0)
        return cannotBeEncoded(m_task.coding);
    std::uint8_t* bytes = nullptr;
    const int size = avio_close_dyn_buf(m_file->pb, &bytes);
    m_file->pb = nullptr;
    std::string file(reinterpret_cast<const char*>(bytes), static_cast<std::size_t>(size));
    av_free(bytes);
    return file;
}

} // namespace bslate::helper
