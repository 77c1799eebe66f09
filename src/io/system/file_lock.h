#pragma once

#include "core/base/result.h"

#include <filesystem>
#include <utility>

/// What keeps two programs on one machine from writing at once. It goes with the program that has
/// it, however that ends.
namespace bslate::io {

class FileLock {
public:
    FileLock() = default;
    FileLock(FileLock&& other) noexcept
        : m_fd(std::exchange(other.m_fd, -1)) {}
    FileLock& operator=(FileLock&& other) noexcept {
        std::swap(m_fd, other.m_fd);
        return *this;
    }
    ~FileLock();

    /// Waits for a short time, in which another program puts one file in its place; not held where
    /// the file system has no such locks, or it took longer.
    [[nodiscard]] static FileLock onFolder(const std::filesystem::path& folder);

    /// On a file of its own, which is made and stays. Fails with FileUnwritable when it cannot be
    /// made or locked, or another program has it for longer than `mostMs`.
    [[nodiscard]] static Result<FileLock> onFile(const std::filesystem::path& path, int mostMs);

    [[nodiscard]] bool isHeld() const { return m_fd >= 0; }

private:
    int m_fd = -1;
};

} // namespace bslate::io
