// Behind shut doors a process asks the kernel in vain; each is tried in a child of the test.
#include "io/doors/shut_doors.h"
#include "io/system/helper_process.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <fcntl.h>
#include <functional>
#include <sys/socket.h>
#include <sys/wait.h>
#include <thread>
#include <unistd.h>

namespace bslate::io {
namespace {

using sample::spit;
using sample::TemporaryFolder;

constexpr int kNoDoors = 99;

// What `work` gave in a process of its own.
int inChild(const std::function<int()>& work) {
    const pid_t child = ::fork();
    if (child == 0)
        ::_exit(work());
    int status = 0;
    ::waitpid(child, &status, 0);
    return WIFEXITED(status) ? WEXITSTATUS(status) : 128 + WTERMSIG(status);
}

bool opens(const std::string& path, int how) {
    const int fd = ::open(path.c_str(), how, 0600);
    if (fd >= 0)
        ::close(fd);
    return fd >= 0;
}

// Whether a process can begin another one, which does nothing and is waited for.
bool forks() {
    const pid_t child = ::fork();
    if (child == 0)
        ::_exit(0);
    return child > 0 && ::waitpid(child, nullptr, 0) == child;
}

int triedAll(const std::string& inside, const std::string& fresh, int input) {
    char letter = 0;
    bool threads = false;
    std::thread([&] { threads = true; }).join();
    return (::read(input, &letter, 1) == 1 && letter == 'a' && threads ? 0 : 1) |
           (opens(inside, O_RDONLY) ? 2 : 0) | (opens(fresh, O_WRONLY | O_CREAT) ? 4 : 0) |
           (::socket(AF_INET, SOCK_STREAM, 0) >= 0 || ::socket(AF_UNIX, SOCK_STREAM, 0) >= 0 ? 8
                                                                                             : 0) |
           (forks() ? 16 : 0) | (::unlink(inside.c_str()) == 0 ? 32 : 0);
}

TEST(ShutDoors, LeaveReadingWhatIsOpenAndThreadsAndNothingElse) {
    const TemporaryFolder folder;
    spit(folder / "a", "abc");
    const auto inside = (folder / "a").string(), fresh = (folder / "new").string();
    const auto tried = [&](bool shut) {
        return inChild([&] {
            const int input = ::open(inside.c_str(), O_RDONLY);
            if (shut && !shutDoors())
                return kNoDoors;
            return triedAll(inside, fresh, input);
        });
    };
    const int behind = tried(true);
    if (behind == kNoDoors) // the kernel has none, or a sanitizer needs more
        GTEST_SKIP() << "no doors here";
    EXPECT_EQ(behind, 0);
    EXPECT_FALSE(std::filesystem::exists(folder / "new"));
    EXPECT_EQ(tried(false), 2 | 4 | 8 | 16 | 32) << "what is tried would work otherwise";
}

TEST(ShutDoors, ButForAFolderThatMayBeRead) {
    const TemporaryFolder folder, other;
    spit(folder / "a", "abc");
    spit(other / "b", "abc");
    const int tried = inChild([&] {
        if (!shutDoorsBut(folder.path()))
            return kNoDoors;
        return (opens((folder / "a").string(), O_RDONLY) ? 0 : 1) |
               (opens((other / "b").string(), O_RDONLY) ? 2 : 0) |
               (opens((folder / "a").string(), O_WRONLY) ? 4 : 0) |
               (opens((folder / "new").string(), O_WRONLY | O_CREAT) ? 8 : 0) |
               (::socket(AF_INET, SOCK_STREAM, 0) >= 0 ? 16 : 0);
    });
    if (tried == kNoDoors)
        GTEST_SKIP() << "no doors here";
    EXPECT_EQ(tried, 0);
}

} // namespace
} // namespace bslate::io
