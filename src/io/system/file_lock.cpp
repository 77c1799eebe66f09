#include "io/system/file_lock.h"

#include <cerrno>
#include <chrono>
#include <cstring>
#include <fcntl.h>
#include <sys/file.h>
#include <thread>
#include <unistd.h>

namespace bslate::io {
namespace {

constexpr int kRenamingMs = 2000; // of one that only renames; it takes a moment
constexpr auto kAgain = std::chrono::milliseconds(10);

// 0 when it was locked, else why not.
int lockWithin(int fd, int mostMs) {
    const auto end = std::chrono::steady_clock::now() + std::chrono::milliseconds(mostMs);
    while (::flock(fd, LOCK_EX | LOCK_NB) != 0) {
        const int why = errno;
        if ((why != EWOULDBLOCK && why != EINTR) || std::chrono::steady_clock::now() >= end)
            return why;
        std::this_thread::sleep_for(kAgain);
    }
    return 0;
}

} // namespace

FileLock::~FileLock() {
    if (m_fd >= 0)
        ::close(m_fd);
}

FileLock FileLock::onFolder(const std::filesystem::path& folder) {
    FileLock lock;
    lock.m_fd = ::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
    if (lock.m_fd >= 0 && lockWithin(lock.m_fd, kRenamingMs) != 0) {
        ::close(lock.m_fd);
        lock.m_fd = -1;
    }
    return lock;
}

Result<FileLock> FileLock::onFile(const std::filesystem::path& path, int mostMs) {
    FileLock lock;
    lock.m_fd = ::open(path.c_str(), O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW, 0600);
    const int why = lock.m_fd < 0 ? errno : lockWithin(lock.m_fd, mostMs);
    if (why == 0)
        return lock;
    return Error{ErrorCode::FileUnwritable,
                 path.string(),
                 {},
                 {},
                 why == EWOULDBLOCK ? "that another program lets go of it"
                                    : std::string("a lock (") + std::strerror(why) + ")"};
}

} // namespace bslate::io
