#pragma once

#include "core/base/result.h"
#include "core/shoot/scene.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// The lamps of a scene as pulsing light, and as typed lines.
namespace bslate {

/// How far light of this kind swings when nobody measured it (common practice, no source):
/// filament 10 %, magnetic ballast 80 %, electronic ballast 4 %, dimmed or rectified LED 100 %,
/// steady 0. A measured lamp swings as its harmonics say.
[[nodiscard]] Fraction usualDepth(LampKind kind);

/// One lamp with its own or the usual numbers; a lamp without a frequency pulses at twice the
/// mains. Its share is 100 % when it tells none.
[[nodiscard]] PulsedLight lightOf(const Lamp& lamp, Hertz mains);

/// All lamps of a scene. Those that tell no share divide what the others leave.
[[nodiscard]] std::vector<PulsedLight> lightsOf(const Scene& scene, Hertz mains);

/// A lamp typed as one line: a kind (`bulbs`, `tubes`, `panels`, `dimmed`, `rectified`,
/// `measured`, `steady`), `100Hz`, `depth70%`, `duty25%`, harmonics `h1:40%`; its colour
/// (`4100K duv+0.012`, `x0.38 y0.377`, `>3200K` where it goes to) and gels (`gel:ID`); `share70%`
/// on the subject, `behind30%` on the background; `key`, `fill`, `kicker` or `back`; the rest is
/// its name. Without a kind a `bulb`, `tube`, `panel` or `candle` in the name tells it; harmonics
/// alone mean a measured lamp, a frequency alone a dimmed LED, a name with a colour a steady one.
/// The piece that cannot be read is in `got`.
[[nodiscard]] Result<Lamp> parseLampLine(std::string_view text);

/// The scene with a lamp in the place of another, or after all of them. Patches that it lights
/// follow its name. Fails with OutOfRange for too many lamps or shares of more than all.
[[nodiscard]] Result<Scene> withLamp(Scene scene, std::optional<std::size_t> at, const Lamp& lamp);

/// The line that gives a lamp back.
[[nodiscard]] std::string lineOf(const Lamp& lamp);

} // namespace bslate
