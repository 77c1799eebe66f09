#include "core/light/metering.h"

using namespace bslate;

[[maybe_unused]] const auto fine = evOf(CandelaPerM2(26), MeterCalibration{});
#ifdef FORBIDDEN
[[maybe_unused]] const CandelaPerM2 wrong = Lux(26);
#endif
