#pragma once

#include <functional>
#include <iosfwd>
#include <string>
#include <vector>

namespace bslate::helper {

/// The main() of every helper, `NAME MEMORY SECONDS WORDS...`: sets its limits and lets `answer`
/// write to standard output. Ends with 0, 2 where it was started by hand, or 3; without what
/// libraries leave to the end of a process, where they may hang or crash.
[[noreturn]] void
runHelper(int argc, char** argv, std::size_t fewestWords, std::size_t mostWords,
          const std::function<void(std::ostream&, const std::vector<std::string>&)>& answer);

} // namespace bslate::helper
