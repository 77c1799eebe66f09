#pragma once

#include <string_view>

namespace bslate {

/// The English of a judgement, a remedy or a reason, with `{fact}` places.
struct Sentence {
    std::string_view id;
    const char* title;
    const char* text;
};

} // namespace bslate
