#pragma once

#include "app/style/tokens.h"
#include "core/base/enumerated.h"
#include "core/frame/frame_verdict.h"
#include "core/frame/masks.h"
#include "core/frame/spot.h"

#include <QImage>
#include <QString>

#include <array>
#include <memory>
#include <optional>

namespace bslate::app {

/// What the two sides of the picture can show: the stages of a frame, and its stops as bands.
enum class FrameLook { Light, Sensor, Curve, Codec, Grade, Stops };
inline constexpr int kFrameLooks = countOf<FrameLook>();
[[nodiscard]] QString nameOf(FrameLook look);

/// A setup's frame as pictures that can be painted, made once for all looks.
struct FrameImages {
    std::array<QImage, kFrameLooks> look;
    /// Masks, not 0 where it is: of any channel, then of red, green and blue.
    std::array<QImage, 4> clipped, drowned;
    std::array<QImage, 2> zebra; ///< by ZebraUse; null where the camera has none
    std::array<Fraction, 2> zebraShare;
    std::array<std::optional<ZebraBand>, 2> band;
    Instruments instruments, gradedInstruments; ///< of the recording; of the grade, 10 bits legal
    QImage bands;                               ///< mask of where the grade bands
    std::vector<FoundPatch> patches;
    std::array<Fraction, 3> clippedShare, drownedShare;
    std::array<MeterReading, kMeterKinds> meters;
    std::optional<Likeness> toLight; ///< of the grade; none of a still
    BitDepth depth;
    LumaWeights weights;
    Level clipLevel;
    std::optional<CodecResult> coded; ///< its frame is left out
    std::vector<Finding> findings;
    std::shared_ptr<const CodeFrame> recording; ///< what spots read
    std::shared_ptr<const Image> light;         ///< of the scene; null of a still
    Curve curve;                                ///< of the recording
    QString number;                             ///< of the setup
    QString push;                               ///< as it is typed; empty: none
    QString still;                              ///< name of the file it is of; empty: drawn
};

/// A picture of values in [0, 1] as it is painted.
[[nodiscard]] QImage imageOf(const Image& picture);

/// What a free spot at this centre reads.
[[nodiscard]] SpotReading spotIn(const FrameImages& images, double x, double y);
/// `412 cd/m2, +1.3 stop, 58 %, R 512 G 500 B 470`
[[nodiscard]] QString textOf(const SpotReading& spot);

/// `43.7 dB, SSIM 0.986`
[[nodiscard]] QString textOf(const Likeness& likeness);

/// Stops from grey as greys of this program's own: each stop a step, the middle one marked.
[[nodiscard]] QRgb stopColour(int stop, Theme theme);

/// How a frame is shown.
struct FrameShown {
    Theme theme = Theme::Slate;
    Push push = {};
    std::optional<Error> codec = {}; ///< why the encoder was left out
    friend bool operator==(const FrameShown&, const FrameShown&) = default;
};

/// Takes a fifth of a second at 960 x 540: for a background job.
[[nodiscard]] FrameImages frameImages(const SetupContext& context, const Evaluation& at,
                                      const FrameMade& frame, const FrameWish& wish,
                                      const FrameShown& how);

/// A still of the user's own in the same form, recorded in the setup's profile. What it was before
/// the curve is not known: light and sensor show it flat, nothing is marked as drowned.
[[nodiscard]] FrameImages stillImages(const SetupContext& context, const Evaluation& at,
                                      const CodeFrame& frame, std::span<const Probe> probes,
                                      const FrameShown& how);

} // namespace bslate::app
