#include "core/base/enumerated.h"

using namespace bslate;

enum class Place { Inside, Outside };

[[maybe_unused]] constexpr ByEnum<Place, int> fine{1, 2};
#ifdef FORBIDDEN
[[maybe_unused]] constexpr auto wrong =
    tableOf<int, Place>({{Place::Outside, 2}, {Place::Inside, 1}});
#endif
