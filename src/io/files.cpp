#include "io/files.h"

#include <cerrno>
#include <cstdlib>
#include <cstring>
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

namespace bslate::io {
namespace {

namespace fs = std::filesystem;

Error unreadable(const fs::path& path, const std::string& why) {
    return {ErrorCode::FileUnreadable, path.string(), {}, {}, "a readable file (" + why + ")"};
}

Error unwritable(const fs::path& path, const std::string& why) {
    return {ErrorCode::FileUnwritable,
            path.string(),
            {},
            {},
            "a place that can be written (" + why + ")"};
}

class Descriptor {
public:
    explicit Descriptor(int fd)
        : m_fd(fd) {}
    ~Descriptor() {
        if (m_fd >= 0)
            ::close(m_fd);
    }
    Descriptor(const Descriptor&) = delete;
    Descriptor& operator=(const Descriptor&) = delete;
    [[nodiscard]] int get() const { return m_fd; }
    [[nodiscard]] bool open() const { return m_fd >= 0; }

private:
    int m_fd;
};

bool writeAll(int fd, std::string_view bytes) {
    while (!bytes.empty()) {
        const auto written = ::write(fd, bytes.data(), bytes.size());
        if (written < 0 && errno == EINTR)
            continue;
        if (written <= 0)
            return false;
        bytes.remove_prefix(static_cast<std::size_t>(written));
    }
    return true;
}

// Permissions of the file being replaced, or what the umask gives a new one.
mode_t modeFor(const fs::path& target) {
    struct stat info {};
    if (::stat(target.c_str(), &info) == 0)
        return info.st_mode & 07777;
    const mode_t mask = ::umask(0);
    ::umask(mask);
    return 0666 & ~mask;
}

} // namespace

Result<std::string> readFile(const fs::path& path, std::uintmax_t largest) {
    const Descriptor file(::open(path.c_str(), O_RDONLY | O_CLOEXEC));
    if (!file.open())
        return unreadable(path, std::strerror(errno));
    struct stat info {};
    if (::fstat(file.get(), &info) != 0)
        return unreadable(path, std::strerror(errno));
    if (!S_ISREG(info.st_mode))
        return unreadable(path, "this is not a regular file");
    if (static_cast<std::uintmax_t>(info.st_size) > largest)
        return Error{ErrorCode::FileTooLarge,
                     path.string(),
                     {},
                     std::to_string(info.st_size / 1000000) + " MB",
                     "at most " + std::to_string(largest / 1000000) + " MB"};
    std::string bytes(static_cast<std::size_t>(info.st_size), '\0');
    std::size_t got = 0;
    while (got < bytes.size()) {
        const auto count = ::read(file.get(), bytes.data() + got, bytes.size() - got);
        if (count < 0 && errno == EINTR)
            continue;
        if (count < 0)
            return unreadable(path, std::strerror(errno));
        if (count == 0)
            break;
        got += static_cast<std::size_t>(count);
    }
    bytes.resize(got);
    return bytes;
}

Outcome writeFileAtomically(const fs::path& path, std::string_view bytes) {
    std::error_code ignored;
    fs::path target = fs::is_symlink(path, ignored) ? fs::canonical(path, ignored) : path;
    if (target.empty())
        target = path;
    const fs::path folder = target.has_parent_path() ? target.parent_path() : fs::path(".");
    std::string name = (folder / ("." + target.filename().string() + ".XXXXXX")).string();
    const Descriptor file(::mkostemp(name.data(), O_CLOEXEC));
    if (!file.open())
        return unwritable(path, std::strerror(errno));
    const auto fail = [&]() -> Outcome {
        const std::string why = std::strerror(errno);
        ::unlink(name.c_str());
        return unwritable(path, why);
    };
    if (!writeAll(file.get(), bytes) || ::fchmod(file.get(), modeFor(target)) != 0 ||
        ::fsync(file.get()) != 0)
        return fail();
    if (::rename(name.c_str(), target.c_str()) != 0)
        return fail();
    const Descriptor directory(::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC));
    if (directory.open())
        ::fsync(directory.get());
    return Done{};
}

} // namespace bslate::io
