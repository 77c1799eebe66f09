#pragma once

#include "core/facts/setup_context.h"
#include "core/light/optics.h"

namespace bslate {

/// What goes into the second slot beside the recording.
struct SecondCopy {
    std::string slot;       ///< its name
    std::string card;       ///< name of the best card at hand there; empty when none fits
    DataRate peak{0};       ///< written into it at most
    DataRate guaranteed{0}; ///< by that card there
    bool holds = false;     ///< guaranteed >= peak
    bool classUnknown = false;
    std::optional<Seconds> time; ///< until that card is full
    bool endsFirst = false;      ///< before the first slot's card
    friend bool operator==(const SecondCopy&, const SecondCopy&) = default;
};

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
    bool cardHolds = false;           ///< guaranteed >= peak
    bool classUnknown = false;        ///< the card's class is not defined for this slot's bus
    std::optional<SecondCopy> second; ///< of a mirror or a proxy
    /// On one such card, on both in a relay; with a copy until the first of the two ends.
    std::optional<Seconds> recordTime;

    std::optional<HeatTime> heat; ///< until the body stops at the scene's temperature
    Magnification crop{1};        ///< of the recorded frame against the whole sensor
    Millimetres areaWidth{0};     ///< of the part of the sensor area that has the frame's shape
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
