#include "core/base/enumerated.h"

using namespace bslate;

enum class Place { Inside, Outside };

static_assert(countOf<Place>() == 2 && nextOf(Place::Outside) == Place::Inside);
[[maybe_unused]] constexpr auto fine =
    tableOf<int, Place>({{Place::Inside, 1}, {Place::Outside, 2}});
#ifdef FORBIDDEN
[[maybe_unused]] constexpr auto wrong = tableOf<int, Place>({{Place::Inside, 1}});
#endif
