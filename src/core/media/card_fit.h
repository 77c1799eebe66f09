#pragma once

#include "core/quantity/quantities.h"

#include <string_view>

namespace bslate {

/// Whether a recording can go onto a card.
enum class CardFit {
    Fits,     ///< the peak is at most kComfortable of what is guaranteed
    Marginal, ///< at most all of it
    Drops     ///< more: frames will be lost sooner or later
};

/// Share of the guaranteed speed up to which nobody worries: common practice, no source.
inline constexpr double kComfortable = 0.8;

/// Judges a peak write rate against a guaranteed sustained one. Nothing fits on a card that
/// guarantees nothing; nothing to write fits anywhere.
[[nodiscard]] CardFit cardFit(DataRate peak, DataRate guaranteed);

/// `fits`, `marginal`, `drops`: as scripts read it.
[[nodiscard]] std::string_view nameOf(CardFit fit);

/// How one recording is cut into files.
struct FileSplit {
    int files = 1;
    Seconds each; ///< the longest one
};

/// The files of a take of `length` at `rate` when files end at `segment` bytes or `clipLimit`,
/// whichever comes first; 0 of either: it does not end them. Preconditions: length > 0, rate > 0.
[[nodiscard]] FileSplit filesOf(Seconds length, DataRate rate, DataSize segment, Seconds clipLimit);

} // namespace bslate
