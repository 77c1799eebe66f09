#include "helper/clips/clip_bytes.h"

#include <cstdio>

extern "C" {
#include <libavutil/error.h>
#include <libavutil/mem.h>
}

namespace bslate::helper {
namespace {

constexpr int kBuffer = 1 << 18;

struct Reading {
    InputFile input;
    std::int64_t at = 0;
};

int readSome(void* opaque, std::uint8_t* into, int count) {
    auto& reading = *static_cast<Reading*>(opaque);
    const auto got = readAt(reading.input, static_cast<std::size_t>(reading.at), into,
                            static_cast<std::size_t>(count));
    reading.at += static_cast<std::int64_t>(got);
    return got == 0 ? AVERROR_EOF : static_cast<int>(got);
}

std::int64_t seekTo(void* opaque, std::int64_t offset, int whence) {
    auto& reading = *static_cast<Reading*>(opaque);
    const auto size = static_cast<std::int64_t>(reading.input.size);
    if (whence == AVSEEK_SIZE)
        return size;
    const int from = whence & ~AVSEEK_FORCE;
    const std::int64_t start = from == SEEK_SET ? 0 : from == SEEK_CUR ? reading.at : size;
    if (start + offset < 0)
        return AVERROR(EINVAL);
    return reading.at = start + offset;
}

} // namespace

AVIOContext* openedBytes(InputFile input) {
    auto* buffer = static_cast<unsigned char*>(av_malloc(kBuffer));
    if (!buffer)
        return nullptr;
    auto reading = std::make_unique<Reading>(Reading{std::move(input), 0});
    auto* bytes = avio_alloc_context(buffer, kBuffer, 0, reading.get(), readSome, nullptr, seekTo);
    if (bytes)
        (void)reading.release(); // its own from here on
    else
        av_free(buffer);
    return bytes;
}

void endBytes(AVIOContext* bytes) {
    if (!bytes)
        return;
    delete static_cast<Reading*>(bytes->opaque);
    av_freep(&bytes->buffer);
    avio_context_free(&bytes);
}

} // namespace bslate::helper
