#include "core/quantity/quantities.h"

using namespace bslate;

[[maybe_unused]] const auto fine = Stops(1.0) + Stops(0.5);
#ifdef FORBIDDEN
[[maybe_unused]] const auto wrong = Stops(1.0) + FNumber(2.8);
#endif
