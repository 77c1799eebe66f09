#pragma once

#include "core/base/keep_going.h"
#include "core/base/result.h"

#include <chrono>
#include <cstddef>
#include <filesystem>
#include <functional>
#include <string>
#include <vector>

/// Programs of our own that open files of others, so that what a decoder does to memory and time
/// ends there. Private to io.
namespace bslate::io {

struct HelperLimits {
    std::size_t memory = std::size_t(2) << 30; ///< bytes of address space, set by the helper itself
    std::chrono::milliseconds time{20'000};    ///< on the wall and on the processor
    std::size_t answer = std::size_t(64) << 20; ///< bytes it may send
};

/// Beside the running program, in `../libexec/bright-slate` from there, or where a build puts it.
/// Fails with FileUnreadable when it is nowhere.
[[nodiscard]] Result<std::filesystem::path> findHelper(const std::string& name);

/// Parts of a request, asked for one after another when the helper wants more; an empty one ends
/// it.
using RequestParts = std::function<std::string()>;

/// Runs a program with `request` on its standard input and gives what it wrote to its standard
/// output before it ended with 0. Its standard error goes nowhere. Fails with Stopped, and with
/// OutOfRange when it was ended by a limit, a signal or itself; it does not outlive the call.
[[nodiscard]] Result<std::string> runHelper(const std::filesystem::path& program,
                                            const std::vector<std::string>& arguments,
                                            const std::string& request, const HelperLimits& limits,
                                            const KeepGoing& keepGoing = {});
/// The same with a request that is never in memory as a whole.
[[nodiscard]] Result<std::string> runHelper(const std::filesystem::path& program,
                                            const std::vector<std::string>& arguments,
                                            const RequestParts& parts, const HelperLimits& limits,
                                            const KeepGoing& keepGoing = {});

/// The helper's own side: from here on this process writes no files, ends with its parent, which
/// may be gone already, and ends itself over `memory` bytes, `seconds` of processor time, or ten
/// more on the wall.
void limitThisProcess(std::size_t memory, unsigned seconds);
/// False under sanitizers, which reserve terabytes: `memory` means nothing there.
[[nodiscard]] bool memoryCanBeLimited();

} // namespace bslate::io
