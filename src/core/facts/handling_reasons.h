#pragma once

#include "core/facts/reason.h"
#include "core/kit/camera.h"
#include "core/shoot/handling.h"

/// Clauses on how a camera is held and what it is left to do by itself.
namespace bslate {

/// "on a tripod"; empty for an unsaid one.
[[nodiscard]] Reason wordOf(Support support);

/// What an automatic does to a take: the body's own words, else what is usual.
[[nodiscard]] Reason effectOf(const Camera& camera, AutomaticKind kind);

} // namespace bslate
