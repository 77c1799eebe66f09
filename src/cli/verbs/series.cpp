#include "cli/number_list.h"
#include "cli/region_option.h"
#include "cli/verb.h"
#include "core/clip/region_series.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "io/clips/clip_file.h"
#include "io/clips/clip_region.h"
#include "io/text/readings_csv.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct SeriesOptions {
    std::vector<std::string> files;
    std::string region, stops, range, out;
    bool force = false;
};

void askSeries(SeriesOptions& o, OptionList& list) {
    list.texts("FILE", o.files, "clips of an exposure series, or one in which it was stepped")
        .required();
    list.text("--region", o.region, "the card, x,y,w,h as shares of the picture").required();
    list.text("--stops", o.stops, "of each exposure in turn: -4,-3,-2; needed for -o");
    list.text("--range", o.range, "what its codes span, full or legal, in place of the clip's tag");
    list.text("-o,--output", o.out, "readings to write (.csv), for bslate fit");
    list.force(o.force);
}

/// What was found in one file.
struct Found {
    std::string file;
    io::ReadRegion region;
    std::vector<Plateau> plateaus;
};

// One exposure a file where there are several: its longest stretch.
std::vector<Plateau> allPlateaus(const std::vector<Found>& found) {
    if (found.size() == 1)
        return found.front().plateaus;
    std::vector<Plateau> all;
    for (const auto& one : found)
        if (const auto longest = longestOf(one.plateaus))
            all.push_back(*longest);
    return all;
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

Result<std::vector<Found>> foundIn(const SeriesOptions& options) {
    if (!options.range.empty() && options.range != "full" && options.range != "legal")
        return usage("--range", options.range, "full or legal");
    const auto region = regionFrom("--region", options.region);
    if (!region)
        return region.error();
    std::optional<CodeRange> range;
    if (!options.range.empty())
        range = options.range == "full" ? CodeRange::Full : CodeRange::Legal;
    std::vector<Found> found;
    for (const auto& file : options.files) {
        auto read = io::readRegion(file, *region, range);
        if (!read)
            return read.error();
        const auto plateaus = plateausOf(read->frames);
        found.push_back({file, *std::move(read), plateaus});
    }
    return found;
}

Result<int> readSeries(const SeriesOptions& options, Output& output) {
    const auto found = foundIn(options);
    if (!found)
        return found.error();
    const auto plateaus = allPlateaus(*found);
    const auto spanned = found->front().region.range;
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
        const auto text = io::writeReadings(*readings, spanned);
        if (const auto written = writeOutput(options.out, text, options.force); !written)
            return written.error();
    }
    if (output.json) {
        Json files = Json::array();
        for (const auto& one : *found)
            files.push_back({{"file", one.file},
                             {"frames", one.region.frames.size()},
                             {"plateaus", plateausJson(one.plateaus, one.region.range)}});
        output.write(Json{{"files", files}, {"plateaus", plateausJson(plateaus, spanned)}});
        return 0;
    }
    for (const auto& plateau : plateaus)
        output.text << "frames " << plateau.first << " to " << plateau.behind - 1 << "  "
                    << trimmed(percent(plateau.luma, spanned), 2) << " %\n";
    return 0;
}

} // namespace

extern const Verb kSeriesVerb;
const Verb kSeriesVerb{"series", "Exposures held in clips, read off a card",
                       "bslate series A001.mov --region 0.45,0.4,0.1,0.1",
                       prepared<SeriesOptions, askSeries, readSeries>};

} // namespace bslate::cli
