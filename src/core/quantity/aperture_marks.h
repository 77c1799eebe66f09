#pragma once

#include <span>
#include <string_view>

namespace bslate {

/// One engraved aperture mark and the exact power of two it stands for.
struct ApertureMark {
    std::string_view label; ///< "2.8"
    double exact;           ///< 2^1.5
};

/// The full-, half- and third-stop scales from 0.7 to 64, ascending by `exact`. Where one label
/// stands on two scales the mark nearer to the printed number is kept; the other is named by
/// its number (2^(1/3) is "1.26", since "1.2" is the half-stop 2^(1/4)).
[[nodiscard]] std::span<const ApertureMark> apertureMarks();

/// The exact aperture a typed number means: the mark's power of two when the number is a mark,
/// otherwise the number itself.
[[nodiscard]] double apertureMeant(double typed);

/// The mark within 0.0005 stop of an exact aperture, or an empty view.
[[nodiscard]] std::string_view markOf(double exact);

} // namespace bslate
