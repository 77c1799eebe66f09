// Clips whose lists tell of more than they have, or of other files.
#include "io/clips/clip_file.h"
#include "support/media_tool.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

namespace bslate::io {
namespace {

using sample::mediaTool;
using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

std::string big(std::uint32_t value) {
    std::string bytes;
    for (int shift = 24; shift >= 0; shift -= 8)
        bytes += static_cast<char>(value >> shift);
    return bytes;
}

std::string said(const Result<ClipFacts>& clip) {
    return clip ? "read" : message(clip.error());
}

class StrangeClips : public ::testing::Test {
public:
    void SetUp() override {
        mediaTool("-v error -f lavfi -i testsrc2=s=320x180:r=24:d=1 -f lavfi -i sine=d=1 "
                  "-c:v libx264 -c:a pcm_s16le " +
                  (folder / "good.mov").string());
        good = slurp(folder / "good.mov");
        ASSERT_FALSE(good.empty());
    }
    // The good clip with a number in a table of its first track, `at` bytes behind its name.
    std::string changed(const std::string& table, std::size_t at, const std::string& bytes) {
        auto text = good;
        const auto found = text.find(table);
        EXPECT_NE(found, std::string::npos) << table;
        return text.replace(found + 4 + at, bytes.size(), bytes);
    }
    TemporaryFolder folder;
    std::string good;
};

TEST_F(StrangeClips, ListsOfMoreSamplesThanBytesAreRefused) {
    EXPECT_EQ(said(readClip(folder / "good.mov", ClipDepth::Facts)), "read");
    // All of one size, and 19 million of them (ISO/IEC 14496-12, 8.7.3).
    spit(folder / "many.mov", changed("stsz", 4, big(1) + big(19'000'000)));
    // As many in each chunk (8.7.4).
    spit(folder / "chunks.mov", changed("stsc", 12, big(900'000'000)));
    for (const char* name : {"many.mov", "chunks.mov"})
        EXPECT_NE(said(readClip(folder / name, ClipDepth::Facts)).find("samples in"),
                  std::string::npos)
            << said(readClip(folder / name, ClipDepth::Facts));
}

TEST_F(StrangeClips, MoreTracksThanARecorderWritesAreRefused) {
    const std::string track = big(8) + "trak";
    std::string tracks;
    for (int i = 0; i < 900; ++i)
        tracks += track;
    spit(folder / "tracks.mov", big(12) + "ftypqt  " +
                                    big(static_cast<std::uint32_t>(8 + tracks.size())) + "moov" +
                                    tracks);
    EXPECT_NE(said(readClip(folder / "tracks.mov", ClipDepth::Facts)).find("900 tracks"),
              std::string::npos);
}

TEST_F(StrangeClips, ListsOfOtherFilesAreNoClips) {
    const auto real = (folder / "good.mov").string();
    spit(folder / "hls.mov",
         "#EXTM3U\n#EXT-X-TARGETDURATION:10\n#EXTINF:10,\n" + real + "\n#EXT-X-ENDLIST\n");
    spit(folder / "concat.mov", "ffconcat version 1.0\nfile '" + real + "'\n");
    for (const char* name : {"hls.mov", "concat.mov"})
        EXPECT_NE(said(readClip(folder / name, ClipDepth::Facts)).find("recorded clip"),
                  std::string::npos)
            << name;
}

} // namespace
} // namespace bslate::io
