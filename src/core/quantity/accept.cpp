#include "core/quantity/accept.h"

#include "core/quantity/scan.h"

#include <string>

namespace bslate::accept {

bool contains(std::initializer_list<std::string_view> list, std::string_view item) {
    for (const auto entry : list)
        if (entry == item)
            return true;
    return false;
}

Error refuse(ErrorCode code, std::string_view text, std::string_view expected) {
    return {code, {}, {}, shortened(text), std::string(expected)};
}

Result<double> read(std::string_view text, const Accepts& accepts) {
    const auto scanned = scan(text, accepts.expected);
    if (!scanned)
        return scanned.error();
    if (!scanned->prefix.empty() && !contains(accepts.prefixes, scanned->prefix))
        return refuse(ErrorCode::UnknownUnit, text, accepts.expected);
    const std::string unit = accepts.keepCase ? scanned->unit : lowered(scanned->unit);
    for (const auto& known : accepts.units) {
        if (unit != known.name)
            continue;
        const double value = scanned->value * known.factor;
        const bool low = accepts.lowIsOpen ? value <= accepts.low : value < accepts.low;
        if (low || value > accepts.high)
            return refuse(ErrorCode::OutOfRange, text, accepts.expected);
        return value;
    }
    return refuse(ErrorCode::UnknownUnit, text, accepts.expected);
}

} // namespace bslate::accept
