// The times of a shutter dial, alone or as a named series.
#include "core/cadence/shutter.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/json/custom_json.h"

#include <algorithm>

namespace bslate::io::custom {
namespace {

constexpr std::string_view kThirdStops = "third-stops";
constexpr std::string_view kHalfStops = "half-stops";

} // namespace

void read(DialTimesTag, ObjectReader& node, const char* key, std::vector<Seconds>& times) {
    times.clear();
    for (const auto& entry : node.texts(key)) {
        if (entry == kThirdStops || entry == kHalfStops) {
            const auto named = entry == kThirdStops ? thirdStopTimes() : halfStopTimes();
            times.insert(times.end(), named.begin(), named.end());
            continue;
        }
        const auto time = parseSeconds(entry);
        if (time)
            times.push_back(*time);
        else
            node.fail(time.error().code, key, entry,
                      "\"third-stops\", \"half-stops\" or " + time.error().expected);
    }
}

void write(DialTimesTag, Json& node, const char* key, const std::vector<Seconds>& times) {
    const auto is = [&](std::span<const Seconds> named) {
        return std::equal(times.begin(), times.end(), named.begin(), named.end());
    };
    node[key] = Json::array();
    if (is(thirdStopTimes()))
        node[key].push_back(kThirdStops);
    else if (is(halfStopTimes()))
        node[key].push_back(kHalfStops);
    else
        for (const auto time : times)
            node[key].push_back(spell(Shutter(time)));
}

void describe(DialTimesTag, Json& object, const char* key, Json&) {
    object["properties"][key] = {{"type", "array"}, {"items", {{"type", "string"}}}};
}

} // namespace bslate::io::custom
