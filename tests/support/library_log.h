#pragma once

#include "core/signal/curve.h"

#include <OpenColorIO/OpenColorIO.h>

namespace bslate::sample {

/// The same camera-log curve in OpenColorIO, scene light to signal.
inline OCIO_NAMESPACE::LogCameraTransformRcPtr libraryLog(const CameraLog& log) {
    const auto set = [](auto& transform, auto setter, double value) {
        const double values[3] = {value, value, value};
        (transform.get()->*setter)(values);
    };
    using Log = OCIO_NAMESPACE::LogCameraTransform;
    const double atBreak[3] = {log.linSideBreak, log.linSideBreak, log.linSideBreak};
    auto transform = Log::Create(atBreak);
    transform->setBase(log.base);
    set(transform, &Log::setLogSideSlopeValue, log.logSideSlope);
    set(transform, &Log::setLogSideOffsetValue, log.logSideOffset);
    set(transform, &Log::setLinSideSlopeValue, log.linSideSlope);
    set(transform, &Log::setLinSideOffsetValue, log.linSideOffset);
    return transform;
}

} // namespace bslate::sample
