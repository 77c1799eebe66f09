#include "cli/number_list.h"
#include "cli/region_option.h"
#include "cli/verb.h"
#include "core/clip/region_series.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "io/clips/exposures.h"
#include "io/text/readings_csv.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct SeriesOptions {
    std::vector<std::string> files;
    std::string region, stops, range, out;
    bool relative = false, force = false;
};

void askSeries(SeriesOptions& o, OptionList& list) {
    list.texts("FILE", o.files,
               "clips or stills of an exposure series, or one clip in which it was stepped")
        .required();
    list.text("--region", o.region, "the card, x,y,w,h as shares of the picture").required();
    list.text("--stops", o.stops, "of each exposure in turn: -4,-3,-2; needed for -o");
    list.flag("--relative", o.relative,
              "of these stops only the distances are known: no shift of the body is found");
    list.text("--range", o.range, "what its codes span, full or legal, in place of the clip's tag");
    list.text("-o,--output", o.out, "readings to write (.csv), for bslate fit");
    list.force(o.force);
}

// Of the legal range, as everywhere.
double percent(Signal signal, CodeRange range) {
    return levelOf(signal, range, BitDepth{10}).value();
}

Json plateausJson(const std::vector<Plateau>& plateaus, CodeRange range) {
    Json list = Json::array();
    for (const auto& plateau : plateaus)
        list.push_back({{"first_frame", plateau.first},
                        {"frames", plateau.behind - plateau.first},
                        {"percent", percent(plateau.luma, range)},
                        {"red_percent", percent(plateau.channels[0], range)},
                        {"green_percent", percent(plateau.channels[1], range)},
                        {"blue_percent", percent(plateau.channels[2], range)},
                        {"noise_percent", plateau.noise ? Json(percent(*plateau.noise, range) -
                                                               percent(Signal(0), range))
                                                        : Json(nullptr)}});
    return list;
}

Result<io::ReadExposures> foundIn(const SeriesOptions& options) {
    if (!options.range.empty() && options.range != "full" && options.range != "legal")
        return usage("--range", options.range, "full or legal");
    const auto region = regionFrom("--region", options.region);
    if (!region)
        return region.error();
    std::optional<CodeRange> range;
    if (!options.range.empty())
        range = options.range == "full" ? CodeRange::Full : CodeRange::Legal;
    const std::vector<std::filesystem::path> files(options.files.begin(), options.files.end());
    return io::readExposures(files, *region, range);
}

Result<int> readSeries(const SeriesOptions& options, Output& output) {
    const auto found = foundIn(options);
    if (!found)
        return found.error();
    const auto& plateaus = found->plateaus;
    const auto spanned = found->range;
    if (!options.out.empty()) {
        const auto numbers = numbersIn("--stops", options.stops, -40, 40, "stops such as -4,-3,-2");
        if (!numbers)
            return numbers.error();
        std::vector<Stops> stops;
        for (const double number : *numbers)
            stops.emplace_back(number);
        const auto readings = readingsOf(plateaus, stops);
        if (!readings)
            return readings.error();
        const auto text = io::writeReadings(*readings, spanned, options.relative);
        if (const auto written = writeOutput(options.out, text, options.force); !written)
            return written.error();
    }
    if (output.json) {
        output.write(Json{{"files", options.files},
                          {"frames", found->frames.size()},
                          {"plateaus", plateausJson(plateaus, spanned)}});
        return 0;
    }
    for (const auto& plateau : plateaus)
        output.text << "frames " << plateau.first << " to " << plateau.behind - 1 << "  "
                    << trimmed(percent(plateau.luma, spanned), 2) << " %\n";
    return 0;
}

} // namespace

extern const Verb kSeriesVerb;
const Verb kSeriesVerb{"series", "Exposures held in clips or stills, read off a card",
                       "bslate series A001.mov --region 0.45,0.4,0.1,0.1",
                       prepared<SeriesOptions, askSeries, readSeries>};

} // namespace bslate::cli
