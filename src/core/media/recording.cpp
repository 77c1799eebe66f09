#include "core/media/recording.h"

#include <limits>

namespace bslate {

BitsPerPixel bitsPerPixel(DataRate rate, FrameSize frame, FrameRate framesPerSecond) {
    const double pixels = static_cast<double>(frame.width) * frame.height;
    return BitsPerPixel(rate.value() / (pixels * framesPerSecond.toDouble()));
}

Seconds recordTime(DataSize capacity, double usable, DataRate rate) {
    if (rate.value() <= 0)
        return Seconds(std::numeric_limits<double>::infinity());
    return Seconds(capacity.value() * 8.0 * usable / rate.value());
}

DataRate sensorRateWriting(DataRate nominal, FrameRate sensor, FrameRate base) {
    return nominal * (sensor.toDouble() / base.toDouble());
}

BitsPerPixel leastForHeavyGrade(bool intra, int bits) {
    if (intra)
        return BitsPerPixel(1.0);
    return BitsPerPixel(bits > 8 ? 0.25 : 0.1);
}

} // namespace bslate
