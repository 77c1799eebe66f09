#include "core/quantity/quantities.h"

using namespace bslate;

[[maybe_unused]] const bool fine = FNumber(2.8) < FNumber(4.0);
#ifdef FORBIDDEN
[[maybe_unused]] const auto wrong = FNumber(2.8) + FNumber(4.0);
#endif
