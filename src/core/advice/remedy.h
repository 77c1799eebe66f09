#pragma once

#include "core/advice/remedy_id.h"
#include "core/facts/reason.h"
#include "core/shoot/edit.h"

#include <optional>

namespace bslate {

/// A named edit, verified: evaluating the edited document showed that it cures what it is
/// offered for.
struct Remedy {
    RemedyId id = RemedyId::SetNd;
    Facts facts = {};
    Edit edit = {};
    Stops highlights{};      ///< headroom of the brightest patch that matters, afterwards
    Stops shadows{};         ///< the darkest one over the noise, afterwards
    std::string top = {};    ///< the name of that brightest patch; empty: none is judged by
    std::string bottom = {}; ///< of that darkest one
    int worse = 0;           ///< patches that were good before and are lost or noisy afterwards
    int faults = 0;          ///< that were not there before; its title names each of them
    /// What it leaves, in words of its own, where stops say nothing.
    std::optional<Reason> effect = std::nullopt;
};

} // namespace bslate
