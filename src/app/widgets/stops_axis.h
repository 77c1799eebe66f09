#pragma once

#include "core/quantity/quantities.h"

namespace bslate::app {

/// The one horizontal stops axis that scene, sensor and recording share.
struct StopsAxis {
    double left = 0;  ///< pixels
    double right = 1; ///< pixels, > left
    double low = -9;  ///< stops at `left`
    double high = 8;  ///< stops at `right`, > low

    [[nodiscard]] double x(Stops stops) const {
        return left + (stops.value() - low) / (high - low) * (right - left);
    }
    [[nodiscard]] Stops at(double pixel) const {
        return Stops(low + (pixel - left) / (right - left) * (high - low));
    }
    [[nodiscard]] double pixelsPerStop() const { return (right - left) / (high - low); }
    [[nodiscard]] bool shows(Stops stops) const {
        return stops.value() >= low && stops.value() <= high;
    }

    friend bool operator==(const StopsAxis&, const StopsAxis&) = default;
};

} // namespace bslate::app
