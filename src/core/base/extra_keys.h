#pragma once

#include <string>

namespace bslate {

/// Keys of a file that this version does not know, kept to be written back: the text of one
/// JSON object, or empty. The core never looks inside.
struct ExtraKeys {
    std::string json;
    friend bool operator==(const ExtraKeys&, const ExtraKeys&) = default;
};

} // namespace bslate
