#pragma once

#include "core/base/error.h"

#include <string>
#include <utility>

/// Why a still is not read: what was found, and what is expected.
namespace bslate::helper {

[[nodiscard]] inline Error refusedStill(std::string got, std::string expected) {
    return {ErrorCode::WrongFormat, {}, {}, std::move(got), std::move(expected)};
}

/// Half of it was copied, or it was cut: nothing in it is measured.
[[nodiscard]] inline Error notWhole(std::string what) {
    return refusedStill(std::move(what), "a whole picture; it was cut off or half copied");
}

} // namespace bslate::helper
