#pragma once

#include "core/base/extra_keys.h"
#include "core/light/colour_temperature.h"

#include <optional>
#include <span>
#include <string>
#include <vector>

/// Gels for lamps and windows, and which of them bring two lights together.
namespace bslate {

struct Gel {
    std::string id;
    std::string name;
    Mired shift{0};           ///< positive warms; [-500, 500]
    Duv duv{0};               ///< positive greens; [-0.05, 0.05]
    Fraction transmission{1}; ///< of the light, (0, 1]
    ExtraKeys extra;
    friend bool operator==(const Gel&, const Gel&) = default;
};

/// `-log2` of what it lets through.
[[nodiscard]] Stops lossOf(const Gel& gel);

/// The light behind it, as shifted() has it.
[[nodiscard]] ColourPoint gelled(ColourPoint light, const Gel& gel);

/// Some gels of a list, by their places in it.
struct GelChoice {
    std::vector<std::size_t> picks; ///< at most kMostStacked, rising; the same one may be doubled
    ColourPoint colour;             ///< of the light behind them
    Stops loss{0};
};

/// How different two lights look: mired over 20, the smallest gel in common use, and Duv over
/// 0.005, both common practice; below 1 it passes.
[[nodiscard]] double contrastOf(ColourPoint a, ColourPoint b);

/// More are not stacked on one lamp: common practice, no source.
inline constexpr std::size_t kMostStacked = 4;

/// The gels that bring a light to within contrastOf() 1 of another: the fewest, of those that lose
/// least light, of those the nearest. Where none do, the nearest of all that comes at least
/// halfway. Nothing when no gel helps or the lights are together already. Of one and two the first
/// 200 of the list are considered, of more the first 40.
[[nodiscard]] std::optional<GelChoice> gelsToward(std::span<const Gel> gels, ColourPoint light,
                                                  ColourPoint wanted);

/// Of a choice, in its order.
[[nodiscard]] std::vector<std::string> idsOf(std::span<const Gel> gels, const GelChoice& choice);

} // namespace bslate
