#include "core/kit/profile.h"

namespace bslate {

BSLATE_COMPILED_HERE(Profile);

} // namespace bslate
