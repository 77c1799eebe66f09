#pragma once

#include <iosfwd>
#include <nlohmann/json.hpp>

namespace bslate::cli {

using Json = nlohmann::ordered_json;

/// Where a verb writes to: what was asked for as text or as one JSON document, and notes beside it
/// on standard error.
struct Output {
    std::ostream& text;
    std::ostream& notes;
    bool json = false; ///< a JSON document is wanted instead of text

    /// The JSON document, with its last line end. What is no UTF-8, such as the name of a file, is
    /// shown with replacement characters.
    void write(const Json& node);
};

} // namespace bslate::cli
