#include "io/system/files.h"

#include "core/base/enumerated.h"

#include "io/system/descriptor.h"
#include "io/system/file_lock.h"

#include <cerrno>
#include <charconv>
#include <cstdlib>
#include <cstring>
#include <ctime>
#include <fcntl.h>
#include <random>
#include <signal.h>
#include <sys/stat.h>
#include <sys/xattr.h>
#include <unistd.h>

namespace bslate::io {
namespace {

namespace fs = std::filesystem;

// Temporary files are named by who writes them, so that those left behind can be told.
constexpr std::string_view kTemporary = ".bslate-writing-";

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

// Where a chain of links leads, whether or not anything is there.
fs::path followed(fs::path path) {
    std::error_code ignored;
    for (int hops = 0; hops < 40 && fs::is_symlink(path, ignored); ++hops) {
        const fs::path to = fs::read_symlink(path, ignored);
        path = to.is_absolute() ? to : path.parent_path() / to;
    }
    return path;
}

fs::path folderOf(const fs::path& path) {
    return path.has_parent_path() ? path.parent_path() : fs::path(".");
}

bool isRunning(pid_t pid) {
    return ::kill(pid, 0) == 0 || errno == EPERM;
}

// Removes temporary files of this user whose program is gone.
void clearAbandoned(const fs::path& folder) {
    std::error_code ignored;
    int looked = 0;
    for (fs::directory_iterator at(folder, ignored), end; at != end && looked < 5000;
         at.increment(ignored), ++looked) {
        const std::string name = at->path().filename().string();
        if (!name.starts_with(kTemporary))
            continue;
        long pid = 0;
        const char* digits = name.data() + kTemporary.size();
        const auto read = std::from_chars(digits, name.data() + name.size(), pid);
        struct stat info {};
        const bool own = ::lstat(at->path().c_str(), &info) == 0 && info.st_uid == ::geteuid();
        // Another machine's programs are not seen from here; none writes for a minute.
        const bool idle = info.st_mtime + 60 < std::time(nullptr);
        if (read.ec == std::errc() && pid > 0 && own && idle && !isRunning(static_cast<pid_t>(pid)))
            ::unlink(at->path().c_str());
    }
}

// A new file in the folder under a name of its own; nothing is followed or replaced.
int openTemporary(const fs::path& folder, mode_t mode, std::string& name) {
    std::random_device random;
    for (int attempt = 0; attempt < 20; ++attempt) {
        name = (folder / (std::string(kTemporary) + std::to_string(::getpid()) + "-" +
                          std::to_string(random())))
                   .string();
        const int fd =
            ::open(name.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, mode);
        if (fd >= 0 || errno != EEXIST)
            return fd;
    }
    return -1;
}

// Extended attributes, access lists among them; what cannot be set is left.
void copyAttributes(const fs::path& from, int to) {
    std::string names(65536, '\0');
    const auto length = ::listxattr(from.c_str(), names.data(), names.size());
    if (length <= 0)
        return;
    std::string value(65536, '\0');
    for (ssize_t at = 0; at < length;
         at += static_cast<ssize_t>(std::strlen(&names[static_cast<std::size_t>(at)])) + 1) {
        const char* name = &names[static_cast<std::size_t>(at)];
        const auto size = ::getxattr(from.c_str(), name, value.data(), value.size());
        if (size >= 0)
            (void)::fsetxattr(to, name, value.data(), static_cast<std::size_t>(size), 0);
    }
}

// Owner and rights of what is replaced, as far as this user may set them.
void keepLike(const fs::path& like, const struct stat& info, int fd) {
    copyAttributes(like, fd);
    if (::fchown(fd, info.st_uid, info.st_gid) != 0)
        (void)!::fchown(fd, static_cast<uid_t>(-1), info.st_gid);
    (void)!::fchmod(fd, info.st_mode & 07777); // on file systems without rights there are none
}

FileStamp stampFrom(const struct stat& about) {
    return {about.st_dev, about.st_ino, static_cast<std::uintmax_t>(about.st_size),
            about.st_mtim.tv_sec, about.st_mtim.tv_nsec};
}

// How a file is replaced.
struct Replacing {
    fs::path named;   ///< as the caller says it
    fs::path target;  ///< links followed
    fs::path like;    ///< whose rights it takes
    mode_t mode;      ///< where there is none such
    KeepGoing wanted; ///< may be empty
    bool asSeen;      ///< only where it still is `seen`
    std::optional<FileStamp> seen;
};

// Nothing where the file is what was seen; else why it is not written over.
std::optional<Error> notAsSeen(const Replacing& how) {
    const auto now = lookAt(how.target);
    if (!now)
        return unwritable(how.named, now.error().expected);
    if (*now == how.seen)
        return std::nullopt;
    return Error{ErrorCode::WrittenMeanwhile, how.named.string(), {}, {}, {}};
}

Result<FileStamp> putInPlace(const Replacing& how, int fd, const std::string& name) {
    struct stat written {};
    const fs::path folder = folderOf(how.target);
    const auto fail = [&](Error error) -> Result<FileStamp> {
        ::unlink(name.c_str());
        return error;
    };
    if (::fsync(fd) != 0 || ::fstat(fd, &written) != 0)
        return fail(unwritable(how.named, std::strerror(errno)));
    if (how.wanted && !how.wanted(0))
        return fail({ErrorCode::Stopped, how.named.string(), {}, {}, {}});
    const auto lock = how.asSeen ? FileLock::onFolder(folder) : FileLock();
    if (how.asSeen)
        if (const auto other = notAsSeen(how))
            return fail(*other);
    if (::rename(name.c_str(), how.target.c_str()) != 0)
        return fail(unwritable(how.named, std::strerror(errno)));
    return stampFrom(written);
}

Result<FileStamp> replace(const Replacing& how, std::string_view bytes) {
    const fs::path folder = folderOf(how.target);
    clearAbandoned(folder);
    struct stat info {};
    const bool known = ::stat(how.like.c_str(), &info) == 0;
    std::string name;
    const Descriptor file(openTemporary(folder, known ? 0600 : how.mode, name));
    if (!file.open())
        return unwritable(how.named, std::strerror(errno));
    if (!writeAll(file.get(), bytes)) {
        const auto error = unwritable(how.named, std::strerror(errno));
        ::unlink(name.c_str());
        return error;
    }
    if (known)
        keepLike(how.like, info, file.get());
    const auto placed = putInPlace(how, file.get(), name);
    if (!placed || (how.wanted && !how.wanted(0)))
        return placed; // whoever stopped it removes it
    const Descriptor directory(::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC));
    if (directory.open())
        ::fsync(directory.get());
    return placed;
}

Result<Replacing> replacing(const fs::path& path, Rights rights) {
    const fs::path target = followed(path);
    struct stat info {};
    if (::stat(target.c_str(), &info) == 0 && !S_ISREG(info.st_mode))
        return unwritable(path, "this is not a regular file");
    return Replacing{path, target, target, rights == Rights::Private ? mode_t{0600} : mode_t{0666},
                     {},   false,  {}};
}

Outcome withoutStamp(const Result<FileStamp>& written) {
    return written ? Outcome(Done{}) : Outcome(written.error());
}

// One reading; nothing where the file was written into meanwhile.
Result<std::optional<StampedFile>> readOnce(const fs::path& path, std::uintmax_t largest) {
    // Without O_NONBLOCK a pipe would wait for its writer here.
    const Descriptor file(::open(path.c_str(), O_RDONLY | O_NONBLOCK | O_CLOEXEC));
    if (!file.open())
        return unreadable(path, std::strerror(errno));
    struct stat info {
    }, after{};
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
    if (::fstat(file.get(), &after) != 0)
        return unreadable(path, std::strerror(errno));
    if (stampFrom(after) != stampFrom(info))
        return std::optional<StampedFile>();
    return std::optional(StampedFile{std::move(bytes), stampFrom(info)});
}

} // namespace

Result<StampedFile> readStamped(const fs::path& path, std::uintmax_t largest) {
    for (int attempt = 0; attempt < 3; ++attempt) {
        auto read = readOnce(path, largest);
        if (!read)
            return read.error();
        if (*read)
            return std::move(**std::move(read));
    }
    return unreadable(path, "another program is writing into it");
}

Result<std::string> readFile(const fs::path& path, std::uintmax_t largest) {
    auto read = readStamped(path, largest);
    if (!read)
        return read.error();
    return std::move(read).value().bytes;
}

Result<std::optional<FileStamp>> lookAt(const fs::path& path) {
    struct stat about {};
    if (::stat(path.c_str(), &about) == 0)
        return std::optional(stampFrom(about));
    const int why = errno;
    struct stat folder {};
    if (why == ENOENT && ::lstat(path.c_str(), &about) == 0)
        return unreadable(path, "it leads to what is not there");
    if (why == ENOENT && ::stat(folderOf(path).c_str(), &folder) == 0 && S_ISDIR(folder.st_mode))
        return std::optional<FileStamp>();
    return unreadable(path, why == ENOENT ? "its folder is not there" : std::strerror(why));
}

Outcome makeOwnFolder(const fs::path& folder) {
    struct stat about {};
    for (fs::path above = folder; !above.empty(); above = above.parent_path()) {
        if (::stat(above.c_str(), &about) == 0 || above == above.parent_path())
            break;
        if (::lstat(above.c_str(), &about) == 0)
            return unwritable(folder, above.string() + " leads to what is not there");
    }
    std::error_code failed;
    fs::create_directories(folder, failed);
    return failed ? Outcome(unwritable(folder, failed.message())) : Outcome(Done{});
}

Outcome writeFileAtomically(const fs::path& path, std::string_view bytes, Rights rights) {
    const auto how = replacing(path, rights);
    return how ? withoutStamp(replace(*how, bytes)) : Outcome(how.error());
}

Result<FileStamp> writeOver(const fs::path& path, std::string_view bytes,
                            const std::optional<FileStamp>& seen, Rights rights) {
    auto how = replacing(path, rights);
    if (!how)
        return how.error();
    auto own = *std::move(how);
    own.asSeen = true;
    own.seen = seen;
    if (const auto other = notAsSeen(own)) // before anything is written beside it
        return *other;
    return replace(own, bytes);
}

Outcome writePrivately(const fs::path& path, std::string_view bytes, const fs::path& like,
                       const KeepGoing& wanted) {
    struct stat info {};
    if (::lstat(path.c_str(), &info) == 0 && !S_ISREG(info.st_mode) && !S_ISLNK(info.st_mode))
        return unwritable(path, "this is not a regular file");
    // Rights of the document alone: an autosave that was laid out says nothing.
    const auto rights = like.empty() ? fs::path("/nonexistent/nothing") : like;
    return withoutStamp(replace({path, path, rights, 0600, wanted, false, {}}, bytes));
}

std::vector<Obstacle> obstaclesTo(const fs::path& path) {
    std::vector<Obstacle> found;
    const fs::path target = followed(path);
    struct stat info {};
    if (::stat(target.c_str(), &info) != 0)
        return found;
    found.push_back(Obstacle::Exists);
    if (!S_ISREG(info.st_mode)) {
        found.push_back(Obstacle::NotAFile);
        return found;
    }
    if (!(info.st_mode & S_IWUSR))
        found.push_back(Obstacle::ReadOnly);
    if (info.st_uid != ::geteuid() && ::geteuid() != 0)
        found.push_back(Obstacle::OtherOwner);
    if (info.st_nlink > 1)
        found.push_back(Obstacle::HardLinks);
    return found;
}

std::string_view wordsFor(Obstacle obstacle) {
    constexpr ByEnum<Obstacle, std::string_view> kWords{
        "exists already", "is read-only", "belongs to somebody else",
        "has other names, which would keep the old contents", "is no regular file"};
    return kWords[obstacle];
}

bool isWithin(const fs::path& file, const fs::path& folder) {
    std::error_code problem;
    const auto root = fs::canonical(folder.empty() ? fs::path(".") : folder, problem);
    if (problem)
        return false;
    const auto target = fs::weakly_canonical(file, problem);
    const auto way = target.lexically_relative(root);
    return !problem && !way.empty() && *way.begin() != "..";
}

std::string plainFileName(std::string_view text) {
    constexpr std::size_t kLongest = 100;
    std::string name;
    for (const char c : text) {
        const auto byte = static_cast<unsigned char>(c);
        const bool apart = byte < 0x20 || byte == 0x7F || c == '/' || c == '\\';
        name += apart ? '-' : c;
    }
    while (!name.empty() && (name.front() == '.' || name.front() == ' ' || name.front() == '-'))
        name.erase(name.begin());
    if (name.size() > kLongest) {
        std::size_t end = kLongest;
        while (end > 0 && (static_cast<unsigned char>(name[end]) & 0xC0) == 0x80)
            --end;
        name.resize(end);
    }
    while (!name.empty() && name.back() == ' ')
        name.pop_back();
    return name.empty() ? "untitled" : name;
}

} // namespace bslate::io
