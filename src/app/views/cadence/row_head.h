#pragma once

namespace bslate::app {

/// Every row of the Cadence page begins with its name, this wide.
inline constexpr double kRowHead = 74;

} // namespace bslate::app
