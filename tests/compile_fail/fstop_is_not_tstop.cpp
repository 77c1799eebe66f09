#include "core/light/metering.h"

using namespace bslate;

[[maybe_unused]] const auto fine =
    exposureStops(CandelaPerM2(26), ExposureIndex(800), Seconds(0.02), TStop(4), Stops(0), {});
#ifdef FORBIDDEN
[[maybe_unused]] const auto wrong =
    exposureStops(CandelaPerM2(26), ExposureIndex(800), Seconds(0.02), FNumber(4), Stops(0), {});
#endif
