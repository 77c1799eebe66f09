#pragma once

#include "core/shoot/shoot.h"

/// The other setups a setup's verdict looks at.
namespace bslate {

/// The nearest earlier setup, in the shoot's order, on the same camera; null for the first.
[[nodiscard]] const Setup* earlierOnCamera(const Shoot& shoot, const Setup& setup);

/// The other setups of the same scene, which cut together: the eight before and the eight after it
/// in the shoot's order, on any camera.
[[nodiscard]] std::vector<const Setup*> cutsWith(const Shoot& shoot, const Setup& setup);

/// The setups on the same scene with another camera.
[[nodiscard]] std::vector<const Setup*> otherCamerasOnScene(const Shoot& shoot, const Setup& setup);

} // namespace bslate
