#include "io/clips/clip_file.h"
#include "io/clips/clip_region.h"

#include <benchmark/benchmark.h>

#include <cstdlib>
#include <filesystem>
#include <string>

namespace {

using namespace bslate;

// Clips that are made once, of a few seconds, repeated for a longer one.
std::string made(const char* name, const std::string& how) {
    const auto path = std::filesystem::temp_directory_path() / name;
    if (!std::filesystem::exists(path))
        if (std::system(("ffmpeg -v error -y -nostdin " + how + " " + path.string()).c_str()) != 0)
            return {};
    return path.string();
}

std::string anHour() {
    const auto part = made("bslate-bench-part.mov",
                           "-f lavfi -i testsrc2=s=320x180:r=25:d=10 -f lavfi -i sine=d=10 -c:v "
                           "libx264 -pix_fmt yuv420p -c:a pcm_s16le");
    return made("bslate-bench-hour.mov", "-stream_loop 359 -i " + part + " -c copy");
}

std::string uhd() {
    return made("bslate-bench-uhd.mov", "-f lavfi -i testsrc2=s=3840x2160:r=24:d=2 -c:v libx264 "
                                        "-preset ultrafast -g 12 -pix_fmt yuv420p");
}

void factsOfAnHour(benchmark::State& state) {
    const auto clip = anHour();
    for (auto _ : state)
        if (!io::readClip(clip, io::ClipDepth::Facts))
            return state.SkipWithError("not read");
}
BENCHMARK(factsOfAnHour)->Unit(benchmark::kMillisecond)->UseRealTime();

void probeOfAnHour(benchmark::State& state) {
    const auto command = "ffprobe -v error -show_format -show_streams " + anHour() + " >/dev/null";
    for (auto _ : state)
        if (std::system(command.c_str()) != 0)
            return state.SkipWithError("not probed");
}
BENCHMARK(probeOfAnHour)->Unit(benchmark::kMillisecond)->UseRealTime();

std::string shortClip() {
    return made("bslate-bench-short.mov", "-f lavfi -i testsrc2=s=1280x720:r=24:d=4 -c:v libx264 "
                                          "-preset ultrafast -pix_fmt yuv420p");
}

// A card of clips, one after the other: what each says, heard, and its pictures looked at.
void hundredClips(benchmark::State& state) {
    const auto clip = shortClip();
    const PictureWish wish{bt709(), FrameRate{Rational(24, 1)}, {}};
    for (auto _ : state)
        for (int i = 0; i < 100; ++i)
            if (!io::readClip(clip, io::ClipDepth::Listen) || !io::readPictures(clip, wish))
                return state.SkipWithError("not read");
}
BENCHMARK(hundredClips)->Unit(benchmark::kMillisecond)->UseRealTime()->Iterations(1);

void cardOfUhd(benchmark::State& state) {
    const auto clip = uhd();
    for (auto _ : state)
        if (!io::readRegion(clip, {0.4, 0.4, 0.1, 0.1}))
            return state.SkipWithError("not read");
}
BENCHMARK(cardOfUhd)->Unit(benchmark::kMillisecond)->UseRealTime();

// What the check of a clip looks at: all of each picture, in strips, and the pulse found in them.
void picturesOfUhd(benchmark::State& state) {
    const auto clip = uhd();
    const PictureWish wish{bt709(), FrameRate{Rational(24, 1)}, {}};
    for (auto _ : state)
        if (!io::readPictures(clip, wish))
            return state.SkipWithError("not looked at");
}
BENCHMARK(picturesOfUhd)->Unit(benchmark::kMillisecond)->UseRealTime();

void decodingOfUhd(benchmark::State& state) {
    const auto command = "ffmpeg -v error -nostdin -i " + uhd() + " -f null -";
    for (auto _ : state)
        if (std::system(command.c_str()) != 0)
            return state.SkipWithError("not decoded");
}
BENCHMARK(decodingOfUhd)->Unit(benchmark::kMillisecond)->UseRealTime();

} // namespace
