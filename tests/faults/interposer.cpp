// Loaded before the C library: makes one call of a kind fail, or ends the process there.
//   BSLATE_FAULT_CALL   open, write, fsync, rename or stat
//   BSLATE_FAULT_AT     which one of them, from 1; calls that only read do not count
//   BSLATE_FAULT_HOW    an error number, "kill", or "delay:MS" for that one and all after it
//   BSLATE_FAULT_PATH   of stat: only names that end so
//   BSLATE_FAULT_COUNT  a file that gets how many there were, at a clean end
#include <atomic>
#include <cerrno>
#include <csignal>
#include <cstdarg>
#include <cstdlib>
#include <cstring>
#include <dlfcn.h>
#include <fcntl.h>
#include <string>
#include <string_view>
#include <sys/stat.h>
#include <unistd.h>

namespace {

std::atomic<int> g_calls = 0;

template<class F>
F real(const char* name) {
    return reinterpret_cast<F>(::dlsym(RTLD_NEXT, name));
}

// True when this call is the one that fails; errno is set.
bool failsNow(const char* call) {
    const char* wanted = std::getenv("BSLATE_FAULT_CALL");
    if (!wanted || std::strcmp(wanted, call) != 0)
        return false;
    ++g_calls;
    const char* at = std::getenv("BSLATE_FAULT_AT");
    const char* how = std::getenv("BSLATE_FAULT_HOW");
    if (at && how && std::strncmp(how, "delay:", 6) == 0) {
        if (std::atoi(at) <= g_calls)
            ::usleep(static_cast<useconds_t>(std::atoi(how + 6)) * 1000);
        return false;
    }
    if (!at || std::atoi(at) != g_calls)
        return false;
    if (how && std::strcmp(how, "kill") == 0)
        ::raise(SIGKILL);
    errno = how ? std::atoi(how) : EIO;
    return true;
}

int opened(const char* name, const char* path, int flags, unsigned mode) {
    if ((flags & O_ACCMODE) != O_RDONLY && failsNow("open"))
        return -1;
    return real<int (*)(const char*, int, ...)>(name)(path, flags, mode);
}

struct AtEnd {
    ~AtEnd() {
        const char* file = std::getenv("BSLATE_FAULT_COUNT");
        if (!file)
            return;
        const int fd =
            real<int (*)(const char*, int, ...)>("open")(file, O_WRONLY | O_CREAT | O_TRUNC, 0600);
        const std::string text = std::to_string(g_calls);
        [[maybe_unused]] const auto written =
            real<ssize_t (*)(int, const void*, size_t)>("write")(fd, text.data(), text.size());
        ::close(fd);
    }
} g_atEnd;

unsigned modeOf(int flags, va_list list) {
    return (flags & (O_CREAT | O_TMPFILE)) ? va_arg(list, unsigned) : 0u;
}

} // namespace

extern "C" {

int open(const char* path, int flags, ...) {
    va_list list;
    va_start(list, flags);
    const unsigned mode = modeOf(flags, list);
    va_end(list);
    return opened("open", path, flags, mode);
}

int open64(const char* path, int flags, ...) {
    va_list list;
    va_start(list, flags);
    const unsigned mode = modeOf(flags, list);
    va_end(list);
    return opened("open64", path, flags, mode);
}

ssize_t write(int fd, const void* bytes, size_t count) {
    struct stat status;
    const bool file = fd > 2 && ::fstat(fd, &status) == 0 && S_ISREG(status.st_mode);
    if (file && failsNow("write"))
        return -1;
    // Short ones, so that there are several to fail.
    const size_t part = file && count > 65536 ? 65536 : count;
    return real<ssize_t (*)(int, const void*, size_t)>("write")(fd, bytes, part);
}

int fsync(int fd) {
    if (failsNow("fsync"))
        return -1;
    return real<int (*)(int)>("fsync")(fd);
}

int stat(const char* path, struct stat* about) {
    const char* only = std::getenv("BSLATE_FAULT_PATH");
    const std::string_view name(path);
    if (only && name.ends_with(only) && failsNow("stat"))
        return -1;
    return real<int (*)(const char*, struct stat*)>("stat")(path, about);
}

int rename(const char* from, const char* to) {
    if (failsNow("rename"))
        return -1;
    return real<int (*)(const char*, const char*)>("rename")(from, to);
}
}
