#include "io/system/folder_card.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <filesystem>
#include <unistd.h>

namespace bslate::io {
namespace {

namespace fs = std::filesystem;

long filesIn(const fs::path& folder) {
    return std::distance(fs::directory_iterator(folder), fs::directory_iterator());
}

TEST(FolderCard, WritesItsOwnFileAndLeavesNothing) {
    const sample::TemporaryFolder folder;
    sample::spit(folder / "clip-1.mov", "the only copy");
    const auto stamp = fs::last_write_time(folder / "clip-1.mov");
    {
        const auto card = openFolderCard(folder.path(), ByteCount{4000000});
        ASSERT_TRUE(card.ok()) << message(card.error());
        EXPECT_EQ(filesIn(folder.path()), 1) << "it has no name: it goes however this ends";
        const auto bench = benchCard(**card, ByteCount{4000000}, ByteCount{1000000});
        ASSERT_TRUE(bench.ok());
        EXPECT_EQ(bench->blocks, 4);
        EXPECT_EQ(bench->written, ByteCount{4000000});
        EXPECT_GT(bench->sustained.value(), 0);
        EXPECT_LE(bench->worst.value(), bench->sustained.value() * (1 + 1e-9));
    }
    EXPECT_EQ(filesIn(folder.path()), 1) << "gone with the device";
    EXPECT_EQ(sample::slurp(folder / "clip-1.mov"), "the only copy");
    EXPECT_EQ(fs::last_write_time(folder / "clip-1.mov"), stamp);
}

TEST(FolderCard, ClearsWhatAKilledTestLeft) {
    const sample::TemporaryFolder folder;
    sample::spit(folder / ".bright-slate-write-test-abc123", "half a gigabyte");
    ASSERT_TRUE(openFolderCard(folder.path(), ByteCount{1000000}).ok());
    EXPECT_EQ(filesIn(folder.path()), 0);
}

TEST(FolderCard, RefusesWhatItCannotDo) {
    const sample::TemporaryFolder folder;
    const auto room = fs::space(folder.path());
    const auto full = openFolderCard(folder.path(), ByteCount{room.available});
    ASSERT_FALSE(full.ok()) << "some must stay free";
    EXPECT_NE(full.error().expected.find("MB free"), std::string::npos);
    sample::spit(folder / "file", "x");
    EXPECT_FALSE(openFolderCard(folder / "file", ByteCount{1000000}).ok());
    EXPECT_FALSE(openFolderCard(folder / "gone", ByteCount{1000000}).ok());
    EXPECT_EQ(filesIn(folder.path()), 1);
    if (::geteuid() != 0) { // root may write anywhere
        fs::permissions(folder.path(), fs::perms::owner_read | fs::perms::owner_exec);
        EXPECT_FALSE(openFolderCard(folder.path(), ByteCount{1000000}).ok());
        fs::permissions(folder.path(), fs::perms::owner_all);
    }
}

} // namespace
} // namespace bslate::io
