#pragma once

#include "core/clip/region_pulse.h"
#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"
#include "core/light/white_gains.h"

#include <string>

/// Light measured with the camera itself: a lamp by how its light pulses in a clip, white by a grey
/// card.
namespace bslate {

/// A lamp that makes a clip pulse so: its first harmonic alone, since that is what a frame shows.
/// Within 0.3 Hz of twice the mains it is of the mains. Fails with OutOfRange where the exposure
/// gathers whole pulses, which hides how far it swings.
/// [D: `depth = ripple / |sin(pi f t) / (pi f t)|`, ripple of its stops peak to peak]
[[nodiscard]] Result<Lamp> lampFrom(const RegionPulse& pulse, Hertz frequency, Seconds exposure,
                                    Hertz mains, const std::string& name);

/// A lamp in whose light nothing pulses.
[[nodiscard]] Lamp steadyLamp(const std::string& name);

/// What a grey card in a clip tells of the light on it.
struct CardWhite {
    ColourPoint light;
    WhiteSetting set; ///< of the camera's dial, that makes it neutral
    PerChannel off;   ///< of the card as it was recorded, against its green
    PerChannel gains; ///< that make it neutral, against green
    friend bool operator==(const CardWhite&, const CardWhite&) = default;
};

/// From the card's mean signals in a clip of this setup: its curve, gamut, and white as they were
/// set. Fails with OutOfRange for a card within a third of a stop of the recording's end or under
/// its noise floor, and for a light that has no temperature.
[[nodiscard]] Result<CardWhite> whiteFromCard(const SetupContext& context, const Evaluation& at,
                                              const std::array<Signal, 3>& card);

} // namespace bslate
