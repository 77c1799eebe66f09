// Clips of known settings, made by the media library's tool, against those settings, its probe and
// its loudness filter; and files that are no clips.
#include "core/clip/clip_modes.h"
#include "io/clips/clip_file.h"
#include "io/json/clip_json.h"
#include "support/media_tool.h"

#include <gtest/gtest.h>

#include <cmath>
#include <filesystem>

namespace bslate::io {
namespace {

using sample::mediaTool;
using sample::numberAfter;
using sample::saidBy;
using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

std::string pictures(const char* rate, const char* seconds) {
    return "-f lavfi -i testsrc2=s=320x180:r=" + std::string(rate) + ":d=" + seconds + " ";
}
constexpr const char* kLong10 =
    "-c:v libx264 -pix_fmt yuv422p10le -g 12 -bf 2 -b:v 2M -color_range tv -colorspace bt709 "
    "-color_primaries bt2020 -color_trc bt2020-10 ";

class Clips : public ::testing::Test {
public:
    [[nodiscard]] std::string file(const std::string& name) const {
        return (folder / name).string();
    }
    void make(const std::string& name, const std::string& how) const {
        const auto said = mediaTool("-v error " + how + file(name));
        ASSERT_TRUE(std::filesystem::exists(file(name))) << said;
    }
    [[nodiscard]] Result<ClipFacts> read(const std::string& name,
                                         ClipDepth depth = ClipDepth::Facts) const {
        return readClip(file(name), depth);
    }
    [[nodiscard]] double probe(const std::string& name, const std::string& entry) const {
        return numberAfter(
            saidBy("ffprobe -v error -select_streams v:0 -count_packets -show_entries " + entry +
                   " -of default=nk=0:nw=1 " + file(name)),
            entry.substr(entry.find('=') + 1) + "=");
    }
    TemporaryFolder folder;
};

TEST_F(Clips, TellWhatTheyWereEncodedWith) {
    make("a.mov", pictures("24000/1001", "3") + "-f lavfi -i sine=f=1000:r=48000:d=3 -ac 2 " +
                      std::string(kLong10) +
                      "-c:a pcm_s24le -timecode 10:20:30:12 "
                      "-metadata reel_name=A001 ");
    const auto clip = read("a.mov");
    ASSERT_TRUE(clip) << message(clip.error());
    ASSERT_TRUE(clip->picture);
    const auto& picture = *clip->picture;
    EXPECT_EQ(clip->file, "a.mov");
    EXPECT_EQ(picture.size, (FrameSize{320, 180}));
    EXPECT_EQ(picture.rate.perSecond, Rational(24000, 1001));
    EXPECT_FALSE(picture.variable);
    EXPECT_EQ(picture.standard, "h264");
    EXPECT_EQ(picture.gop, Gop::Long);
    EXPECT_EQ(picture.depth, BitDepth{10});
    EXPECT_EQ(picture.chroma, Chroma::C422);
    EXPECT_EQ(picture.range, CodeRange::Legal);
    EXPECT_EQ(picture.colour, (ColourTags{"bt2020", "bt2020-10", "bt709"}));
    EXPECT_EQ(clip->timecode, (Timecode{10, 20, 30, 12, false}));
    ASSERT_EQ(clip->sound.size(), 1u);
    EXPECT_EQ(clip->sound[0].channels, 2);
    EXPECT_EQ(clip->sound[0].samplesPerSecond, 48000);
    EXPECT_FALSE(clip->sound[0].level) << "nobody listened";
    EXPECT_EQ(static_cast<double>(picture.frames), probe("a.mov", "stream=nb_read_packets"));
    EXPECT_NEAR(clip->duration.value(), probe("a.mov", "format=duration"), 1e-6);
    EXPECT_NEAR(clip->average.value(), probe("a.mov", "format=bit_rate"), 1);
    EXPECT_GE(clip->peak, clip->average);
    const auto again = readClipText(clipText(*clip));
    ASSERT_TRUE(again);
    EXPECT_EQ(*again, *clip);
}

TEST_F(Clips, OfOtherContainersAreTheSame) {
    make("a.mp4", pictures("50", "2") + "-c:v libx264 -pix_fmt yuv420p -g 1 ");
    for (const char* name : {"a.mkv", "a.ts", "a.avi"})
        make(name, "-i " + file("a.mp4") + " -c copy ");
    make("pieces.mp4", "-i " + file("a.mp4") + " -c copy -movflags frag_keyframe+empty_moov ");
    for (const char* name : {"a.mp4", "a.mkv", "a.ts", "a.avi", "pieces.mp4"}) {
        const auto clip = read(name);
        ASSERT_TRUE(clip) << name << ": " << message(clip.error());
        EXPECT_EQ(clip->picture->rate.perSecond, Rational(50, 1)) << name;
        EXPECT_EQ(clip->picture->frames, 100) << name;
        EXPECT_EQ(clip->picture->gop, Gop::Intra) << name;
        EXPECT_FALSE(clip->picture->variable) << name;
        EXPECT_FALSE(clip->cutOff) << name;
        EXPECT_FALSE(clip->sampled) << name;
    }
}

// Ticks of a millisecond, and a mean rate in the head of the file: the standard rate comes first.
TEST_F(Clips, OfStandardRatesInCoarseTicksHaveThose) {
    for (const auto& [rate, exact] :
         {std::pair{"24000/1001", Rational(24000, 1001)},
          std::pair{"30000/1001", Rational(30000, 1001)},
          std::pair{"60000/1001", Rational(60000, 1001)},
          std::pair{"120000/1001", Rational(120000, 1001)}, std::pair{"24", Rational(24, 1)}}) {
        make("r.mp4", pictures(rate, "5") + "-r " + rate + " -c:v libx264 -pix_fmt yuv420p ");
        make("r.mkv", "-i " + file("r.mp4") + " -c copy ");
        const auto clip = read("r.mkv");
        ASSERT_TRUE(clip) << message(clip.error());
        EXPECT_EQ(clip->picture->rate.perSecond, exact) << rate;
        EXPECT_FALSE(clip->picture->variable) << rate;
    }
}

TEST_F(Clips, OfFieldsAreSeenAndMakeNoMode) {
    make("i.mov", pictures("25", "1") +
                      "-vf setfield=tff -flags +ilme+ildct -c:v mpeg2video -qscale:v 2 "
                      "-pix_fmt yuv422p ");
    make("p.mov", pictures("25", "1") + "-c:v mpeg2video -qscale:v 2 -pix_fmt yuv422p ");
    const auto fields = read("i.mov"), whole = read("p.mov");
    ASSERT_TRUE(fields && whole);
    EXPECT_TRUE(fields->picture->interlaced);
    EXPECT_FALSE(whole->picture->interlaced);
    EXPECT_EQ(unfitForModes(*fields), ClipUnfit::Interlaced);
    EXPECT_FALSE(unfitForModes(*whole));
}

// One channel with a tone, the other with nothing.
TEST_F(Clips, TellEachChannelsPeak) {
    make("d.mov", pictures("25", "1") + "-f lavfi -i \"aevalsrc=0.25*sin(2*PI*1000*t)|0:d=1\" "
                                        "-c:v libx264 -pix_fmt yuv420p -c:a pcm_s24le ");
    const auto clip = read("d.mov", ClipDepth::Listen);
    ASSERT_TRUE(clip) << message(clip.error());
    ASSERT_TRUE(clip->sound.at(0).level);
    const auto& channels = clip->sound[0].level->channels;
    ASSERT_EQ(channels.size(), 2u);
    EXPECT_NEAR(channels[0].value(), -12.04, 0.1) << "20 log10 0.25";
    EXPECT_FALSE(std::isfinite(channels[1].value()));
}

TEST_F(Clips, VariableTurnedAndSoundAloneAreSeen) {
    make("v.mp4", pictures("30", "3") + "-vf select='not(eq(mod(n\\,7)\\,3))' -vsync vfr "
                                        "-c:v libx264 -pix_fmt yuv420p ");
    const auto variable = read("v.mp4");
    ASSERT_TRUE(variable) << message(variable.error());
    EXPECT_TRUE(variable->picture->variable);
    EXPECT_EQ(variable->picture->rate.perSecond, Rational(30, 1));
    EXPECT_EQ(variable->picture->gaps, 12)
        << "of 90 frames, 3, 10 ... 87 are left out, one at the end";
    make("plain.mp4", pictures("25", "1") + "-c:v libx264 -pix_fmt yuv420p ");
    make("turned.mp4", "-i " + file("plain.mp4") + " -c copy -metadata:s:v rotate=90 ");
    const auto turned = read("turned.mp4");
    ASSERT_TRUE(turned) << message(turned.error());
    EXPECT_EQ(turned->picture->turned % 180, 90);
    make("s.wav", "-f lavfi -i sine=d=2 ");
    const auto sound = read("s.wav");
    ASSERT_TRUE(sound) << message(sound.error());
    EXPECT_FALSE(sound->picture);
    EXPECT_EQ(sound->sound.size(), 1u);
    // A header that says what no sound has: told, and no fault of the two programs.
    auto bytes = sample::slurp(folder / "s.wav");
    for (const int channels : {0, 3000, 65535}) {
        bytes[22] = static_cast<char>(channels & 0xFF);
        bytes[23] = static_cast<char>(channels >> 8);
        sample::spit(folder / "odd.wav", bytes);
        const auto odd = read("odd.wav", ClipDepth::Listen);
        EXPECT_TRUE(odd.ok() || odd.error().expected.find("message between") == std::string::npos)
            << channels << " " << message(odd.error());
    }
}

// A sine of amplitude 1/8 is -18.06 dBFS, its root mean square 3.01 dB less (1/sqrt 2). Loudness
// and true peak by the media library's filter for EBU R 128.
TEST_F(Clips, AreHeardAsLoudAsTheirSine) {
    make("s.mov", pictures("25", "3") + "-f lavfi -i sine=f=1000:r=48000:d=3 -ac 2 -c:v libx264 "
                                        "-pix_fmt yuv420p -c:a pcm_s24le ");
    const auto clip = read("s.mov", ClipDepth::Listen);
    ASSERT_TRUE(clip) << message(clip.error());
    ASSERT_EQ(clip->sound.size(), 1u);
    ASSERT_TRUE(clip->sound[0].level);
    const auto& level = *clip->sound[0].level;
    const auto said = mediaTool("-i " + file("s.mov") + " -af ebur128=peak=true -f null -");
    ASSERT_TRUE(level.loudness);
    EXPECT_NEAR(level.loudness->value(), numberAfter(said, "I:         "), 0.06);
    EXPECT_NEAR(level.truePeak.value(), numberAfter(said, "Peak:      "), 0.06);
    const double amplitude = numberAfter(
        mediaTool("-i " + file("s.mov") + " -af volumedetect -f null -"), "max_volume: ");
    EXPECT_NEAR(level.peak.value(), amplitude, 0.06);
    EXPECT_NEAR(level.peak.value() - level.mean.value(), 3.01, 0.02);
    make("quiet.wav", "-f lavfi -i anullsrc=r=48000:d=2 ");
    const auto quiet = read("quiet.wav", ClipDepth::Listen);
    ASSERT_TRUE(quiet && quiet->sound[0].level);
    EXPECT_FALSE(std::isfinite(quiet->sound[0].level->peak.value()));
    EXPECT_FALSE(quiet->sound[0].level->loudness);
}

TEST_F(Clips, ThatAreBrokenSaySo) {
    make("a.mov", pictures("25", "2") + "-c:v libx264 -pix_fmt yuv420p ");
    make("front.mp4", "-i " + file("a.mov") + " -c copy -movflags +faststart ");
    const auto whole = slurp(file("a.mov"));
    spit(file("no-index.mov"), whole.substr(0, whole.size() / 2));
    spit(file("empty.mov"), "");
    spit(file("text.mov"), "not a clip at all");
    spit(file("list.m3u8"), "#EXTM3U\n#EXTINF:1,\na.mov\n#EXT-X-ENDLIST\n");
    const std::pair<const char*, const char*> wrong[] = {{"no-index.mov", "cut off"},
                                                         {"empty.mov", "an empty file"},
                                                         {"text.mov", "a recorded clip"},
                                                         {"list.m3u8", "a recorded clip"},
                                                         {"missing.mov", "a readable clip"}};
    for (const auto& [name, says] : wrong) {
        const auto clip = read(name);
        ASSERT_FALSE(clip) << name;
        const auto told = message(clip.error());
        EXPECT_NE(told.find(name), std::string::npos) << told;
        EXPECT_NE(told.find(says), std::string::npos) << told;
    }
    EXPECT_FALSE(read(".")) << "a folder";
    const auto front = slurp(file("front.mp4"));
    spit(file("half.mp4"), front.substr(0, front.size() / 2));
    const auto half = read("half.mp4");
    ASSERT_TRUE(half) << message(half.error());
    EXPECT_TRUE(half->cutOff) << "its index tells of more than there is";
}

TEST(ClipText, OfOthersIsRefused) {
    for (const char* text : {"", "[]", "{}", "{\"file\":3}", "{\"expected\":7}",
                             "{\"file\":\"a\",\"container\":\"b\",\"size_bytes\":-1}"})
        EXPECT_FALSE(readClipText(text)) << text;
}

} // namespace
} // namespace bslate::io
