#pragma once

#include "core/frame/code_frame.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <span>
#include <string>

/// What instruments read of a recorded picture: whole counts, from one pass over it.
namespace bslate {

enum class InstrumentChannel { Luma, Red, Green, Blue };

/// Counts of each level in each column: `columns` of the picture's width, the same share of it
/// each, and kWaveLevels levels over all codes from the lowest.
inline constexpr int kWaveLevels = 256;
struct WaveCounts {
    int columns = 0;
    std::vector<std::uint32_t> counts; ///< column by column
    friend bool operator==(const WaveCounts&, const WaveCounts&) = default;
    [[nodiscard]] std::uint32_t at(int column, int level) const {
        return counts[static_cast<std::size_t>(column) * kWaveLevels +
                      static_cast<std::size_t>(level)];
    }
};

/// Counts over blue's and red's colour difference, each of 256 steps with no colour at 128; rows
/// from the lowest red difference.
struct ColourPicture {
    std::vector<std::uint32_t> counts;
    friend bool operator==(const ColourPicture&, const ColourPicture&) = default;
};

/// Stripes from a level on, or within a range about it.
struct ZebraBand {
    Level from{0};
    Level to{110}; ///< no less than from
    friend bool operator==(ZebraBand, ZebraBand) = default;
};

struct InstrumentWish {
    LumaWeights weights;
    int columns = 256; ///< of the waveforms, 1 to the width
    std::optional<ZebraBand> zebra;
};

/// Histograms are of every code; waveforms of luma and the three channels.
struct Instruments {
    std::array<std::vector<std::uint32_t>, 4> histogram; ///< by InstrumentChannel
    std::array<WaveCounts, 4> waveform;
    ColourPicture colour;
    std::uint64_t zebra = 0;              ///< pixels in it
    std::array<std::uint64_t, 3> atTop{}; ///< pixels at the highest code of a channel
    std::uint64_t pixels = 0;
    double lumaSum = 0; ///< of codes
    friend bool operator==(const Instruments&, const Instruments&) = default;
};

/// Columns are held to the picture's width.
[[nodiscard]] Instruments measure(const CodeFrame& frame, const InstrumentWish& wish);

/// The mean of luma, percent of the legal range.
[[nodiscard]] Level meanLevel(const Instruments& instruments, BitDepth depth);

/// A place that is measured, as shares of the picture.
struct Probe {
    std::string name;
    PictureArea area;
    friend bool operator==(const Probe&, const Probe&) = default;
};
struct ProbeReading {
    std::string name;
    Level level;                   ///< luma, mean
    std::array<Level, 3> channels; ///< red, green, blue, mean
    Stops stops;                   ///< of the mean light behind the curve, from mid-grey
    friend bool operator==(const ProbeReading&, const ProbeReading&) = default;
};
/// Light is decoded from each code of each channel and weighed as luma; none of it is minus
/// infinity stops.
[[nodiscard]] std::vector<ProbeReading> probed(const CodeFrame& frame, const Curve& curve,
                                               const LumaWeights& weights,
                                               std::span<const Probe> probes);

} // namespace bslate
