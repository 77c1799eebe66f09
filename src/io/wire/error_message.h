#pragma once

#include "core/base/error.h"

#include <optional>
#include <string>
#include <string_view>

/// What a helper says in place of an answer. Private to io and the helpers.
namespace bslate::io {

/// A line of JSON; long texts are shortened.
[[nodiscard]] std::string errorText(const Error& error);
/// The error that an answer is, with its code, file and place; none where it is something else. One
/// that cannot be understood is a WrongFormat: whoever breaks a helper speaks for it.
[[nodiscard]] std::optional<Error> errorIn(std::string_view answer);

} // namespace bslate::io
