#include "core/quantity/quantities.h"

using namespace bslate;

[[maybe_unused]] const Stops fine{1.0};
#ifdef FORBIDDEN
[[maybe_unused]] const Stops wrong = 1.0;
#endif
