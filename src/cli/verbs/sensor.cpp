#include "cli/region_option.h"
#include "cli/verb.h"
#include "core/facts/evaluate.h"
#include "core/kit/camera_colour.h"
#include "core/kit/sensor_line.h"
#include "core/light/light_colour.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "io/charts/chart_file.h"
#include "io/charts/chart_picture.h"
#include "io/json/kit_json.h"
#include "io/system/files.h"

#include <ostream>

namespace bslate::cli {
namespace {

struct SensorOptions {
    ShootFile file;
    std::string setup, picture, chart, area = "0,0,1,1", columns, light;
    bool own = false;
};

void askSensor(SensorOptions& o, OptionList& list) {
    list.shoot(o.file);
    list.text("--setup", o.setup, "setup id or number: its camera, profile and light").required();
    list.text("--picture", o.picture, "photograph or clip of the chart").required();
    list.text("--chart", o.chart, "colours of its patches, CGATS text under D50").required();
    list.text("--area", o.area, "x,y,w,h of its patches from edge to edge, shares of the picture")
        .shown();
    list.text("--columns", o.columns, "patches across, where their names do not tell");
    list.text("--light", o.light, "on it, 5600K or 3200K duv+0.004; the setup's key, unless told");
    list.flag("--own", o.own,
              "the channels are the sensor's own, no more than brought to white; camera raw is");
}

Result<ColourChart> chartFor(const SensorOptions& options) {
    const auto text = io::readFile(options.chart);
    const auto read =
        text ? io::readChart(*text, options.chart) : Result<ColourChart>(text.error());
    if (!read || options.columns.empty())
        return read;
    auto chart = *read;
    const auto count = static_cast<int>(chart.patches.size());
    const auto columns = numberOf("--columns", options.columns, 1, count, "patches across");
    if (!columns)
        return columns.error();
    if (count % static_cast<int>(*columns) != 0)
        return usage("--columns", options.columns,
                     "a number that makes rows of " + std::to_string(count) + " patches");
    chart.columns = static_cast<int>(*columns);
    chart.rows = count / chart.columns;
    return chart;
}

Json pointJson(Chromaticity point) {
    return Json{{"x", point.x}, {"y", point.y}};
}

void write(const Camera& camera, const SensorFit& fit, bool ofSensor, Output& output) {
    if (!output.json) {
        auto& out = output.text;
        out << "primaries  " << spell(camera.primaries) << "\n";
        if (ofSensor)
            out << "gains      red " << print(fit.gains[0]) << ", blue " << print(fit.gains[2])
                << " against green\n";
        out << "patches    differ by " << trimmed(fit.mean, 2) << " in the mean, "
            << trimmed(fit.most, 2) << " at most (L*a*b*)\n";
        for (const auto& patch : fit.patches)
            out << "  " << patch.id << "  "
                << (patch.left ? "left out, at the recording's end" : trimmed(patch.difference, 2))
                << "\n";
        return;
    }
    Json patches = Json::array();
    for (const auto& patch : fit.patches)
        patches.push_back({{"id", patch.id},
                           {"difference", patch.left ? Json(nullptr) : Json(patch.difference)},
                           {"told", pointJson(patch.told)},
                           {"seen", pointJson(patch.seen)}});
    const auto& found = *camera.primaries;
    output.write(Json{{"primaries",
                       {{"red", pointJson(found.red)},
                        {"green", pointJson(found.green)},
                        {"blue", pointJson(found.blue)},
                        {"white", pointJson(found.white)}}},
                      {"line", spell(camera.primaries)},
                      {"gains", ofSensor ? Json{{"red_stops", fit.gains[0].value()},
                                                {"blue_stops", fit.gains[2].value()}}
                                         : Json(nullptr)},
                      {"mean_difference", fit.mean},
                      {"most_difference", fit.most},
                      {"patches", patches}});
}

Result<int> sensor(const SensorOptions& options, Output& output) {
    const auto found = openedSetup(options.file, options.setup);
    if (!found)
        return found.error();
    const auto context = resolve(found->shoot, found->setup());
    if (!context)
        return context.error();
    const auto chart = chartFor(options);
    if (!chart)
        return chart.error();
    const auto area = regionFrom("--area", options.area);
    if (!area)
        return area.error();
    const auto white = evaluate(*context).white;
    ColourPoint light = white.key.value_or(white.point);
    if (!options.light.empty()) {
        const auto told = parseLightColour(options.light);
        if (!told)
            return usage("--light", options.light, told.error().expected);
        light = pointOf(*told);
    }
    const auto& curve = context->profile->curve;
    const auto picture = io::readChartPicture(
        options.picture, io::chartPlaces(*area, chart->columns, chart->rows), curve, curve.range);
    if (!picture)
        return picture.error();
    if (!picture->ofSensor && !options.own)
        return usage("--picture", options.picture,
                     "camera raw, or --own where the channels are the sensor's own: a profile has "
                     "primaries of its own");
    const auto fit = fitSensor(*chart, picture->places, light);
    if (!fit)
        return fit.error();
    write(withSensor(*context->camera, *fit, light, picture->ofSensor), *fit, picture->ofSensor,
          output);
    return 0;
}

} // namespace

extern const Verb kSensorVerb;
const Verb kSensorVerb{"sensor", "A camera's primaries and gains from a chart",
                       "bslate sensor slack-water.bslate --setup 2A --picture chart.exr --chart "
                       "chart.txt --area 0.25,0.25,0.5,0.5 --light 5600K --own",
                       prepared<SensorOptions, askSensor, sensor>};

} // namespace bslate::cli
