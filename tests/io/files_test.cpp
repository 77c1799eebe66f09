#include "io/files.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <sys/stat.h>

namespace bslate::io {
namespace {

using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

std::size_t filesIn(const std::filesystem::path& folder) {
    return static_cast<std::size_t>(std::distance(std::filesystem::directory_iterator(folder), {}));
}

TEST(Files, ReplaceTheContentsAndLeaveNothingBehind) {
    const TemporaryFolder folder;
    spit(folder / "a.txt", "old");
    ::chmod((folder / "a.txt").c_str(), 0640);
    ASSERT_TRUE(writeFileAtomically(folder / "a.txt", "new"));
    EXPECT_EQ(slurp(folder / "a.txt"), "new");
    EXPECT_EQ(filesIn(folder.path()), 1u);
    struct stat info {};
    ::stat((folder / "a.txt").c_str(), &info);
    EXPECT_EQ(info.st_mode & 0777, 0640u);
}

TEST(Files, ASymbolicLinkKeepsPointing) {
    const TemporaryFolder folder;
    spit(folder / "target", "old");
    std::filesystem::create_symlink("target", folder / "link");
    ASSERT_TRUE(writeFileAtomically(folder / "link", "new"));
    EXPECT_TRUE(std::filesystem::is_symlink(folder / "link"));
    EXPECT_EQ(slurp(folder / "target"), "new");
}

TEST(Files, AFailedWriteLeavesTheOldFile) {
    const TemporaryFolder folder;
    const auto missing = writeFileAtomically(folder / "nowhere" / "a.txt", "new");
    ASSERT_FALSE(missing.ok());
    EXPECT_EQ(missing.error().code, ErrorCode::FileUnwritable);
    std::filesystem::create_directory(folder / "taken");
    spit(folder / "taken" / "inside", "x");
    ASSERT_FALSE(writeFileAtomically(folder / "taken", "new").ok()) << "a folder is no file";
    EXPECT_EQ(filesIn(folder.path()), 1u) << "the temporary file must be gone";
    EXPECT_FALSE(writeFileAtomically("/proc/nothing/here", "new").ok());
}

TEST(Files, ReadingRefusesWhatIsNotAFile) {
    const TemporaryFolder folder;
    EXPECT_EQ(readFile(folder / "missing").error().code, ErrorCode::FileUnreadable);
    EXPECT_EQ(readFile(folder.path()).error().code, ErrorCode::FileUnreadable);
    spit(folder / "large", std::string(2000, 'x'));
    const auto large = readFile(folder / "large", 1000);
    EXPECT_EQ(large.error().code, ErrorCode::FileTooLarge);
    EXPECT_EQ(large.error().file, (folder / "large").string());
    EXPECT_EQ(readFile(folder / "large")->size(), 2000u);
}

} // namespace
} // namespace bslate::io
