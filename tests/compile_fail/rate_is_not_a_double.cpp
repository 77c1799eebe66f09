#include "core/quantity/quantities.h"

using namespace bslate;

[[maybe_unused]] const FrameRate fine{Rational(24000, 1001)};
#ifdef FORBIDDEN
[[maybe_unused]] const FrameRate wrong{23.976};
#endif
