#pragma once

#include "core/judgement/finding_kind.h"

#include <span>

/// The table of all judgements, in parts that follow each other as FindingId does. Private to
/// judgement: others ask kindOf().
namespace bslate::kinds {

inline constexpr std::string_view kKitEntry = "the camera's kit entry";
inline constexpr std::string_view kCommonPractice = "common practice, no source";

[[nodiscard]] std::span<const FindingKind> light();
[[nodiscard]] std::span<const FindingKind> recording();
[[nodiscard]] std::span<const FindingKind> takes();
[[nodiscard]] std::span<const FindingKind> day();
[[nodiscard]] std::span<const FindingKind> hands();
[[nodiscard]] std::span<const FindingKind> banks();
[[nodiscard]] std::span<const FindingKind> white();
[[nodiscard]] std::span<const FindingKind> frame();
[[nodiscard]] std::span<const FindingKind> clips();

} // namespace bslate::kinds
