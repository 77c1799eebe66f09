#include "cli/verb.h"
#include "core/media/card_fit.h"
#include "core/media/recording.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct MediaOptions {
    std::string bitRate, capacity;
    std::string speedClass; ///< V60; may be empty
    std::string usable = "1";
    std::string peak = "1"; ///< codec peak factor
};

void askMedia(MediaOptions& o, OptionList& list) {
    list.text("--bit-rate", o.bitRate, "with sound, as written, 240Mb/s").required();
    list.text("--capacity", o.capacity, "128GB").required();
    list.text("--usable", o.usable, "share of the capacity, 0.95").shown();
    list.text("--class", o.speedClass, "guaranteed class, V60");
    list.text("--peak", o.peak, "peak over mean bit rate, 1.3").shown();
}

Result<int> media(const MediaOptions& options, Output& output) {
    const auto rate = placed(parseDataRate(options.bitRate), "--bit-rate");
    if (!rate)
        return rate.error();
    const auto capacity = placed(parseDataSize(options.capacity), "--capacity");
    if (!capacity)
        return capacity.error();
    const auto usable = numberOf("--usable", options.usable, 0.001, 1, "a share from 0.001 to 1");
    if (!usable)
        return usable.error();
    const auto factor = numberOf("--peak", options.peak, 1, 3, "1 to 3");
    if (!factor)
        return factor.error();
    std::optional<SpeedClass> speed;
    if (!options.speedClass.empty()) {
        speed = findSpeedClass(options.speedClass);
        if (!speed)
            return usage("--class", options.speedClass,
                         "a class such as Class 10, U3, V60, V90 or VPG400");
    }
    const Seconds time = recordTime(*capacity, *usable, *rate);
    const DataRate peak = *rate * *factor;
    const auto fit = cardFit(peak, speed ? speed->guaranteed : peak);
    if (output.json) {
        Json node = {{"record_time_s", time.value()},
                     {"required_write_bytes_per_s", peak.value() / 8}};
        if (speed) {
            node["guaranteed_write_bytes_per_s"] = speed->guaranteed.value() / 8;
            node["fit"] = nameOf(fit);
        }
        output.write(node);
    } else {
        output.text << printDuration(time) << " on " << print(*capacity) << ", writing up to "
                    << printBytes(peak);
        if (speed)
            output.text << ": " << nameOf(fit) << " on " << speed->name << " ("
                        << printBytes(speed->guaranteed) << ")";
        output.text << "\n";
    }
    return speed && fit == CardFit::Drops ? 1 : 0;
}

} // namespace

extern const Verb kMediaVerb;
const Verb kMediaVerb{"media", "How long a card lasts and whether it holds",
                      "bslate media --bit-rate 240Mb/s --capacity 128GB --class V60",
                      prepared<MediaOptions, askMedia, media>};

} // namespace bslate::cli
