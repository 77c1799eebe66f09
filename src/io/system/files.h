#pragma once

#include "core/base/keep_going.h"
#include "core/base/result.h"

#include <cstdint>
#include <filesystem>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace bslate::io {

/// Readers refuse larger files before reading them; a shoot of 2 000 setups is about 2 MB.
inline constexpr std::uintmax_t kLargestDocument = std::uintmax_t{64} * 1024 * 1024;

/// The whole regular file as bytes. Fails with FileUnreadable (missing, a folder, a pipe or a
/// device, no permission) or FileTooLarge; the error names the file. Never waits for a writer.
[[nodiscard]] Result<std::string> readFile(const std::filesystem::path& path,
                                           std::uintmax_t largest = kLargestDocument);

/// What tells that a file was written again: which file it is, its size and when.
struct FileStamp {
    std::uintmax_t device = 0, node = 0, size = 0;
    std::int64_t seconds = 0, nanoseconds = 0;
    friend bool operator==(const FileStamp&, const FileStamp&) = default;
};

struct StampedFile {
    std::string bytes;
    FileStamp stamp; ///< of what was read, taken from the open file
};
/// As readFile(). A file that is written into while it is read is read again, three times at most.
[[nodiscard]] Result<StampedFile> readStamped(const std::filesystem::path& path,
                                              std::uintmax_t largest = kLargestDocument);

/// What stands under a name, without opening it; nothing only where the folder is there and has no
/// such name in it. Fails with FileUnreadable for everything else that cannot be told: a link to
/// what is away, a folder that is gone or not answered for, a drive that does not answer.
[[nodiscard]] Result<std::optional<FileStamp>> lookAt(const std::filesystem::path& path);

/// Makes a folder of the program's own and those above it that are missing. Fails with
/// FileUnwritable, and makes nothing, where one of them is a link to what is not there: a drive
/// that is away.
[[nodiscard]] Outcome makeOwnFolder(const std::filesystem::path& folder);

/// Who may read what is written.
enum class Rights {
    Usual,  ///< those of the file that is replaced, else what the umask gives
    Private ///< those of the file that is replaced, else its owner alone (0600)
};

/// Replaces the file's contents or leaves it exactly as it was: writes a temporary file beside
/// it, syncs it, renames it over, and syncs the folder. A symbolic link keeps pointing, a dangling
/// one too: its target is replaced or made. Rights, owner, group and extended attributes of what is
/// replaced are kept as far as this user may set them. Temporary files of programs that ended in
/// the middle are cleared on the way. Fails with FileUnwritable; what is no regular file is left
/// alone.
[[nodiscard]] Outcome writeFileAtomically(const std::filesystem::path& path, std::string_view bytes,
                                          Rights rights = Rights::Usual);

/// The same, where a file still is what was seen of it (none: no file was there). The folder is
/// locked while that is looked at once more and the new one is put in its place, so that of several
/// programs that save through this one is told. The stamp is of what was written. Fails besides
/// with WrittenMeanwhile, the file untouched.
[[nodiscard]] Result<FileStamp> writeOver(const std::filesystem::path& path, std::string_view bytes,
                                          const std::optional<FileStamp>& seen,
                                          Rights rights = Rights::Usual);

/// The same beside a file that may have been laid out by somebody else: links are not followed but
/// replaced, and only the owner may read it, unless `like` is given, whose rights it takes. Asks
/// `wanted` before each wait for the disk; Stopped, with nothing left behind, once it says no.
[[nodiscard]] Outcome writePrivately(const std::filesystem::path& path, std::string_view bytes,
                                     const std::filesystem::path& like = {},
                                     const KeepGoing& wanted = {});

/// What replacing a file would change besides its contents, and a careful program asks about.
enum class Obstacle {
    Exists,     ///< there is one already
    ReadOnly,   ///< its owner has no right to write it
    OtherOwner, ///< it belongs to somebody else, and would be this user's
    HardLinks,  ///< it has other names, which would keep the old contents
    NotAFile    ///< a folder, pipe or device: it is never replaced
};
/// In the order above; empty for a name that is free.
[[nodiscard]] std::vector<Obstacle> obstaclesTo(const std::filesystem::path& path);
/// In words, to follow "it": "is read-only".
[[nodiscard]] std::string_view wordsFor(Obstacle obstacle);

/// Whether a file lies in a folder or below it, links followed; one that is not there is where its
/// name says. False when the folder is not there.
[[nodiscard]] bool isWithin(const std::filesystem::path& file, const std::filesystem::path& folder);

/// A name that can be proposed for a file: the text without folders, control characters and a dot
/// in front; "untitled" when nothing is left. At most 100 bytes, whole characters.
[[nodiscard]] std::string plainFileName(std::string_view text);

} // namespace bslate::io
