#pragma once

#include "core/light/optics.h"
#include "core/verdict/setup_context.h"

namespace bslate {

/// What a setup's mode, lens and cards come to.
struct RecordingFacts {
    std::optional<DataRate> bitRate; ///< none when the mode does not record this rate
    DataRate peak{0};                ///< bit rate times the codec's peak factor
    BitsPerPixel bitsPerPixel{0};
    bool offSpeed = false;
    Magnification slowdown{1}; ///< capture rate over delivery rate; below 1 plays fast

    std::string card; ///< name of the best card at hand for the mode; empty when none fits
    std::string slot; ///< name of its slot
    DataRate guaranteed{0};
    bool cardHolds = false;            ///< guaranteed >= peak
    std::optional<Seconds> recordTime; ///< on one such card, on both in a relay

    std::optional<Seconds> heat; ///< until the body stops at the scene's temperature
    Magnification crop{1};       ///< against the whole sensor
    Millimetres areaWidth{0};
    Millimetres areaHeight{0};
    Seconds readout{0}; ///< of the recorded area; 0 when not known

    std::optional<Millimetres> focal; ///< none without a lens of known focal length
    Degrees view{0};                  ///< horizontal, 0 without a focal length
    Millimetres equivalent{0};        ///< frames like this on a 36 mm wide frame
    Metres hyperfocal{0};
    std::optional<SharpRange> sharp; ///< when the setup has a focus distance

    friend bool operator==(const RecordingFacts&, const RecordingFacts&) = default;
};

[[nodiscard]] RecordingFacts recordingFacts(const SetupContext& context);

} // namespace bslate
