#pragma once

#include "core/advice/remedy.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// A judgement is data: an id with numbers. Its sentences are made in words/wording.h.
namespace bslate {

enum class Severity { Fault, Caution, Good, Note }; // worst first

/// `fault`, `caution`, `good` or `note`, as scripts read it.
[[nodiscard]] std::string_view severityName(Severity severity);

/// Whom it is for.
enum class Topic {
    Camera,  ///< whoever sets it up
    Grading, ///< what post has to undo
    Safety   ///< everybody
};

struct Finding {
    std::string_view id;
    Severity severity = Severity::Note;
    Topic topic = Topic::Camera;
    std::string subject; ///< patch id, or empty when it is about the whole setup
    Facts facts;
    std::string_view source; ///< published source, or "common practice, no source"
    std::vector<Remedy> remedies;
    std::optional<std::string> accepted; ///< the reason, when taken on purpose

    /// `id` or `id:subject`, the key an Acceptance uses.
    [[nodiscard]] std::string key() const;
};

/// How many of a severity nobody accepted.
[[nodiscard]] int countOf(const std::vector<Finding>& findings, Severity severity);

inline constexpr std::string_view kKitEntry = "the camera's kit entry";
inline constexpr std::string_view kCommonPractice = "common practice, no source";

} // namespace bslate
