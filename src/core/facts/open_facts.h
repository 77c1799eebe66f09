#pragma once

#include "core/facts/reason.h"
#include "core/kit/camera_fact.h"

/// What it means that nobody knew a fact of a body: clauses worded by reasonOf().
namespace bslate {

/// What the fact is called: "sensor size".
[[nodiscard]] Reason nameOfFact(CameraFact fact);
/// What is asked of somebody who holds the body.
[[nodiscard]] Reason questionOf(CameraFact fact);
/// What stays open, or rests on what is usual, while it is not known.
[[nodiscard]] Reason leftOpen(CameraFact fact);

} // namespace bslate
