#include "core/quantity/parse.h"

#pragma GCC diagnostic error "-Wunused-result"

void look() {
    const auto seen = bslate::parseStops("1");
    (void)seen.ok();
#ifdef FORBIDDEN
    bslate::parseStops("1");
#endif
}
