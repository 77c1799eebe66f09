#pragma once

#include "core/base/compiled_once.h"

#include <string>
#include <string_view>

namespace bslate {

/// Everything that can go wrong at the edges of the program (texts, files, commands).
/// Programming errors are asserted, never returned.
enum class ErrorCode {
    EmptyText,        ///< nothing was typed
    NotANumber,       ///< no finite number where one was needed
    UnknownUnit,      ///< a number with a unit that does not belong to the quantity
    Ambiguous,        ///< a value that people read in two ways; `expected` says how to write each
    OutOfRange,       ///< a readable value outside the valid range
    UnknownId,        ///< a reference to a camera, profile, scene ... that is not there
    FileUnreadable,   ///< missing, no permission, a folder ...
    FileUnwritable,   ///< the disk refused; the previous file is untouched
    WrittenMeanwhile, ///< another program wrote the file since it was seen; it is untouched
    FileTooLarge,     ///< over the reader's limit
    BrokenJson,       ///< not JSON at all; `place` holds line and column
    WrongType,        ///< JSON of another type than the schema asks for
    MissingKey,       ///< a key the schema requires is absent
    WrongFormat,      ///< valid JSON, but not one of our documents
    NewerVersion,     ///< written by a newer Bright Slate
    FileElsewhere,    ///< a file somebody else's file names, outside of that one's folder
    Stopped,          ///< nobody wants the answer any more
    Usage             ///< a command line that cannot be understood
};

/// One failure, with everything a person needs to put it right.
struct Error {
    ErrorCode code = ErrorCode::Usage;
    std::string file;     ///< file name, or empty when no file is involved
    std::string place;    ///< JSON pointer, "line 3, column 9", option name, or empty
    std::string got;      ///< what was found there, shortened; may be empty
    std::string expected; ///< what would have been accepted

    Error(ErrorCode why, std::string in = {}, std::string at = {}, std::string found = {},
          std::string wanted = {});
    BSLATE_COMPILED_ONCE(Error);
};

/// The beginning of a text for a message, at most `most` bytes and never ending inside a character
/// of UTF-8.
[[nodiscard]] std::string shortened(std::string_view text, std::size_t most = 40);

/// The short English sentence for a code, for example "not a number". Never empty.
[[nodiscard]] std::string_view summary(ErrorCode code);

/// `file: place: summary "got"; expected ...`, leaving out the parts that are empty.
[[nodiscard]] std::string message(const Error& error);

} // namespace bslate
