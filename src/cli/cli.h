#pragma once

#include <iosfwd>
#include <string>
#include <vector>

namespace bslate::cli {

/// Exit codes scripts rely on.
inline constexpr int kGood = 0;
inline constexpr int kFaults = 1;   ///< the setup has faults that nobody accepted
inline constexpr int kBadInput = 2; ///< usage or input that cannot be understood

/// The whole command line, without the program's name. JSON goes to `out`, messages to `err`.
[[nodiscard]] int run(const std::vector<std::string>& args, std::ostream& out, std::ostream& err);

} // namespace bslate::cli
