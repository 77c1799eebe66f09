#pragma once

#include "io/system/helper_process.h"

#include <filesystem>

/// The program's side of every helper. Private to io.
namespace bslate::io {

struct HelperQuestion {
    std::string helper;             ///< its name
    std::vector<std::string> words; ///< behind its limits of memory and time
    HelperLimits limits;
    std::filesystem::path file; ///< what errors are about; may be empty
};

/// What the helper answers. Fails with the error that it says (error_message.h), else as
/// findHelper() and runHelper() do; an error names the file where it names none.
[[nodiscard]] Result<std::string> askHelper(const HelperQuestion& question,
                                            const RequestParts& parts,
                                            const KeepGoing& keepGoing = {});
[[nodiscard]] Result<std::string> askHelper(const HelperQuestion& question,
                                            const std::string& request,
                                            const KeepGoing& keepGoing = {});
/// The same error, naming the file by its name alone where it names none, or that file by its path.
[[nodiscard]] Error about(const std::filesystem::path& file, Error error);

} // namespace bslate::io
