#pragma once

#include "core/facts/reason.h"

#include <optional>
#include <string>

namespace bslate {

/// One thing to look at before rolling.
struct Check {
    std::string id;                ///< "hand-iris": the same one keeps it
    Reason text;                   ///< what to do; worded by reasonOf()
    Reason reason;                 ///< why
    std::optional<Reason> where{}; ///< on the body
    std::string about{};           ///< what it is about: a tick goes stale when that changes
    bool fails = false;            ///< what is asked is not there: a fault, and no tick takes it
    friend bool operator==(const Check&, const Check&) = default;
};

} // namespace bslate
