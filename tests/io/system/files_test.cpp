#include "io/system/files.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <atomic>
#include <thread>
#include <vector>

#include <chrono>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

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
    // A pipe without a writer would keep whoever opens it waiting; a device never ends.
    ASSERT_EQ(::mkfifo((folder / "pipe").c_str(), 0600), 0);
    for (const auto& path : {folder / "pipe", std::filesystem::path("/dev/zero")}) {
        EXPECT_EQ(readFile(path).error().code, ErrorCode::FileUnreadable);
        EXPECT_FALSE(writeFileAtomically(path, "new").ok());
        EXPECT_EQ(obstaclesTo(path).back(), Obstacle::NotAFile);
    }
    struct stat info {};
    ASSERT_EQ(::lstat((folder / "pipe").c_str(), &info), 0);
    EXPECT_TRUE(S_ISFIFO(info.st_mode)) << "it is left alone";
}

TEST(Files, ADanglingLinkGetsItsTarget) {
    const TemporaryFolder folder;
    std::filesystem::create_symlink("target", folder / "link");
    ASSERT_TRUE(writeFileAtomically(folder / "link", "new"));
    EXPECT_TRUE(std::filesystem::is_symlink(folder / "link"));
    EXPECT_EQ(slurp(folder / "target"), "new");
}

TEST(Files, ClearWhatAKilledProgramLeftAndNothingElse) {
    const TemporaryFolder folder;
    const auto child = ::fork();
    if (child == 0)
        ::_exit(0);
    ::waitpid(child, nullptr, 0);
    const auto name = [&](auto pid) {
        return folder / (".bslate-writing-" + std::to_string(pid) + "-1");
    };
    const auto old = std::filesystem::file_time_type::clock::now() - std::chrono::hours(1);
    for (const auto& file : {name(child), name(::getppid()), folder / ".bslate-writing"}) {
        spit(file, "half");
        std::filesystem::last_write_time(file, old);
    }
    ASSERT_TRUE(writeFileAtomically(folder / "a.txt", "new"));
    EXPECT_FALSE(std::filesystem::exists(name(child)));
    EXPECT_TRUE(std::filesystem::exists(name(::getppid()))) << "a living program writes it";
    EXPECT_TRUE(std::filesystem::exists(folder / ".bslate-writing"));
}

TEST(Files, PrivateOnesFollowNoLinkAndAreNobodyElses) {
    const TemporaryFolder folder;
    spit(folder / "victim", "precious");
    std::filesystem::create_symlink("victim", folder / "autosave");
    ASSERT_TRUE(writePrivately(folder / "autosave", "mine"));
    EXPECT_EQ(slurp(folder / "victim"), "precious");
    struct stat info {};
    ASSERT_EQ(::lstat((folder / "autosave").c_str(), &info), 0);
    EXPECT_TRUE(S_ISREG(info.st_mode));
    EXPECT_EQ(info.st_mode & 0777, 0600u);
    ::chmod((folder / "victim").c_str(), 0640);
    ASSERT_TRUE(writePrivately(folder / "like", "mine", folder / "victim"));
    ::stat((folder / "like").c_str(), &info);
    EXPECT_EQ(info.st_mode & 0777, 0640u) << "those of its document";
}

TEST(Files, TellWhatReplacingWouldChange) {
    const TemporaryFolder folder;
    EXPECT_TRUE(obstaclesTo(folder / "free").empty());
    spit(folder / "a", "x");
    EXPECT_EQ(obstaclesTo(folder / "a"), std::vector{Obstacle::Exists});
    std::filesystem::create_hard_link(folder / "a", folder / "b");
    ::chmod((folder / "a").c_str(), 0400);
    EXPECT_EQ(obstaclesTo(folder / "a"),
              (std::vector{Obstacle::Exists, Obstacle::ReadOnly, Obstacle::HardLinks}));
}

TEST(Files, ProposedNamesArePlain) {
    const std::pair<const char*, const char*> table[] = {
        {"2A", "2A"},          {"../../evil", "evil"}, {"a/b\\c", "a-b-c"}, {"a\tb\a", "a-b-"},
        {".hidden", "hidden"}, {"..", "untitled"},     {"", "untitled"}};
    for (const auto& [text, name] : table)
        EXPECT_EQ(plainFileName(text), name) << text;
    EXPECT_EQ(plainFileName(std::string(99, 'x') + "\u00e9").size(), 99u) << "whole characters";
}

TEST(WriteOver, OnlyWhatWasSeenIsReplaced) {
    const TemporaryFolder folder;
    const auto path = folder / "day.bslate";
    const auto first = writeOver(path, "one", std::nullopt);
    ASSERT_TRUE(first);
    EXPECT_EQ(lookAt(path).value(), *first) << "the stamp is of what was written";
    EXPECT_EQ(readStamped(path)->stamp, *first);
    EXPECT_EQ(writeOver(path, "two", std::nullopt).error().code, ErrorCode::WrittenMeanwhile);
    ASSERT_TRUE(writeFileAtomically(path, "theirs"));
    EXPECT_EQ(writeOver(path, "two", *first).error().code, ErrorCode::WrittenMeanwhile);
    EXPECT_EQ(*readFile(path), "theirs");
    std::filesystem::remove(path);
    EXPECT_EQ(writeOver(path, "two", *first).error().code, ErrorCode::WrittenMeanwhile);
    EXPECT_FALSE(std::filesystem::exists(path));
    for (const auto& entry : std::filesystem::directory_iterator(folder.path()))
        ADD_FAILURE() << "left behind: " << entry.path();
}

// Many programs that all saw the same file: one of them replaces it, the others are told.
TEST(WriteOver, OfManyAtOnceOneReplaces) {
    const TemporaryFolder folder;
    const auto path = folder / "day.bslate";
    for (int round = 0; round < 20; ++round) {
        const auto seen = lookAt(path);
        ASSERT_TRUE(seen);
        std::atomic<int> replaced = 0, told = 0;
        std::vector<std::thread> all;
        for (int i = 0; i < 6; ++i)
            all.emplace_back([&, i] {
                const auto done = writeOver(path, std::string(5000, char('a' + i)), *seen);
                ++(done ? replaced : told);
            });
        for (auto& one : all)
            one.join();
        EXPECT_EQ(replaced, 1);
        EXPECT_EQ(told, 5);
    }
}

TEST(LookAt, NothingIsOnlyWhatAFolderDoesNotHold) {
    namespace fs = std::filesystem;
    const TemporaryFolder folder;
    ASSERT_TRUE(lookAt(folder / "none"));
    EXPECT_FALSE(*lookAt(folder / "none"));
    fs::create_symlink(folder / "away/kit.json", folder / "link");
    EXPECT_FALSE(lookAt(folder / "link")) << "it leads to what is not there";
    fs::create_directory(folder / "away");
    EXPECT_FALSE(lookAt(folder / "link")) << "a drive may be put in there";
    EXPECT_FALSE(lookAt(folder / "gone/kit.json"));
    fs::create_symlink(folder / "loop", folder / "loop");
    EXPECT_FALSE(lookAt(folder / "loop"));
    EXPECT_FALSE(makeOwnFolder(folder / "loop/data"));
    fs::create_symlink(folder / "drive", folder / "data");
    EXPECT_FALSE(makeOwnFolder(folder / "data/bright-slate"));
    EXPECT_FALSE(fs::exists(folder / "drive"));
    EXPECT_TRUE(makeOwnFolder(folder / "own/data"));
    EXPECT_TRUE(fs::is_directory(folder / "own/data"));
}

} // namespace
} // namespace bslate::io
