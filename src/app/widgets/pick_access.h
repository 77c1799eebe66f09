#pragma once

namespace bslate::app {

/// Makes the items of a PickCanvas children of it for assistive technology: each with its place,
/// its words, and whether it is the current one. Call once, after installPaintedAccess().
void installPickAccess();

} // namespace bslate::app
