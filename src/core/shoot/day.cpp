#include "core/shoot/day.h"

#include "core/base/find_by_id.h"

#include <algorithm>

namespace bslate {

const Take* findTake(const ShootDay& day, std::string_view id) {
    return findById(day.takes, id);
}
Take* findTake(ShootDay& day, std::string_view id) {
    return findById(day.takes, id);
}

Seconds onDay(Seconds start, Seconds timeOfDay) {
    constexpr Seconds kDay(24 * 3600.0);
    return timeOfDay < start ? timeOfDay + kDay : timeOfDay;
}

std::vector<TimedTake> timesOf(const ShootDay& day) {
    std::vector<TimedTake> times;
    Seconds free = day.start;
    bool first = true;
    for (const auto& take : day.takes) {
        Seconds start = first ? day.start : free + take.gap;
        if (take.began)
            start = std::max(free, onDay(day.start, *take.began));
        else if (take.at)
            start = std::max(start, onDay(day.start, *take.at));
        free = start + take.ran.value_or(take.length);
        times.push_back({&take, start, free});
        first = false;
    }
    return times;
}

} // namespace bslate
