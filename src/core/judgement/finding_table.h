#pragma once

#include "core/judgement/finding_kind.h"

#include <optional>
#include <span>

/// The one table of all judgements.
namespace bslate {

[[nodiscard]] const FindingKind& kindOf(FindingId id);

/// Nothing for a key that no judgement has.
[[nodiscard]] std::optional<FindingId> findFinding(std::string_view key);

/// All of them, in the enum's order, in parts.
[[nodiscard]] std::span<const std::span<const FindingKind>> findingKinds();

[[nodiscard]] const char* titleOf(HelpPage page);

} // namespace bslate
