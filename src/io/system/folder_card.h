#pragma once

#include "core/media/card_device.h"

#include <filesystem>
#include <memory>

/// A real card behind a folder: one new file is written there and removed again; nothing else that
/// is there is opened, changed or deleted.
namespace bslate::io {

/// Share of the folder's disk that stays free in any case.
inline constexpr double kLeaveFree = 0.02;

/// The most one test writes.
inline constexpr ByteCount kMostWritten{64'000'000'000};

/// Makes the file for a test of `total` bytes. Every block is on the card before its time is taken
/// (fdatasync). The file has no name any more once it is open, so that it goes with the device or
/// the process, whatever happened; one that a killed test left before that is cleared. Fails when
/// the folder is none, cannot be written to, or has not room for `total` and kLeaveFree.
[[nodiscard]] Result<std::unique_ptr<CardDevice>>
openFolderCard(const std::filesystem::path& folder, ByteCount total);

} // namespace bslate::io
