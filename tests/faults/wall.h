#pragma once

#include <string>

namespace bslate::faults {

/// From here on this process and what it starts write, make, rename and remove files below `folder`
/// and nowhere else. False, and nothing done, where the kernel has no Landlock.
[[nodiscard]] bool buildWallAround(const std::string& folder);

} // namespace bslate::faults
