#pragma once

#include "core/base/result.h"

#include <initializer_list>
#include <string_view>

/// What every spelling table of parse.h shares: prefixes, units with their factors, a range and
/// the wording of the refusal.
namespace bslate::accept {

struct Unit {
    std::string_view name; ///< compared in lower case unless the table keeps case
    double factor;
};

/// What a spelling table accepts, with the wording used in every refusal.
struct Accepts {
    std::string_view expected;
    std::initializer_list<std::string_view> prefixes;
    std::initializer_list<Unit> units;
    double low;
    double high;
    bool lowIsOpen = false;
    bool keepCase = false;
};

[[nodiscard]] bool contains(std::initializer_list<std::string_view> list, std::string_view item);

[[nodiscard]] Error refuse(ErrorCode code, std::string_view text, std::string_view expected);

/// The value in the base unit after checking prefix, unit and range.
[[nodiscard]] Result<double> read(std::string_view text, const Accepts& accepts);

template<class Q>
[[nodiscard]] Result<Q> readAs(std::string_view text, const Accepts& accepts) {
    const auto value = read(text, accepts);
    if (!value)
        return value.error();
    return Q(*value);
}

} // namespace bslate::accept
