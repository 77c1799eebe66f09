#pragma once

#include <filesystem>

/// A helper's own walls: what a decoder could be made to do by a file of others, the kernel no
/// longer does for it.
namespace bslate::io {

/// From here on this process, all of its threads, opens no file, makes none, starts no program and
/// talks to nobody but by the descriptors that it has; threads and memory stay. What it asks for
/// beyond is refused, not punished: libraries go on without it. False where the kernel does not do
/// so, and under sanitizers, which need more; nothing has changed then.
bool shutDoors();

/// The same, but files in and below `folder` may be read; without Landlock in the kernel any file
/// may be read, and none written.
bool shutDoorsBut(const std::filesystem::path& folder);

} // namespace bslate::io
