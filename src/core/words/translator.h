#pragma once

#include <functional>
#include <string>

namespace bslate {

/// Maps an English template to another language before its places are filled (wording.h); none:
/// it stays English.
using Translator = std::function<std::string(const char* english)>;

} // namespace bslate
