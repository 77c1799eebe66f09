#include "core/shoot/day.h"

#include "core/base/find_by_id.h"

#include <algorithm>
#include <cmath>

namespace bslate {

BSLATE_COMPILED_HERE(ShootDay);

BSLATE_COMPILED_HERE(Take);

const Take* findTake(const ShootDay& day, std::string_view id) {
    return findById(day.takes, id);
}
Take* findTake(ShootDay& day, std::string_view id) {
    return findById(day.takes, id);
}

namespace {

constexpr Seconds kWholeDay(24 * 3600.0);

// The moment nearest to the expected one at which the clock shows that time.
Seconds nearest(Seconds expected, Seconds timeOfDay) {
    const double days = std::round((expected - timeOfDay).value() / kWholeDay.value());
    return timeOfDay + kWholeDay * std::max(0.0, days);
}

} // namespace

Seconds onDay(Seconds start, Seconds timeOfDay) {
    return timeOfDay < start - kEarliest ? timeOfDay + kWholeDay : timeOfDay;
}

Seconds nextAfter(Seconds start, Seconds timeOfDay) {
    return timeOfDay < start ? timeOfDay + kWholeDay : timeOfDay;
}

Seconds clockOf(Seconds moment) {
    return Seconds(std::fmod(moment.value(), kWholeDay.value()));
}

std::vector<TimedTake> timesOf(const ShootDay& day) {
    std::vector<TimedTake> times;
    Seconds free = day.start;
    bool first = true;
    for (const auto& take : day.takes) {
        Seconds start = first ? day.start : free + take.gap;
        if (take.began)
            start =
                first ? nearest(start, *take.began) : std::max(free, nearest(start, *take.began));
        else if (take.at)
            start = std::max(start, onDay(day.start, *take.at));
        free = start + take.ran.value_or(take.length);
        times.push_back({&take, start, free});
        first = false;
    }
    return times;
}

} // namespace bslate
