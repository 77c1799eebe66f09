#pragma once

#include "core/base/result.h"
#include "core/light/light_colour.h"

#include <optional>
#include <string>
#include <string_view>

/// How white is set on a body: kelvin in steps, and off the locus in the body's own units.
namespace bslate {

/// What a body writes before or after a number of tint.
enum class TintMarks {
    Letters,     ///< `M9` answers green light, `G3` magenta light
    PlusMagenta, ///< `+9` answers green light
    PlusGreen    ///< `-9` answers green light
};

struct TintDial {
    Duv unit{0.0013}; ///< of one unit, (0, 0.02]
    double step = 1;  ///< units, > 0
    double most = 9;  ///< units either way, >= step
    TintMarks marks = TintMarks::Letters;
    friend bool operator==(const TintDial&, const TintDial&) = default;
};

struct WhiteDial {
    double step = 100; ///< kelvin; 0: any
    Kelvin lowest{2000}, highest{12000};
    std::optional<TintDial> tint; ///< none: kelvin only
    friend bool operator==(const WhiteDial&, const WhiteDial&) = default;
};

/// Gains a body was found to use for a white, in stops against green.
struct FoundGains {
    Kelvin kelvin{5600};
    Stops red, blue;
    friend bool operator==(const FoundGains&, const FoundGains&) = default;
};

/// How the white of a setup comes to be.
enum class WhiteBy {
    Preset, ///< dialled in
    Card    ///< measured from a card; the numbers are what is expected there
};

/// Positive tint answers green light: the white point moves to as much more Duv.
struct WhiteSetting {
    Kelvin kelvin{5600};
    Tint tint{0};
    friend bool operator==(const WhiteSetting&, const WhiteSetting&) = default;
};

/// The white the body can be set to: rounded to its step, within its range; tint likewise, 0 on a
/// body without it.
[[nodiscard]] Kelvin whiteOnDial(const WhiteDial& dial, Kelvin wanted);
[[nodiscard]] WhiteSetting whiteOnDial(const WhiteDial& dial, const WhiteSetting& wanted);

/// The setting that comes nearest to a light.
[[nodiscard]] WhiteSetting whiteFor(const WhiteDial& dial, ColourPoint light);

/// So many steps of the dial on, at most to its end.
[[nodiscard]] WhiteSetting stepped(const WhiteDial& dial, const WhiteSetting& from, int kelvinSteps,
                                   int tintSteps);

/// The light that a setting makes neutral: kelvin alone is usualDuv(), a unit of tint as the dial
/// says.
[[nodiscard]] ColourPoint whitePoint(const WhiteDial& dial, const WhiteSetting& setting);

/// `4100 K M9`; tint 0 has no word.
[[nodiscard]] std::string print(const WhiteDial& dial, const WhiteSetting& setting);
/// `M9`, `+3`; empty at 0.
[[nodiscard]] std::string printTint(const WhiteDial& dial, Tint tint);

/// A white as it is typed: `4100K`, `4100 K M9`, `244 mired tint+3`, and `card` when it is
/// measured. Letters and signs as the body has them; `m` and `g` are understood on every body.
/// Fails with OutOfRange beyond the dial, or for tint on a body without it.
struct TypedWhite {
    WhiteSetting setting;
    WhiteBy by = WhiteBy::Preset;
};
[[nodiscard]] Result<TypedWhite> parseWhite(const WhiteDial& dial, std::string_view text);

} // namespace bslate
