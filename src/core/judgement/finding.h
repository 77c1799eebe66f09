#pragma once

#include "core/advice/remedy.h"
#include "core/judgement/finding_table.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// A judgement is data: an id with numbers. What all of a kind share stands in finding_table.h; its
/// sentences are made in words/wording.h.
namespace bslate {

/// More ways out of one finding nobody weighs against each other.
inline constexpr std::size_t kMostRemedies = 6;

enum class Severity { Fault, Caution, Good, Note }; // worst first

/// `fault`, `caution`, `good` or `note`, as scripts read it.
[[nodiscard]] std::string_view severityName(Severity severity);

struct Finding {
    FindingId id = FindingId::SetupIncomplete;
    Severity severity = Severity::Note;
    Facts facts = {};
    std::string subject = {};             ///< patch id, or empty when it is about the whole setup
    std::optional<std::size_t> take = {}; ///< of a day, by its place in it
    std::vector<Remedy> remedies = {};
    std::optional<std::string> accepted = {}; ///< the reason, when taken on purpose
    std::vector<Finding> follows = {};        ///< of the same cause, told with it (told_once.h)

    /// `id` or `id:subject`, the key an Acceptance uses.
    [[nodiscard]] std::string key() const;
};

/// The key of a finding about a subject.
[[nodiscard]] std::string keyOf(FindingId id, std::string_view subject = {});

/// How many of a severity nobody accepted.
[[nodiscard]] int countOf(const std::vector<Finding>& findings, Severity severity);

} // namespace bslate
